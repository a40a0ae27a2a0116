import type { Millimetres } from '../../base/length';
import { smoothNoise } from '../../base/noise';
import type { Border } from '../../materials/design/placement';

/**
 * A border that wanders a little to and fro, as ink and water do on paper. What it tells is half the distance: so where it
 * wanders it changes no faster than a border may, and farther off it tells less than the distance to where it runs.
 *
 * @param far   how far it wanders at the most, mm
 * @param size  over about which length, mm
 */
export function ragged(border: Border, far: Millimetres, size: Millimetres, seed: number): Border {
  const wander = smoothNoise(size, seed);
  // Beyond that it cannot matter to where the border runs.
  const matters = 3 * far;
  return (x, y) => {
    const inside = border(x, y);
    return inside > matters || inside < -matters ? inside / 2 : (inside + far * wander(x, y)) / 2;
  };
}

/** What is laid through a stencil, its borders ragged: `ragged` for each. */
export const withRagged = <T extends { readonly borders: readonly Border[] }>(
  placed: T,
  far: Millimetres,
  size: Millimetres,
  seed: number,
): T => ({ ...placed, borders: placed.borders.map((border) => ragged(border, far, size, seed)) });
