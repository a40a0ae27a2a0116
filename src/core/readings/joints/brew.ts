import { fadeInverse } from '../../base/smoothStep';
import { type BlendGround, blended } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { type Lab, labOfSpectrum } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';

/** A middle mixed from the two ends, in parts of each. */
export interface Brew {
  /** Whole parts of the first and of the last ink, 1 to 12. */
  readonly parts: readonly [first: number, last: number];
  /** Part of the last ink in the mix, 0…1, before rounding to parts. */
  readonly mix: number;
  readonly lab: Lab;
}

/** A middle is told in at most so many parts of an ink; each part more has to earn its keep by this much. */
const MAX_PARTS = 12;
const A_PART = 0.002;

/** A mixture laid in a joint, and where in it. */
export interface BrewMix extends Brew {
  /** How far on the way through the joint it is what the picture shows, 0…1. */
  readonly at: number;
}

/**
 * The mix of two inks that is as far from the one as from the other in perceived colour (CIEDE2000, dried). The
 * stronger ink needs less of itself, so there is more of the weaker in it.
 */
export const brewMiddle = (first: Ink, last: Ink, ground: BlendGround): Brew =>
  brewAt(first, last, ground, 1 / 2);

/**
 * Mixes for a long strip, in equal steps of perceived colour from the first ink to the last, each with the place where
 * the joint is of that mix.
 *
 * @param hardness  of the tool's fade; see `Tool`
 */
export const brewSlope = (
  first: Ink,
  last: Ink,
  ground: BlendGround,
  count: number,
  hardness: number,
): BrewMix[] =>
  Array.from({ length: count }, (_, i) => {
    const brew = brewAt(first, last, ground, (i + 1) / (count + 1));
    return { ...brew, at: 0.5 + (fadeInverse(1 - brew.mix) - 0.5) / hardness };
  });

/** The mix whose distance from the first ink is this part of both its distances, 0…1. */
function brewAt(first: Ink, last: Ink, ground: BlendGround, part: number): Brew {
  const at = (mix: number): Lab =>
    labOfSpectrum(
      blended(
        [
          { ink: first, coats: 1 - mix },
          { ink: last, coats: mix },
        ],
        ground,
      ),
    );
  const [start, end] = [at(0), at(1)];
  let low = 0;
  let high = 1;
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    const lab = at(middle);
    if (deltaE00(lab, start) * (1 - part) < deltaE00(lab, end) * part) low = middle;
    else high = middle;
  }
  const mix = (low + high) / 2;
  const lab = at(mix);
  return { parts: inParts(mix), mix, lab };
}

/** The nearest ratio of small whole parts; fewer parts are preferred among near equals. */
function inParts(mix: number): [number, number] {
  let best: [number, number] = [1, 1];
  let least = Number.POSITIVE_INFINITY;
  for (let a = 1; a <= MAX_PARTS; a++)
    for (let b = 1; b <= MAX_PARTS; b++) {
      const off = Math.abs(b / (a + b) - mix) + A_PART * (a + b);
      if (off < least) {
        least = off;
        best = [a, b];
      }
    }
  return best;
}
