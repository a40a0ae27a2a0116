import { afterEach, expect, test, vi } from 'vitest';
import { drawn } from './drawn';

/** Canvases of a browser that holds so many pixels; a larger one gives no context, an error, or stays empty. */
function browserHolding(most: number, beyond: 'none' | 'error' | 'empty'): void {
  vi.stubGlobal(
    'OffscreenCanvas',
    class {
      constructor(
        readonly width: number,
        readonly height: number,
      ) {}
      getContext() {
        const isHeld = this.width * this.height <= most;
        if (!isHeld && beyond === 'none') return null;
        return {
          fillRect: () => {},
          drawImage: () => {
            if (!isHeld && beyond === 'error') throw new Error('the canvas is too large');
          },
          getImageData: () => ({ data: [0, 0, 0, isHeld ? 255 : 0] }),
        };
      }
    },
  );
}
afterEach(() => vi.unstubAllGlobals());

const picture = (width: number, height: number) => {
  const close = vi.fn();
  return { bitmap: { width, height, close } as unknown as ImageBitmap, close };
};

test('a picture is drawn at its scale, and smaller where a browser holds no canvas of that size', () => {
  for (const beyond of ['none', 'error', 'empty'] as const) {
    browserHolding(16_777_216, beyond);
    const sizeOf = (width: number, height: number, scale: number) => {
      const { bitmap, close } = picture(width, height);
      const canvas = drawn(bitmap, scale);
      expect(close).toHaveBeenCalledOnce();
      return [canvas.width, canvas.height];
    };
    expect(sizeOf(8000, 6000, 0.25)).toEqual([2000, 1500]);
    expect(sizeOf(4000, 3000, 1)).toEqual([4000, 3000]);
    expect(sizeOf(8000, 6000, 1)).toEqual([4000, 3000]);
  }
});

test('where no canvas is held at all it is said, and the picture is let go of', () => {
  browserHolding(0, 'empty');
  const { bitmap, close } = picture(400, 300);
  expect(() => drawn(bitmap, 1)).toThrow('Make it smaller first.');
  expect(close).toHaveBeenCalledOnce();
});
