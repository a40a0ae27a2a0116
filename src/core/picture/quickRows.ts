import { memo } from '../base/memo';
import { compiledWasm } from '../base/wasm';
import { DITHER_SIDE } from './dither';
import { ROWS_WASM } from './rowsWasm';
import { evenRow, grainRow, SHARE } from './shading';

/** What paints rows with a gentle grain. */
export interface GrainRows {
  readonly grainRow: typeof grainRow;
  readonly evenRow: typeof evenRow;
}

/** The quickest that this place can run. They paint the same to the last bit. */
export const grainRows = (): GrainRows => quickRows() ?? { grainRow, evenRow };

type PaintRow = (
  colours: number,
  slopes: number,
  isEven: boolean,
  grain: number,
  light: number,
  noise: number,
  column: number,
  pixels: number,
  count: number,
) => void;

const PAGE_BYTES = 65_536;
/** Pixels that are painted together; they share slopes. */
const FEW = 1 << SHARE;
/** Pixels of the widest row there is room for; wider ones go the plain way. */
const WIDEST = 8192;
/** Where each part of a row stands in the memory, in bytes, the first left free; and where all ends. */
const SLOPES_AT = 16 + 12 * WIDEST;
const GRAIN_AT = SLOPES_AT + (12 * WIDEST) / FEW;
const LIGHT_AT = GRAIN_AT + WIDEST;
const NOISE_AT = LIGHT_AT + WIDEST;
const PIXELS_AT = NOISE_AT + 4 * DITHER_SIDE;
const [COLOURS_AT, END] = [16, PIXELS_AT + 4 * WIDEST];

/**
 * Four pixels at a time by `rows.as.ts`, where WebAssembly with vectors may run; undefined where not. All painters share
 * its one row: it is copied in, painted and copied out in one go.
 */
export const quickRows = memo(1, (): GrainRows | undefined => {
  const module = compiledWasm(ROWS_WASM);
  if (!module) return undefined;
  const memory = new WebAssembly.Memory({ initial: Math.ceil(END / PAGE_BYTES) });
  const { exports } = new WebAssembly.Instance(module, { env: { memory } });
  const words = new Int32Array(memory.buffer);
  const bytes = new Int8Array(memory.buffer);
  const painted = new Uint32Array(memory.buffer, PIXELS_AT, WIDEST);
  const paint = exports.grainRow as PaintRow;
  const quick =
    (plain: typeof grainRow, isEven: boolean): typeof grainRow =>
    (pixels, row, stretch, shades, surface, at, dither) => {
      const { begin, end } = stretch;
      const count = end - begin;
      if (count > WIDEST || begin % FEW !== 0) {
        plain(pixels, row, stretch, shades, surface, at, dither);
        return;
      }
      const { colours, slopes } = shades;
      if (isEven) for (let i = 0; i < FEW; i++) words.set(colours.subarray(0, 3), (COLOURS_AT >> 2) + 3 * i);
      else words.set(colours.subarray(3 * begin, 3 * end), COLOURS_AT >> 2);
      const from = isEven ? 0 : begin >> SHARE;
      const to = isEven ? 1 : ((end - 1) >> SHARE) + 1;
      words.set(slopes.subarray(3 * from, 3 * to), SLOPES_AT >> 2);
      bytes.set(surface.grain.subarray(at + begin, at + end), GRAIN_AT);
      bytes.set(surface.light.subarray(at + begin, at + end), LIGHT_AT);
      const noises = (row & (DITHER_SIDE - 1)) * DITHER_SIDE;
      words.set(dither.subarray(noises, noises + DITHER_SIDE), NOISE_AT >> 2);
      paint(COLOURS_AT, SLOPES_AT, isEven, GRAIN_AT, LIGHT_AT, NOISE_AT, begin, PIXELS_AT, count);
      pixels.set(painted.subarray(0, count), begin);
    };
  return { grainRow: quick(grainRow, false), evenRow: quick(evenRow, true) };
});
