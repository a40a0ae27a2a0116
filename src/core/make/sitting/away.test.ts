import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { awaySince, leaveRun, takeUpRun } from './away';
import { groupOf } from './fromSheet';
import { leftOver, withoutPanels, withPanels } from './leftOver';
import { planSitting } from './plan';
import { newSitting, type SittingRecord, type SittingRun, sittingOf, standOf } from './record';
import { beginRun, nextLines, runNow, withDone } from './run';
import { type Sitting, USUAL_TABLE } from './sitting';

const resolved = resolvedOf([
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#009aab', 'dye'),
  ink('Skerry', '#005487'),
]);
const table = { ...USUAL_TABLE, brushes: { 'dye and hybrid': 3 }, places: 8 };
const record: SittingRecord = { ...newSitting('s', 'Sunday', '2026-11-29'), atHand: table };
const groups = [groupOf(resolved, 2)];
const sitting: Sitting = sittingOf(record, groups);
const DAYS = 3 * 24 * 60;

/** What a planner sees of the sitting with that run. */
const seen = (run: SittingRun): Sitting => sittingOf({ ...record, run }, groups);
const state = (run: SittingRun, now: number) => runNow(seen(run), run, now);
const since = (run: SittingRun, now: number) => awaySince(seen(run), run, state(run, now), now);
const first = (run: SittingRun, now: number) =>
  nextLines(state(run, now).plan, 1).find((line) => line !== undefined);
/** The run with its next piece done by then. */
function doNext(run: SittingRun, now: number): SittingRun {
  const line = first(run, now);
  if (!line) throw new Error('nothing is left');
  return withDone(seen(run), run, line, now);
}
const begun = doNext(doNext(beginRun(0, planSitting(sitting, { steps: 4 }).order), 2), 4);

describe('a desk that was left', () => {
  test('is told from one where a piece takes long, by its piece being done long after', () => {
    const { start = 0, end = 0 } = first(begun, 4) ?? {};
    expect(since(begun, 4)).toBeUndefined();
    expect(since(begun, 4 + (end - start) + 44)).toBeUndefined();
    expect(since(begun, 4 + (end - start) + 46)).toBe(4);
    expect(since(begun, DAYS)).toBe(4);
  });

  test('is not left while only drying is waited for, nor when all is done', () => {
    let [run, now] = [begun, 4];
    while (first(run, now)) {
      const { start = 0, end = 0 } = first(run, now) ?? {};
      if (start > now) {
        const middle = (now + start) / 2;
        expect(since(run, middle)).toBeUndefined();
      }
      now = end;
      run = doNext(run, now);
    }
    expect(since(run, now + DAYS)).toBeUndefined();
  });

  test('with two pairs of hands is left when neither has done its piece', () => {
    const pair = { ...record, atHand: { ...table, hands: 2 } };
    const of = sittingOf(pair, groups);
    const run = beginRun(0, planSitting(of, { steps: 4 }).order);
    const sinceThen = (one: SittingRun, now: number) => awaySince(of, one, runNow(of, one, now), now);
    expect(sinceThen(run, DAYS)).toBe(0);
    const line = nextLines(runNow(of, run, 100).plan, 2)[1];
    if (!line) throw new Error('the second pair of hands has nothing to do');
    expect(sinceThen(withDone(of, run, line, 100), 101)).toBeUndefined();
  });

  test('by a press is left at once, and once however often it is pressed', () => {
    const left = leaveRun(begun, 5);
    expect(since(left, 5.1)).toBe(5);
    expect(leaveRun(left, 8)).toBe(left);
  });

  test('is taken up again: three days count for no piece, and everything has dried', () => {
    for (const left of [leaveRun(begun, 4), begun]) {
      const again = takeUpRun(left, since(left, DAYS) ?? 0, DAYS);
      expect(again.away).toEqual([{ from: 4, to: DAYS }]);
      expect(since(again, DAYS + 1)).toBeUndefined();
      expect(state(again, DAYS).begun.panels.every(({ ready }) => ready <= DAYS)).toBe(true);
      const done = doNext(again, DAYS + 2).lines.at(-1);
      expect(done).toMatchObject({ start: DAYS, end: DAYS + 2 });
      // And it can be left once more.
      expect(takeUpRun(leaveRun(again, DAYS + 1), DAYS + 1, 2 * DAYS).away).toHaveLength(2);
    }
  });

  test('on a clock that was put back meanwhile is taken up no earlier than it was left', () => {
    expect(takeUpRun(leaveRun(begun, 5), 5, 1).away).toEqual([{ from: 5, to: 5 }]);
  });

  test('a break that falls into it is none of its own; another stays', () => {
    const breaks = [
      { id: 'a', at: '19:30', minutes: 15 },
      { id: 'b', at: '21:00', minutes: 10 },
    ];
    // Begun at seven by this machine's clock.
    const begunAt = new Date(2026, 10, 29, 19).getTime();
    const run = { ...begun, begunAt, away: [{ from: 25, to: 60 }, { from: 100 }] };
    expect(sittingOf({ ...record, breaks, run }, groups).breaks).toEqual([
      { start: 25, minutes: 35 },
      { start: 120, minutes: 10 },
    ]);
  });
});

describe('an evening that ends before its last panel', () => {
  test('leaves what is bare card and what is begun; without them nothing is left to do, and they come back', () => {
    const over = leftOver(sitting, begun);
    const touched = new Set(begun.lines.filter(({ does }) => does === 'operation').map(({ panel }) => panel));
    expect(over.untouched).toEqual([2 - touched.size]);
    expect(over.begun).toBe(touched.size);
    const ended = withoutPanels(begun, over.keys);
    expect(first(ended, 4)).toBeUndefined();
    expect(leftOver(sitting, ended)).toEqual({ untouched: [0], begun: 0, keys: [] });
    expect(withPanels(ended, over.keys)).toEqual(begun);
  });

  test('takes out no panel that is done and only dries', () => {
    let [run, now] = [begun, 4];
    while (leftOver(sitting, run).keys.length > 0) {
      now = first(run, now)?.end ?? 0;
      run = doNext(run, now);
    }
    expect(
      run.lines.filter(({ operation }) => operation === (groups[0]?.operations.length ?? 0) - 1),
    ).toHaveLength(2);
  });
});

test('an evening stands by its day and its run', () => {
  const stands = (change: Partial<SittingRecord>, day: string) => standOf({ ...record, ...change }, day);
  expect(stands({}, '2026-11-28')).toBe('to come');
  expect(stands({}, '2026-11-29')).toBe('to come');
  expect(stands({}, '2026-11-30')).toBe('gone by');
  expect(stands({ pattern: true }, '2026-11-30')).toBe('pattern');
  expect(stands({ run: begun }, '2026-12-30')).toBe('under way');
  expect(stands({ run: { ...begun, endedAt: 1 } }, '2026-11-29')).toBe('done');
});
