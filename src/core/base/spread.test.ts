import fc from 'fast-check';
import { expect, test } from 'vitest';
import { spread } from './spread';

test('labels with room stay where they are; too near each other they move down, at the foot up', () => {
  expect(spread([10, 60, 120], 40, [0, 200])).toEqual([10, 60, 120]);
  expect(spread([50, 52, 54], 40, [0, 200])).toEqual([50, 90, 130]);
  expect(spread([180, 190, 199], 40, [0, 200])).toEqual([120, 160, 200]);
  expect(spread([-20], 40, [0, 200])).toEqual([0]);
});

test('however they stand, they keep their order, their distance and their range', () => {
  const any = fc.array(fc.double({ min: -50, max: 450, noNaN: true }), { minLength: 1, maxLength: 9 });
  fc.assert(
    fc.property(any, (wanted) => {
      const places = spread(
        wanted.toSorted((p, q) => p - q),
        40,
        [20, 400],
      );
      places.forEach((place, i) => {
        expect(place).toBeGreaterThanOrEqual(20 - 1e-9);
        expect(place).toBeLessThanOrEqual(400 + 1e-9);
        if (i > 0) expect(place - (places[i - 1] ?? 0)).toBeGreaterThanOrEqual(40 - 1e-9);
      });
    }),
  );
});
