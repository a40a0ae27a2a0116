import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { type Corners, canBeSeen, projectionOf } from '../../base/perspective';
import { panelSampler } from '../../engine/probe';
import { deltaE00 } from '../../materials/colour/difference';
import { photographPanel } from '../stand/photograph';
import { asMade } from '../stand/trueInks';
import { findPanel } from './findPanel';
import { readingPlaces } from './places';
import { readPanel } from './readPanel';

const three = resolvedOf([ink('Gorse', '#e9c85a'), ink('Rowan', '#c87a5a'), ink('Skerry', '#7a6a5e')]);
const resolved = { ...three, recipe: { ...three.recipe, joints: [{ width: 22 }, { width: 22 }] } };
const SIZE = { width: 600, height: 800 };
const shoot = (seed: number, mishap?: 'glare' | 'shadow' | 'clipped') => {
  const made = asMade(resolved, 1, seed);
  return { made, ...photographPanel(made, { seed, ...SIZE, ...(mishap ? { mishap } : {}) }) };
};

test('a projection brings the corners where they are seen, and straight lines to straight lines', () => {
  const corners: Corners = [
    { x: 10, y: 20 },
    { x: 300, y: 35 },
    { x: 280, y: 400 },
    { x: 25, y: 380 },
  ];
  const project = projectionOf(corners, 80, 100);
  [project(0, 0), project(80, 0), project(80, 100), project(0, 100)].forEach((point, i) => {
    expect(point.x).toBeCloseTo(corners[i]?.x ?? 0, 9);
    expect(point.y).toBeCloseTo(corners[i]?.y ?? 0, 9);
  });
  const [p, q, r] = [project(0, 0), project(40, 50), project(80, 100)];
  expect((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)).toBeCloseTo(0, 6);
  expect(canBeSeen(corners)).toBe(true);
  expect(canBeSeen([corners[0], corners[2], corners[1], corners[3]])).toBe(false);
});

test('places are in every solid and every joint, clear of the edges', () => {
  const places = readingPlaces(resolved);
  expect(places.filter(({ label }) => label.endsWith('solid')).map(({ label }) => label)).toEqual([
    'Gorse, solid',
    'Rowan, solid',
    'Skerry, solid',
  ]);
  expect(places.filter(({ label }) => label.includes(' into '))).toHaveLength(6);
  for (const { x, y } of places) {
    expect(Math.min(x, resolved.recipe.panel.width - x)).toBeGreaterThanOrEqual(3);
    expect(Math.min(y, resolved.recipe.panel.height - y)).toBeGreaterThanOrEqual(3);
  }
});

describe('a panel photographed askew under an uneven, tinted lamp', () => {
  test.each([3, 4, 5])('is found and read, evening %i', (seed) => {
    const { made, picture, corners } = shoot(seed);
    const found = findPanel(picture);
    if (!found) throw new Error('not found');
    found.forEach(({ x, y }, i) => {
      expect(Math.hypot(x - (corners[i]?.x ?? 0), y - (corners[i]?.y ?? 0))).toBeLessThan(0.01 * SIZE.width);
    });
    const read = readPanel(picture, found, resolved);
    if ('problem' in read) throw new Error(read.problem);
    const truth = panelSampler(made);
    const off = read.places
      .filter(({ doubt }) => !doubt)
      .map(({ x, y, lab }) => deltaE00(lab, truth(x, y).lab));
    expect(off.length).toBeGreaterThan(6);
    expect(off.toSorted((p, q) => p - q)[off.length >> 1]).toBeLessThan(1);
    expect(Math.max(...off)).toBeLessThan(3);
  });

  test('in a shadow, most places that are read wrong are left out', () => {
    const { made, picture, corners } = shoot(3, 'shadow');
    const read = readPanel(picture, corners, resolved);
    if ('problem' in read) throw new Error(read.problem);
    const truth = panelSampler(made);
    const off = (of: typeof read.places) => of.map(({ x, y, lab }) => deltaE00(lab, truth(x, y).lab));
    const wrong = read.places.filter((_, i) => (off(read.places)[i] ?? 0) > 3);
    const doubted = (of: typeof read.places) => of.filter(({ doubt }) => doubt).length;
    expect(doubted(wrong)).toBeGreaterThan(wrong.length / 2);
    // By full light hardly a place is doubted.
    const { picture: lit, corners: there } = shoot(3);
    const clear = readPanel(lit, there, resolved);
    if ('problem' in clear) throw new Error(clear.problem);
    expect(doubted(clear.places)).toBeLessThan(doubted(read.places) / 2);
  });

  test('under a strong glint, what is far too light is left out', () => {
    const { picture, corners } = shoot(3, 'glare');
    const read = readPanel(picture, corners, resolved);
    if ('problem' in read) throw new Error(read.problem);
    expect(read.places.some(({ doubt }) => doubt?.match(/glare|uneven/))).toBe(true);
  });

  test('exposed too long, with too little bare card, or with crossed corners, nothing is read, and it says why', () => {
    const { picture, corners } = shoot(3, 'clipped');
    expect(readPanel(picture, corners, resolved)).toEqual({ problem: expect.stringContaining('bare card') });
    const [a, b, c, d] = corners;
    expect(readPanel(picture, [a, c, b, d], resolved)).toEqual({
      problem: expect.stringContaining('corners'),
    });
    const blank = { ...SIZE, data: new Uint8ClampedArray(SIZE.width * SIZE.height * 4).fill(255) };
    expect(findPanel(blank)).toBeUndefined();
  });
});
