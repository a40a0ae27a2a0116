import fc from 'fast-check';
import { expect, test } from 'vitest';
import { longGaps, timeScale } from './timeScale';

const ROOM = { room: 600, least: 3, gap: 80 };

test('an evening fills the room; a long one is longer, at so much a minute', () => {
  const short = timeScale(100, [], ROOM);
  expect([short.x(0), short.x(50), short.x(100), short.width]).toEqual([0, 300, 600, 600]);
  expect(timeScale(300, [], ROOM).x(300)).toBe(900);
});

test('three days away are as wide as fifty minutes, and leave the rest of the evening its room', () => {
  const [hour, days] = [50, 4320].map((minutes) => timeScale(100 + minutes, [{ start: 20, minutes }], ROOM));
  expect(days?.width).toBe(600);
  expect(days?.x(20)).toBeCloseTo(104, 9);
  expect(days?.x(20 + 4320)).toBeCloseTo(184, 9);
  expect(days?.x(100 + 4320)).toBeCloseTo(600, 9);
  expect(hour?.x(20 + 50)).toBeCloseTo(184, 9);
  expect(hour?.aMinute).toBeCloseTo(5.2, 9);
});

test('only what was long is a gap, and nothing that lasts still', () => {
  expect(longGaps([{ from: 5, to: 20 }, { from: 30, to: 100 }, { from: 200 }])).toEqual([
    { start: 30, minutes: 70 },
  ]);
  expect(longGaps()).toEqual([]);
});

test('later is never further left, whatever the gaps', () => {
  const gaps = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 1, max: 5000 })), { maxLength: 4 })
    .map((parts) => {
      let at = 0;
      return parts.map(([wait, minutes]) => {
        const start = at + wait;
        at = start + minutes;
        return { start, minutes };
      });
    });
  fc.assert(
    fc.property(gaps, fc.integer({ min: 1, max: 20_000 }), (some, span) => {
      const { x, width } = timeScale(span, some, ROOM);
      const at = Array.from({ length: 41 }, (_, i) => x((span * i) / 40));
      at.forEach((px, i) => {
        expect(px).toBeGreaterThanOrEqual((at[i - 1] ?? 0) - 1e-6);
        expect(px).toBeLessThanOrEqual(width + 1e-6);
      });
    }),
  );
});
