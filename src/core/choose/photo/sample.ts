import { deltaE00 } from '../../materials/colour/difference';
import { type Hex, hexOfLinearRgb } from '../../materials/colour/hex';
import { type Lab, type LinearRgb, labOfXyz, xyzOfLinearRgb } from '../../materials/colour/lab';
import { type Box, boxInside, type Pixels, pixelAt } from './pixels';

/** What a picture shows inside a box. */
export interface Sample {
  /** Median of each channel, linear light. */
  readonly rgb: LinearRgb;
  /** How far half of the pixels stray from the median, CIEDE2000; texture, dust and shine raise it. */
  readonly spread: number;
}

/** Pixels looked at in a box; a larger box is looked at in even steps. */
const MAX_LOOKED_AT = 900;

/** The robust mean of a box: specks, glints and grain do not move a median. */
export function sampleBox(pixels: Pixels, box: Box): Sample {
  const { x0, y0, x1, y1 } = boxInside(pixels, box);
  const step = Math.max(1, Math.round(Math.sqrt(((x1 - x0 + 1) * (y1 - y0 + 1)) / MAX_LOOKED_AT)));
  const met: LinearRgb[] = [];
  for (let y = y0; y <= y1; y += step) for (let x = x0; x <= x1; x += step) met.push(pixelAt(pixels, x, y));
  const rgb = {
    r: median(met.map(({ r }) => r)),
    g: median(met.map(({ g }) => g)),
    b: median(met.map(({ b }) => b)),
  };
  const lab = labOfRgb(rgb);
  return { rgb, spread: median(met.map((one) => deltaE00(labOfRgb(one), lab))) };
}

/** A box of some pixels each way around a place. */
export const boxAround = (x: number, y: number, reach: number): Box => ({
  x0: x - reach,
  y0: y - reach,
  x1: x + reach,
  y1: y + reach,
});

/**
 * A sample as it would be on the perfect white in even light: each channel divided by what the picture shows of bare
 * white card (von Kries scaling in linear light).
 *
 * @returns the colour, and how far it lies beyond the white on its brightest channel: over 1 it is brighter than the card
 */
export function againstWhite(rgb: LinearRgb, white: LinearRgb): { hex: Hex; brightest: number } {
  const part = { r: over(rgb.r, white.r), g: over(rgb.g, white.g), b: over(rgb.b, white.b) };
  return { hex: hexOfLinearRgb(part), brightest: Math.max(part.r, part.g, part.b) };
}

/** Darker than this, linear light, a place is no white reference. */
export const LEAST_WHITE = 0.12;

const over = (value: number, white: number): number => value / Math.max(white, 1e-4);

export const labOfRgb = (rgb: LinearRgb): Lab => labOfXyz(xyzOfLinearRgb(rgb));

function median(values: number[]): number {
  const sorted = values.sort((p, q) => p - q);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2;
}
