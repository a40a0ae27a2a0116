import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import { dryShelf } from '../../readings/driedShelf';
import { assignInks, describeOutOfReach } from './assign';
import { ladderOrder, matchWithChoice } from './ladder';
import { colourAt, mainColours, partsOf } from './mainColours';
import { readPasted } from './pasted';
import { drawReference, REFERENCES } from './references';

const shelf = dryShelf(DEMO_INKS, bareGround(WHITE_CARD));

/** Least sum of differences over every way to give each colour an ink of its own. */
function leastByTrying(wanted: readonly Lab[], inks: typeof shelf, taken: readonly number[] = []): number {
  const [first, ...rest] = wanted;
  if (!first) return 0;
  return Math.min(
    ...inks.flatMap(({ lab }, i) =>
      taken.includes(i) ? [] : [deltaE00(first, lab) + leastByTrying(rest, inks, [...taken, i])],
    ),
  );
}

describe('assignment', () => {
  const lab = fc.record({
    l: fc.double({ min: 5, max: 98, noNaN: true }),
    a: fc.double({ min: -70, max: 70, noNaN: true }),
    b: fc.double({ min: -70, max: 70, noNaN: true }),
  });

  test('no ink is used twice, and the whole difference is the least there is', () => {
    const few = shelf.filter((_, i) => i % 9 === 0);
    fc.assert(
      fc.property(fc.array(lab, { minLength: 1, maxLength: 3 }), (wanted) => {
        const matches = assignInks(wanted, few);
        expect(new Set(matches.map(({ dried }) => dried.ink.id)).size).toBe(wanted.length);
        const whole = matches.reduce((sum, { difference }) => sum + difference, 0);
        expect(whole).toBeCloseTo(leastByTrying(wanted, few), 6);
      }),
      { numRuns: 40 },
    );
  });

  test('an ink chosen by hand stays, and the others are matched round it', () => {
    const wanted = ['#e3b20f', '#e5b412', '#133f7c'].map(labOfHex);
    const first = assignInks(wanted, shelf)[0]?.dried.ink.id ?? '';
    const matches = matchWithChoice(wanted, shelf, new Map([[1, first]]));
    expect(matches[1]?.dried.ink.id).toBe(first);
    expect(new Set(matches.map(({ dried }) => dried.ink.id)).size).toBe(3);
  });

  test('what no ink reaches is said, with what it would have to be; a shelf too small gives none', () => {
    const [match] = assignInks([{ l: 50, a: 110, b: -110 }], shelf);
    if (!match) throw new Error('no match');
    expect(describeOutOfReach(match)).toMatch(/No ink on the shelf reaches it.*more colourful/);
    const [own] = assignInks([(shelf[0] as (typeof shelf)[number]).lab], shelf);
    expect(own && describeOutOfReach(own)).toBeUndefined();
    expect(assignInks([labOfHex('#ffffff'), labOfHex('#000000')], shelf.slice(0, 1))).toEqual([]);
  });

  test('the ladder stands as the reference does, or pale to dark', () => {
    const matches = assignInks(['#133f7c', '#f8d46f', '#c83642'].map(labOfHex), shelf);
    expect(ladderOrder(matches, 'reference', [0.9, 0.1, 0.5])).toEqual([1, 2, 0]);
    expect(ladderOrder(matches, 'reference', [])).toEqual([0, 1, 2]);
    expect(ladderOrder(matches, 'light', [])).toEqual([1, 2, 0]);
  });
});

describe('main colours', () => {
  test('a small bright glow is among them, though plain clusters miss it', () => {
    const size = 120;
    const data = new Uint8ClampedArray(size * size * 4);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) {
        const glows = Math.hypot(x - 80, y - 40) < 5;
        // A dark blue night, a little lighter toward the foot, with one lamp.
        const rgb = glows ? [250, 170, 40] : [20 + y / 6, 30 + y / 4, 70 + y / 3];
        data.set([...rgb, 255], (y * size + x) * 4);
      }
    const pixels = { width: size, height: size, data };
    const found = mainColours(pixels, 3).map(({ place, part }) => ({ lab: colourAt(pixels, place), part }));
    const lamp = found.find(({ lab }) => lab.b > 40);
    expect(found).toHaveLength(3);
    expect(lamp?.part).toBeLessThan(0.02);
    expect(found.reduce((sum, { part }) => sum + part, 0)).toBeCloseTo(1, 9);
    const parts = partsOf(
      pixels,
      found.map(({ lab }) => lab),
    );
    expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 9);
    expect(Math.min(...parts)).toBeLessThan(0.02);
  });

  /** Bands of flat colour, one above the other. */
  function bands(hexes: readonly `#${string}`[], size = 90) {
    const data = new Uint8ClampedArray(size * size * 4);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) {
        const hex = hexes[Math.floor((y / size) * hexes.length)] as string;
        const rgb = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
        data.set([...rgb, 255], (y * size + x) * 4);
      }
    return { width: size, height: size, data };
  }

  test('of a picture of flat bands they are the bands, each marker inside its own', () => {
    const hexes = ['#f2c230', '#2a8f8a', '#6b3fa0'] as const;
    const picture = bands(hexes);
    const found = mainColours(picture, 3).map(({ place }) => colourAt(picture, place));
    for (const hex of hexes)
      expect(Math.min(...found.map((lab) => deltaE00(lab, labOfHex(hex))))).toBeLessThan(0.5);
    expect(mainColours(bands(['#808080']), 3)).toHaveLength(1);
  });

  test('the same picture gives the same markers, and their parts add up to the whole', () => {
    for (const reference of REFERENCES) {
      const picture = drawReference(reference, 120, 90);
      const colours = mainColours(picture, 4);
      expect(colours).toEqual(mainColours(picture, 4));
      expect(colours.reduce((sum, { part }) => sum + part, 0)).toBeCloseTo(1, 9);
      for (const { place } of colours) expect(Math.min(place.x, place.y)).toBeGreaterThan(0);
    }
  });
});

test('pasted colours are hex or Lab, a line or comma each; what is none is named', () => {
  expect(readPasted('#f2c230, 2A8F8A\n#f2c230')).toEqual({ colours: ['#f2c230', '#2a8f8a'] });
  expect(readPasted('54.2 -28 -8\n#ffffff')).toMatchObject({
    colours: [/^#/, '#ffffff'].map(() => expect.any(String)),
  });
  expect(readPasted('#f2c230 #2a8f8a')).toEqual({ colours: ['#f2c230', '#2a8f8a'] });
  expect(readPasted('teal\n#ffffff')).toEqual({ problem: expect.stringContaining('"teal" is not a colour') });
  expect(readPasted('#ffffff')).toEqual({ problem: expect.stringContaining('there are 1') });
});
