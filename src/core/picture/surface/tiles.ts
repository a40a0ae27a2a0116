import { memo } from '../../base/memo';
import { FINISHES, type FinishId } from '../../materials/card/finishes';
import { INK_KINDS, type InkKindId } from '../../materials/ink/kinds';
import { TOOLS, type ToolId } from '../../recipe/tools/tools';
import { addMarks } from './marks';
import { addUneven, emptyTile, momentsOf } from './noise';
import { addFibres, heightTile, litTile, pitsOf } from './tooth';

/** Cells along a side of a tile, and how large they are, mm: those of a scan at 300 dots an inch. */
const SIDE = 512;
const CELL = 25.4 / 300;
/** How far a tile reaches before it repeats, mm. */
export const PERIOD = SIDE * CELL;
const GRAIN_SEED = 1912;
const MARK_SEED = 1931;

/** One coat more or less of ink, one as a factor of light, and a wholly bare place, as bytes tell them. */
export const A_COAT = 256;
export const A_LIGHT = 256;
export const ALL_BARE = 255;

/** What the surface is made of at a scan's resolution or another: squares of bytes that repeat. */
export interface SurfaceTiles {
  readonly side: number;
  /** More or less ink, in coats times `A_COAT`. */
  readonly grain: Int8Array;
  /** Bare part, times `ALL_BARE`. */
  readonly bare: Uint8Array;
  /** Lighter or darker, as a part of the light times `A_LIGHT`. */
  readonly light: Int8Array;
  /** What the grain spreads by, in coats, and the part that is bare, over the whole tile. */
  readonly spread: number;
  readonly bareShare: number;
  /** Standard deviation of the light, in bytes; 0 where nothing takes it. */
  readonly lit: number;
  /** Whether its threads run straight. */
  readonly isWoven: boolean;
}

/** Without a tooth worth the name nothing is bare, and nothing takes the light. */
interface FineTiles {
  readonly grain: Float32Array;
  readonly bare?: Float32Array;
  readonly light?: Float32Array;
}

/** Heights that spread by less than that, mm, are not seen. */
const FLAT = 0.0065;

/** How far peaks take more ink than valleys, at the most, as a standard deviation in coats; and how much of each mm. */
const PEAKS = { most: 0.06, perMm: 1.1 } as const;

/** What lies as fine as a scan shows it, for a card, a tool and the sort of ink. */
const fineTiles = memo(
  6,
  (finishId: FinishId, toolId: ToolId, inkKind: InkKindId, even: number, isWet: boolean): FineTiles => {
    const finish = FINISHES[finishId];
    const tool = TOOLS[toolId];
    const isFlat = finish.tooth.spread < FLAT && !finish.weave && finish.fibres === 0;
    const heights = isFlat ? undefined : heightTile(finish, SIDE, CELL, GRAIN_SEED);
    const grain = emptyTile(SIDE, CELL);
    const { uneven, unevenWet } = INK_KINDS[inkKind];
    const ofInk = isWet ? uneven.map((one) => ({ ...one, spread: one.spread * unevenWet })) : uneven;
    addUneven(grain, [...ofInk, ...tool.look.uneven], GRAIN_SEED);
    const marks = emptyTile(SIDE / 2, 2 * CELL);
    addMarks(marks, tool.look.marks, MARK_SEED);
    const onPeaks = Math.min(PEAKS.most / Math.max(finish.tooth.spread, 1e-6), PEAKS.perMm);
    for (let row = 0, at = 0; row < SIDE; row++)
      for (let column = 0; column < SIDE; column++, at++)
        grain.values[at] += even * between(marks.values, SIDE / 2, column, row);
    if (!heights) return { grain: grain.values };
    for (let at = 0; at < SIDE * SIDE; at++) grain.values[at] += onPeaks * heights.values[at];
    const light = litTile(heights);
    if (finish.fibres > 0) addFibres({ side: SIDE, cell: CELL, values: light }, finish.fibres);
    const isFilled = finish.everyWay === true && !('goesOneWay' in tool);
    return { grain: grain.values, bare: pitsOf(heights, isFilled || !finish.everyWay), light };
  },
);

/** A tile of half as many cells, read between them. */
function between(values: Float32Array, side: number, column: number, row: number): number {
  const [left, top] = [column >> 1, row >> 1];
  const right = column & 1 ? (left + 1) % side : left;
  const below = row & 1 ? (top + 1) % side : top;
  return (
    (values[top * side + left] +
      values[top * side + right] +
      values[below * side + left] +
      values[below * side + right]) /
    4
  );
}

/** The most cells along a side: at more dots an inch the scan's own are shown larger. */
const MOST = 1024;

/** The tiles as so many pixels a millimetre show them. Means stay what they are. */
export const tilesFor = memo(
  12,
  (
    finishId: FinishId,
    toolId: ToolId,
    inkKind: InkKindId,
    even: number,
    perMm: number,
    isWet: boolean,
  ): SurfaceTiles => {
    const fine = fineTiles(finishId, toolId, inkKind, even, isWet);
    const side = Math.min(Math.max(Math.round(PERIOD * perMm), 8), MOST);
    const count = side * side;
    const grain = averaged(fine.grain, side);
    const { mean, deviation } = momentsOf(grain);
    const bare = fine.bare && averaged(fine.bare, side);
    const light = fine.light && averaged(fine.light, side);
    return {
      side,
      grain: bytesOf(grain, A_COAT, mean, MOST_GRAIN, new Int8Array(count)),
      bare: bare ? bytesOf(bare, ALL_BARE, 0, ALL_BARE, new Uint8Array(count)) : new Uint8Array(count),
      light: light ? bytesOf(light, A_LIGHT, 0, 127, new Int8Array(count)) : new Int8Array(count),
      spread: deviation,
      bareShare: bare ? momentsOf(bare).mean : 0,
      lit: light ? A_LIGHT * momentsOf(light).deviation : 0,
      isWoven: FINISHES[finishId].weave !== undefined,
    };
  },
);

/** The grain leaves room in a byte for the hand's pressure. */
const MOST_GRAIN = 95;

/** Values less their mean, so many times as large, as bytes no farther from 0 than that. */
function bytesOf<T extends Int8Array | Uint8Array>(
  values: Float32Array,
  times: number,
  mean: number,
  most: number,
  into: T,
): T {
  for (let i = 0; i < values.length; i++) {
    const byte = Math.round(times * (values[i] - mean));
    into[i] = byte > most ? most : byte < -most ? -most : byte;
  }
  return into;
}

/** A tile in fewer or more cells: each the mean of what it covers. */
function averaged(values: Float32Array, side: number): Float32Array {
  if (side === SIDE) return values;
  const narrow = new Float32Array(SIDE * side);
  const wide = new Float32Array(side * side);
  for (let row = 0; row < SIDE; row++) averageLine(values, row * SIDE, 1, narrow, row * side, 1, side);
  for (let column = 0; column < side; column++) averageLine(narrow, column, side, wide, column, side, side);
  return wide;
}

/** One line of SIDE cells in `count`: means of stretches where they are fewer, else between the two nearest. */
function averageLine(
  from: Float32Array,
  first: number,
  next: number,
  into: Float32Array,
  start: number,
  step: number,
  count: number,
): void {
  const each = SIDE / count;
  for (let i = 0; i < count; i++) {
    let sum = 0;
    if (each > 1) {
      const [begin, end] = [i * each, (i + 1) * each];
      for (let at = Math.floor(begin); at < end - 1e-9; at++)
        sum += from[first + at * next] * (Math.min(at + 1, end) - Math.max(at, begin));
      sum /= each;
    } else {
      const place = (i + 0.5) * each - 0.5 + SIDE;
      const left = Math.floor(place);
      const part = place - left;
      sum = from[first + (left % SIDE) * next] * (1 - part) + from[first + ((left + 1) % SIDE) * next] * part;
    }
    into[start + i * step] = sum;
  }
}
