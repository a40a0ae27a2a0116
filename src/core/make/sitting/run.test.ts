import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { faultsOfPlan } from '../../../testing/checkSitting';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import type { Design } from '../../materials/design/design';
import { keyOf } from './begun';
import { criticalLines, whyThen } from './critical';
import { doneTimes, mostBy, splitEvenings } from './evenings';
import { groupOf } from './fromSheet';
import { whatWouldHelp } from './help';
import { bottleDoes, millilitres, panelUse, usedTogether } from './materials';
import { planSitting } from './plan';
import { clockAfter, minutesBetween, newSitting, type SittingRun, whyNotPlanned } from './record';
import {
  beginRun,
  begunAt,
  minutesInto,
  nextLines,
  onClock,
  runNow,
  withDone,
  withOrder,
  withoutLast,
  withSound,
  withSpoiled,
} from './run';
import { type Plan, type Planned, type Sitting, USUAL_TABLE } from './sitting';

const [gorse, leat, skerry] = [
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#009aab', 'dye'),
  ink('Skerry', '#005487'),
];
const blue = resolvedOf([gorse, leat, skerry]);
const warm = resolvedOf([gorse, ink('Rowan', '#b8322f')]);
const TABLE = { ...USUAL_TABLE, brushes: { 'dye and hybrid': 3 }, places: 8 };
const sitting: Sitting = { groups: [groupOf(blue, 4), groupOf(warm, 3)], atHand: TABLE };
const QUICK = { steps: 6 };

describe('when a piece that is done now was begun', () => {
  const of: Sitting = { ...sitting, breaks: [{ start: 40, minutes: 15 }] };
  const piece = (change: Partial<Planned>): Planned => ({
    does: 'operation',
    group: 0,
    panel: 0,
    operation: 1,
    hand: 0,
    start: 0,
    end: 0,
    ...change,
  });
  const ran = (...lines: Planned[]) => ({ ...beginRun(0, []), lines });

  test('when its hands were last free; other hands do not count, and nothing begins after now', () => {
    const before = piece({ operation: 0, panel: 3, start: 2, end: 9 });
    expect(begunAt(of, ran(before), piece({}), 20)).toBe(9);
    expect(begunAt(of, ran({ ...before, hand: 1 }), piece({}), 20)).toBe(0);
    expect(begunAt(of, ran(before), piece({}), 5)).toBe(5);
  });

  test('no earlier than its own panel had dried, be the hands free or not; a spoiled panel is another', () => {
    const { operations } = of.groups[0] as Sitting['groups'][number];
    const dries = operations.findIndex(({ rest }) => (rest?.min ?? 0) > 0);
    const rest = operations[dries]?.rest?.min ?? 0;
    expect(rest).toBeGreaterThan(0);
    const before = { ...piece({ operation: dries, hand: 1, start: 1, end: 4 }) };
    expect(begunAt(of, ran(before), piece({ operation: dries + 1 }), 30)).toBe(4 + rest);
    expect(begunAt(of, ran({ ...before, panel: 2 }), piece({ operation: dries + 1 }), 30)).toBe(0);
    const spoiled = { ...beginRun(0, []), lines: [{ ...before, spoiled: true as const }] };
    expect(begunAt(of, spoiled, piece({ operation: dries + 1 }), 30)).toBe(0);
  });

  test('no earlier than a washed brush was dry, nor than a break was over that came in between', () => {
    const wash = piece({ does: 'wash', brush: 2, hand: 1, panel: 5, start: 3, end: 6 });
    expect(begunAt(of, ran(wash), piece({ brush: 2 }), 100)).toBe(55);
    expect(begunAt({ ...of, breaks: [] }, ran(wash), piece({ brush: 2 }), 100)).toBe(
      6 + of.atHand.dampMinutes,
    );
    expect(begunAt({ ...of, breaks: [] }, ran(wash), piece({ brush: 1 }), 100)).toBe(0);
    expect(begunAt(of, ran(), piece({}), 54)).toBe(0);
    expect(begunAt(of, ran(piece({ panel: 3, end: 50 })), piece({}), 70)).toBe(50);
  });

  test('a piece that is told done twice is done once', () => {
    const [line] = [piece({ operation: 0 })];
    const once = withDone(of, ran(), line, 5);
    expect(withDone(of, once, line, 8)).toBe(once);
    expect(withDone(of, once, { ...line, panel: 1 }, 8).lines).toHaveLength(2);
  });

  test('on a clock that was put back it is done no earlier than the last one, and never before the run', () => {
    const early = withDone(of, ran(), piece({}), -30);
    expect(early.lines).toMatchObject([{ start: 0, end: 0 }]);
    const late = withDone(of, ran(piece({ panel: 3, end: 50 })), piece({}), -10);
    expect(late.lines.at(-1)).toMatchObject({ start: 50, end: 50 });
    const hour = 60 * 60_000;
    expect(minutesInto(late, late.begunAt + hour)).toBe(60);
    expect(minutesInto(late, late.begunAt - hour)).toBe(50);
    expect(minutesInto(ran(), late.begunAt - hour)).toBe(0);
  });

  test('once the clock was put back the run goes on from the latest it knows of, with nothing moved', () => {
    const [minute, hour] = [60_000, 60 * 60_000];
    const run = { ...ran(piece({ end: 50 })), begunAt: 400 * 24 * hour };
    const latest = run.begunAt + 50 * minute;
    expect(onClock(run, latest + hour)).toBe(run);
    // As much as a clock is put right by itself.
    expect(onClock(run, latest - minute / 2)).toBe(run);
    const back = onClock(run, hour);
    expect(back).toEqual({ ...run, begunAt: hour - 50 * minute });
    expect(minutesInto(back, hour + 5 * minute)).toBe(55);
    expect(onClock(back, hour + 1)).toBe(back);
    // A desk that was left, or taken up, later than anything was done.
    for (const away of [[{ from: 70 }], [{ from: 60, to: 70 }]]) {
      expect(minutesInto(onClock({ ...run, away }, hour), hour)).toBeCloseTo(70, 9);
      expect(minutesInto({ ...run, away }, hour)).toBe(70);
    }
  });

  test('a brush is washed once, and a mat wiped once, until it is used again', () => {
    for (const [line, use, other] of [
      [piece({ does: 'wash', brush: 2 }), piece({ panel: 3, brush: 2 }), piece({ does: 'wash', brush: 1 })],
      [piece({ does: 'wipe', mat: 1 }), piece({ panel: 3, mat: 1 }), piece({ does: 'wipe', mat: 0 })],
    ] as const) {
      const once = withDone(of, ran(), line, 5);
      expect(withDone(of, once, line, 8)).toBe(once);
      expect(withDone(of, once, other, 8).lines).toHaveLength(2);
      expect(withDone(of, withDone(of, once, use, 8), line, 9).lines).toHaveLength(3);
    }
  });
});

/** Works a sitting off, each piece as much longer as is said; what happens between is up to the test. */
function workOff(
  of: Sitting,
  late: (step: number) => number,
  between: (run: ReturnType<typeof beginRun>, step: number) => ReturnType<typeof beginRun> = (run) => run,
) {
  let run = beginRun(0, planSitting(of, QUICK).order);
  let now = 0;
  for (let step = 0; step < 1000; step++) {
    run = between(run, step);
    const { plan } = runNow(of, run, now);
    const next = nextLines(plan, of.atHand.hands)
      .filter((line) => line !== undefined)
      .toSorted((p, q) => p.start - q.start)[0];
    if (!next) return { run, now };
    now = Math.max(now, next.end + late(step));
    run = withDone(of, run, next, now);
  }
  throw new Error('it never ends');
}

const asPlan = (of: Sitting, { lines }: ReturnType<typeof beginRun>, makespan: number): Plan => ({
  lines,
  makespan,
  wipes: lines.filter(({ does }) => does === 'wipe').length,
  washes: lines.filter(({ does }) => does === 'wash').length,
  waiting: of.groups.length,
});

describe('a run', () => {
  test('worked as planned it ends as planned, and is a plan without fault', () => {
    const { plan } = planSitting(sitting, QUICK);
    const { run, now } = workOff(sitting, () => 0);
    expect(Math.max(...plan.lines.map(({ end }) => end))).toBeCloseTo(now, 6);
    // A piece that waits for room to dry is counted from when the hands were free: it takes longer, and nothing else is amiss.
    const faults = faultsOfPlan(sitting, asPlan(sitting, run, plan.makespan));
    expect(faults.filter((fault) => !fault.includes('takes another time'))).toEqual([]);
  });

  test('however late and whichever panel is spoiled, every other panel is finished, each step once and in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1, max: 12 }),
        fc.boolean(),
        (lates, when, isAgain) => {
          const { run } = workOff(
            sitting,
            (step) => (lates[step % lates.length] ?? 0) / 4,
            (now, step) => {
              const last = now.lines.at(-1);
              return step === when && last ? withSpoiled(now, last, isAgain) : now;
            },
          );
          sitting.groups.forEach(({ count, operations }, group) => {
            for (let panel = 0; panel < count; panel++) {
              if (run.out.includes(keyOf({ group, panel }))) continue;
              const own = run.lines.filter(
                (line) =>
                  line.does === 'operation' && line.group === group && line.panel === panel && !line.spoiled,
              );
              expect(own.map(({ operation }) => operation)).toEqual(operations.map((_, i) => i));
              own.forEach((line, i) => {
                const min = operations[i]?.rest?.min ?? 0;
                const next = own[i + 1];
                if (next) expect(next.end).toBeGreaterThanOrEqual(line.end + min);
              });
            }
          });
        },
      ),
      { numRuns: 25 },
    );
  });

  test('a panel told spoiled that is not counts as it did, and what was done meanwhile stays', () => {
    const { run } = workOff(sitting, () => 0);
    const early = { ...run, lines: run.lines.slice(0, 5) };
    const panel = early.lines.find(({ does }) => does === 'operation') as Planned;
    const own = (run: SittingRun) =>
      run.lines
        .filter((line) => keyOf(line) === keyOf(panel) && line.does === 'operation' && !line.spoiled)
        .map(({ operation }) => operation);
    for (const isAgain of [true, false]) {
      const spoiled = withSpoiled(early, panel, isAgain);
      expect([own(spoiled).length > 0, spoiled.out.length]).toEqual([!isAgain, isAgain ? 0 : 1]);
      expect(withSpoiled(spoiled, panel, isAgain)).toEqual(spoiled);
      let later: SittingRun = spoiled;
      for (let step = 0; step < 4; step++) {
        const now = Math.max(...later.lines.map(({ end }) => end));
        const next = nextLines(runNow(sitting, later, now).plan, 1)[0];
        if (next) later = withDone(sitting, later, next, Math.max(now, next.start) + 2);
      }
      const sound = withSound(later, panel, early);
      expect(own(sound)).toEqual(own(early));
      expect(sound.out).toEqual([]);
      expect(sound.lines.map(({ spoiled: _, ...line }) => line)).toEqual(
        later.lines.map(({ spoiled: _, ...line }) => line),
      );
      expect(sound.lines.filter((line) => keyOf(line) !== keyOf(panel))).toEqual(
        later.lines.filter((line) => keyOf(line) !== keyOf(panel)),
      );
    }
  });

  test('with little room to dry it never comes to a stop, whatever is late or spoiled', () => {
    const tight = { ...sitting, atHand: { ...TABLE, places: 2 } };
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 2, max: 30 }),
        (lates, when) => {
          const { run } = workOff(
            tight,
            (step) => (lates[step % lates.length] ?? 0) / 4,
            (now, step) => {
              const last = now.lines.at(-1);
              return last && step % when === when - 1 && step < 60
                ? step % 2
                  ? withSpoiled(now, last, true)
                  : withoutLast(now)
                : now;
            },
          );
          expect(new Set(run.lines.map(keyOf)).size).toBe(7);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('taken back, it is as before; with one panel more, that is made too', () => {
    const first = beginRun(0, planSitting(sitting, QUICK).order);
    const [next] = nextLines(runNow(sitting, first, 0).plan, 1);
    if (!next) throw new Error('nothing to do');
    const done = withDone(sitting, first, next, 3);
    expect(withDone(sitting, done, next, 4)).toBe(done);
    expect(done.lines[0]).toMatchObject({ start: 0, end: 3 });
    expect(withoutLast(done).lines).toEqual([]);
    // What is taken back comes first again, under another order too.
    const backAgain = (run: typeof done) => nextLines(runNow(sitting, withoutLast(run), 4).plan, 1)[0];
    expect(backAgain(done)).toMatchObject({ group: next.group, operation: 0 });
    const turned = withOrder(sitting, done, runNow(sitting, done, 3).order.toReversed());
    expect(backAgain(turned)).toMatchObject({ group: next.group, operation: 0 });
    const more = { ...sitting, groups: [groupOf(blue, 5), groupOf(warm, 3)] };
    const { plan } = runNow(more, done, 3);
    expect(new Set(plan?.lines.map(keyOf)).size).toBe(8);
  });
});

describe('more than an evening', () => {
  const many = { ...sitting, groups: [groupOf(blue, 16), groupOf(warm, 16)] };

  test('what is done by an hour is done by then, and one more minute never makes it fewer', () => {
    const sum = (counts: readonly number[]) => counts.reduce((all, one) => all + one, 0);
    const by = (minutes: number) => mostBy(many, [16, 16], minutes, QUICK);
    const some = by(90);
    const groups = many.groups.map((group, g) => ({ ...group, count: some[g] ?? 0 }));
    expect(planSitting({ ...many, groups }, QUICK).plan.makespan).toBeLessThanOrEqual(90);
    expect(sum(some)).toBeGreaterThan(4);
    expect(sum(by(150))).toBeGreaterThan(sum(some));
    expect(sum(by(1))).toBe(0);
  });

  test('every panel falls on one evening, and each evening ends in time', () => {
    const evenings = splitEvenings(many, 120, QUICK) ?? [];
    expect(evenings.length).toBeGreaterThan(1);
    expect([0, 1].map((g) => evenings.reduce((sum, counts) => sum + (counts[g] ?? 0), 0))).toEqual([16, 16]);
    for (const counts of evenings) {
      const groups = many.groups.map((group, g) => ({ ...group, count: counts[g] ?? 0 }));
      expect(planSitting({ ...many, groups }, QUICK).plan.makespan).toBeLessThanOrEqual(120);
    }
    expect(splitEvenings(many, 2, QUICK)).toBeUndefined();
  });
});

test('the end hangs on an unbroken chain from the beginning, and what is not in it can take longer', () => {
  const { plan } = planSitting(sitting, QUICK);
  const critical = [...criticalLines(sitting, plan)];
  expect(Math.min(...critical.map(({ start }) => start))).toBeCloseTo(0, 6);
  expect(critical.length).toBeGreaterThan(3);
  // Every piece but the first begins because something lets it.
  for (const line of plan.lines)
    if (line.start > 1e-6) expect(whyThen(sitting, plan.lines, line)).toBeDefined();
  expect(plan.lines.some((line) => whyThen(sitting, plan.lines, line)?.for === 'its drying')).toBe(true);
  const times = doneTimes(sitting, plan);
  expect(Math.max(...times.values())).toBeCloseTo(plan.makespan, 6);
});

test('too few brushes are washed, enough are not; with room and mats a second pair of hands saves a fifth at least', () => {
  const washes = (count: number) =>
    planSitting({ ...sitting, atHand: { ...TABLE, brushes: { 'dye and hybrid': count } } }, QUICK).plan
      .washes;
  // Four colours: yellow is in both recipes.
  expect(washes(3)).toBeGreaterThanOrEqual(1);
  expect(washes(4)).toBe(0);
  const roomy: Sitting = { ...sitting, atHand: { ...TABLE, brushes: {}, mats: 6 } };
  const { plan } = planSitting(roomy, QUICK);
  const [best] = whatWouldHelp(roomy, plan, QUICK);
  expect(best?.what).toBe('a second pair of hands');
  expect(best?.saves).toBeGreaterThan(0.2 * plan.makespan);
});

describe('what a panel takes', () => {
  test('a third of a panel in one coat of each of three inks, twice as much on twice the panels', () => {
    const { inks } = panelUse(blue);
    const whole = (80 * 100) / 100;
    const coated = inks.reduce((sum, one) => sum + one.coated, 0);
    // Where two inks fade into each other there is less of each, and about as much of both.
    expect(coated).toBeGreaterThan(0.9 * whole);
    expect(coated).toBeLessThan(1.15 * whole);
    const twice = usedTogether([
      { use: panelUse(blue), count: 2 },
      { use: panelUse(warm), count: 1 },
    ]);
    const of = (name: string, list: typeof inks) => list.find((one) => one.name === name)?.coated ?? 0;
    expect(of('Leat', twice.inks)).toBeCloseTo(2 * of('Leat', inks), 6);
    expect(of('Gorse', twice.inks)).toBeGreaterThan(2 * of('Gorse', inks));
  });

  test('powder goes by the area of the design, and white by none', () => {
    const square: Design = {
      id: 'square',
      name: 'square',
      use: 'image',
      width: 40,
      height: 40,
      shapes: [{ d: 'M0 0H40V40H0Z', rule: 'nonzero' }],
    };
    const embossed = withPass(blue, 'clearResist', {
      design: square,
      params: { x: 40, y: 50, size: 40 },
    });
    const [powder] = panelUse(embossed).things;
    expect(powder?.thing).toBe('clear embossing powder');
    expect(powder?.amount).toBeGreaterThan(0.02);
    expect(powder?.amount).toBeLessThan(0.4);
    expect(panelUse(blue).things).toEqual([]);
  });

  test('a bottle does as many panels as its millilitres', () => {
    expect(millilitres(10_000, 12)).toBeCloseTo(12, 9);
    expect(bottleDoes(100, 15)).toBe(100);
    expect(bottleDoes(100, 30)).toBe(50);
  });
});

describe('a kept sitting', () => {
  test('hours go round midnight', () => {
    expect(minutesBetween('22:30', '00:15')).toBe(105);
    expect(clockAfter('22:30', 105)).toBe('00:15');
  });

  test('too many panels, or none, is told with what to change', () => {
    const empty = newSitting('s', 'Sunday', '2026-11-29');
    expect(whyNotPlanned(empty)).toMatch(/add a recipe/);
    const lot = { id: 'l', recipeId: 'r', count: 10_000 };
    expect(whyNotPlanned({ ...empty, lots: [lot] })).toMatch(/10000 panels are too many.*at most 200/);
    expect(whyNotPlanned({ ...empty, lots: [{ ...lot, count: 4 }] })).toBeUndefined();
    const breaks = [
      { id: 'a', at: '20:00', minutes: 30 },
      { id: 'b', at: '20:10', minutes: 10 },
    ];
    expect(whyNotPlanned({ ...empty, lots: [{ ...lot, count: 4 }], breaks })).toMatch(/move one of them/);
  });

  test('what has to be dried is dried as is wished; what melts needs its heat', () => {
    const air = groupOf(blue, 1, { drying: 'air' });
    const heat = groupOf(blue, 1, { drying: 'heat' });
    expect(air.operations.some((one) => one.heat)).toBe(false);
    const waits = (group: typeof air) =>
      group.operations.reduce((sum, { rest }) => sum + (rest?.min ?? 0), 0);
    expect(waits(air)).toBeGreaterThanOrEqual(waits(heat));
    expect(WHITE_CARD.id).toBe('white');
  });
});
