import { expect, test } from 'vitest';
import { USUAL_PACE } from './times';
import { timingOf } from './timing';

const lay = { kind: 'lay', minutes: 3 } as const;

test('a step that took half as long again says a band of usual size does so too', () => {
  expect(timingOf(lay, 4.5, USUAL_PACE)).toEqual({ work: 'layBand', minutes: 1.5 * USUAL_PACE.layBand });
  expect(timingOf({ kind: 'go back', minutes: 1 }, 1, USUAL_PACE)).toEqual({
    work: 'goBack',
    minutes: USUAL_PACE.goBack,
  });
});

test('nobody believes less than half the time, or more than three times as much; up to there it counts', () => {
  expect([1.49, 9.1].map((minutes) => timingOf(lay, minutes, USUAL_PACE))).toEqual([undefined, undefined]);
  expect([1.5, 9].every((minutes) => timingOf(lay, minutes, USUAL_PACE))).toBe(true);
});

test('drying and steps without a time are not timed', () => {
  expect(timingOf({ kind: 'dry', minutes: 30 }, 30, USUAL_PACE)).toBeUndefined();
  expect(timingOf({ kind: 'lay' }, 3, USUAL_PACE)).toBeUndefined();
});
