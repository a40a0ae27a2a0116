import { layered, smoothNoise } from '../../base/noise';
import { linearRgbOfHex } from '../../materials/colour/hex';
import { type LinearRgb, srgbSignal } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import type { Box, Pixels } from './pixels';

/** A made-up photograph of a swatch sheet, and where on it the swatches and the bare card lie. */
export interface SwatchSheet extends Pixels {
  readonly swatches: readonly { readonly name: string; readonly box: Box }[];
  readonly bareCard: Box;
}

const CELL = 110;
const GAP = 26;
const COLUMNS = 6;
const EDGE = 44;
/** The lamp's colour: warm, and dimmer than the white of the screen. */
const LAMP: LinearRgb = { r: 0.86, g: 0.76, b: 0.58 };

/**
 * Draws swatches of inks on bare card as a lamp-lit photograph would show them: tinted, grainy, with a little texture in
 * each swatch, so that reading a colour off it needs the white reference and a robust mean.
 */
export function drawSwatchSheet(inks: readonly Ink[]): SwatchSheet {
  const rows = Math.ceil(inks.length / COLUMNS);
  const width = 2 * EDGE + COLUMNS * (CELL + GAP) - GAP;
  const height = 2 * EDGE + rows * (CELL + GAP) - GAP;
  const boxes = inks.map(({ name, overWhite }, i) => {
    const x0 = EDGE + (i % COLUMNS) * (CELL + GAP);
    const y0 = EDGE + Math.floor(i / COLUMNS) * (CELL + GAP);
    return { name, colour: linearRgbOfHex(overWhite), box: { x0, y0, x1: x0 + CELL - 1, y1: y0 + CELL - 1 } };
  });
  const grain = smoothNoise(1, 71);
  const patchy = layered(smoothNoise(1, 72));
  const data = new Uint8ClampedArray(width * height * 4);
  const put = (x: number, y: number, { r, g, b }: LinearRgb, light: number) => {
    const at = (y * width + x) * 4;
    data[at] = 255 * srgbSignal(r * LAMP.r * light);
    data[at + 1] = 255 * srgbSignal(g * LAMP.g * light);
    data[at + 2] = 255 * srgbSignal(b * LAMP.b * light);
    data[at + 3] = 255;
  };
  const card: LinearRgb = { r: 1, g: 1, b: 1 };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) put(x, y, card, 0.98 + 0.02 * grain(x / 1.3, y / 1.3));
  for (const { colour, box } of boxes)
    for (let y = box.y0; y <= box.y1; y++)
      for (let x = box.x0; x <= box.x1; x++)
        put(x, y, colour, 0.98 + 0.025 * grain(x / 1.3, y / 1.3) + 0.03 * patchy(x / 30, y / 30));
  return {
    width,
    height,
    data,
    swatches: boxes.map(({ name, box }) => ({ name, box })),
    bareCard: { x0: 4, y0: 4, x1: EDGE - 8, y1: height - 5 },
  };
}
