import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { LoggedReading } from './made';
import { stillThere, withoutReadings, withReadings } from './readings';

const readingOf = (l: number): LoggedReading => ({
  lab: { l, a: 0, b: 0 },
  source: 'photograph',
  noise: 2,
  at: { x: l, y: 1 },
});
const placed = (readings: readonly LoggedReading[], places: readonly number[]) =>
  readings.flatMap((reading, place) => (places.includes(place) ? [{ place, reading }] : []));

test('readings that are taken out come back where they stood, with what was read meanwhile behind them', () => {
  fc.assert(
    fc.property(fc.subarray([0, 1, 2, 3, 4, 5]), fc.nat(3), (places, more) => {
      const all = [10, 20, 30, 40, 50, 60].map(readingOf);
      const gone = placed(all, places);
      const left = withoutReadings(all, gone);
      expect(left).toHaveLength(all.length - places.length);
      const since = Array.from({ length: more }, (_, i) => readingOf(70 + i));
      expect(withReadings([...left, ...since], gone)).toEqual([...all, ...since]);
    }),
  );
});

test('pressed twice, only what was meant is taken out: its place has another by then', () => {
  const all = [10, 20, 30].map(readingOf);
  const gone = placed(all, [1]);
  const left = withoutReadings(all, stillThere(all, gone));
  expect(stillThere(left, gone)).toEqual([]);
  expect(withoutReadings(left, stillThere(left, gone))).toEqual([all[0], all[2]]);
  // The last one's place is empty then.
  const last = placed(all, [2]);
  expect(stillThere(withoutReadings(all, last), last)).toEqual([]);
});
