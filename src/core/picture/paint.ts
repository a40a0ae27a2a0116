import { MM_AN_INCH } from '../base/length';
import { type Work, workOf } from '../engine/layers';
import { finished, type Progress } from '../engine/progress';
import { FINISHES, type FinishId } from '../materials/card/finishes';
import type { Wetness } from '../materials/ink/laid';
import type { Panel } from '../recipe/panel';
import { type Kit, lieOf, patchesOf } from '../recipe/recipe';
import type { Lie } from '../recipe/runs/runs';
import { TOOLS, type ToolId } from '../recipe/tools/tools';
import { type Field, fieldOf } from './field';
import { fibreTile, grainTile, TILE } from './grain';
import { type Ramp, rampOf } from './ramp';
import { type Side, STRETCH, stretchesOf } from './regions';
import { fineSignalOf, SIGNAL_SLOPE } from './signal';

/** A picture of the panel, its top row first. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  /** sRGB, four bytes a pixel, opaque. */
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** Size of a panel's picture in pixels at a resolution in dots an inch. */
export const pixelsAt = ({ width, height }: Panel, dpi: number): { width: number; height: number } => ({
  width: Math.round((width / MM_AN_INCH) * dpi),
  height: Math.round((height / MM_AN_INCH) * dpi),
});

/** Rows of a whole picture, the first and the one after the last. */
export interface Rows {
  readonly from: number;
  readonly to: number;
}

/** Paints rows [from, to) of the picture; called with ever later rows until `to` is its last. */
export type RowPainter = (from: number, to: number) => void;

/**
 * Writes the colours of one row, three values a pixel: 8-bit signal in whole 256ths. Whole numbers all the way to the
 * pixel are several times as fast as fractions, and finer than the dither.
 */
type RowColours = (row: number, into: Int32Array) => void;
const PART = 256;
/** One as a factor of light, in whole numbers. */
const ONE = 4096;
/** A colour times a light stands so many bits higher than a pixel. */
const BITS = 20;

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
/** Pixels between two places of a row at which a run is asked how far along they lie. */
const ASKED = 4;
/** Fewest and most pixels between two nodes of a field, and nodes to the narrowest blend. */
const CELL = { least: 6, most: 20, toABlend: 4 } as const;
/** The most nodes along the panel's sides. */
const MOST_NODES = { columns: 128, rows: 160, least: 20 } as const;

/**
 * A picture of the given size and the function that fills it, so that the caller can stop between rows.
 *
 * @param progress  how far the work has come; the finished panel where left out
 * @param rows  which rows of the whole to paint; the picture holds these alone
 */
export function preparePicture(
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
  progress: Progress = finished(kit.recipe),
  rows: Rows = { from: 0, to: height },
): { picture: Picture; paintRows: RowPainter } {
  const lie = lieOf(kit.recipe);
  const own = rows.to - rows.from;
  const pixels = new Uint8ClampedArray(width * own * 4);
  const rowColours =
    lie && progress.passes + progress.placings === 0
      ? bandColours(kit, lie, rampOf(kit, wetness, progress), width, height)
      : fieldColours(kit, wetness, progress, width, height);
  const { tile, streak } = texture(kit, lie, width);
  const colours = new Int32Array(width * 3);
  const dither = ditherTile();
  // Red first, as pixels lie in memory on every machine a browser runs on.
  const packed = new Uint32Array(pixels.buffer);
  const paintRows: RowPainter = (from, to) => {
    for (let row = from; row < to; row++) {
      const at = (row - rows.from) * width;
      rowColours(row, colours);
      shadeRow(packed.subarray(at, at + width), row, colours, tile, dither, streak);
    }
  };
  return { picture: { width, height: own, pixels }, paintRows };
}

/** One row of pixels from its colours, its light and the dither. On its own, so that it is compiled as one loop. */
function shadeRow(
  pixels: Uint32Array,
  row: number,
  colours: Int32Array,
  tile: Int32Array,
  dither: Int32Array,
  streak: Texture['streak'],
): void {
  const from = (row & (TILE - 1)) * TILE;
  for (let column = 0, source = 0; column < pixels.length; column++, source += 3) {
    const place = from + (column & (TILE - 1));
    let light = tile[place] as number;
    if (streak) light += streak(column, row);
    const noise = dither[place] as number;
    let r = (Math.imul(colours[source] as number, light) + noise) >> BITS;
    let g = (Math.imul(colours[source + 1] as number, light) + noise) >> BITS;
    let b = (Math.imul(colours[source + 2] as number, light) + noise) >> BITS;
    if ((r | g | b) & ~0xff) {
      r = r < 0 ? 0 : r > 255 ? 255 : r;
      g = g < 0 ? 0 : g > 255 ? 255 : g;
      b = b < 0 ? 0 : b > 255 ? 255 : b;
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}
const OPAQUE = 0xff << 24;

/** Bands alone: every pixel takes the colour of its place along the run. */
function bandColours(kit: Kit, lie: Lie, ramp: Ramp, width: number, height: number): RowColours {
  const { panel } = kit.recipe;
  const signal = fineSignal(ramp);
  const last = signal.length / 3 - 1;
  const perMillimetre = last / lie.length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const { alongAt, level } = lie;
  const places = new Float64Array(Math.ceil(width / ASKED) + 1);
  return (row, into) => {
    const y = (row + 0.5) * downPixel;
    if (level) places.fill(alongAt(0, y) * perMillimetre);
    else
      for (let i = 0; i < places.length; i++)
        places[i] = alongAt((i * ASKED + 0.5) * acrossPixel, y) * perMillimetre;
    fillBand(into, places, signal, last);
  };
}

/** One row's colours from how far along every few of its pixels lie; between them the run is all but straight. */
function fillBand(into: Int32Array, places: Float64Array, signal: Int32Array, last: number): void {
  for (let i = 0, at = 0; at < into.length; i++) {
    const here = places[i] as number;
    const step = ((places[i + 1] as number) - here) / ASKED;
    const until = Math.min(at + 3 * ASKED, into.length);
    for (let place = here + 0.5; at < until; at += 3, place += step) {
      const sample = 3 * (place <= 0 ? 0 : place >= last ? last : place | 0);
      into[at] = signal[sample] as number;
      into[at + 1] = signal[sample + 1] as number;
      into[at + 2] = signal[sample + 2] as number;
    }
  }
}

/** Anything else: colours between the nodes of a field, sharp where a border runs. */
function fieldColours(
  kit: Kit,
  wetness: Wetness,
  progress: Progress,
  width: number,
  height: number,
): RowColours {
  const { panel } = kit.recipe;
  const work = workOf(kit, progress);
  const cell = cellFor(kit, work, width / panel.width);
  const nodes = (pixels: number, most: number) =>
    Math.min(Math.max(Math.round(pixels / cell), MOST_NODES.least), most);
  const [columns, rows] = [nodes(width, MOST_NODES.columns), nodes(height, MOST_NODES.rows)];
  const field = fieldOf(kit, wetness, progress, { columns, rows }, work);
  const stretches = stretchesOf(work, { panel, width, height, columns, rows });
  /** How far across its square each pixel lies, 0…1. */
  const across = Float32Array.from({ length: width }, (_, pixel) => {
    const u = ((pixel + 0.5) / width) * (columns - 1);
    return u - Math.min(Math.floor(u), columns - 2);
  });
  return (row, into) => {
    const v = ((row + 0.5) / height) * (rows - 1);
    const top = Math.min(Math.floor(v), rows - 2);
    fillRow(into, across, field, stretches.sides, stretches.ofRow(row), top, v - top);
  };
}

/** One row from its stretches: each takes its side's colour, and on a border both sides' in part. */
function fillRow(
  into: Int32Array,
  across: Float32Array,
  field: Field,
  sides: readonly Side[],
  row: Int32Array,
  top: number,
  down: number,
): void {
  const next = 3 * field.columns;
  for (let i = 0; i < row.length; i += STRETCH) {
    const [from, to, column] = [row[i] as number, row[i + 1] as number, row[i + 2] as number];
    const part = row[i + 5] as number;
    const node = 3 * (top * field.columns + column);
    const side = sides[row[i + 3] as number] as Side;
    fillSquare(into, across, from, to, field.cornersOf(side, column, top), node, next, down);
    if (part === 255) continue;
    const at = 3 * from;
    const [r, g, b] = [into[at] as number, into[at + 1] as number, into[at + 2] as number];
    const beyond = sides[row[i + 4] as number] as Side;
    fillSquare(into, across, from, to, field.cornersOf(beyond, column, top), node, next, down);
    into[at] = r + (((into[at] as number) - r) * part) / 255;
    into[at + 1] = g + (((into[at + 1] as number) - g) * part) / 255;
    into[at + 2] = b + (((into[at + 2] as number) - b) * part) / 255;
  }
}

/** Some of one row's pixels in a square, between the four nodes of one side. */
function fillSquare(
  into: Int32Array,
  across: Float32Array,
  from: number,
  to: number,
  signal: Float32Array,
  node: number,
  next: number,
  down: number,
): void {
  const up = 1 - down;
  const r = PART * (up * (signal[node] as number) + down * (signal[node + next] as number));
  const g = PART * (up * (signal[node + 1] as number) + down * (signal[node + next + 1] as number));
  const b = PART * (up * (signal[node + 2] as number) + down * (signal[node + next + 2] as number));
  const dr = PART * (up * (signal[node + 3] as number) + down * (signal[node + next + 3] as number)) - r;
  const dg = PART * (up * (signal[node + 4] as number) + down * (signal[node + next + 4] as number)) - g;
  const db = PART * (up * (signal[node + 5] as number) + down * (signal[node + next + 5] as number)) - b;
  for (let pixel = from, at = 3 * from; pixel < to; pixel++, at += 3) {
    const t = across[pixel] as number;
    into[at] = r + t * dr;
    into[at + 1] = g + t * dg;
    into[at + 2] = b + t * db;
  }
}

/** Pixels between two nodes, so that the narrowest blend on the panel still has several of them. */
function cellFor({ recipe }: Kit, { blends, shrinks }: Work, perMm: number): number {
  const patches = patchesOf(recipe);
  const own = patches ? [patches.soft] : recipe.joints.map(({ width }) => width);
  const narrowest = Math.min(shrinks * Math.min(...own), ...blends) / TOOLS[recipe.tool].hardness;
  const cell = Math.min(Math.max((narrowest * perMm) / CELL.toABlend, CELL.least), CELL.most);
  // In few sizes, so that a joint that is widened a little leaves the squares, and what is known of them, as they are.
  return CELL.least * 1.25 ** Math.floor(Math.log(cell / CELL.least) / Math.log(1.25) + 1e-9);
}

const GRAIN_SEED = 1912;
const DITHER_SEED = 2005;
const MOTTLE_SEED = 77;
const STREAK_SEED = 1931;
const FIBRE_SEED = 405;

/** How much lighter or darker each pixel is than its colour. */
interface Texture {
  /** The card's tooth and fibres and the tool's unevenness: TILE × TILE factors that repeat without a seam. */
  readonly tile: Int32Array;
  /** What streaks along the run add to the factor. */
  readonly streak?: (column: number, row: number) => number;
}

const tiles = new Map<string, Int32Array>();

function texture({ recipe, card }: Kit, lie: Lie | undefined, width: number): Texture {
  const perMm = width / recipe.panel.width;
  const { streaks } = TOOLS[recipe.tool];
  const tile = tileFor(card.finish, recipe.tool, perMm);
  if (streaks.depth === 0) return { tile };
  const noise = grainTile(streaks.size * perMm, STREAK_SEED);
  const depth = ONE * streaks.depth * SIGNAL_SLOPE;
  const toward = lie?.toward ?? { x: 0, y: 1 };
  const mask = TILE - 1;
  return {
    tile,
    // Across the run the noise changes fast, along it slowly.
    streak: (column, row) => {
      const across = (column * toward.y - row * toward.x) & mask;
      const along = ((column * toward.x + row * toward.y) / 24) & mask;
      return (depth * (0.4 + (noise[along * TILE + across] as number))) | 0;
    },
  };
}

/** One tile of all that repeats; remembered by what it depends on. */
function tileFor(finishId: FinishId, toolId: ToolId, perMm: number): Int32Array {
  const key = `${finishId} ${toolId} ${perMm.toFixed(2)}`;
  const known = tiles.get(key);
  if (known) return known;
  const finish = FINISHES[finishId];
  const { mottle } = TOOLS[toolId];
  const tooth = grainTile(finish.grain * perMm, GRAIN_SEED);
  const cloud = grainTile(mottle.size * perMm, MOTTLE_SEED);
  const fibre = fibreTile(FIBRE_SEED);
  const made = new Int32Array(tooth.length);
  for (let i = 0; i < made.length; i++) {
    const uneven =
      finish.tooth * (tooth[i] as number) +
      mottle.depth * (cloud[i] as number) +
      finish.fibres * (fibre[i] as number);
    made[i] = Math.round(ONE * (1 + SIGNAL_SLOPE * uneven));
  }
  if (tiles.size >= MOST_TILES) tiles.clear();
  tiles.set(key, made);
  return made;
}
const MOST_TILES = 24;

let dithers: Int32Array | undefined;

/** Half a pixel's step of noise and the half that rounding adds, as high as a colour times a light. */
function ditherTile(): Int32Array {
  if (dithers) return dithers;
  const noise = grainTile(1, DITHER_SEED);
  dithers = new Int32Array(noise.length);
  for (let i = 0; i < noise.length; i++)
    dithers[i] = Math.round(2 ** BITS * (0.5 + 0.5 * (noise[i] as number)));
  return dithers;
}

/** The ramp as signal in 256ths, in finer steps, interpolated in linear light. */
function fineSignal({ rgb, samples }: Ramp): Int32Array {
  const fine = new Int32Array(((samples - 1) * FINE + 1) * 3);
  for (let i = 0; i < fine.length / 3; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    for (let channel = 0; channel < 3; channel++) {
      const a = rgb[low * 3 + channel] as number;
      fine[i * 3 + channel] = PART * fineSignalOf(a + part * ((rgb[low * 3 + 3 + channel] as number) - a));
    }
  }
  return fine;
}

/** The whole picture at once; for tests, the command line and small previews. */
export function paintPanel(
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
  progress?: Progress,
): Picture {
  const { picture, paintRows } = preparePicture(kit, wetness, width, height, progress);
  paintRows(0, height);
  return picture;
}
