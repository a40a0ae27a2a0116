import type { Page } from '@playwright/test';

/** Mean colour of a few pixels of the panel round a point, 0…255; x and y are parts of its sides. */
export async function colourAt(page: Page, x: number, y: number): Promise<readonly [number, number, number]> {
  return page
    .locator('main canvas')
    .first()
    .evaluate(
      (canvas, at) => {
        const { width, height } = canvas as HTMLCanvasElement;
        const data = (canvas as HTMLCanvasElement)
          .getContext('2d')
          ?.getImageData(Math.floor(at.x * (width - 5)), Math.floor(at.y * (height - 5)), 5, 5).data;
        const mean = (channel: number) =>
          [...(data ?? [])].filter((_, i) => i % 4 === channel).reduce((sum, v) => sum + v, 0) / 25;
        return [mean(0), mean(1), mean(2)] as const;
      },
      { x, y },
    );
}

/** Pixels of the screen to one of the panel's picture, across. */
export const pixelsToOne = (page: Page): Promise<number> =>
  page
    .locator('main canvas')
    .first()
    .evaluate(
      (canvas) =>
        (canvas.getBoundingClientRect().width * devicePixelRatio) / (canvas as HTMLCanvasElement).width,
    );

/** Mean light there. */
export const lightAt = async (page: Page, x: number, y: number): Promise<number> =>
  (await colourAt(page, x, y)).reduce((sum, value) => sum + value, 0) / 3;

/** How uneven a level line of the panel is: the standard deviation of its green, 0…255; y is a part of its height. */
export const unevennessAt = (page: Page, y: number): Promise<number> =>
  page
    .locator('main canvas')
    .first()
    .evaluate((canvas, part) => {
      const { width, height } = canvas as HTMLCanvasElement;
      const data = (canvas as HTMLCanvasElement)
        .getContext('2d')
        ?.getImageData(0, Math.floor(part * height), width, 1).data;
      const greens = [...(data ?? [])].filter((_, i) => i % 4 === 1);
      const mean = greens.reduce((sum, value) => sum + value, 0) / greens.length;
      return Math.sqrt(greens.reduce((sum, value) => sum + (value - mean) ** 2, 0) / greens.length);
    }, y);
