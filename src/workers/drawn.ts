/** A picture that the browser cannot hold is tried in half its size, so many times at the most. */
const HALVINGS = 4;

/**
 * A picture drawn so much smaller, what is transparent on white card. Browsers of phones hold no canvas of more than some
 * megapixels: one that is larger stays empty, without an error. There it is drawn as large as one is held.
 *
 * @param scale  0…1
 * @throws Error where no canvas is held at all
 */
export function drawn(bitmap: ImageBitmap, scale: number): OffscreenCanvas {
  const { width, height } = bitmap;
  try {
    for (let halvings = 0; halvings <= HALVINGS; halvings++) {
      const part = scale / 2 ** halvings;
      const side = (length: number) => Math.max(1, Math.round(length * part));
      const canvas = new OffscreenCanvas(side(width), side(height));
      if (holds(canvas, bitmap)) return canvas;
    }
  } finally {
    bitmap.close();
  }
  throw new Error('This browser holds no picture of that size. Make it smaller first.');
}

/** Draws a picture on a canvas, and tells whether it is there. */
function holds(canvas: OffscreenCanvas, bitmap: ImageBitmap): boolean {
  const { width, height } = canvas;
  try {
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return false;
    context.imageSmoothingQuality = 'high';
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, width, height);
    context.drawImage(bitmap, 0, 0, width, height);
    return context.getImageData(width - 1, height - 1, 1, 1).data[3] === 255;
  } catch {
    return false;
  }
}
