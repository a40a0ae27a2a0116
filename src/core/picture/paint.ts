import type { Size } from '../base/geometry';
import { MM_AN_INCH } from '../base/length';
import { compileLayers, type LayerProgram } from '../engine/layers';
import type { Wetness } from '../engine/mixing';
import { finished, type Progress } from '../engine/progress';
import { bandsOf, patchesOf } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { BandGeometry } from '../recipe/runs/definition';
import { TOOLS } from '../recipe/tools/tools';
import { BITS, DITHER_SIDE, ditherTile } from './dither';
import { type ColourField, fieldMaker } from './field';
import { type Ramp, rampOf } from './ramp';
import { type PixelRuns, RUN_FIELDS, regionFinder } from './regions';
import { type Ground, SHADE } from './shades';
import { lightOfByte, srgbByteOf } from './signal';
import { type Details, detailMaker } from './surface/details';
import { type Surface, surfaceMaker } from './surface/surface';
import { ALL_BARE } from './surface/tiles';

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
  /** Without the grain of ink and card and without anything that stands up from it: the colours alone. */
  readonly isPlain?: boolean | undefined;
}

/** A picture of the given size and the function that fills it, so that the caller can stop between rows. */
export type PreparePicture = (request: PictureRequest) => {
  readonly picture: Picture;
  readonly paintRows: RowPainter;
};

/**
 * Shades of one row, in whole numbers: the colour, three values a pixel of 8-bit signal in 256ths; and how it goes with
 * the coat, twice three of the same, and how grainy it is in 256ths. Whole numbers all the way to the pixel are several times as
 * fast as fractions, and finer than the dither.
 */
interface RowShades {
  readonly colours: Int32Array;
  readonly slopes: Int32Array;
}
type FillRow = (row: number, into: RowShades) => void;
const PART = 256;
/** Numbers a pixel has among the slopes. */
const SLOPES = SHADE - 3;

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
  const makeSurface = surfaceMaker();
  const makeDetails = detailMaker();
  return ({
    resolved,
    wetness,
    width,
    height,
    progress = finished(resolved.recipe),
    rows = { from: 0, to: height },
    isPlain = false,
  }) => {
    const bands = bandsOf(resolved.recipe);
    const own = rows.to - rows.from;
    const pixels = new Uint8ClampedArray(width * own * 4);
    const { panel } = resolved.recipe;
    const frame = { panel, width, height, ...rows };
    const surface = isPlain ? undefined : makeSurface(resolved, frame);
    let details: Details | undefined;
    const onField = (): Filler => {
      const program = compileLayers(resolved, progress);
      if (surface) details = makeDetails(program.details, frame);
      const { columns, rows: nodes } = nodesFor(resolved, program, width, height);
      const field = makeField({ resolved, wetness, progress, program, surface, columns, rows: nodes });
      const tiling = { panel, width, height, columns, rows: nodes };
      return betweenNodes(field, findRegions(program.borders, tiling), width, height);
    };
    const { fillRow, ground } =
      bands && progress.passes + progress.placings === 0
        ? alongBands(panel, bands, rampOf(resolved, bands, wetness, progress, surface), width, height)
        : onField();
    const shades = { colours: new Int32Array(width * 3), slopes: new Int32Array(width * SLOPES) };
    const dither = ditherTile();
    const bare = ground.map(lightOfByte) as unknown as Ground;
    // Red first, as pixels lie in memory on every machine a browser runs on.
    const packed = new Uint32Array(pixels.buffer);
    const paintRows: RowPainter = (from, to) => {
      surface?.fill(from, to);
      details?.fill(from, to);
      for (let row = from; row < to; row++) {
        const at = (row - rows.from) * width;
        fillRow(row, shades);
        const own = packed.subarray(at, at + width);
        if (surface && details) standRow(own, row, shades, surface, details, at, bare, dither);
        else if (surface) shadeRow(own, row, shades, surface, at, bare, dither);
        else colourRow(own, row, shades.colours, dither);
      }
    };
    return { picture: { width, height: own, pixels }, paintRows };
  };
}

/** One row of pixels from its colours and the dither alone. */
function colourRow(pixels: Uint32Array, row: number, colours: Int32Array, dither: Int32Array): void {
  const from = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (let column = 0, source = 0; column < pixels.length; column++, source += 3) {
    const noise = dither[from + (column & (DITHER_SIDE - 1))];
    const r = ((colours[source] << (BITS - 8)) + noise) >> BITS;
    const g = ((colours[source + 1] << (BITS - 8)) + noise) >> BITS;
    const b = ((colours[source + 2] << (BITS - 8)) + noise) >> BITS;
    pixels[column] = OPAQUE | (held(b) << 16) | (held(g) << 8) | held(r);
  }
}
const held = (byte: number): number => (byte < 0 ? 0 : byte > 255 ? 255 : byte);

/**
 * One row of pixels from its shades, its surface and the dither. On its own, so that it is compiled as one loop. Coats are
 * reckoned in 4096ths.
 */
function shadeRow(
  pixels: Uint32Array,
  row: number,
  { colours, slopes }: RowShades,
  { grain, bare, light }: Surface,
  at: number,
  [groundR, groundG, groundB]: Ground,
  dither: Int32Array,
): void {
  const from = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (
    let column = 0, source = 0, slope = 0;
    column < pixels.length;
    column++, source += 3, slope += SLOPES
  ) {
    const noise = dither[from + (column & (DITHER_SIDE - 1))];
    const coat = Math.imul(grain[at + column], slopes[slope + 6]) >> 4;
    const square = Math.imul(coat, coat) >> 12;
    const barer = bare[at + column];
    const lit = 4096 + (light[at + column] << 4);
    let r = colours[source];
    let g = colours[source + 1];
    let b = colours[source + 2];
    r += (Math.imul(slopes[slope], coat) + Math.imul(slopes[slope + 3], square)) >> 12;
    g += (Math.imul(slopes[slope + 1], coat) + Math.imul(slopes[slope + 4], square)) >> 12;
    b += (Math.imul(slopes[slope + 2], coat) + Math.imul(slopes[slope + 5], square)) >> 12;
    if (barer > 0) {
      r = partlyBare(r, groundR, barer);
      g = partlyBare(g, groundG, barer);
      b = partlyBare(b, groundB, barer);
    }
    r = (Math.imul(r, lit) + noise) >> BITS;
    g = (Math.imul(g, lit) + noise) >> BITS;
    b = (Math.imul(b, lit) + noise) >> BITS;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}

/** A signal of which a part is bare: area for area, so it is light that is shared. Few pixels ask. */
const partlyBare = (signal: number, ground: number, barer: number): number => {
  const inked = lightOfByte(signal / PART);
  return (PART * srgbByteOf(inked + (ground - inked) * (barer / ALL_BARE))) | 0;
};

/** `shadeRow` where passes stand up from the panel or leave marks on it. Apart, for most panels have none. */
function standRow(
  pixels: Uint32Array,
  row: number,
  { colours, slopes }: RowShades,
  { grain, bare, light }: Surface,
  details: Details,
  at: number,
  [groundR, groundG, groundB]: Ground,
  dither: Int32Array,
): void {
  const from = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
  for (
    let column = 0, source = 0, slope = 0;
    column < pixels.length;
    column++, source += 3, slope += SLOPES
  ) {
    const noise = dither[from + (column & (DITHER_SIDE - 1))];
    const place = at + column;
    const coat = (Math.imul(grain[place], slopes[slope + 6]) >> 4) + (details.cover[place] << 5);
    const square = Math.imul(coat, coat) >> 12;
    const barer = bare[place];
    const lit = 4096 + ((light[place] + details.light[place]) << 4);
    let r = colours[source];
    let g = colours[source + 1];
    let b = colours[source + 2];
    r += (Math.imul(slopes[slope], coat) + Math.imul(slopes[slope + 3], square)) >> 12;
    g += (Math.imul(slopes[slope + 1], coat) + Math.imul(slopes[slope + 4], square)) >> 12;
    b += (Math.imul(slopes[slope + 2], coat) + Math.imul(slopes[slope + 5], square)) >> 12;
    if (barer > 0) {
      r = partlyBare(r, groundR, barer);
      g = partlyBare(g, groundG, barer);
      b = partlyBare(b, groundB, barer);
    }
    const shine = details.shine[place];
    r = ((Math.imul(r, lit) + noise) >> BITS) + shine;
    g = ((Math.imul(g, lit) + noise) >> BITS) + shine;
    b = ((Math.imul(b, lit) + noise) >> BITS) + shine;
    if ((r | g | b) & ~0xff) {
      r = held(r);
      g = held(g);
      b = held(b);
    }
    pixels[column] = OPAQUE | (b << 16) | (g << 8) | r;
  }
}
const OPAQUE = 0xff << 24;

/** What fills rows, and the signal of the bare card. */
interface Filler {
  readonly fillRow: FillRow;
  readonly ground: Ground;
}

/** Bands alone: every pixel takes the shade of its place along the run. */
function alongBands(
  panel: Size,
  { alongAt, isHorizontal, length }: BandGeometry,
  ramp: Ramp,
  width: number,
  height: number,
): Filler {
  const fine = fineShades(ramp);
  const last = fine.colours.length / 3 - 1;
  const perMillimetre = last / length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const places = new Float64Array(Math.ceil(width / ASKED) + 1);
  return {
    ground: ramp.ground,
    fillRow: (row, into) => {
      const y = (row + 0.5) * downPixel;
      if (isHorizontal) places.fill(alongAt(0, y) * perMillimetre);
      else
        for (let i = 0; i < places.length; i++)
          places[i] = alongAt((i * ASKED + 0.5) * acrossPixel, y) * perMillimetre;
      fillBand(into, places, fine, last);
    },
  };
}

/** One row's shades from how far along every few of its pixels lie; between them the run is all but straight. */
function fillBand({ colours, slopes }: RowShades, places: Float64Array, fine: RowShades, last: number): void {
  for (let i = 0, at = 0, way = 0; at < colours.length; i++) {
    const here = places[i];
    const step = (places[i + 1] - here) / ASKED;
    const until = Math.min(at + 3 * ASKED, colours.length);
    for (let place = here + 0.5; at < until; at += 3, way += SLOPES, place += step) {
      const nearest = place <= 0 ? 0 : place >= last ? last : place | 0;
      const sample = 3 * nearest;
      colours[at] = fine.colours[sample];
      colours[at + 1] = fine.colours[sample + 1];
      colours[at + 2] = fine.colours[sample + 2];
      const slope = SLOPES * nearest;
      slopes[way] = fine.slopes[slope];
      slopes[way + 1] = fine.slopes[slope + 1];
      slopes[way + 2] = fine.slopes[slope + 2];
      slopes[way + 3] = fine.slopes[slope + 3];
      slopes[way + 4] = fine.slopes[slope + 4];
      slopes[way + 5] = fine.slopes[slope + 5];
      slopes[way + 6] = fine.slopes[slope + 6];
    }
  }
}

/** The ramp in 256ths, in finer steps. */
function fineShades({ shades, samples }: Ramp): RowShades {
  const count = (samples - 1) * FINE + 1;
  const fine = { colours: new Int32Array(count * 3), slopes: new Int32Array(count * SLOPES) };
  for (let i = 0; i < count; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    for (let value = 0; value < SHADE; value++) {
      const a = shades[low * SHADE + value];
      const here = PART * (a + part * (shades[low * SHADE + SHADE + value] - a));
      if (value < 3) fine.colours[i * 3 + value] = here;
      else fine.slopes[i * SLOPES + value - 3] = here;
    }
  }
  return fine;
}

/** Anything else: shades between the nodes of a field, sharp where a border runs. */
function betweenNodes(field: ColourField, runs: PixelRuns, width: number, height: number): Filler {
  const { columns, rows } = field;
  /** How far across its square each pixel lies, 0…1. */
  const across = Float32Array.from({ length: width }, (_, pixel) => {
    const u = ((pixel + 0.5) / width) * (columns - 1);
    return u - Math.min(Math.floor(u), columns - 2);
  });
  return {
    ground: field.ground,
    fillRow: (row, into) => {
      const v = ((row + 0.5) / height) * (rows - 1);
      const top = Math.min(Math.floor(v), rows - 2);
      fillRuns(into, across, field, runs.regions, runs.ofRow(row), top, v - top);
    },
  };
}

/** One row from its runs of pixels: each takes its region's shades, and on a border both regions' in part. */
function fillRuns(
  into: RowShades,
  across: Float32Array,
  field: ColourField,
  regions: PixelRuns['regions'],
  row: Int32Array,
  top: number,
  down: number,
): void {
  const { colours } = into;
  const next = SHADE * field.columns;
  for (let i = 0; i < row.length; i += RUN_FIELDS) {
    const from = row[i];
    const to = row[i + 1];
    const column = row[i + 2];
    const part = row[i + 5];
    const node = SHADE * (top * field.columns + column);
    const signal = field.cornersOf(regions[row[i + 3]], column, top);
    fillSquare(into, across, from, to, signal, node, next, down);
    if (part === 255) continue;
    const at = 3 * from;
    const r = colours[at];
    const g = colours[at + 1];
    const b = colours[at + 2];
    const beyond = field.cornersOf(regions[row[i + 4]], column, top);
    fillSquare(into, across, from, to, beyond, node, next, down);
    colours[at] = r + ((colours[at] - r) * part) / 255;
    colours[at + 1] = g + ((colours[at + 1] - g) * part) / 255;
    colours[at + 2] = b + ((colours[at + 2] - b) * part) / 255;
  }
}

/**
 * Some of one row's pixels in a square, between the four nodes of one region. How the colour goes with the coat hardly
 * changes over a square, and is that of its middle.
 */
function fillSquare(
  { colours, slopes }: RowShades,
  across: Float32Array,
  from: number,
  to: number,
  signal: Float32Array,
  node: number,
  next: number,
  down: number,
): void {
  const up = 1 - down;
  const right = node + SHADE;
  const r = PART * (up * signal[node] + down * signal[node + next]);
  const g = PART * (up * signal[node + 1] + down * signal[node + next + 1]);
  const b = PART * (up * signal[node + 2] + down * signal[node + next + 2]);
  const dr = PART * (up * signal[right] + down * signal[right + next]) - r;
  const dg = PART * (up * signal[right + 1] + down * signal[right + next + 1]) - g;
  const db = PART * (up * signal[right + 2] + down * signal[right + next + 2]) - b;
  const middle = (value: number): number =>
    0.5 *
    PART *
    (up * (signal[node + value] + signal[right + value]) +
      down * (signal[node + next + value] + signal[right + next + value]));
  const slopeR = middle(3);
  const slopeG = middle(4);
  const slopeB = middle(5);
  const bendR = middle(6);
  const bendG = middle(7);
  const bendB = middle(8);
  const grain = middle(9);
  for (let pixel = from, at = 3 * from, way = SLOPES * from; pixel < to; pixel++, at += 3, way += SLOPES) {
    const t = across[pixel];
    colours[at] = r + t * dr;
    colours[at + 1] = g + t * dg;
    colours[at + 2] = b + t * db;
    slopes[way] = slopeR;
    slopes[way + 1] = slopeG;
    slopes[way + 2] = slopeB;
    slopes[way + 3] = bendR;
    slopes[way + 4] = bendG;
    slopes[way + 5] = bendB;
    slopes[way + 6] = grain;
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
  { progress, isPlain }: Pick<PictureRequest, 'progress' | 'isPlain'> = {},
): Picture {
  const { picture, paintRows } = createPainter()({ resolved, wetness, width, height, progress, isPlain });
  paintRows(0, height);
  return picture;
}
