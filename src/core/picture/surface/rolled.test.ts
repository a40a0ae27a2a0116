import { describe, expect, test } from 'vitest';
import { TOOLS } from '../../recipe/tools/tools';
import { type Track, tracksOf } from './rolled';
import { SPAN, slowOver } from './warp';

const rolled = TOOLS.brayer.look.rolled;
if (!rolled) throw new Error('a brayer rolls');
const DOWN = { x: 0, y: 1 };
/** What lies across a panel 200 mm wide, every tenth of a millimetre, so far down it. */
function across(depth: number, y: number, toward = DOWN): Track[] {
  const track = tracksOf(rolled as NonNullable<typeof rolled>, toward, depth);
  return Array.from({ length: 2000 }, (_, i) => {
    const into = { cover: 0, bare: 0 };
    const along = { x: i * 0.1, y };
    track(toward.y === 1 ? along.x : y, toward.y === 1 ? along.y : along.x, 0, into);
    return into;
  });
}
const covers = (tracks: readonly Track[]) => tracks.map(({ cover }) => cover);
const spread = (values: readonly number[]) => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
};
/** How alike two rows of streaks are, −1…1. */
function alike(one: readonly number[], other: readonly number[]): number {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [p, q] = [mean(one), mean(other)];
  const sum = one.reduce((all, value, i) => all + (value - p) * ((other[i] ?? 0) - q), 0);
  return sum / (one.length * spread(one) * spread(other));
}

describe('a roller', () => {
  test('leaves streaks that spread as told, none where a mist has smoothed them', () => {
    const whole = spread(covers(across(1, 20)));
    expect(whole / rolled.streaks.spread).toBeGreaterThan(0.5);
    expect(whole / rolled.streaks.spread).toBeLessThan(2);
    expect(spread(covers(across(0.5, 20)))).toBeCloseTo(whole / 2, 6);
    expect(across(0, 20).every(({ cover, bare }) => cover === 0 && bare === 0)).toBe(true);
  });

  test('draws its streaks along the way it goes: a little farther on they are the same, far on others', () => {
    const here = covers(across(1, 20));
    expect(alike(here, covers(across(1, 21)))).toBeGreaterThan(0.8);
    const on = [80, 160, 240, 320].map((y) => alike(here, covers(across(1, y))));
    expect(Math.min(...on)).toBeLessThan(0.7);
    expect(alike(here, covers(across(1, 21, { x: 1, y: 0 })))).toBeLessThan(0.8);
  });

  test('leaves little of the card bare, and never more than all of it', () => {
    const bare = [0, 40, 80, 120].flatMap((y) => across(1, y).map((track) => track.bare));
    for (const part of bare) {
      expect(part).toBeGreaterThanOrEqual(0);
      expect(part).toBeLessThanOrEqual(1);
    }
    expect(bare.reduce((sum, part) => sum + part, 0) / bare.length).toBeLessThan(0.15);
  });
});

test('slow changes hang on the panel in mm: a larger panel has those of a smaller, and threads run straight', () => {
  const [small, large] = [slowOver(60, 80, false), slowOver(120, 160, false)];
  expect([small.columns, small.rows]).toEqual([60 / SPAN + 1, 80 / SPAN + 1]);
  for (let row = 0; row < small.rows; row++)
    for (let column = 0; column < small.columns; column++) {
      expect(large.aside[row * large.columns + column]).toBe(small.aside[row * small.columns + column]);
      expect(large.below[row * large.columns + column]).toBe(small.below[row * small.columns + column]);
    }
  expect(spread([...small.hand])).toBeCloseTo(1, 5);
  expect(slowOver(60, 80, true).aside.every((far) => far === 0)).toBe(true);
});
