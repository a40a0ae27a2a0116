import type { Size } from '../base/geometry';
import { memo } from '../base/memo';
import type { Border } from '../materials/design/placement';
import type { DistancesAt } from './surface/distances';

/**
 * The sides of all borders a place lies on: border i adds 2^i where it lies inside. A plain number, for up to 52 borders.
 */
export type RegionMask = number;
export const MASK_OF = Float64Array.from({ length: 53 }, (_, i) => 2 ** i);

/** The pixels of a picture and the squares between the nodes it is computed at. */
export interface Tiling {
  readonly panel: Size;
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  readonly rows: number;
}

/**
 * Runs of pixels of one row that lie in one region inside one square, from left to right. Each takes `RUN_FIELDS`
 * numbers: its first pixel, the one after its last, its column of squares, its region and, where a border runs through
 * its one pixel, the region beyond that and the part of the pixel there in 255ths; regions by their place in `regions`.
 */
export interface PixelRuns {
  readonly regions: readonly RegionMask[];
  readonly ofRow: (row: number) => Int32Array;
}
export const RUN_FIELDS = 6;

/** How far each pixel near one border lies inside it, and how each square lies to it; filled as it is asked for. */
interface BorderRaster {
  readonly state: Uint8Array;
  /** By square the part of each of its pixels inside, in 255ths, row by row; only where the border may cross it. */
  readonly covers: (Uint8Array | undefined)[];
}
const [OUTSIDE, INSIDE, CROSSED] = [1, 2, 3] as const;

/** All borders of a picture together. */
interface RegionMap {
  readonly regions: RegionMask[];
  readonly places: Map<RegionMask, number>;
  readonly rows: (Int32Array | undefined)[];
}

/** A picture of more pixels is painted once, and what is found for it is not kept. */
const KEPT_UP_TO = 1_000_000;
/** The most border rasters that are kept, and pictures. */
const MAX_RASTERS = 160;
const MAX_MAPS = 6;

/** The first pixel of each column or row of squares; one more than there are squares. */
const firstsOf = (pixels: number, nodes: number): Int32Array =>
  Int32Array.from({ length: nodes }, (_, node) =>
    node === nodes - 1 ? pixels : Math.max(Math.ceil((node / (nodes - 1)) * pixels - 0.5), 0),
  );

/**
 * What finds where borders run through pictures. While a mark of the blend is dragged, passes stay where they are, and
 * while one pass is dragged the others do: so what is found for small pictures is kept, by border and as a whole.
 */
export function regionFinder(
  distancesAt: DistancesAt,
): (borders: readonly Border[], tiling: Tiling) => PixelRuns {
  const rasterOf = memo(
    MAX_RASTERS,
    (_border: Border, _w: number, _h: number, columns: number, rows: number, _pw: number, _ph: number) =>
      emptyRaster(columns, rows),
  );
  const maps: { readonly borders: readonly Border[]; readonly tiling: Tiling; readonly map: RegionMap }[] =
    [];
  const mapOf = (borders: readonly Border[], tiling: Tiling): RegionMap => {
    const at = maps.findIndex((one) => sameTiling(one.tiling, tiling) && sameBorders(one.borders, borders));
    const found = maps[at] ?? { borders, tiling, map: emptyMap() };
    if (at >= 0) maps.splice(at, 1);
    maps.unshift(found);
    if (maps.length > MAX_MAPS) maps.pop();
    return found.map;
  };
  return (borders, tiling) => {
    const { panel, width, height, columns, rows } = tiling;
    const keeps = width * height <= KEPT_UP_TO;
    const map = keeps ? mapOf(borders, tiling) : emptyMap();
    const [left, top] = [firstsOf(width, columns), firstsOf(height, rows)];
    let job: RowJob | undefined;
    const jobHere = (): RowJob => ({
      borders,
      rasters: borders.map((border) =>
        keeps
          ? rasterOf(border, width, height, columns, rows, panel.width, panel.height)
          : emptyRaster(columns, rows),
      ),
      classify: classifier(tiling, left, top, distancesAt),
      map,
      columns,
      left,
      top,
      squares: {
        row: -1,
        runs: undefined,
        plain: new Float64Array(columns),
        crossed: Array.from({ length: columns }, () => []),
      },
    });
    let squares = 0;
    return {
      regions: map.regions,
      ofRow: (row) => {
        const known = map.rows[row];
        if (known) return known;
        job ??= jobHere();
        while (squares > 0 && row < top[squares]) squares--;
        while (row >= top[squares + 1]) squares++;
        const found = findRuns(row, squares, job);
        if (keeps) map.rows[row] = found;
        return found;
      },
    };
  };
}

const emptyRaster = (columns: number, rows: number): BorderRaster => ({
  state: new Uint8Array(columns * rows),
  covers: [],
});
const emptyMap = (): RegionMap => ({ regions: [], places: new Map(), rows: [] });

const sameBorders = (p: readonly Border[], q: readonly Border[]): boolean =>
  p.length === q.length && p.every((border, i) => border === q[i]);
const sameTiling = (p: Tiling, q: Tiling): boolean =>
  p.width === q.width &&
  p.height === q.height &&
  p.columns === q.columns &&
  p.rows === q.rows &&
  p.panel.width === q.panel.width &&
  p.panel.height === q.panel.height;

/** All that a row is read from. */
interface RowJob {
  readonly borders: readonly Border[];
  readonly rasters: readonly BorderRaster[];
  readonly classify: Classifier;
  readonly map: RegionMap;
  readonly columns: number;
  readonly left: Int32Array;
  readonly top: Int32Array;
  readonly squares: SquareRow;
}

/** How one row of squares lies to the borders: the same for each row of pixels through it. */
interface SquareRow {
  /** Which row; −1 before any. */
  row: number;
  /** The borders that each square lies inside of. */
  readonly plain: Float64Array;
  /** The runs of every row where no border may cross any square; found once. */
  runs: Int32Array | undefined;
  /** Of the borders that may cross each: its part of the mask, and the part of each pixel inside, in 255ths. */
  readonly crossed: { readonly mask: RegionMask; readonly cover: Uint8Array }[][];
}

type Classifier = (border: Border, raster: BorderRaster, column: number, row: number) => number;

/** Looks how a square lies to a border, and where the border may cross it, how each of its pixels does. */
function classifier(tiling: Tiling, left: Int32Array, top: Int32Array, distancesAt: DistancesAt): Classifier {
  const { panel, width, columns, rows } = tiling;
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  const acrossPixel = panel.width / width;
  // No border comes nearer to a square's middle than its corners are, or it may cross it.
  const reach = Math.hypot(stepX, stepY) / 2 + 0.1 * Math.max(stepX, stepY);
  let scratch = new Float64Array(64);
  return (border, { state, covers }, column, row) => {
    const square = row * columns + column;
    const far = border((column + 0.5) * stepX, (row + 0.5) * stepY);
    const found = far > reach ? INSIDE : far < -reach ? OUTSIDE : CROSSED;
    state[square] = found;
    if (found !== CROSSED) return found;
    const [fromX, toX] = [left[column], left[column + 1]];
    const [fromY, toY] = [top[row], top[row + 1]];
    const size = (toX - fromX) * (toY - fromY);
    if (scratch.length < size) scratch = new Float64Array(size);
    const place = { left: fromX, top: fromY, columns: toX - fromX, rows: toY - fromY };
    distancesAt(border, place, scratch);
    const cover = new Uint8Array(size);
    for (let at = 0; at < size; at++) {
      const part = scratch[at] / acrossPixel + 0.5;
      cover[at] = part <= 0 ? 0 : part >= 1 ? 255 : 1 + part * 253.99;
    }
    covers[square] = cover;
    return found;
  };
}

/** Looks how a row of squares lies to all borders. */
function lookAtSquares(row: number, { borders, rasters, classify, columns, squares }: RowJob): void {
  squares.row = row;
  squares.runs = undefined;
  for (let column = 0; column < columns - 1; column++) {
    const crossed = squares.crossed[column];
    let plain = 0;
    crossed.length = 0;
    for (let i = 0; i < borders.length; i++) {
      const known = rasters[i].state[row * columns + column];
      const state = known === 0 ? classify(borders[i], rasters[i], column, row) : known;
      if (state === INSIDE) plain += MASK_OF[i];
      else if (state === CROSSED)
        crossed.push({ mask: MASK_OF[i], cover: rasters[i].covers[row * columns + column] as Uint8Array });
    }
    squares.plain[column] = plain;
  }
}

/** The runs of one row, which lies in one row of squares. */
function findRuns(row: number, squareRow: number, job: RowJob): Int32Array {
  const { map, columns, left, top, squares } = job;
  if (squares.row !== squareRow) lookAtSquares(squareRow, job);
  if (squares.runs) return squares.runs;
  const found: number[] = [];
  let isCrossed = false;
  for (let column = 0; column < columns - 1; column++) {
    const crossed = squares.crossed[column];
    const plain = squares.plain[column];
    const to = left[column + 1];
    let begun = left[column];
    // Where this row of the square begins among its pixels, less the square's first pixel.
    const shift = (row - top[squareRow]) * (to - begun) - begun;
    let running = plain;
    if (crossed.length > 0) {
      isCrossed = true;
      for (let pixel = begun; pixel < to; pixel++) {
        let region = plain;
        let split = 0;
        let part = 255;
        for (let i = 0; i < crossed.length; i++) {
          const { mask, cover } = crossed[i];
          const covered = cover[shift + pixel];
          if (covered === 0) continue;
          // Where two borders run through one pixel, the one nearer to its middle is drawn soft.
          if (covered < 255 && Math.abs(covered - 127) < Math.abs(part - 127)) {
            if (split > 0 && part >= 128) region += split;
            split = mask;
            part = covered;
          } else if (covered >= 128) region += mask;
        }
        if (part === 255 && region === running) continue;
        if (begun < pixel) found.push(begun, pixel, column, placeOf(map, running), 0, 255);
        begun = pixel;
        running = region;
        if (part === 255) continue;
        found.push(pixel, pixel + 1, column, placeOf(map, region), placeOf(map, region + split), part);
        begun = pixel + 1;
      }
    }
    if (begun < to) found.push(begun, to, column, placeOf(map, running), 0, 255);
  }
  const runs = new Int32Array(found);
  if (!isCrossed) squares.runs = runs;
  return runs;
}

/** The place of a region among those of a picture; a new one is put at the end. */
function placeOf({ regions, places }: RegionMap, region: RegionMask): number {
  const known = places.get(region);
  if (known !== undefined) return known;
  places.set(region, regions.length);
  return regions.push(region) - 1;
}
