import { seededRandom } from '../../base/random';
import { labOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import type { Ink } from '../../materials/ink/ink';
import { MODES } from '../../materials/ink/modes';
import { reflectanceOfHex } from '../../materials/ink/reflectance';
import { DOUBTS, shiftedSpectrum } from '../../materials/ink/taught';
import type { Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { factorise, solve, square } from '../learn/cholesky';
import { numberOf } from './evening';

/** How inks differ from their swatches at the simulated desk: natural logarithms, slope, and modes' coefficients. */
const SPREADS = { strength: 0.28, scattering: 0.4, slope: 0.4, modes: 0.7, load: 0.05, creep: 0.2 } as const;
const USUAL_SLOPE = 0.75;

/** A normal number. Source: G. E. P. Box, M. E. Muller, Ann. Math. Stat. 29 (1958) 610. */
export const normal = (draw: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());

/**
 * An ink as it really is at the simulated desk, which nobody there can look up: the same for the same ink and desk. What was
 * learned of it meanwhile does not change it.
 */
export function trueInk(ink: Ink, desk: number): Ink {
  const draw = seededRandom(numberOf(`${ink.id} ${ink.overWhite}`) ^ desk);
  return {
    ...ink,
    taught: {
      strength: Math.exp(SPREADS.strength * normal(draw)),
      scattering: Math.exp(SPREADS.scattering * normal(draw)),
      slope: USUAL_SLOPE + SPREADS.slope * normal(draw),
      modes: sameSwatch(
        reflectanceOfHex(ink.overWhite),
        Array.from({ length: MODES }, () => SPREADS.modes * normal(draw)),
      ),
      doubt: Array.from({ length: DOUBTS }, () => 0),
      panels: 0,
      at: '',
    },
  };
}

/** Rounds of the correction, and how far a mode is moved to see what it does. */
const ROUNDS = 6;
const STEP = 1e-3;

/**
 * Coefficients as near to those given as lets the swatch keep its colour: it was laid with the ink as it is. Each round
 * takes the shortest step that brings L*, a* and b* back (a pseudo-inverse of three rows).
 */
function sameSwatch(swatch: Spectrum, modes: readonly number[]): number[] {
  const wanted = labOfSpectrum(swatch);
  const colour = (of: readonly number[]) => {
    const { l, a, b } = labOfSpectrum(shiftedSpectrum(swatch, of));
    return [l - wanted.l, a - wanted.a, b - wanted.b] as const;
  };
  let now = [...modes];
  for (let round = 0; round < ROUNDS; round++) {
    const off = colour(now);
    const slopes = now.map((_, m) => {
      const moved = colour(now.map((value, i) => (i === m ? value + STEP : value)));
      return moved.map((value, c) => (value - (off[c] ?? 0)) / STEP);
    });
    const normalMatrix = square(3);
    for (let p = 0; p < 3; p++)
      for (let q = 0; q <= p; q++)
        normalMatrix.at[3 * p + q] =
          slopes.reduce((sum, row) => sum + (row[p] ?? 0) * (row[q] ?? 0), 0) + (p === q ? 1e-6 : 0);
    factorise(normalMatrix);
    const weights = Float64Array.from(off);
    solve(normalMatrix, weights);
    now = now.map(
      (value, m) => value - (slopes[m] ?? []).reduce((sum, slope, c) => sum + slope * (weights[c] ?? 0), 0),
    );
  }
  return now;
}

/** A recipe as one evening's hand makes it: inks as they are, each a little heavier or lighter, joints crept. */
export function asMade(resolved: ResolvedRecipe, desk: number, evening: number): ResolvedRecipe {
  const draw = seededRandom(evening ^ desk);
  const creep = SPREADS.creep * normal(draw);
  const loads = new Map<string, number>();
  const made = (ink: Ink): Ink => {
    const load = loads.get(ink.id) ?? Math.exp(SPREADS.load * normal(draw));
    loads.set(ink.id, load);
    const { taught, ...rest } = trueInk(ink, desk);
    return taught ? { ...rest, taught: { ...taught, strength: taught.strength * load } } : rest;
  };
  const inks = resolved.inks.map(made);
  return { ...resolved, recipe: crept(resolved.recipe, creep), inks, passInks: resolved.passInks.map(made) };
}

/** The slope of a joint's parts at its middle, times its width: a logit shift there moves the border by so much. */
const BORDER_PER_LOGIT = 1 / 6;

/** Each border a little toward the first rung, or away from it: as much as the parts' logit is shifted. */
function crept(recipe: Recipe, creep: number): Recipe {
  const { rungs, joints, panel } = recipe;
  const shares = rungs.map(({ share }) => share);
  joints.forEach(({ width }, i) => {
    const shift = Math.min(
      Math.max((creep * width * BORDER_PER_LOGIT) / panel.height, -0.3 * (shares[i] ?? 0)),
      0.3 * (shares[i + 1] ?? 0),
    );
    shares[i] = (shares[i] ?? 0) - shift;
    shares[i + 1] = (shares[i + 1] ?? 0) + shift;
  });
  return { ...recipe, rungs: rungs.map((rung, i) => ({ ...rung, share: shares[i] ?? rung.share })) };
}
