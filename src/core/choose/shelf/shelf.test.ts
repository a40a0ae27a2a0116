import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { ink, WHITE_CARD } from '../../../testing/resolvedRecipes';
import { bareGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { contrastRatio, filmOfInk } from '../../materials/ink/ink';
import { dryShelf } from '../../readings/driedShelf';
import { shelfPlane } from './gaps';
import { findTwins, nearestPairs } from './twins';

test('twins are all pairs nearer than ΔE00 3, found as by comparing every pair', () => {
  const near = DEMO_INKS.map((one, i) => ({ ...one, id: `near-${i}`, name: `Near ${one.name}` })).slice(0, 9);
  const shelf = dryShelf([...DEMO_INKS, ...near], bareGround(WHITE_CARD));
  const plain = shelf.flatMap((p, i) => shelf.slice(i + 1).filter((q) => deltaE00(p.lab, q.lab) < 3));
  expect(findTwins(shelf)).toHaveLength(plain.length);
  expect(plain.length).toBeGreaterThanOrEqual(9);
});

test('the nearest pairs are told whatever the shelf: never fewer than there are, nearest first', () => {
  const shelf = dryShelf(
    [ink('red', '#c0202a'), ink('sea', '#1f9f8a'), ink('grey', '#808080')],
    bareGround(WHITE_CARD),
  );
  const pairs = nearestPairs(shelf);
  expect(pairs).toHaveLength(3);
  expect(pairs.map(({ difference }) => difference)).toEqual(
    pairs.map(({ difference }) => difference).toSorted((p, q) => p - q),
  );
  expect(nearestPairs(shelf.slice(0, 1))).toEqual([]);
  expect(nearestPairs(dryShelf(DEMO_INKS, bareGround(WHITE_CARD)), 5)).toHaveLength(5);
});

test('every colourful ink has one place on the hue and value plane; greys have none', () => {
  const shelf = dryShelf(
    [ink('red', '#c0202a'), ink('sea', '#1f9f8a'), ink('grey', '#808080')],
    bareGround(WHITE_CARD),
  );
  expect(
    shelfPlane(shelf)
      .flat()
      .reduce((sum, count) => sum + count, 0),
  ).toBe(2);
  expect(shelfPlane(dryShelf([ink('red', '#c0202a')], bareGround(WHITE_CARD))).map((row) => row[0])).toEqual([
    0, 0, 0, 1, 0,
  ]);
});

test('with a second swatch over black, hiding is solved: an opaque ink scatters more than a clear one', () => {
  const scattering = (overBlack: `#${string}`) =>
    filmOfInk({ ...ink('x', '#c9b060'), overBlack }).scattering[0] ?? 0;
  expect(scattering('#b59d50')).toBeGreaterThan(4 * scattering('#3a3428'));
  expect(contrastRatio('#c9b060', '#b59d50')).toBeGreaterThan(0.7);
  expect(contrastRatio('#c9b060', '#c9b060')).toBe(1);
});
