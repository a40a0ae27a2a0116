import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ditherTile } from './dither';
import { quickRows } from './quickRows';
import { BENDS, evenRow, grainRow, SHARE } from './shading';
import type { Surface } from './surface/surface';

const dither = ditherTile();
/** A row of a picture, some whole fours and what is left over, and more of a surface than it takes. */
const row = fc.integer({ min: 1, max: 90 }).chain((width) => {
  const list = (min: number, max: number, length: number) =>
    fc.array(fc.integer({ min, max }), { minLength: length, maxLength: length });
  const few = (width >> SHARE) + 1;
  return fc.record({
    width: fc.constant(width),
    // Beyond what inks have, on both sides.
    colours: list(-20_000, 90_000, 3 * width),
    slopes: list(-40_000, 40_000, 3 * few),
    grain: list(-128, 127, width + 7),
    light: list(-128, 127, width + 7),
    at: fc.integer({ min: 0, max: 7 }),
    down: fc.nat(600),
    // Mostly at a whole number of fours, as stretches begin; elsewhere the plain way is gone.
    begin: fc.oneof(
      { weight: 5, arbitrary: fc.nat((width - 1) >> 2).map((fours) => 4 * fours) },
      fc.nat(width - 1),
    ),
  });
});

test('four pixels at a time are the pixels of the plain loops, to the last bit', () => {
  const quick = quickRows();
  if (!quick) throw new Error('this place has no vectors');
  fc.assert(
    fc.property(row, ({ width, colours, slopes, grain, light, at, down, begin }) => {
      const shades = {
        colours: Int32Array.from(colours),
        slopes: Int32Array.from(slopes),
        bends: new Int32Array((BENDS * slopes.length) / 3),
      };
      const surface: Surface = {
        grain: Int8Array.from(grain),
        light: Int8Array.from(light),
        bare: new Uint8Array(grain.length),
        spread: 0,
        bareShare: 0,
        fill: () => {},
      };
      for (const [one, other] of [
        [quick.grainRow, grainRow],
        [quick.evenRow, evenRow],
      ] as const) {
        const [fast, plain] = [new Uint32Array(width).fill(7), new Uint32Array(width).fill(7)];
        one(fast, down, { begin, end: width }, shades, surface, at, dither);
        other(plain, down, { begin, end: width }, shades, surface, at, dither);
        expect(fast).toEqual(plain);
      }
    }),
    { numRuns: 300 },
  );
});

test('a row wider than there is room for is painted all the same', () => {
  const width = 9001;
  const shades = {
    colours: new Int32Array(3 * width).fill(20_000),
    slopes: new Int32Array(3 * ((width >> SHARE) + 1)).fill(900),
    bends: new Int32Array(0),
  };
  const bytes = Int8Array.from({ length: width }, (_, i) => (i % 50) - 25);
  const surface = {
    grain: bytes,
    light: bytes,
    bare: new Uint8Array(width),
    spread: 0,
    bareShare: 0,
    fill: () => {},
  };
  const [fast, plain] = [new Uint32Array(width), new Uint32Array(width)];
  quickRows()?.grainRow(fast, 3, { begin: 0, end: width }, shades, surface, 0, dither);
  grainRow(plain, 3, { begin: 0, end: width }, shades, surface, 0, dither);
  expect(fast).toEqual(plain);
});
