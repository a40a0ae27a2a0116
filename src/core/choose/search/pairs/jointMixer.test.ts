import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_CARDS } from '../../../../data/demo/cards';
import { STANDARD_1912 } from '../../../../testing/colourSets';
import { ink, WHITE_CARD } from '../../../../testing/resolvedRecipes';
import type { Card } from '../../../materials/card/card';
import type { Hex } from '../../../materials/colour/hex';
import { xyzOfSpectrum } from '../../../materials/colour/lab';
import { BANDS } from '../../../materials/colour/spectrum';
import { mixedReflectance } from '../../../materials/ink/film';
import { STATIONS } from '../../../readings/joints/joint';
import { INNER, jointMixer, plainMixer, simdMixer, VALUES } from './jointMixer';
import { dryInks, emptyDullnesses, emptyPairTable, pairJudge } from './pairTable';

const row = (min: number, max: number) =>
  fc
    .array(fc.double({ min, max, noNaN: true }), { minLength: BANDS, maxLength: BANDS })
    .map((values) => Float64Array.from(values));
// From no film at all to one that hides all: the film curve's table ends in between.
const film = fc.record({
  absorption: fc.oneof(row(0, 0.1), row(0, 8), row(0, 1e5)),
  scattering: fc.oneof(row(0, 0.1), row(0, 3)),
});
const films = fc.tuple(film, film);
const grounds = fc.record({ ground: row(0, 1), other: row(0, 1) });

test('two bands at a time give the sums of the plain loops, to the last bit', () => {
  fc.assert(
    fc.property(films, grounds, fc.boolean(), (inks, over, overBoth) => {
      const quick = simdMixer(inks, over);
      if (!quick) throw new Error('this place has no vectors');
      const length = (overBoth ? 2 : 1) * VALUES;
      expect([...quick(0, 1, overBoth).subarray(0, length)]).toEqual([
        ...plainMixer(inks, over)(0, 1, overBoth).subarray(0, length),
      ]);
    }),
    { numRuns: 300 },
  );
});

test('what is mixed is the film model’s mixture, station by station, over both grounds', () => {
  fc.assert(
    fc.property(films, grounds, ([first, second], over) => {
      const mixed = jointMixer([first, second], over)(0, 1, true);
      for (let station = 1; station <= INNER; station++) {
        const part = station / (STATIONS - 1);
        const parts = [
          { film: first, coats: 1 - part },
          { film: second, coats: part },
        ];
        [over.ground, over.other].forEach((ground, i) => {
          const { x, y, z } = xyzOfSpectrum(mixedReflectance(parts, ground));
          const at = i * VALUES + 3 * (station - 1);
          [x, y, z].forEach((value, k) => void expect(mixed[at + k]).toBeCloseTo(value, 5));
        });
      }
    }),
    { numRuns: 50 },
  );
});

test('a shelf is judged alike by either mixer, and with what another card has told of it on white', () => {
  const inks = STANDARD_1912.filter((_, i) => i % 43 === 0).map(({ name, hex }, i) =>
    ink(name, hex as Hex, (['hybrid', 'dye', 'pigment'] as const)[i % 3]),
  );
  const onWhite = emptyDullnesses(inks.length);
  const tableOn = (card: Card, parts: Parameters<typeof pairJudge>[2] = {}) => {
    const table = emptyPairTable(inks.length);
    const judge = pairJudge(dryInks(inks, card), card, parts);
    for (let i = 0; i < inks.length; i++) judge(i, table);
    return table;
  };
  for (const card of DEMO_CARDS) {
    const fresh = tableOn(card);
    expect(tableOn(card, { makeMixer: plainMixer })).toEqual(fresh);
    expect(tableOn(card, { onWhite })).toEqual(fresh);
  }
  // Every joint is known by now but those of the white card, which is judged by itself.
  expect(onWhite.filter((known) => known > 0).length).toBe(inks.length * (inks.length - 1));
  expect(tableOn(WHITE_CARD, { onWhite })).toEqual(tableOn(WHITE_CARD));
});
