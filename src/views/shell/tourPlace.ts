import type { Stop } from './tourStops';

/** What a stop's words take, with the room around them, px of usual text. */
const WORDS = { width: 344, height: 220 } as const;

/** An upright box on the page, px. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * Beside which box, and on which side of it, a stop's words stand: beside their control where there is room, else below it,
 * and over its lower part where there is none below either.
 *
 * @param page  how large the window is, px
 * @param textScale  how large text is, over the usual size
 */
export function tourPlace(
  control: Box,
  side: Stop['side'],
  page: { readonly width: number; readonly height: number },
  textScale: number,
): { side: Stop['side']; box: Box } {
  const [width, height] = [WORDS.width * textScale, WORDS.height * textScale];
  const hasRoom = {
    left: control.left >= width,
    right: page.width - control.right >= width,
    top: control.top >= height,
    bottom: page.height - control.bottom >= height,
  };
  if (hasRoom[side]) return { side, box: control };
  const bottom = Math.max(Math.min(control.bottom, page.height - height), 0);
  const { left, top, right } = control;
  return { side: 'bottom', box: { left, top: Math.min(top, bottom), right, bottom } };
}
