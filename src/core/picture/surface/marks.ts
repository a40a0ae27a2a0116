import { seededRandom } from '../../base/random';
import { smoothStep } from '../../base/smoothStep';
import type { ArcMark, BlockMark, DabMark, ToolMarks } from '../../recipe/tools/marks';
import { emptyTile, type Tile, withSpread } from './noise';

type Mark = ToolMarks['marks'][number];

/** Marks of one sort strewn over a tile until each place has its number of them, with unit mean and the given spread. */
export function addMarks(tile: Tile, marks: readonly Mark[], seed: number): void {
  marks.forEach((mark, i) => {
    const strewn = emptyTile(tile.side, tile.cell);
    strew(strewn, mark, seed + 31 * i);
    withSpread(strewn.values, mark.spread);
    for (let at = 0; at < tile.values.length; at++) tile.values[at] += strewn.values[at];
  });
}

function strew(tile: Tile, mark: Mark, seed: number): void {
  const random = seededRandom(seed);
  const area = (tile.side * tile.cell) ** 2;
  for (let covered = 0; covered < mark.overlap * area; ) {
    const [least, most] = mark.radius;
    const radius = least + random() * (most - least);
    const at = { x: random() * tile.side, y: random() * tile.side, radius };
    covered += stamp(tile, mark, at, random);
  }
}

/** Where one mark lies: its middle in cells, its radius in mm. */
interface Place {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/**
 * Adds one mark to a tile, which goes on at its other side. Each shape has a loop of its own, for one that asks a function
 * for the ink at every cell is slower. Returns about how much it covers, mm².
 */
function stamp(tile: Tile, mark: Mark, place: Place, random: () => number): number {
  switch (mark.shape) {
    case 'dab':
      return stampDab(tile, mark, place, random);
    case 'block':
      return stampBlock(tile, mark, place, random);
    case 'arc':
      return stampArc(tile, mark, place, random);
  }
}

/** How hard a mark is pressed, to others. */
const pressure = (random: () => number): number => 0.6 + 0.8 * random();

/** Rows and columns of a tile that a mark may reach, from its first on; each with its place in the tile. */
function boxOf({ side, cell }: Tile, { x, y }: Place, reach: number) {
  const cells = Math.ceil(reach / cell);
  const [left, top] = [Math.floor(x) - cells, Math.floor(y) - cells];
  return { left, top, count: 2 * cells + 1, wrap: (place: number) => (place + 4 * side) % side };
}

function stampDab(tile: Tile, mark: DabMark, place: Place, random: () => number): number {
  const { radius, x, y } = place;
  const { soft: softPart, tilted: tilts = 0 } = mark;
  const pressed = pressure(random);
  const turn = 2 * Math.PI * random();
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const isTilted = random() * 100 < tilts;
  const soft = softPart * radius;
  const { left, top, count, wrap } = boxOf(tile, place, radius);
  const { side, cell, values } = tile;
  for (let row = top; row < top + count; row++) {
    const dy = (row - y) * cell;
    const from = wrap(row) * side;
    for (let column = left; column < left + count; column++) {
      const dx = (column - x) * cell;
      const square = dx * dx + dy * dy;
      if (square >= radius * radius) continue;
      const inside = radius - Math.sqrt(square);
      let ink = pressed * (inside >= soft ? 1 : smoothStep(inside / soft));
      // The side it came down on: a line of ink at its very edge.
      if (isTilted) ink += 1.6 * Math.max((dx * cos + dy * sin) / radius, 0) * Math.exp(-inside / 0.5);
      values[from + wrap(column)] += ink;
    }
  }
  return Math.PI * radius * radius;
}

function stampBlock(tile: Tile, mark: BlockMark, place: Place, random: () => number): number {
  const { radius, x, y } = place;
  const soft = mark.soft * radius;
  const pressed = pressure(random);
  const turn = 2 * Math.PI * random();
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const { left, top, count, wrap } = boxOf(tile, place, Math.SQRT2 * radius);
  const { side, cell, values } = tile;
  for (let row = top; row < top + count; row++) {
    const dy = (row - y) * cell;
    const from = wrap(row) * side;
    for (let column = left; column < left + count; column++) {
      const dx = (column - x) * cell;
      const inside = radius - Math.max(Math.abs(dx * cos + dy * sin), Math.abs(dy * cos - dx * sin));
      if (inside > 0)
        values[from + wrap(column)] += pressed * (inside >= soft ? 1 : smoothStep(inside / soft));
    }
  }
  return 4 * radius * radius;
}

/** How many bristles stand across an arc. */
const BRISTLES = 32;

function stampArc(tile: Tile, mark: ArcMark, place: Place, random: () => number): number {
  const { radius, x, y } = place;
  const [least, most] = mark.band;
  const band = least + random() * (most - least);
  const pressed = 0.35 * pressure(random);
  const begin = 2 * Math.PI * random();
  const length = Math.PI * (0.5 + 1.2 * random());
  const bristles = Float32Array.from({ length: BRISTLES }, () => pressed + random() * 2 - 1);
  const inner = Math.max(radius - band / 2, 0);
  const outer = radius + band / 2;
  const { left, top, count, wrap } = boxOf(tile, place, outer);
  const { side, cell, values } = tile;
  for (let row = top; row < top + count; row++) {
    const dy = (row - y) * cell;
    const from = wrap(row) * side;
    for (let column = left; column < left + count; column++) {
      const dx = (column - x) * cell;
      const square = dx * dx + dy * dy;
      if (square <= inner * inner || square >= outer * outer) continue;
      const along = (Math.atan2(dy, dx) - begin + 4 * Math.PI) % (2 * Math.PI);
      if (along > length) continue;
      const across = (Math.sqrt(square) - radius) / band + 0.5;
      const at = across * (BRISTLES - 1);
      const low = at | 0;
      const bristle = bristles[low] * (1 - (at - low)) + bristles[low + 1] * (at - low);
      const ends = Math.min((4 * Math.min(along, length - along)) / length, 1);
      values[from + wrap(column)] += ends * bristle * Math.min(1, 5 * Math.min(across, 1 - across));
    }
  }
  return length * radius * band;
}
