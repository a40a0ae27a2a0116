import { seededRandom } from '../../base/random';
import { smoothStep } from '../../base/smoothStep';
import type { Finish } from '../../materials/card/finishes';
import { addUneven, emptyTile, spreadOf, type Tile } from './noise';

const FIBRE_SEED = 405;
/** How strongly slopes of a card's face show in the light: less than under one lamp, for light comes from all round. */
export const TOOTH_LIGHT = 0.12;
/** How steeply a brush reaches down behind a peak, mm a mm. */
const REACHES_DOWN = 0.1;
/** How far below that line it stays white: from here, and all of it from there, mm. */
const WHITE = { from: 0.075, to: 0.185 } as const;

/** A pit is no deeper below the peaks around it than so many deviations of the heights. */
const DEEPEST = 7;

/** The heights of a card's face, mm, around 0. */
export function heightTile(finish: Finish, side: number, cell: number, seed: number): Tile {
  const tile = emptyTile(side, cell);
  addUneven(tile, [finish.tooth], seed);
  if (finish.weave) addWeave(tile, finish.weave);
  // Peaks are worn flat, valleys are not.
  const { values } = tile;
  for (let i = 0; i < values.length; i++) if (values[i] > 0) values[i] *= 0.6;
  return tile;
}

/** Threads over and under each other, as a linen card is pressed. */
function addWeave({ side, cell, values }: Tile, { pitch, height }: NonNullable<Finish['weave']>): void {
  const threads = Math.round((side * cell) / pitch / 2) * 2;
  const random = seededRandom(FIBRE_SEED);
  const thickness = Float32Array.from({ length: 2 * threads }, () => 0.6 + 0.8 * random());
  for (let row = 0, at = 0; row < side; row++)
    for (let column = 0; column < side; column++, at++) {
      const [across, down] = [(column / side) * threads, (row / side) * threads];
      const [warp, weft] = [across | 0, down | 0];
      const warpOnTop = (warp + weft) % 2 === 0;
      const [own, along] = warpOnTop ? [across % 1, down % 1] : [down % 1, across % 1];
      const thick = thickness[warpOnTop ? warp : threads + weft];
      values[at] +=
        height * (thick * Math.sin(Math.PI * own) * (0.55 + 0.45 * Math.sin(Math.PI * along)) - 0.5);
    }
}

/** The part of each place that stays bare, 0…1: pits behind peaks. Circles come from every side, and reach the more. */
export function pitsOf({ side, cell, values }: Tile, everyWay: boolean): Float32Array {
  // The deepest pit lies some five deviations below the peaks.
  if (spreadOf(values) * DEEPEST < WHITE.from) return new Float32Array(values.length);
  const depth = new Float32Array(values.length).fill(Number.POSITIVE_INFINITY);
  const ways = everyWay ? [1, -1, side, -side, side + 1, -side - 1, side - 1, 1 - side] : [side];
  for (const way of ways) castShadow(values, depth, side, way, REACHES_DOWN * cell);
  for (let i = 0; i < depth.length; i++) {
    const part = (depth[i] - WHITE.from) / (WHITE.to - WHITE.from);
    depth[i] = part <= 0 ? 0 : part >= 1 ? 1 : smoothStep(part);
  }
  return depth;
}

/** Lowers `depth` to how far each place lies below the line a brush takes over the peaks, going one way. */
function castShadow(
  heights: Float32Array,
  depth: Float32Array,
  side: number,
  way: number,
  falls: number,
): void {
  const count = heights.length;
  const diagonal = Math.abs(way) !== 1 && Math.abs(way) !== side ? Math.SQRT2 : 1;
  // Every line is gone along a little more than once: where it begins it does not know what came before.
  const starts = Math.abs(way) === 1 ? side : 1;
  for (let line = 0; line < side; line++) {
    let at = line * starts;
    let height = heights[at];
    for (let step = 0; step < side + 40; step++) {
      height = Math.max(heights[at], height - falls * diagonal);
      if (step >= 40) depth[at] = Math.min(depth[at], height - heights[at]);
      const next = at + way;
      // Along a row it stays in the row.
      at = starts === side ? at - (at % side) + (((next % side) + side) % side) : (next + count) % count;
    }
  }
}

/** How much lighter or darker each place is for facing the lamp or not, upper left, around 0. */
export function litTile({ side, cell, values }: Tile): Float32Array<ArrayBuffer> {
  const lit = new Float32Array(values.length);
  for (let row = 0, at = 0; row < side; row++) {
    const up = row === 0 ? values.length - side : -side;
    for (let column = 0; column < side; column++, at++) {
      const left = column === 0 ? side - 1 : -1;
      const slope = (2 * values[at] - 1.2 * values[at + left] - 0.8 * values[at + up]) / cell;
      lit[at] = TOOTH_LIGHT * Math.max(-0.8, Math.min(0.8, slope));
    }
  }
  return lit;
}

/** Short fibres of a mill-run card, some lighter and more of them darker than it, added to its light. */
export function addFibres({ side, cell, values }: Tile, strength: number): void {
  const random = seededRandom(FIBRE_SEED);
  const count = 6 * (side * cell) ** 2;
  for (let fibre = 0; fibre < count; fibre++) {
    const isShive = fibre % 14 === 0;
    const tone = strength * (isShive ? -1.5 : random() - 0.55);
    const length = (isShive ? 0.15 + 0.5 * random() : 0.3 + 2.4 * random() ** 2) / cell;
    let [x, y, heading] = [random() * side, random() * side, random() * 2 * Math.PI];
    const bends = (random() - 0.5) * 0.12;
    for (let step = 0; step < length; step++) {
      values[(y & (side - 1)) * side + (x & (side - 1))] += tone;
      x += Math.cos(heading) + side;
      y += Math.sin(heading) + side;
      heading += bends;
    }
  }
}
