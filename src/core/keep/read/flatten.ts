import { type Corners, projectionOf } from '../../base/perspective';
import type { Pixels } from '../../choose/photo/pixels';

/** So much of its sides is left out all around: corners are found to a pixel or two, and bare card would show as a rim. */
const RIM = 0.008;

/** The panel of a photograph, seen straight from above, so many pixels wide and high. */
export function flatten(picture: Pixels, corners: Corners, width: number, height: number): Pixels {
  const onPanel = projectionOf(corners, 1, 1);
  const within = (part: number) => RIM + (1 - 2 * RIM) * part;
  const project = (x: number, y: number) => onPanel(within(x / width), within(y / height));
  const data = new Uint8ClampedArray(width * height * 4);
  const [right, foot] = [picture.width - 1, picture.height - 1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const seen = project(x + 0.5, y + 0.5);
      const px = Math.min(Math.max(seen.x - 0.5, 0), right);
      const py = Math.min(Math.max(seen.y - 0.5, 0), foot);
      const [i, j] = [Math.floor(px), Math.floor(py)];
      const [u, v] = [px - i, py - j];
      const at = (row: number, column: number) => (row * picture.width + column) * 4;
      const [p, q] = [at(j, i), at(j, Math.min(i + 1, right))];
      const [r, s] = [at(Math.min(j + 1, foot), i), at(Math.min(j + 1, foot), Math.min(i + 1, right))];
      const to = (y * width + x) * 4;
      for (let c = 0; c < 3; c++)
        data[to + c] =
          ((picture.data[p + c] ?? 0) * (1 - u) + (picture.data[q + c] ?? 0) * u) * (1 - v) +
          ((picture.data[r + c] ?? 0) * (1 - u) + (picture.data[s + c] ?? 0) * u) * v;
      data[to + 3] = 255;
    }
  return { width, height, data };
}
