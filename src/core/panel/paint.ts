import { FINISHES } from '../card/finishes';
import type { Wetness } from '../ink/laid';
import { type Kit, lieOf } from '../ladder/recipe';
import type { Lie } from '../run/run';
import { TOOLS } from '../tool/tools';
import { type Field, fieldsOf } from './field';
import { fibreTile, grainTile, TILE } from './grain';
import { MM_AN_INCH } from './measure';
import type { Panel } from './panel';
import { finished, type Progress } from './progress';
import { type Ramp, rampOf } from './ramp';
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

/** Paints rows [from, to) of the picture; called with ever later rows until `to` is the height. */
export type RowPainter = (from: number, to: number) => void;

/** Writes the colours of one row, 8-bit signal not yet rounded, three values a pixel. */
type RowColours = (row: number, into: Float32Array) => void;

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
/** Pixels between two nodes of a field, and the most nodes along the panel's sides. */
const CELL = 8;
const MOST_NODES = { columns: 128, rows: 160, least: 20 } as const;

/**
 * A picture of the given size and the function that fills it, so that the caller can stop between rows.
 *
 * @param progress  how far the work has come; the finished panel where left out
 */
export function preparePicture(
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
  progress: Progress = finished(kit.recipe),
): { picture: Picture; paintRows: RowPainter } {
  const lie = lieOf(kit.recipe);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const rowColours =
    lie && progress.overs === 0
      ? bandColours(kit, lie, rampOf(kit, wetness, progress), width, height)
      : fieldColours(kit, wetness, progress, width, height);
  const rowLight = texture(kit, lie, width);
  const colours = new Float32Array(width * 3);
  const light = new Float32Array(width);
  const dither = grainTile(1, DITHER_SEED);
  const paintRows: RowPainter = (from, to) => {
    let at = from * width * 4;
    for (let row = from; row < to; row++) {
      rowColours(row, colours);
      rowLight(row, light);
      const tileRow = (row & (TILE - 1)) * TILE;
      for (let column = 0, source = 0; column < width; column++, source += 3) {
        const bright = light[column] as number;
        const noise = 0.5 * (dither[tileRow + (column & (TILE - 1))] as number);
        // Uint8ClampedArray rounds and keeps inside 0…255.
        pixels[at] = (colours[source] as number) * bright + noise;
        pixels[at + 1] = (colours[source + 1] as number) * bright + noise;
        pixels[at + 2] = (colours[source + 2] as number) * bright + noise;
        pixels[at + 3] = 255;
        at += 4;
      }
    }
  };
  return { picture: { width, height, pixels }, paintRows };
}

/** Bands alone: every pixel takes the colour of its place along the run. */
function bandColours(kit: Kit, lie: Lie, ramp: Ramp, width: number, height: number): RowColours {
  const { panel } = kit.recipe;
  const signal = fineSignal(ramp);
  const last = signal.length / 3 - 1;
  const perMillimetre = last / lie.length;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const { alongAt, level } = lie;
  const sampleAt = (x: number, y: number): number => {
    const along = alongAt(x, y) * perMillimetre;
    return 3 * (along <= 0 ? 0 : along >= last ? last : (along + 0.5) | 0);
  };
  return (row, into) => {
    const y = (row + 0.5) * downPixel;
    let sample = level ? sampleAt(0, y) : 0;
    for (let column = 0, at = 0; column < width; column++, at += 3) {
      if (!level) sample = sampleAt((column + 0.5) * acrossPixel, y);
      into[at] = signal[sample] as number;
      into[at + 1] = signal[sample + 1] as number;
      into[at + 2] = signal[sample + 2] as number;
    }
  };
}

/** Anything else: colours between the nodes of a field, and masks where a border is sharp. */
function fieldColours(
  kit: Kit,
  wetness: Wetness,
  progress: Progress,
  width: number,
  height: number,
): RowColours {
  const { panel } = kit.recipe;
  const nodes = (pixels: number, most: number) =>
    Math.min(Math.max(Math.round(pixels / CELL), MOST_NODES.least), most);
  const [columns, rows] = [nodes(width, MOST_NODES.columns), nodes(height, MOST_NODES.rows)];
  const { without, sharp } = fieldsOf(kit, wetness, progress, columns, rows);
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const plain = betweenNodes(without, width, height);
  if (!sharp) return plain;
  const under = betweenNodes(sharp.field, width, height);
  const masked = new Float32Array(width * 3);
  return (row, into) => {
    plain(row, into);
    under(row, masked);
    const y = (row + 0.5) * downPixel;
    for (let column = 0, at = 0; column < width; column++, at += 3)
      if (sharp.isUnder((column + 0.5) * acrossPixel, y)) {
        into[at] = masked[at] as number;
        into[at + 1] = masked[at + 1] as number;
        into[at + 2] = masked[at + 2] as number;
      }
  };
}

/** Rows of a picture from a field, bilinear. */
function betweenNodes({ columns, rows, signal }: Field, width: number, height: number): RowColours {
  const blended = new Float32Array(columns * 3);
  const perPixel = (columns - 1) / width;
  return (row, into) => {
    const v = ((row + 0.5) / height) * (rows - 1);
    const top = Math.min(Math.floor(v), rows - 2);
    const down = v - top;
    const from = top * columns * 3;
    const next = from + columns * 3;
    for (let i = 0; i < blended.length; i++) {
      const a = signal[from + i] as number;
      blended[i] = a + down * ((signal[next + i] as number) - a);
    }
    for (let column = 0, at = 0; column < width; column++, at += 3) {
      const u = (column + 0.5) * perPixel;
      const left = u | 0;
      const across = u - left;
      const node = left * 3;
      for (let channel = 0; channel < 3; channel++) {
        const a = blended[node + channel] as number;
        into[at + channel] = a + across * ((blended[node + channel + 3] as number) - a);
      }
    }
  };
}

const GRAIN_SEED = 1912;
const DITHER_SEED = 2005;
const MOTTLE_SEED = 77;
const STREAK_SEED = 1931;
const FIBRE_SEED = 405;

/** How much lighter or darker each pixel is than its colour: the card's tooth and fibres, the tool's unevenness. */
function texture(
  { recipe, card }: Kit,
  lie: Lie | undefined,
  width: number,
): (row: number, into: Float32Array) => void {
  const finish = FINISHES[card.finish];
  const { mottle, streaks } = TOOLS[recipe.tool];
  const perMm = width / recipe.panel.width;
  const tooth = grainTile(finish.grain * perMm, GRAIN_SEED);
  const cloud = grainTile(mottle.size * perMm, MOTTLE_SEED);
  const streak = grainTile(streaks.size * perMm, STREAK_SEED);
  const fibre = finish.fibres > 0 ? fibreTile(FIBRE_SEED) : tooth;
  const depth = finish.tooth * SIGNAL_SLOPE;
  const mottled = mottle.depth * SIGNAL_SLOPE;
  const streaked = streaks.depth * SIGNAL_SLOPE;
  const fibrous = finish.fibres * SIGNAL_SLOPE;
  const toward = lie?.toward ?? { x: 0, y: 1 };
  const mask = TILE - 1;
  return (row, into) => {
    const tileRow = (row & mask) * TILE;
    for (let column = 0; column < width; column++) {
      const tile = tileRow + (column & mask);
      let light = 1 + depth * (tooth[tile] as number) + mottled * (cloud[tile] as number);
      if (fibrous > 0) light += fibrous * (fibre[tile] as number);
      if (streaked > 0) {
        // Across the run the noise changes fast, along it slowly.
        const across = (column * toward.y - row * toward.x) & mask;
        const along = ((column * toward.x + row * toward.y) / 24) & mask;
        light += streaked * (0.4 + (streak[along * TILE + across] as number));
      }
      into[column] = light;
    }
  };
}

/** The ramp as 8-bit signal in finer steps, interpolated in linear light. */
function fineSignal({ rgb, samples }: Ramp): Float32Array {
  const fine = new Float32Array(((samples - 1) * FINE + 1) * 3);
  for (let i = 0; i < fine.length / 3; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    for (let channel = 0; channel < 3; channel++) {
      const a = rgb[low * 3 + channel] as number;
      fine[i * 3 + channel] = fineSignalOf(a + part * ((rgb[low * 3 + 3 + channel] as number) - a));
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
