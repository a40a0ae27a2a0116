import type { Size } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import { memo } from '../../base/memo';
import { smoothNoise } from '../../base/noise';
import { withSpread } from './noise';

/** How far apart the places are at which the warp and the hand are known, mm. */
export const SPAN = 4;
/** How far tiles are looked up beside where they would lie, and over which lengths that changes: no repeat is left. */
const WARP: { readonly far: Millimetres; readonly over: Millimetres } = { far: 9, over: 55 };
const SEED = 71;

/** Slow changes over a panel, at places `SPAN` apart from its upper left corner on. */
export interface Slow {
  readonly columns: number;
  readonly rows: number;
  /** Where on a tile each place is looked up, less where it lies, mm. */
  readonly aside: Float32Array;
  readonly below: Float32Array;
  /** How much more or less the hand presses, with unit spread and a mean of 0 over the panel. */
  readonly hand: Float32Array;
}

/**
 * The same in millimetres for every picture of a panel, however large it is drawn.
 *
 * @param isWoven  threads run straight: nothing is looked up aside
 */
export const slowOver = memo(8, (width: Size['width'], height: Size['height'], isWoven: boolean): Slow => {
  const far = isWoven ? 0 : WARP.far;
  const columns = Math.ceil(width / SPAN) + 1;
  const rows = Math.ceil(height / SPAN) + 1;
  const across = smoothNoise(WARP.over, SEED);
  const down = smoothNoise(WARP.over, SEED + 1);
  const near = smoothNoise(9, SEED + 2);
  const wide = smoothNoise(28, SEED + 3);
  const at = (noise: (x: number, y: number) => number) =>
    Float32Array.from({ length: columns * rows }, (_, i) =>
      noise((i % columns) * SPAN, Math.floor(i / columns) * SPAN),
    );
  return {
    columns,
    rows,
    aside: at((x, y) => far * across(x, y)),
    below: at((x, y) => far * down(x, y)),
    hand: withSpread(
      at((x, y) => near(x, y) + 1.5 * wide(x, y)),
      1,
    ),
  };
});
