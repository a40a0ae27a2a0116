import { FINISHES } from '../card/finishes';
import { srgbSignal } from '../colour/lab';
import type { Wetness } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { RUNS } from '../run/run';
import { grainTile, TILE } from './grain';
import { MM_AN_INCH } from './measure';
import type { Panel } from './panel';
import { rampOf } from './ramp';

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

const LEVELS = 4096;
/** 8-bit signal, not yet rounded, by linear light in steps of 1/4096, spaced by its square root to keep darks apart. */
const SIGNAL = Float32Array.from({ length: LEVELS + 1 }, (_, i) => 255 * srgbSignal((i / LEVELS) ** 2));

/** A picture of the given size and the function that fills it, so that the caller can stop between rows. */
export function preparePicture(
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
): { picture: Picture; paintRows: RowPainter } {
  const { panel } = kit.recipe;
  const run = RUNS[kit.recipe.run];
  const finish = FINISHES[kit.card.finish];
  const ramp = rampOf(kit, wetness);
  const tooth = grainTile((finish.grain / panel.width) * width, GRAIN_SEED);
  const dither = grainTile(1, DITHER_SEED);
  const perMillimetre = (ramp.samples - 1) / run.length(panel);
  const pixels = new Uint8ClampedArray(width * height * 4);

  const paintRows: RowPainter = (from, to) => {
    for (let row = from; row < to; row++) {
      const y = ((row + 0.5) / height) * panel.height;
      const tileRow = (row & (TILE - 1)) * TILE;
      for (let column = 0; column < width; column++) {
        const along = run.alongAt(panel, ((column + 0.5) / width) * panel.width, y) * perMillimetre;
        const sample = Math.min(Math.max(Math.floor(along), 0), ramp.samples - 2);
        const part = along - sample;
        const tile = tileRow + (column & (TILE - 1));
        const light = 1 + finish.tooth * (tooth[tile] as number);
        const noise = 0.5 * (dither[tile] as number);
        const at = (row * width + column) * 4;
        for (let channel = 0; channel < 3; channel++) {
          const low = ramp.rgb[sample * 3 + channel] as number;
          const high = ramp.rgb[sample * 3 + 3 + channel] as number;
          const linear = (low + part * (high - low)) * light;
          const level = linear <= 0 ? 0 : linear >= 1 ? LEVELS : Math.sqrt(linear) * LEVELS;
          pixels[at + channel] = (SIGNAL[level | 0] as number) + noise;
        }
        pixels[at + 3] = 255;
      }
    }
  };
  return { picture: { width, height, pixels }, paintRows };
}

/** The whole picture at once; for tests, the command line and small previews. */
export function paintPanel(kit: Kit, wetness: Wetness, width: number, height: number): Picture {
  const { picture, paintRows } = preparePicture(kit, wetness, width, height);
  paintRows(0, height);
  return picture;
}
