import type { Hex } from '../../materials/colour/hex';
import { type LinearRgb, xyzOfLinearRgb } from '../../materials/colour/lab';
import { type Box, boxInside, type Pixels } from './pixels';
import { againstWhite, LEAST_WHITE, sampleBox } from './sample';

/** A swatch read off a picture. */
export interface SwatchReading {
  readonly box: Box;
  /** As it would be on the perfect white in even light. */
  readonly hex: Hex;
  /** CIEDE2000; see `Sample`. */
  readonly spread: number;
  /** What to mind about the reading, if anything. */
  readonly doubt: string | undefined;
}

/** The bare card of a picture, or why it cannot be the reference. */
export function readWhite(
  pixels: Pixels,
  box: Box,
): { readonly white: LinearRgb } | { readonly problem: string } {
  const { rgb, spread } = sampleBox(pixels, box);
  if (xyzOfLinearRgb(rgb).y < LEAST_WHITE)
    return { problem: 'That is too dark to be bare white card. Click the card beside the swatches.' };
  if (spread > UNEVEN) return { problem: 'That is not one even place. Click bare card, clear of swatches.' };
  return { white: rgb };
}

/** Half of a box's pixels may stray this far before its reading is doubted, CIEDE2000. */
const UNEVEN = 4;

/** Reads a swatch against the bare card of the same picture. */
export function readSwatch(pixels: Pixels, box: Box, white: LinearRgb): SwatchReading {
  const { rgb, spread } = sampleBox(pixels, box);
  const { hex, brightest } = againstWhite(rgb, white);
  const doubt =
    brightest > 1.05
      ? 'brighter than the bare card: a glint, or the card was read in shade'
      : spread > UNEVEN
        ? 'uneven: box a flatter part'
        : undefined;
  return { box: boxInside(pixels, box), hex, spread, doubt };
}
