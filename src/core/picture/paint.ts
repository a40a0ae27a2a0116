import type { Size } from '../base/geometry';
import { MM_AN_INCH } from '../base/length';
import { compileLayers, type LayerProgram } from '../engine/layers';
import type { Wetness } from '../engine/mixing';
import { finished, type Progress } from '../engine/progress';
import { bandsOf, patchesOf } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { TOOLS } from '../recipe/tools/tools';
import { alongBands } from './alongBands';
import { betweenNodes } from './betweenNodes';
import { fieldMaker } from './field';
import { rowLoops } from './quickRows';
import { rampOf } from './ramp';
import { regionFinder } from './regions';
import type { Ground } from './shades';
import { colourRow, type Filler, type RowDetails, type Stretch } from './shading';
import { lightOfByte } from './signal';
import { BLOCK, type Details, detailMaker } from './surface/details';
import { type DistancesAt, distancesOn } from './surface/distances';
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

const NOT_PAINTING: DistancesAt = () => {
  throw new Error('distances are asked for while no rows are painted');
};

/** A grain that spreads by more than that, in coats, bends colours, and does not only shift them. */
const GENTLE = 0.06;
/** With fewer pixels to a millimetre no grain is to be seen: small pictures do without. */
const COARSE = 1.1;

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
  /** What tells distances for the picture that is being painted: what is kept of pictures does not hold on to those. */
  let ofPicture = NOT_PAINTING;
  const distancesAt: DistancesAt = (border, of, into) => ofPicture(border, of, into);
  const findRegions = regionFinder(distancesAt);
  const makeSurface = surfaceMaker();
  const makeDetails = detailMaker(distancesAt);
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
    const shows = !isPlain && width / panel.width >= COARSE;
    const loops = rowLoops(width);
    const program = compileLayers(resolved, progress);
    // Where a rung is of bare card nothing lies that could shine.
    const isWet =
      wetness === 'wet' && !program.isBlendDry && resolved.inks.every(({ kind }) => kind !== 'bare');
    const surface = shows ? makeSurface(resolved, frame, isWet) : undefined;
    let details: Details | undefined;
    const onField = (): Filler => {
      if (surface) details = makeDetails(program.details, frame);
      const { columns, rows: nodes } = nodesFor(resolved, program, width, height);
      const field = makeField({ resolved, wetness, progress, program, surface, columns, rows: nodes });
      const tiling = { panel, width, height, columns, rows: nodes };
      return betweenNodes(field, findRegions(program.borders, tiling), width, height, loops);
    };
    const { fillRow, ground } =
      bands && progress.passes + progress.placings === 0
        ? alongBands(panel, bands, rampOf(resolved, bands, wetness, progress, surface), width, height, loops)
        : onField();
    const shades = loops.emptyShades(width);
    const plain = {
      cover: new Int8Array(width),
      light: new Int8Array(width),
      shine: new Uint8Array(width),
      at: 0,
    };
    const isGentle =
      surface !== undefined && surface.spread < GENTLE && surface.bareShare === 0 && !surface.glints;
    const bare: Ground = [lightOfByte(ground[0]), lightOfByte(ground[1]), lightOfByte(ground[2])];
    // Red first, as pixels lie in memory on every machine a browser runs on.
    const packed = new Uint32Array(pixels.buffer);
    const whole: readonly Stretch[] = [{ begin: 0, end: width }];
    const standing = standingOn(width);
    const distances = distancesOn(panel, width, height);
    const paintRow = (row: number): void => {
      const at = (row - rows.from) * width;
      if (!surface) {
        colourRow(packed, row, { begin: 0, end: width }, shades, fillRow(row, shades, 'colours'), at);
        return;
      }
      const stretches = isGentle ? standing(details, row) : whole;
      const isEven = fillRow(row, shades, stretches.length > 0 ? 'bends' : 'slopes');
      const grainOn = isEven ? loops.evenRow : loops.grainRow;
      const lying = details ? rowOf(details, at) : plain;
      const beside = {
        surface,
        details: surface.glints ? glinting(lying, surface, at, width) : lying,
        at,
        bare,
      };
      let done = 0;
      for (const stretch of stretches) {
        if (stretch.begin > done)
          grainOn(packed, row, { begin: done, end: stretch.begin }, shades, surface, at);
        loops.surfaceRow(packed, row, stretch, shades, isEven, beside);
        done = stretch.end;
      }
      if (done < width) grainOn(packed, row, { begin: done, end: width }, shades, surface, at);
    };
    const paintRows: RowPainter = (from, to) => {
      ofPicture = distances;
      surface?.fill(from, to);
      details?.fill(from, to);
      loops.begin();
      for (let row = from; row < to; row++) paintRow(row);
      ofPicture = NOT_PAINTING;
    };
    return { picture: { width, height: own, pixels }, paintRows };
  };
}

const rowOf = ({ cover, light, shine }: Details, at: number): RowDetails => ({ cover, light, shine, at });

/** A row on which what is wet shines, too, where the card's tooth faces the lamp and ink lies on it. */
function glinting(
  details: RowDetails,
  { glints, light, bare }: Surface,
  at: number,
  width: number,
): RowDetails {
  if (!glints) return details;
  const ofRow = <Bytes extends Int8Array | Uint8Array>(bytes: Bytes) =>
    bytes.subarray(details.at, details.at + width) as Bytes;
  const shine = ofRow(details.shine).map((shines, column) => {
    const inked = 1 - bare[at + column] / ALL_BARE;
    return Math.max(shines, inked * glints[light[at + column] + 128]);
  });
  return { cover: ofRow(details.cover), light: ofRow(details.light), shine, at: 0 };
}

/** What tells where details lie on a row: the same for each row of a block. */
function standingOn(width: number): (details: Details | undefined, row: number) => readonly Stretch[] {
  let [found, foundFor]: [Stretch[], number] = [[], -1];
  return (details, row) => {
    if (!details) return NONE;
    const down = Math.floor(row / BLOCK);
    if (down === foundFor) return found;
    [found, foundFor] = [[], down];
    for (let column = 0; column * BLOCK < width; column++) {
      if (!details.isOn(column, down)) continue;
      const [begin, end] = [column * BLOCK, Math.min((column + 1) * BLOCK, width)];
      const last = found.at(-1);
      if (last?.end === begin) found[found.length - 1] = { begin: last.begin, end };
      else found.push({ begin, end });
    }
    return found;
  };
}
const NONE: readonly Stretch[] = [];

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
