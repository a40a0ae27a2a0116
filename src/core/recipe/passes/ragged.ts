import type { Millimetres } from '../../base/length';
import { smoothNoise } from '../../base/noise';
import type { Border } from '../../materials/design/placement';

/** A wandering: how far at the most, over about which length, mm. */
export interface Wander {
  readonly far: Millimetres;
  readonly size: Millimetres;
}

/** How steep smooth noise is at the most, in its height a size. */
const STEEPEST = 3;

/**
 * A border that wanders a little to and fro, as ink and water do on paper. What it tells is half the distance: so where it
 * wanders it changes no faster than a border may, and farther off it tells less than the distance to where it runs.
 *
 * @param wanders  on top of each other
 * @throws RangeError where together they may be steeper than the border itself
 */
export function ragged(border: Border, wanders: readonly Wander[], seed: number): Border {
  if (wanders.reduce((steep, { far, size }) => steep + (STEEPEST * far) / size, 0) > 1)
    throw new RangeError('a border that wanders so steeply would tell more than the distance to it');
  const noises = wanders.map(({ far, size }, i) => ({ far, noise: smoothNoise(size, seed + 7 * i) }));
  // Beyond that it cannot matter to where the border runs.
  const matters = 3 * wanders.reduce((sum, { far }) => sum + far, 0);
  return (x, y) => {
    let inside = border(x, y);
    if (inside <= matters && inside >= -matters)
      for (const { far, noise } of noises) inside += far * noise(x, y);
    return inside / 2;
  };
}

/** What is laid through a stencil, its borders ragged: `ragged` for each. */
export const withRagged = <T extends { readonly borders: readonly Border[] }>(
  placed: T,
  wander: Wander,
  seed: number,
): T => ({ ...placed, borders: placed.borders.map((border) => ragged(border, [wander], seed)) });
