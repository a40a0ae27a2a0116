import { seededRandom } from '../../base/random';
import { smoothStep } from '../../base/smoothStep';
import type { ToolMarks } from '../../recipe/tools/marks';
import { emptyTile, type Tile, withSpread } from './noise';

type Mark = ToolMarks['marks'][number];

/** How much ink a mark has at a place as far from its middle, in mm; 0 outside. */
type Print = (across: number, down: number) => number;

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
  const between = ([least, most]: readonly [number, number]) => least + random() * (most - least);
  const area = (tile.side * tile.cell) ** 2;
  for (let covered = 0; covered < mark.overlap * area; ) {
    const radius = between(mark.radius);
    const [x, y] = [random() * tile.side, random() * tile.side];
    const { print, reach, fills } = printOf(mark, radius, between, random);
    covered += fills;
    stampInto(tile, x, y, reach, print);
  }
}

interface OnePrint {
  readonly print: Print;
  /** No part of it lies farther from its middle, mm. */
  readonly reach: number;
  /** About how much it covers, mm². */
  readonly fills: number;
}

function printOf(
  mark: Mark,
  radius: number,
  between: (range: readonly [number, number]) => number,
  random: () => number,
): OnePrint {
  const pressed = 0.6 + 0.8 * random();
  const turn = 2 * Math.PI * random();
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  switch (mark.shape) {
    case 'dab': {
      const tilted = random() * 100 < (mark.tilted ?? 0);
      const soft = mark.soft * radius;
      return {
        reach: radius,
        fills: Math.PI * radius * radius,
        print: (across, down) => {
          const inside = radius - Math.sqrt(across * across + down * down);
          if (inside <= 0) return 0;
          const body = pressed * (inside >= soft ? 1 : smoothStep(inside / soft));
          if (!tilted) return body;
          // The side it came down on: a line of ink at its very edge.
          const side = (across * cos + down * sin) / radius;
          return body + (side > 0 ? 1.6 * side * Math.exp(-inside / 0.5) : 0);
        },
      };
    }
    case 'block': {
      const soft = mark.soft * radius;
      return {
        reach: 1.42 * radius,
        fills: 4 * radius * radius,
        print: (across, down) => {
          const far = Math.max(Math.abs(across * cos + down * sin), Math.abs(down * cos - across * sin));
          const inside = radius - far;
          return inside <= 0 ? 0 : pressed * (inside >= soft ? 1 : smoothStep(inside / soft));
        },
      };
    }
    case 'arc': {
      const band = between(mark.band);
      const [begin, length] = [turn, Math.PI * (0.5 + 1.2 * random())];
      const bristles = Float32Array.from({ length: 32 }, () => random() * 2 - 1);
      return {
        reach: radius + band / 2,
        fills: length * radius * band,
        print: (across, down) => {
          const far = Math.sqrt(across * across + down * down);
          const place = (far - radius) / band + 0.5;
          if (place <= 0 || place >= 1) return 0;
          const along = (Math.atan2(down, across) - begin + 4 * Math.PI) % (2 * Math.PI);
          if (along > length) return 0;
          const ends = Math.min((4 * Math.min(along, length - along)) / length, 1);
          const at = place * 31;
          const bristle = bristles[at | 0] * (1 - (at % 1)) + bristles[(at | 0) + 1] * (at % 1);
          return ends * (0.35 * pressed + bristle) * Math.min(1, 5 * Math.min(place, 1 - place));
        },
      };
    }
  }
}

/** Adds a print to a tile that goes on at its other side. */
function stampInto({ side, cell, values }: Tile, x: number, y: number, reach: number, print: Print): void {
  const cells = Math.ceil(reach / cell);
  for (let down = -cells; down <= cells; down++) {
    const row = ((Math.floor(y) + down + 4 * side) % side) * side;
    const dy = (Math.floor(y) + down - y) * cell;
    for (let across = -cells; across <= cells; across++) {
      const column = (Math.floor(x) + across + 4 * side) % side;
      values[row + column] += print((Math.floor(x) + across - x) * cell, dy);
    }
  }
}
