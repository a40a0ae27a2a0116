import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { DriedInks } from '../pairs/pairTable';
import {
  between,
  even,
  fall,
  hueSpread,
  hueStep,
  leastHueApart,
  partOfWay,
  soft,
  upTo,
  wayRound,
} from './measures';

/** Inks of these lightnesses and hues. */
const driedOf = (lightness: readonly number[], hue: readonly number[] = lightness.map(() => 0)): DriedInks =>
  ({
    lightness: Float64Array.from(lightness),
    hue: Float64Array.from(hue),
  }) as unknown as DriedInks;
const degrees = fc.integer({ min: 0, max: 359 });

describe('what a score is made of', () => {
  test('two gaps are as even as the smaller is of the larger; none at all, or one that falls, is not even', () => {
    expect([even(10, 10), even(5, 10), even(10, 5), even(-3, 10)]).toEqual([1, 0.5, 0.5, 0]);
    expect([even(0, 0), even(-4, -2)]).toEqual([0, 0]);
  });

  test('more is better without end, half at its half; nothing below nought', () => {
    expect([soft(-1, 10), soft(0, 10), soft(10, 10), soft(30, 10)]).toEqual([0, 0, 0.5, 0.75]);
  });

  test('it falls off to either side alike, to half at its half', () => {
    expect([fall(0, 8), fall(8, 8), fall(-8, 8), fall(16, 8)]).toEqual([1, 0.5, 0.5, 0.2]);
  });

  test('what is wanted is whole once it is reached', () => {
    expect([upTo(10, 40), upTo(40, 40), upTo(90, 40)]).toEqual([0.25, 1, 1]);
  });
});

describe('a middle between two ends in lightness', () => {
  const at = (middle: number) => between(driedOf([80, middle, 40]), 0, 1, 2);

  test('is best half way, falls to either side alike, and counts for nothing 6 L* beyond an end', () => {
    expect(at(60)).toBe(1);
    expect(at(70)).toBeCloseTo(at(50), 12);
    expect(at(66)).toBeGreaterThan(at(67));
    // Half a step of 20 and 6 beyond it: a half there, and nothing farther off.
    expect([at(86), at(34)]).toEqual([0.5, 0.5]);
    expect([at(86.01), at(33.99)]).toEqual([0, 0]);
  });
});

describe('hues', () => {
  test('a step goes the short way, up where it is half the circle', () => {
    expect([hueStep(350, 20), hueStep(20, 350), hueStep(0, 180), hueStep(90, 90)]).toEqual([30, -30, 180, 0]);
    fc.assert(
      fc.property(degrees, degrees, (from, to) => {
        const step = hueStep(from, to);
        expect(Math.abs(step)).toBeLessThanOrEqual(180);
        expect((from + step - to + 720) % 360).toBe(0);
      }),
    );
  });

  test('between opposites the mixture says the way: only where it plainly bows the other side, the plainer the nearer they are', () => {
    // Blue at 260° to gold at 85° is −175° the short way, by red; their mixture is green.
    expect(wayRound(260, 85, 0.2)).toBe(185);
    expect(wayRound(260, 85, -0.2)).toBe(-175);
    expect(wayRound(260, 85, 0.06)).toBe(-175);
    expect(wayRound(0, 138, -0.15)).toBe(138 - 360);
    expect(wayRound(0, 138, -0.14)).toBe(138);
    expect(wayRound(0, 137, -0.9)).toBe(137);
    expect(wayRound(0, 150, -0.07)).toBe(150 - 360);
    expect(wayRound(0, 149, -0.07)).toBe(149);
  });

  test('a hue stands at its part of the way, whichever way round that goes', () => {
    expect([partOfWay(350, 20, 60), partOfWay(20, 350, -60), partOfWay(10, 10, 40)]).toEqual([0.5, 0.5, 0]);
    expect(partOfWay(10, 90, 40)).toBe(2);
    fc.assert(
      fc.property(degrees, fc.integer({ min: 1, max: 359 }), (from, round) => {
        expect(partOfWay(from, (from + round) % 360, round)).toBeCloseTo(1, 9);
        expect(partOfWay(from, (from - round + 360) % 360, -round)).toBeCloseTo(1, 9);
      }),
    );
  });

  test('the spread of three is the largest of their three distances, and the least the smallest', () => {
    const inks = driedOf([0, 0, 0], [10, 350, 120]);
    expect([hueSpread(inks, 0, 1, 2), leastHueApart(inks, 0, 1, 2)]).toEqual([130, 20]);
    expect([hueSpread(inks, 2, 0, 1), leastHueApart(inks, 1, 2, 0)]).toEqual([130, 20]);
  });
});
