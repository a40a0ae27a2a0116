import { memo } from '../base/memo';
import { compiledWasm } from '../base/wasm';
import { DITHER_SIDE, ditherTile } from './dither';
import { plainLoops, type RowLoops } from './rowLoops';
import { ROWS_WASM } from './rowsWasm';
import { BENDS, FEW, MOST_SQUARES, type RowShades, RUN, type Samples, SHARE, SQUARE } from './shading';

/** The quickest loops that this place can run for rows of so many pixels. They paint the same to the last bit. */
export const rowLoops = (width: number): RowLoops => (width <= WIDEST && quickLoops()) || plainLoops;

type Bytes = Int8Array | Uint8Array;

/** Where a row's shades stand in the memory, in bytes. */
type ShadesAt = readonly [reds: number, greens: number, blues: number, slopes: number, bends: number];

/** Parameters are where things stand in the memory, in bytes, if nothing else is said. */
interface Kernel {
  readonly layBand: (
    places: number,
    fews: number,
    colours: number,
    slopes: number,
    bends: number,
    last: number,
    depth: number,
    ...shades: ShadesAt
  ) => void;
  readonly layRuns: (
    runs: number,
    count: number,
    squares: number,
    across: number,
    down: number,
    depth: number,
    ...shades: ShadesAt
  ) => void;
  readonly grainRow: (
    reds: number,
    greens: number,
    blues: number,
    slopes: number,
    isEven: boolean,
    grain: number,
    light: number,
    noise: number,
    column: number,
    pixels: number,
    count: number,
  ) => void;
  readonly surfaceRow: (
    reds: number,
    greens: number,
    blues: number,
    slopes: number,
    bends: number,
    isEven: boolean,
    grain: number,
    light: number,
    cover: number,
    lights: number,
    shine: number,
    noise: number,
    column: number,
    pixels: number,
    count: number,
  ) => void;
}

const PAGE_BYTES = 65_536;
/** Pixels of the widest row there is room for; wider ones go the plain way. */
const WIDEST = 8192;
const FEWS = WIDEST / FEW + 2;
/** Bytes of a surface that are taken in together, some rows of it. */
const TAKEN = 16 * WIDEST;
/** Samples there is room for, some more than a ramp has. */
const MOST_SAMPLES = 4096;
const DEPTH = { colours: 0, slopes: 1, bends: 2 } as const;

/**
 * Four pixels at a time by `rows.as.ts`, where WebAssembly with vectors may run; undefined where not. All painters share
 * its one row, which is filled and painted in one go.
 */
// biome-ignore lint/complexity/noExcessiveLinesPerFunction: one memory, and the loops over its one row.
export const quickLoops = memo(1, (): RowLoops | undefined => {
  const module = compiledWasm(ROWS_WASM);
  if (!module) return undefined;
  // Each part of the memory stands at a whole number of vectors, the first left free.
  let end = 16;
  const place = (bytes: number): number => {
    const at = end;
    end = Math.ceil((at + bytes) / 16) * 16;
    return at;
  };
  const at = {
    reds: place(4 * FEW * FEWS),
    greens: place(4 * FEW * FEWS),
    blues: place(4 * FEW * FEWS),
    slopes: place(4 * (3 * FEWS + 1)),
    bends: place(4 * BENDS * FEWS),
    places: place(4 * (FEWS + 1)),
    runs: place(4 * RUN * WIDEST),
    squares: place(8 * SQUARE * MOST_SQUARES),
    // Four bytes at a time are read, beyond the last, too.
    grain: place(TAKEN + FEW),
    light: place(TAKEN + FEW),
    cover: place(TAKEN + FEW),
    lights: place(TAKEN + FEW),
    shine: place(TAKEN + FEW),
    pixels: place(4 * FEW * FEWS),
    noise: place(4 * DITHER_SIDE ** 2),
    colours: place(4 * FEW * MOST_SAMPLES),
    sampleSlopes: place(4 * FEW * MOST_SAMPLES),
    sampleBends: place(4 * BENDS * MOST_SAMPLES),
  };
  const shadesAt: ShadesAt = [at.reds, at.greens, at.blues, at.slopes, at.bends];
  const memory = new WebAssembly.Memory({ initial: Math.ceil(end / PAGE_BYTES) });
  const kernel = new WebAssembly.Instance(module, { env: { memory } }).exports as unknown as Kernel;
  const words = new Int32Array(memory.buffer);
  const bytes = new Int8Array(memory.buffer);
  const painted = new Uint32Array(memory.buffer, at.pixels, FEW * FEWS);
  const view = (from: number, to: number) => words.subarray(from >> 2, to >> 2);
  const shades: RowShades = {
    reds: view(at.reds, at.greens),
    greens: view(at.greens, at.blues),
    blues: view(at.blues, at.slopes),
    slopes: view(at.slopes, at.bends),
    bends: view(at.bends, at.places),
    places: view(at.places, at.runs),
    runs: view(at.runs, at.squares),
    squares: { values: new Float64Array(memory.buffer, at.squares, SQUARE * MOST_SQUARES) },
  };
  words.set(ditherTile(), at.noise >> 2);
  let inMemory: Samples | undefined;
  /** Some of a picture's bytes of some sorts, taken in from where they were asked for on, and held until others are. */
  const intake = (...rooms: readonly number[]) => {
    let [held, begin, end]: [object | undefined, number, number] = [undefined, 0, 0];
    return {
      forget: (): void => {
        held = undefined;
      },
      /** Where the bytes [from, to) stand in each sort's room. */
      place: (from: number, to: number, first: Bytes, ...others: readonly Bytes[]): number => {
        if (held !== first || from < begin || to > end) {
          [held, begin, end] = [first, from, Math.min(from + TAKEN, first.length)];
          for (const [i, sort] of [first, ...others].entries())
            bytes.set(sort.subarray(begin, end), rooms[i]);
        }
        return from - begin;
      },
    };
  };
  const surfaces = intake(at.grain, at.light);
  const lying = intake(at.cover, at.lights, at.shine);
  const noiseOf = (row: number): number => at.noise + 4 * DITHER_SIDE * (row & (DITHER_SIDE - 1));
  let stretch = painted;
  const giveOut = (pixels: Uint32Array, to: number, count: number): void => {
    if (stretch.length !== count) stretch = painted.subarray(0, count);
    pixels.set(stretch, to);
  };
  const grain =
    (plain: RowLoops['grainRow'], isEven: boolean): RowLoops['grainRow'] =>
    (pixels, row, asked, from, surface, rowAt) => {
      const { begin, end } = asked;
      if (begin % FEW !== 0) {
        plain(pixels, row, asked, from, surface, rowAt);
        return;
      }
      const first = isEven ? 0 : begin;
      const grainAt = surfaces.place(rowAt + begin, rowAt + end, surface.grain, surface.light);
      kernel.grainRow(
        at.reds + 4 * first,
        at.greens + 4 * first,
        at.blues + 4 * first,
        at.slopes + 12 * (first >> SHARE),
        isEven,
        at.grain + grainAt,
        at.light + grainAt,
        noiseOf(row),
        begin,
        at.pixels,
        end - begin,
      );
      giveOut(pixels, rowAt + begin, end - begin);
    };
  const surfaceRow: RowLoops['surfaceRow'] = (pixels, row, asked, from, isEven, beside) => {
    const { begin, end } = asked;
    const { surface, details, at: rowAt } = beside;
    if (begin % FEW !== 0) {
      plainLoops.surfaceRow(pixels, row, asked, from, isEven, beside);
      return;
    }
    const first = isEven ? 0 : begin;
    const grainAt = surfaces.place(rowAt + begin, rowAt + end, surface.grain, surface.light);
    const { cover, light, shine } = details;
    const lyingAt = lying.place(details.at + begin, details.at + end, cover, light, shine);
    kernel.surfaceRow(
      at.reds + 4 * first,
      at.greens + 4 * first,
      at.blues + 4 * first,
      at.slopes + 12 * (first >> SHARE),
      at.bends + 4 * BENDS * (first >> SHARE),
      isEven,
      at.grain + grainAt,
      at.light + grainAt,
      at.cover + lyingAt,
      at.lights + lyingAt,
      at.shine + lyingAt,
      noiseOf(row),
      begin,
      at.pixels,
      end - begin,
    );
    giveOut(pixels, rowAt + begin, end - begin);
    // Bare card is few pixels' matter, and takes powers.
    for (let column = begin; column < end; column++) {
      if (surface.bare[rowAt + column] === 0) continue;
      plainLoops.surfaceRow(pixels, row, { begin: column, end: column + 1 }, from, isEven, beside);
    }
  };
  return {
    emptyShades: () => shades,
    begin: () => {
      surfaces.forget();
      lying.forget();
    },
    layBand: (into, fews, samples, depth) => {
      if (samples.count > MOST_SAMPLES) {
        plainLoops.layBand(into, fews, samples, depth);
        return;
      }
      if (samples !== inMemory) {
        words.set(samples.colours, at.colours >> 2);
        words.set(samples.slopes, at.sampleSlopes >> 2);
        words.set(samples.bends, at.sampleBends >> 2);
        inMemory = samples;
      }
      kernel.layBand(
        at.places,
        fews,
        at.colours,
        at.sampleSlopes,
        at.sampleBends,
        samples.count - 1,
        DEPTH[depth],
        ...shadesAt,
      );
    },
    layRuns: (_, count, across, down, depth) =>
      kernel.layRuns(at.runs, count, at.squares, across, down, DEPTH[depth], ...shadesAt),
    grainRow: grain(plainLoops.grainRow, false),
    evenRow: grain(plainLoops.evenRow, true),
    surfaceRow,
  };
});
