import { groundOfCard } from '../card/card';
import type { Border } from '../design/placement';
import type { Wetness } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { layersOf, type Stack } from '../pass/stack';
import { type Work, workOf } from '../pass/work';
import { lightOf } from './mix';
import type { Progress } from './progress';
import { fineSignalOf } from './signal';

/**
 * On which sides of all borders a place lies: border i adds 2^i where it lies inside. A plain number, for up to 52
 * borders.
 */
export type Side = number;

/** How a square between four nodes lies to the borders. */
export interface Square {
  /** The side of all borders that do not cross it. */
  readonly side: Side;
  /** Those that may. */
  readonly crossed: readonly number[];
}

/** Colours on an even grid of nodes over the panel, its edges included. */
export interface Field {
  readonly columns: number;
  readonly rows: number;
  readonly borders: readonly Border[];
  /** The square right of and below a node. */
  readonly squareAt: (column: number, row: number) => Square;
  /**
   * The grid of one side, with the four corners of a square in it: 8-bit signal, not yet rounded, three values a node.
   */
  readonly cornersOf: (side: Side, column: number, row: number) => Float32Array;
}

export const WEIGHT_OF = Float64Array.from({ length: 53 }, (_, i) => 2 ** i);

/**
 * The panel's colours as a field. Blends are smooth, so spectra are computed at the nodes and a picture interpolates
 * between them; borders are sharp, so each side of them has a grid of its own, and only as much of it as is asked for.
 */
export function fieldOf(
  kit: Kit,
  wetness: Wetness,
  progress: Progress,
  { columns, rows }: { readonly columns: number; readonly rows: number },
  work: Work = workOf(kit, progress),
): Field {
  const { panel } = kit.recipe;
  const { borders } = work;
  const colourOf = lightOf(work.palette, groundOfCard(kit.card), wetness);
  const stack = work.stack();
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  const grids = new Map<Side, { readonly signal: Float32Array; readonly done: Uint8Array }>();
  let asked: Side = 0;
  const inside = (border: number): boolean => Math.floor(asked / (WEIGHT_OF[border] as number)) % 2 === 1;
  /** Neighbours in a solid part look alike: the last place computed, and what lay there. */
  const last = { amounts: new Float64Array(stack.amounts.length), layers: -1, r: 0, g: 0, b: 0 };

  const compute = (signal: Float32Array, node: number): void => {
    work.at((node % columns) * stepX, Math.floor(node / columns) * stepY, inside, stack);
    if (!same(stack, last)) {
      const { r, g, b } = colourOf(stack);
      last.amounts.set(stack.amounts);
      last.layers = layersOf(stack);
      last.r = fineSignalOf(r);
      last.g = fineSignalOf(g);
      last.b = fineSignalOf(b);
    }
    signal[3 * node] = last.r;
    signal[3 * node + 1] = last.g;
    signal[3 * node + 2] = last.b;
  };
  const cornersOf = (side: Side, column: number, row: number): Float32Array => {
    let grid = grids.get(side);
    if (!grid) {
      grid = { signal: new Float32Array(3 * columns * rows), done: new Uint8Array(columns * rows) };
      grids.set(side, grid);
    }
    const { signal, done } = grid;
    const first = row * columns + column;
    for (const node of [first, first + 1, first + columns, first + columns + 1])
      if (done[node] === 0) {
        asked = side;
        compute(signal, node);
        done[node] = 1;
      }
    return signal;
  };
  // No border comes nearer to a square's middle than its corners are, or it may cross it.
  const reach = Math.hypot(stepX, stepY) / 2 + Math.max(stepX, stepY) * 0.1;
  const squareAt = (column: number, row: number): Square => {
    let side = 0;
    let crossed = NONE;
    for (let i = 0; i < borders.length; i++) {
      const far = (borders[i] as Border)((column + 0.5) * stepX, (row + 0.5) * stepY);
      if (far > reach) side += WEIGHT_OF[i] as number;
      else if (far >= -reach) crossed = [...crossed, i];
    }
    return { side, crossed };
  };
  return { columns, rows, borders, squareAt, cornersOf };
}
const NONE: readonly number[] = [];

function same(stack: Stack, last: { readonly amounts: Float64Array; readonly layers: number }): boolean {
  const layers = layersOf(stack);
  if (layers !== last.layers) return false;
  for (let i = 0; i < layers * stack.inks; i++) if (stack.amounts[i] !== last.amounts[i]) return false;
  return true;
}
