import fc from 'fast-check';
import { expect, test } from 'vitest';
import { quickLoops, rowLoops } from './quickRows';
import { placeAmong, plainLoops } from './rowLoops';
import { BENDS, FEW, type RowShades, RUN, SHARE, SQUARE } from './shading';

const quick = () => {
  const loops = quickLoops();
  if (!loops) throw new Error('this place has no vectors');
  return loops;
};
const list = (min: number, max: number, length: number) =>
  fc.array(fc.integer({ min, max }), { minLength: length, maxLength: length });
/** What two ways have laid, as far as pixels go. */
const expectAlike = (one: RowShades, other: RowShades, width: number) => {
  for (const colour of ['reds', 'greens', 'blues'] as const)
    expect(one[colour].subarray(0, width)).toEqual(other[colour].subarray(0, width));
  const fews = Math.ceil(width / FEW);
  expect(one.slopes.subarray(0, 3 * fews)).toEqual(other.slopes.subarray(0, 3 * fews));
  expect(one.bends.subarray(0, BENDS * fews)).toEqual(other.bends.subarray(0, BENDS * fews));
};

/** A row of a picture, some whole fours and what is left over, and more of a surface than it takes. */
const grainy = fc.integer({ min: 1, max: 90 }).chain((width) =>
  fc.record({
    width: fc.constant(width),
    // Beyond what inks have, on both sides.
    colours: fc.tuple(...[0, 1, 2].map(() => list(-20_000, 90_000, width))),
    slopes: list(-40_000, 40_000, 3 * ((width >> SHARE) + 1)),
    grain: list(-128, 127, width + 7),
    light: list(-128, 127, width + 7),
    at: fc.integer({ min: 0, max: 7 }),
    down: fc.nat(600),
    // Mostly at a whole number of fours, as stretches begin; elsewhere the plain way is gone.
    begin: fc.oneof(
      { weight: 5, arbitrary: fc.nat((width - 1) >> 2).map((fours) => FEW * fours) },
      fc.nat(width - 1),
    ),
  }),
);

test('grain on four pixels at a time is the grain of the plain loops, to the last bit', () => {
  fc.assert(
    fc.property(grainy, ({ width, colours, slopes, grain, light, at, down, begin }) => {
      for (const way of ['grainRow', 'evenRow'] as const) {
        const [fast, plain] = [quick(), plainLoops].map((loops) => {
          const shades = loops.emptyShades(width);
          // An even row has the first four alike.
          for (const [i, colour] of [shades.reds, shades.greens, shades.blues].entries())
            colour.set(
              (colours[i] ?? []).map((value, _, all) => (way === 'evenRow' ? (all[0] ?? 0) : value)),
            );
          if (way === 'evenRow')
            for (const [i, colour] of [shades.reds, shades.greens, shades.blues].entries())
              colour.fill(colours[i]?.[0] ?? 0, 0, FEW);
          shades.slopes.set(slopes);
          const pixels = new Uint32Array(width + 7).fill(7);
          loops.begin();
          const surface = { grain: Int8Array.from(grain), light: Int8Array.from(light) };
          loops[way](pixels, down, { begin, end: width }, shades, surface, at);
          return pixels;
        });
        expect(fast).toEqual(plain);
      }
    }),
    { numRuns: 300 },
  );
});

/** The same row with something on it: details of its own, and here and there bare card. */
const detailed = grainy.chain((row) =>
  fc.record({
    row: fc.constant(row),
    bends: list(-40_000, 40_000, BENDS * ((row.width >> SHARE) + 1)),
    bare: fc.array(fc.oneof({ weight: 4, arbitrary: fc.constant(0) }, fc.integer({ min: 1, max: 255 })), {
      minLength: row.width + 7,
      maxLength: row.width + 7,
    }),
    cover: list(-127, 127, row.width),
    lights: list(-127, 127, row.width),
    shine: list(0, 255, row.width),
    isEven: fc.boolean(),
  }),
);

test('what stands up is shaded four pixels at a time as by the plain loops, bare card in between, too', () => {
  fc.assert(
    fc.property(detailed, ({ row, bends, bare, cover, lights, shine, isEven }) => {
      const { width, colours, slopes, grain, light, at, down, begin } = row;
      const [fast, plain] = [quick(), plainLoops].map((loops) => {
        const shades = loops.emptyShades(width);
        for (const [i, colour] of [shades.reds, shades.greens, shades.blues].entries()) {
          colour.set(colours[i] ?? []);
          if (isEven) colour.fill(colours[i]?.[0] ?? 0, 0, FEW);
        }
        shades.slopes.set(slopes);
        shades.bends.set(bends);
        const surface = {
          grain: Int8Array.from(grain),
          light: Int8Array.from(light),
          bare: Uint8Array.from(bare),
          spread: 0,
          bareShare: 0,
          glints: undefined,
          fill: () => {},
        };
        const details = {
          cover: Int8Array.from(cover),
          light: Int8Array.from(lights),
          shine: Uint8Array.from(shine),
          at: 0,
        };
        const pixels = new Uint32Array(width + 7).fill(7);
        loops.begin();
        const beside = { surface, details, at, bare: [0.9, 0.8, 0.7] as const };
        loops.surfaceRow(pixels, down, { begin, end: width }, shades, isEven, beside);
        return pixels;
      });
      expect(fast).toEqual(plain);
    }),
    { numRuns: 300 },
  );
});

test('bands are laid four pixels at a time as by the plain loops, beyond the first and the last sample, too', () => {
  const samples = fc.integer({ min: 2, max: 40 }).chain((count) =>
    fc.record({
      count: fc.constant(count),
      colours: list(-9000, 80_000, FEW * count),
      slopes: list(-40_000, 40_000, FEW * count),
      bends: list(-40_000, 40_000, BENDS * count),
    }),
  );
  const places = fc.array(fc.double({ min: -60, max: 100, noNaN: true }), { minLength: 2, maxLength: 20 });
  const depth = fc.constantFrom('colours', 'slopes', 'bends');
  fc.assert(
    fc.property(samples, places, depth, (lists, among, deep) => {
      const all = {
        count: lists.count,
        colours: Int32Array.from(lists.colours),
        slopes: Int32Array.from(lists.slopes),
        bends: Int32Array.from(lists.bends),
      };
      const fews = among.length - 1;
      const [fast, plain] = [quick(), plainLoops].map((loops) => {
        const shades = loops.emptyShades(FEW * fews);
        for (const list of [shades.slopes, shades.bends]) list.fill(0);
        shades.places.set(among.map(placeAmong));
        loops.layBand(shades, fews, all, deep);
        return shades;
      });
      if (fast && plain) expectAlike(fast, plain, FEW * fews);
    }),
  );
});

test('a band far beyond its samples takes the outermost', () => {
  const samples = {
    count: 2,
    colours: Int32Array.from([1, 2, 3, 0, 4, 5, 6, 0]),
    slopes: new Int32Array(8),
    bends: new Int32Array(8),
  };
  for (const loops of [quick(), plainLoops]) {
    const shades = loops.emptyShades(8);
    shades.places.set([-1e9, 1e9, Number.POSITIVE_INFINITY].map(placeAmong));
    loops.layBand(shades, 2, samples, 'colours');
    expect(shades.reds[0]).toBe(1);
    expect(shades.reds.subarray(4, 8)).toEqual(Int32Array.of(4, 4, 4, 4));
  }
});

test('runs are laid four pixels at a time as by the plain loops', () => {
  const values = SQUARE * 3;
  const runs = fc.record({
    runs: fc.array(
      fc.record({
        length: fc.integer({ min: 1, max: 30 }),
        square: fc.nat(2),
        beyond: fc.nat(2),
        part: fc.option(fc.integer({ min: 1, max: 254 }), { nil: 255 }),
      }),
      { minLength: 1, maxLength: 12 },
    ),
    squares: fc.array(fc.double({ min: -1e8, max: 3e8, noNaN: true }), {
      minLength: values,
      maxLength: values,
    }),
    down: fc.double({ min: 0, max: 1, noNaN: true }),
    across: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
    depth: fc.constantFrom('colours', 'slopes', 'bends'),
  });
  fc.assert(
    fc.property(runs, ({ runs: all, squares, down, across, depth }) => {
      let width = 0;
      const numbers = all.flatMap(({ length, square, beyond, part }) => {
        // A border runs through one pixel.
        const from = width;
        width += part < 255 ? 1 : length;
        return [from, width, square, Math.floor((from + 0.5) * across), beyond, part];
      });
      const [fast, plain] = [quick(), plainLoops].map((loops) => {
        const shades = loops.emptyShades(width);
        shades.slopes.fill(0);
        shades.bends.fill(0);
        shades.runs.set(numbers);
        shades.squares.values.set(squares);
        loops.layRuns(shades, numbers.length / RUN, across, down, depth);
        return shades;
      });
      if (fast && plain) expectAlike(fast, plain, width);
    }),
  );
});

test('a row wider than the memory has room for goes the plain way', () => {
  expect(rowLoops(9001)).toBe(plainLoops);
  expect(rowLoops(400)).toBe(quick());
});
