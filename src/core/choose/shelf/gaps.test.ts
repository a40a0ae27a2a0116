import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { labOfHex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import { dryShelf } from '../../readings/driedShelf';
import { acrossPlane, HUE_SECTORS, hueSector, inksOfGaps, shelfPlane, VALUE_BANDS } from './gaps';

const at = (hue: number, chroma = 40, l = 60): Lab => ({
  l,
  a: chroma * Math.cos((hue * Math.PI) / 180),
  b: chroma * Math.sin((hue * Math.PI) / 180),
});

test('sectors are thirty degrees wide, red about 30°, and go round to red again', () => {
  // Hues in CIELAB of well-known colours, from memory: yellow about 90°, green about 140°, blue about 270°.
  expect([30, 90, 150, 270].map((hue) => HUE_SECTORS[hueSector(at(hue)) ?? -1])).toEqual([
    'red',
    'yellow',
    'green',
    'blue',
  ]);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 359.99, noNaN: true }), (hue) => {
      const across = acrossPlane(at(hue)) ?? Number.NaN;
      expect(across).toBeGreaterThanOrEqual(0);
      expect(across).toBeLessThan(1);
      expect(hueSector(at(hue))).toBe(Math.floor((((hue - 15 + 360) % 360) / 360) * 12 + 1e-9) % 12);
    }),
  );
  expect(hueSector(at(14.9))).toBe(HUE_SECTORS.length - 1);
  expect(hueSector(at(15.1))).toBe(0);
});

test('a grey has no place across, whatever its lightness', () => {
  for (const l of [0, 30, 60, 95]) expect(acrossPlane(at(120, 1, l))).toBeUndefined();
  const greys = dryShelf([ink('ash', '#8a8a8a')], bareGround(WHITE_CARD));
  expect(
    shelfPlane(greys)
      .flat()
      .every((count) => count === 0),
  ).toBe(true);
});

test('every ink with a hue is counted once, in the band its lightness falls in', () => {
  const hexes = ['#f2c230', '#c0202a', '#1f4f7a', '#0a7d5a', '#f7c9d4'] as const;
  const shelf = dryShelf(
    hexes.map((hex) => ink(hex, hex)),
    bareGround(WHITE_CARD),
  );
  const plane = shelfPlane(shelf);
  expect(plane.flat().reduce((sum, count) => sum + count, 0)).toBe(shelf.length);
  for (const { lab } of shelf) {
    const row = VALUE_BANDS.findIndex((from) => lab.l >= from);
    expect(plane[row]?.[hueSector(lab) ?? -1]).toBeGreaterThan(0);
  }
});

test('what is wished for in an empty place lies in that place, and a place that is taken wishes for nothing', () => {
  const wished = inksOfGaps([]);
  expect(wished).toHaveLength(VALUE_BANDS.length * HUE_SECTORS.length);
  for (const { id, overWhite, wished: isWish, kind } of wished) {
    const [row = -1, column] = (id.match(/\d+/g) ?? []).map(Number);
    const lab = labOfHex(overWhite);
    expect(isWish).toBe(true);
    expect(kind).toBe('hybrid');
    expect(hueSector(lab), `${id} ${overWhite}`).toBe(column);
    expect(lab.l, id).toBeGreaterThanOrEqual(VALUE_BANDS[row] ?? Number.NaN);
    if (row > 0) expect(lab.l, id).toBeLessThan(VALUE_BANDS[row - 1] ?? Number.NaN);
  }
  const red = dryShelf([ink('Rowan', '#c0202a')], bareGround(WHITE_CARD));
  const taken = shelfPlane(red).flatMap((places, row) =>
    places.flatMap((count, column) => (count > 0 ? [`gap-${row}-${column}`] : [])),
  );
  expect(taken).toHaveLength(1);
  const left = inksOfGaps(red).map(({ id }) => id);
  expect(left).toHaveLength(wished.length - 1);
  expect(left).not.toContain(taken[0]);
});
