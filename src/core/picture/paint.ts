import type { Size } from '../base/geometry';
import { MM_AN_INCH } from '../base/length';
import { compileLayers, type LayerProgram } from '../engine/layers';
import type { Wetness } from '../engine/mixing';
import { finished, type Progress } from '../engine/progress';
import { bandsOf, patchesOf } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { BandGeometry } from '../recipe/runs/definition';
import { TOOLS } from '../recipe/tools/tools';
import { type ColourField, fieldMaker } from './field';
import { TILE } from './grain';
import { type Ramp, rampOf } from './ramp';
import { type PixelRuns, RUN_FIELDS, regionFinder } from './regions';
import { srgbByteOf } from './signal';
import { BITS, ditherTile, type Texture, textureOf } from './texture';

/** A picture of the panel, its top row first. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  /** sRGB, four bytes a pixel, opaque. */
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** Size of a panel's picture in pixels at a resolution in dots an inch. */
export const pixelsAt = ({ width, height }: Size, dpi: number): Size => ({
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

/** What is to be painted, and how large. */
export interface PictureRequest {
  readonly resolved: ResolvedRecipe;
  readonly wetness: Wetness;
  readonly width: number;
  readonly height: number;
  /** How far the work has come; the finished panel where left out. */
  readonly progress?: Progress | undefined;
  /** Which rows of the whole to paint; the picture holds these alone. All where left out. */
  readonly rows?: Rows | undefined;
}

/** A picture of the given size and the function that fills it, so that the caller can stop between rows. */
export type PreparePicture = (request: PictureRequest) => {
  readonly picture: Picture;
  readonly paintRows: RowPainter;
};

/**
 * Writes the colours of one row, three values a pixel: 8-bit signal in whole 256ths. Whole numbers all the way to the
 * pixel are several times as fast as fractions, and finer than the dither.
 */
type RowColours = (row: number, into: Int32Array) => void;
const PART = 256;

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
/** Pixels between two places of a row at which a run is asked how far along they lie. */
const ASKED = 4;
/** Fewest and most pixels between two nodes of a field, and nodes to the narrowest blend. */
const CELL = { min: 6, max: 20, toABlend: 4, growth: 1.25 } as const;
/** The fewest nodes along a side of the panel, and the most along each. */
const NODES = { min: 20, maxColumns: 128, maxRows: 160 } as const;

/**
 * What paints panels, one picture after another. What is found out for one picture is remembered for the next, so a
 * drag asks the same painter again and again.
 */
export function createPainter(): PreparePicture {
  const makeField = fieldMaker();
  const findRegions = regionFinder();
  return ({
    resolved,
    wetness,
    width,
    height,
    progress = finished(resolved.recipe),
    rows = { from: 0, to: height },
  }) => {
    const bands = bandsOf(resolved.recipe);
    const own = rows.to - rows.from;
    const pixels = new Uint8ClampedArray(width * own * 4);
    const fieldColours = (): RowColours => {
      const { recipe } = resolved;
      const program = compileLayers(resolved, progress);
      const { columns, rows: nodes } = nodesFor(resolved, program, width, height);
      const field = makeField({ resolved, wetness, progress, program, columns, rows: nodes });
      const tiling = { panel: recipe.panel, width, height, columns, rows: nodes };
      return betweenNodes(field, findRegions(program.borders, tiling), width, height);
    };
    const rowColours =
      bands && progress.passes + progress.placings === 0
        ? alongBands(resolved.recipe.panel, bands, rampOf(resolved, bands, wetness, progress), width, height)
        : fieldColours();
    const { tile, streak } = textureOf(resolved, bands?.toward, width);
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
  };
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
    let light = tile[place];
    if (streak) light += streak(column, row);
    const noise = dither[place];
    let r = (Math.imul(colours[source], light) + noise) >> BITS;
    let g = (Math.imul(colours[source + 1], light) + noise) >> BITS;
    let b = (Math.imul(colours[source + 2], light) + noise) >> BITS;
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
function alongBands(
  panel: Size,
  { alongAt, isHorizontal, length }: BandGeometry,
  ramp: Ramp,
  width: number,
  height: number,
): RowColours {
  const signal = fineSignal(ramp);
  const last = signal.length / 3 - 1;
  const perMillimetre = last / length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const places = new Float64Array(Math.ceil(width / ASKED) + 1);
  return (row, into) => {
    const y = (row + 0.5) * downPixel;
    if (isHorizontal) places.fill(alongAt(0, y) * perMillimetre);
    else
      for (let i = 0; i < places.length; i++)
        places[i] = alongAt((i * ASKED + 0.5) * acrossPixel, y) * perMillimetre;
    fillBand(into, places, signal, last);
  };
}

/** One row's colours from how far along every few of its pixels lie; between them the run is all but straight. */
function fillBand(into: Int32Array, places: Float64Array, signal: Int32Array, last: number): void {
  for (let i = 0, at = 0; at < into.length; i++) {
    const here = places[i];
    const step = (places[i + 1] - here) / ASKED;
    const until = Math.min(at + 3 * ASKED, into.length);
    for (let place = here + 0.5; at < until; at += 3, place += step) {
      const sample = 3 * (place <= 0 ? 0 : place >= last ? last : place | 0);
      into[at] = signal[sample];
      into[at + 1] = signal[sample + 1];
      into[at + 2] = signal[sample + 2];
    }
  }
}

/** The ramp as signal in 256ths, in finer steps, interpolated in linear light. */
function fineSignal({ rgb, samples }: Ramp): Int32Array {
  const fine = new Int32Array(((samples - 1) * FINE + 1) * 3);
  for (let i = 0; i < fine.length / 3; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    for (let channel = 0; channel < 3; channel++) {
      const a = rgb[low * 3 + channel];
      fine[i * 3 + channel] = PART * srgbByteOf(a + part * (rgb[low * 3 + 3 + channel] - a));
    }
  }
  return fine;
}

/** Anything else: colours between the nodes of a field, sharp where a border runs. */
function betweenNodes(field: ColourField, runs: PixelRuns, width: number, height: number): RowColours {
  const { columns, rows } = field;
  /** How far across its square each pixel lies, 0…1. */
  const across = Float32Array.from({ length: width }, (_, pixel) => {
    const u = ((pixel + 0.5) / width) * (columns - 1);
    return u - Math.min(Math.floor(u), columns - 2);
  });
  return (row, into) => {
    const v = ((row + 0.5) / height) * (rows - 1);
    const top = Math.min(Math.floor(v), rows - 2);
    fillRow(into, across, field, runs.regions, runs.ofRow(row), top, v - top);
  };
}

/** One row from its runs of pixels: each takes its region's colour, and on a border both regions' in part. */
function fillRow(
  into: Int32Array,
  across: Float32Array,
  field: ColourField,
  regions: PixelRuns['regions'],
  row: Int32Array,
  top: number,
  down: number,
): void {
  const next = 3 * field.columns;
  for (let i = 0; i < row.length; i += RUN_FIELDS) {
    const from = row[i];
    const to = row[i + 1];
    const column = row[i + 2];
    const part = row[i + 5];
    const node = 3 * (top * field.columns + column);
    const signal = field.cornersOf(regions[row[i + 3]], column, top);
    fillSquare(into, across, from, to, signal, node, next, down);
    if (part === 255) continue;
    const at = 3 * from;
    const r = into[at];
    const g = into[at + 1];
    const b = into[at + 2];
    const beyond = field.cornersOf(regions[row[i + 4]], column, top);
    fillSquare(into, across, from, to, beyond, node, next, down);
    into[at] = r + ((into[at] - r) * part) / 255;
    into[at + 1] = g + ((into[at + 1] - g) * part) / 255;
    into[at + 2] = b + ((into[at + 2] - b) * part) / 255;
  }
}

/** Some of one row's pixels in a square, between the four nodes of one region. */
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
  const r = PART * (up * signal[node] + down * signal[node + next]);
  const g = PART * (up * signal[node + 1] + down * signal[node + next + 1]);
  const b = PART * (up * signal[node + 2] + down * signal[node + next + 2]);
  const dr = PART * (up * signal[node + 3] + down * signal[node + next + 3]) - r;
  const dg = PART * (up * signal[node + 4] + down * signal[node + next + 4]) - g;
  const db = PART * (up * signal[node + 5] + down * signal[node + next + 5]) - b;
  for (let pixel = from, at = 3 * from; pixel < to; pixel++, at += 3) {
    const t = across[pixel];
    into[at] = r + t * dr;
    into[at + 1] = g + t * dg;
    into[at + 2] = b + t * db;
  }
}

/** So many nodes that the narrowest blend on the panel still has several of them. */
function nodesFor(
  { recipe }: ResolvedRecipe,
  { blends, shrinks }: LayerProgram,
  width: number,
  height: number,
): { readonly columns: number; readonly rows: number } {
  const patches = patchesOf(recipe);
  const own = patches ? [patches.soft] : recipe.joints.map((joint) => joint.width);
  const narrowest = Math.min(shrinks * Math.min(...own), ...blends) / TOOLS[recipe.tool].hardness;
  const wanted = (narrowest * width) / recipe.panel.width / CELL.toABlend;
  const cell = Math.min(Math.max(wanted, CELL.min), CELL.max);
  // In few sizes, so that a joint that is widened a little leaves the squares, and what is known of them, as they are.
  const step = Math.floor(Math.log(cell / CELL.min) / Math.log(CELL.growth) + 1e-9);
  const pixels = CELL.min * CELL.growth ** step;
  const nodes = (side: number, max: number) => Math.min(Math.max(Math.round(side / pixels), NODES.min), max);
  return { columns: nodes(width, NODES.maxColumns), rows: nodes(height, NODES.maxRows) };
}

/** The whole picture at once, by a painter of its own; for tests, the command line and small previews. */
export function paintPanel(
  resolved: ResolvedRecipe,
  wetness: Wetness,
  width: number,
  height: number,
  progress?: Progress,
): Picture {
  const { picture, paintRows } = createPainter()({ resolved, wetness, width, height, progress });
  paintRows(0, height);
  return picture;
}
