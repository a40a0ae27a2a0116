import { FINISHES } from '../card/finishes';
import { srgbSignal } from '../colour/lab';
import type { Wetness } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { RUNS } from '../run/run';
import { grainTile, TILE } from './grain';
import { MM_AN_INCH } from './measure';
import type { Panel } from './panel';
import { type Ramp, rampOf } from './ramp';

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

const GRAIN_SEED = 1912;
const DITHER_SEED = 2005;

/** Steps between neighbouring samples of the ramp, so that a pixel takes the nearest and need not interpolate. */
const FINE = 8;
const LEVELS = 4096;
/** 8-bit signal, not yet rounded, by the square root of linear light, which keeps the darks apart. */
const SIGNAL = Float32Array.from({ length: LEVELS + 1 }, (_, i) => 255 * srgbSignal((i / LEVELS) ** 2));
/** How much the signal changes for a change of light, both as fractions: the slope of the sRGB curve, nearly. */
const SIGNAL_SLOPE = 1 / 2.2;

/** A picture of the given size and the function that fills it, so that the caller can stop between rows. */
export function preparePicture(
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
): { picture: Picture; paintRows: RowPainter } {
  const { panel } = kit.recipe;
  const { alongAt, length, level } = RUNS[kit.recipe.run];
  const finish = FINISHES[kit.card.finish];
  const signal = fineSignal(rampOf(kit, wetness));
  const last = signal.length / 3 - 1;
  const perMillimetre = last / length(panel);
  const tooth = grainTile((finish.grain / panel.width) * width, GRAIN_SEED);
  const dither = grainTile(1, DITHER_SEED);
  const depth = finish.tooth * SIGNAL_SLOPE;
  const [acrossPixel, downPixel] = [panel.width / width, panel.height / height];
  const pixels = new Uint8ClampedArray(width * height * 4);

  const sampleAt = (x: number, y: number): number => {
    const along = alongAt(panel, x, y) * perMillimetre;
    return 3 * (along <= 0 ? 0 : along >= last ? last : (along + 0.5) | 0);
  };
  const paintRows: RowPainter = (from, to) => {
    let at = from * width * 4;
    for (let row = from; row < to; row++) {
      const y = (row + 0.5) * downPixel;
      let sample = level ? sampleAt(0, y) : 0;
      const tileRow = (row & (TILE - 1)) * TILE;
      for (let column = 0; column < width; column++) {
        if (!level) sample = sampleAt((column + 0.5) * acrossPixel, y);
        const tile = tileRow + (column & (TILE - 1));
        const light = 1 + depth * (tooth[tile] as number);
        const noise = 0.5 * (dither[tile] as number);
        // Uint8ClampedArray rounds and keeps inside 0…255.
        pixels[at] = (signal[sample] as number) * light + noise;
        pixels[at + 1] = (signal[sample + 1] as number) * light + noise;
        pixels[at + 2] = (signal[sample + 2] as number) * light + noise;
        pixels[at + 3] = 255;
        at += 4;
      }
    }
  };
  return { picture: { width, height, pixels }, paintRows };
}

/** The ramp as 8-bit signal in finer steps, interpolated in linear light. */
function fineSignal({ rgb, samples }: Ramp): Float32Array {
  const fine = new Float32Array(((samples - 1) * FINE + 1) * 3);
  for (let i = 0; i < fine.length / 3; i++) {
    const low = Math.min(Math.floor(i / FINE), samples - 2);
    const part = i / FINE - low;
    for (let channel = 0; channel < 3; channel++) {
      const a = rgb[low * 3 + channel] as number;
      const linear = a + part * ((rgb[low * 3 + 3 + channel] as number) - a);
      const level = linear <= 0 ? 0 : linear >= 1 ? LEVELS : Math.sqrt(linear) * LEVELS;
      fine[i * 3 + channel] = SIGNAL[level | 0] as number;
    }
  }
  return fine;
}

/** The whole picture at once; for tests, the command line and small previews. */
export function paintPanel(kit: Kit, wetness: Wetness, width: number, height: number): Picture {
  const { picture, paintRows } = preparePicture(kit, wetness, width, height);
  paintRows(0, height);
  return picture;
}
