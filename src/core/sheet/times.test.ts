import fc from 'fast-check';
import { expect, test } from 'vitest';
import { describeMinutes, paceFrom, USUAL_PACE } from './times';

/** What is said, read again as minutes. */
function minutesOf(told: string): number {
  const [, seconds] = /^(\d+) s$/.exec(told) ?? [];
  if (seconds !== undefined) return Number(seconds) / 60;
  const [, hours = '0', , minutes = '0', half] = /^(?:(\d+) h)?( ?)(?:(\d+)?(½)? min)?$/.exec(told) ?? [];
  return 60 * Number(hours) + Number(minutes) + (half ? 0.5 : 0);
}

test('minutes are told to five seconds below one, to half a minute above, to a minute above an hour', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 600, noNaN: true }), (minutes) => {
      const told = describeMinutes(minutes);
      const off = Math.abs(minutesOf(told) - minutes);
      expect(off, `${minutes} told as ${told}`).toBeLessThanOrEqual(
        (minutes < 1 ? 2.5 / 60 : minutes < 60 ? 0.25 : 0.75) + 1e-9,
      );
      // Nobody says sixty seconds, or a quarter of nothing.
      expect(told).not.toMatch(/\b60 s|\b60 min|\b0 h|\b0 min/);
    }),
  );
  expect([0.99, 1, 59.8, 60, 61, 0].map(describeMinutes)).toEqual([
    '1 min',
    '1 min',
    '1 h',
    '1 h',
    '1 h 1 min',
    '0 s',
  ]);
});

test('longer is never told as shorter', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 300, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
      (minutes, more) => {
        expect(minutesOf(describeMinutes(minutes + more))).toBeGreaterThanOrEqual(
          minutesOf(describeMinutes(minutes)),
        );
      },
    ),
  );
});

test('a pace is the middle of the latest timings, and what was never timed is as usual', () => {
  const timed = (...minutes: number[]) => minutes.map((one) => ({ work: 'layBand' as const, minutes: one }));
  expect(paceFrom([])).toEqual(USUAL_PACE);
  expect(paceFrom(timed(3, 9, 4))).toEqual({ ...USUAL_PACE, layBand: 4 });
  // Of two the shorter; a slow day long ago is forgotten.
  expect(paceFrom(timed(3, 5)).layBand).toBe(3);
  expect(paceFrom(timed(90, 80, 70, ...Array.from({ length: 7 }, () => 2))).layBand).toBe(2);
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.1, max: 60, noNaN: true }), { minLength: 1, maxLength: 20 }),
      (all) => {
        const { layBand, goBack } = paceFrom(timed(...all));
        const latest = all.slice(-7);
        expect(latest).toContain(layBand);
        expect(latest.filter((one) => one < layBand).length).toBeLessThanOrEqual(latest.length / 2);
        expect(latest.filter((one) => one > layBand).length).toBeLessThanOrEqual(latest.length / 2);
        expect(goBack).toBe(USUAL_PACE.goBack);
      },
    ),
  );
});
