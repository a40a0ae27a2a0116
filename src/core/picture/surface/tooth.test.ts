import { describe, expect, test } from 'vitest';
import { FINISHES } from '../../materials/card/finishes';
import { addUneven, emptyTile, momentsOf, spreadOf, type Tile, withSpread } from './noise';
import { addFibres, heightTile, litTile, pitsOf } from './tooth';

const SIDE = 128;
const CELL = 0.1;
const heights = (finish: keyof typeof FINISHES) => heightTile(FINISHES[finish], SIDE, CELL, 7);
const mean = (values: ArrayLike<number>) =>
  Array.from(values).reduce((sum, value) => sum + value, 0) / values.length;
const at = ({ values, side }: Tile, row: number, column: number) =>
  values[((row + side) % side) * side + ((column + side) % side)] ?? Number.NaN;

describe('unevenness', () => {
  const uneven = { from: 0.3, to: 3, falls: 1.5, spread: 0.4 };
  test('spreads by what it was asked for, about nothing, and is the same for the same seed', () => {
    const [one, again, other] = [1, 1, 2].map((seed) => {
      const tile = emptyTile(SIDE, CELL);
      addUneven(tile, [uneven], seed);
      return tile.values;
    });
    expect(again).toEqual(one);
    expect(other).not.toEqual(one);
    const { mean: middle, deviation } = momentsOf(one as Float32Array);
    expect(middle).toBeCloseTo(0, 5);
    expect(deviation).toBeCloseTo(uneven.spread, 5);
  });

  test('of two kinds adds up as two that know nothing of each other', () => {
    const tile = emptyTile(SIDE, CELL);
    addUneven(tile, [uneven, { ...uneven, from: 1, to: 6, spread: 0.3 }], 3);
    expect(spreadOf(tile.values)).toBeCloseTo(0.5, 5);
  });

  test('goes on at its other side: no step across the seam is larger than steps are inside', () => {
    const tile = emptyTile(SIDE, CELL);
    addUneven(tile, [uneven], 5);
    const steps = (column: number) =>
      Math.max(
        ...Array.from({ length: SIDE }, (_, row) =>
          Math.abs(at(tile, row, column) - at(tile, row, column - 1)),
        ),
      );
    const inside = Array.from({ length: SIDE - 1 }, (_, i) => steps(i + 1));
    expect(steps(0)).toBeLessThanOrEqual(1.2 * Math.max(...inside));
  });

  test('of what is all alike is none', () => {
    expect(withSpread(new Float32Array(9).fill(4), 1).every((value) => value === 0)).toBe(true);
  });
});

describe('a card’s face', () => {
  test('is rougher the more tooth its finish has, and smooth card is all but flat', () => {
    const spread = (finish: keyof typeof FINISHES) => spreadOf(heights(finish).values);
    expect(spread('smooth')).toBeLessThan(spread('watercolour'));
    expect(spread('smooth')).toBeLessThan(spread('textured'));
  });

  test('leaves pits where it is deep, fewer where it is gone over in circles, none where it is flat', () => {
    const face = heights('watercolour');
    const [oneWay, everyWay] = [false, true].map((circles) => mean(pitsOf(face, circles)));
    expect(oneWay).toBeGreaterThan(0.001);
    expect(everyWay).toBeLessThan(oneWay as number);
    expect(mean(pitsOf(emptyTile(SIDE, CELL), false))).toBe(0);
    for (const part of pitsOf(face, false)) {
      expect(part).toBeGreaterThanOrEqual(0);
      expect(part).toBeLessThanOrEqual(1);
    }
  });

  test('keeps its pits where the face is lower than about it', () => {
    const face = heights('watercolour');
    const pits = pitsOf(face, false);
    const isDeep = (_: number, i: number) => (pits[i] ?? 0) > 0.5;
    const deep = face.values.filter(isDeep);
    const rest = face.values.filter((height, i) => !isDeep(height, i));
    expect(mean(deep)).toBeLessThan(mean(rest) - spreadOf(face.values));
  });

  test('is lit on the sides that look up and left, by as much as the others lie in shade', () => {
    const bump = emptyTile(SIDE, CELL);
    for (let row = 0; row < SIDE; row++)
      for (let column = 0; column < SIDE; column++)
        bump.values[row * SIDE + column] = 0.5 * Math.exp(-((row - 64) ** 2 + (column - 64) ** 2) / 60);
    const lit = litTile(bump);
    const there = (row: number, column: number) => lit[row * SIDE + column] ?? Number.NaN;
    expect(there(58, 58)).toBeGreaterThan(0);
    expect(there(70, 70)).toBeLessThan(0);
    expect(mean(lit)).toBeCloseTo(0, 3);
    expect(litTile(emptyTile(8, CELL)).every((light) => light === 0)).toBe(true);
  });

  test('shows its fibres, more of them dark than light, as strongly as it is told', () => {
    const [one, twice] = [0.1, 0.2].map((strength) => {
      const tile = emptyTile(SIDE, CELL);
      addFibres(tile, strength);
      return tile.values;
    }) as [Float32Array, Float32Array];
    one.forEach((tone, i) => {
      expect(twice[i]).toBeCloseTo(2 * tone, 4);
    });
    expect(mean(one)).toBeLessThan(0);
    expect(one.some((tone) => tone > 0)).toBe(true);
  });
});
