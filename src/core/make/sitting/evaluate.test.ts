import { describe, expect, test } from 'vitest';
import { washingUp } from './brushwork';
import { evaluate } from './evaluate';
import { plainOrders } from './orders';
import {
  type AtHand,
  type Operation,
  type Plan,
  type Planned,
  type Sitting,
  USUAL_TABLE,
  whyNot,
} from './sitting';
import { workbenchOf } from './workbench';
import type { Token } from './works';

/** Everything here is reckoned by hand: pieces of whole minutes, wiping 1 min, washing 2, damp for 10. */
const TABLE: AtHand = { ...USUAL_TABLE, wipeMinutes: 1, washMinutes: 2, dampMinutes: 10 };

const lay = (ink: string, minutes = 3, more: Partial<Operation> = {}): Operation => ({
  name: `lay ${ink}`,
  minutes,
  ink,
  ...more,
});
const sittingOf = (
  groups: readonly (readonly [number, readonly Operation[]])[],
  atHand: Partial<AtHand> = {},
  breaks: Sitting['breaks'] = [],
): Sitting => ({
  groups: groups.map(([count, operations], i) => ({ name: `group ${i}`, count, operations })),
  atHand: { ...TABLE, ...atHand },
  breaks,
});
const token = (group: number, stage = 0, wipesAfter?: readonly number[]): Token => ({
  group,
  stage,
  ...(wipesAfter ? { wipesAfter } : {}),
});
const planOf = (sitting: Sitting, ...order: Token[]): Plan | undefined =>
  evaluate(workbenchOf(sitting), order);
/** `0–3 lay 0.0`: from, to, what is done, on which panel of which group. */
const told = (plan: Plan | undefined): string[] =>
  (plan?.lines ?? []).map(
    ({ does, start, end, group, panel, hand, mat, brush }) =>
      `${start}–${end} ${does} ${group}.${panel}${hand > 0 ? ' second hands' : ''}${mat ? ` mat ${mat}` : ''}${brush === undefined ? '' : ` brush ${brush}`}`,
  );

describe('hands', () => {
  test('take one piece after another, and two pairs take two at once', () => {
    const panels = [[3, [lay('gorse')]]] as const;
    const order = [token(0), token(0), token(0)];
    const one = planOf(sittingOf(panels), ...order);
    expect(told(one)).toEqual(['0–3 operation 0.0', '3–6 operation 0.1', '6–9 operation 0.2']);
    expect(one).toMatchObject({ makespan: 9, waiting: 0, wipes: 0, washes: 0 });
    const two = planOf(sittingOf(panels, { hands: 2, mats: 2 }), ...order);
    expect(told(two)).toEqual([
      '0–3 operation 0.0',
      '0–3 operation 0.1 second hands mat 1',
      '3–6 operation 0.2',
    ]);
    expect(two).toMatchObject({ makespan: 6, waiting: 0 });
  });

  test('wait while a panel dries, and that is told; the last drying belongs to the evening', () => {
    const dries = [lay('gorse', 3, { rest: { min: 10 } }), lay('gorse', 2, { rest: { min: 7 } })];
    const plan = planOf(sittingOf([[1, dries]]), token(0, 0), token(0, 1));
    expect(told(plan)).toEqual(['0–3 operation 0.0', '13–15 operation 0.0']);
    expect(plan).toMatchObject({ waiting: 10, makespan: 22 });
  });

  test('rest in a break: what would go on into it begins after it, and the break is no waiting', () => {
    const plan = planOf(sittingOf([[2, [lay('gorse')]]], {}, [{ start: 4, minutes: 5 }]), token(0), token(0));
    expect(told(plan)).toEqual(['0–3 operation 0.0', '9–12 operation 0.1']);
    expect(plan).toMatchObject({ makespan: 12, waiting: 1 });
  });

  test('a stage before the one it follows, or more of them than there are panels, cannot be worked', () => {
    const two = sittingOf([[1, [lay('gorse', 3, { rest: { min: 1 } }), lay('leat')]]]);
    expect(planOf(two, token(0, 1), token(0, 0))).toBeUndefined();
    expect(planOf(two, token(0, 0), token(0, 0))).toBeUndefined();
    expect(planOf(two, token(3, 0))).toBeUndefined();
  });
});

describe('mats', () => {
  const inks = [
    [2, [lay('gorse')]],
    [1, [lay('leat')]],
  ] as const;

  test('are wiped for another ink, and not for the same', () => {
    const turned = planOf(sittingOf(inks), token(0), token(1), token(0));
    expect(told(turned)).toEqual([
      '0–3 operation 0.0',
      '3–4 wipe 1.0',
      '4–7 operation 1.0',
      '7–8 wipe 0.1',
      '8–11 operation 0.1',
    ]);
    expect(turned?.wipes).toBe(2);
    expect(planOf(sittingOf(inks), token(0), token(0), token(1))).toMatchObject({ wipes: 1, makespan: 10 });
    expect(planOf(sittingOf(inks, { mats: 2 }), token(0), token(1), token(0))).toMatchObject({
      wipes: 0,
      makespan: 9,
    });
  });

  test('of two, the one is wiped whose ink is wanted again last', () => {
    const three = [
      [2, [lay('gorse')]],
      [1, [lay('leat')]],
      [1, [lay('skerry')]],
    ] as const;
    const plan = planOf(sittingOf(three, { mats: 2 }), token(0), token(1), token(2), token(0));
    expect(told(plan)).toEqual([
      '0–3 operation 0.0',
      '3–6 operation 1.0 mat 1',
      '6–7 wipe 2.0 mat 1',
      '7–10 operation 2.0 mat 1',
      '10–13 operation 0.1',
    ]);
  });

  test('are wiped while the next panel still dries, where the hands have nothing else to do', () => {
    const dries = [lay('gorse', 3, { rest: { min: 10 } }), lay('leat', 2)];
    const plan = planOf(sittingOf([[1, dries]]), token(0, 0), token(0, 1));
    expect(told(plan)).toEqual(['0–3 operation 0.0', '3–4 wipe 0.0', '13–15 operation 0.0']);
  });

  test('are wiped ahead where the order says so, and an order that wipes a clean one cannot be worked', () => {
    const plan = planOf(sittingOf(inks), token(0, 0, [0]), token(1), token(0));
    expect(told(plan).slice(0, 3)).toEqual(['0–3 operation 0.0', '3–4 wipe 0.0', '4–7 operation 1.0']);
    expect(planOf(sittingOf(inks), token(0, 0, [1]), token(1), token(0))).toBeUndefined();
  });
});

describe('a join', () => {
  const joined = (max: number) => [lay('gorse', 3, { rest: { max } }), lay('leat', 2)];

  test('that stays open while the mat is wiped is worked in one go; else the evening cannot be, and says why', () => {
    const open = sittingOf([[1, joined(1)]]);
    expect(told(planOf(open, token(0)))).toEqual(['0–3 operation 0.0', '3–4 wipe 0.0', '4–6 operation 0.0']);
    expect(whyNot(open)).toBeUndefined();
    const closed = sittingOf([[1, joined(0.5)]]);
    expect(planOf(closed, token(0))).toBeUndefined();
    expect(whyNot(closed)).toContain('the join closes in 0.5 min, before “lay leat” can begin');
    expect(told(planOf(sittingOf([[1, joined(0)]], { mats: 2 }), token(0)))).toEqual([
      '0–3 operation 0.0',
      '3–5 operation 0.0 mat 1',
    ]);
  });

  test('is never left for a break: all of it begins after', () => {
    const plan = planOf(sittingOf([[1, joined(2)]], {}, [{ start: 4, minutes: 5 }]), token(0));
    expect(told(plan)).toEqual(['9–12 operation 0.0', '12–13 wipe 0.0', '13–15 operation 0.0']);
  });
});

describe('brushes', () => {
  const brushed = (ink: string): Operation => lay(ink, 3, { brush: { holds: ink, set: 'all' } });
  const two = [
    [2, [brushed('gorse')]],
    [1, [brushed('leat')]],
  ] as const;

  test('hold a colour each while there are enough; one alone is washed, and waited for until it is dry', () => {
    const enough = planOf(sittingOf(two, { mats: 2, brushes: { all: 2 } }), token(0), token(1), token(0));
    expect(told(enough)).toEqual([
      '0–3 operation 0.0 brush 0',
      '3–6 operation 1.0 mat 1 brush 1',
      '6–9 operation 0.1 brush 0',
    ]);
    const one = planOf(sittingOf(two, { mats: 2, brushes: { all: 1 } }), token(0), token(0), token(1));
    expect(told(one)).toEqual([
      '0–3 operation 0.0 brush 0',
      '3–6 operation 0.1 brush 0',
      '6–8 wash 0.1 brush 0',
      '18–21 operation 1.0 mat 1 brush 0',
    ]);
    expect(one).toMatchObject({ washes: 1, waiting: 10 });
  });

  test('that have colour on them at the end are washed after it; one washed last is clean', () => {
    const sitting = sittingOf(two, { mats: 2, brushes: { all: 2 } });
    const { lines } = planOf(sitting, token(0), token(1), token(0)) as Plan;
    expect(washingUp(sitting, lines)).toEqual({ brushes: [0, 1], minutes: 4 });
    const [first] = lines;
    const washed = { ...(first as Planned), does: 'wash' as const, start: 9, end: 11 };
    expect(washingUp(sitting, [washed, ...lines])).toEqual({ brushes: [1], minutes: 2 });
    expect(washingUp(sitting, [])).toEqual({ brushes: [], minutes: 0 });
  });
});

describe('room to dry and the heat tool', () => {
  const dries = [lay('gorse', 3, { rest: { min: 10 } }), lay('gorse', 2)];

  test('a panel waits for a place; an order that never frees one cannot be worked', () => {
    const narrow = sittingOf([[2, dries]], { places: 1 });
    expect(planOf(narrow, token(0, 0), token(0, 0), token(0, 1), token(0, 1))).toBeUndefined();
    const plan = planOf(narrow, token(0, 0), token(0, 1), token(0, 0), token(0, 1));
    expect(told(plan).map((line) => line.split(' ')[0])).toEqual(['0–3', '13–15', '15–18', '28–30']);
    expect(plan?.makespan).toBe(30);
    const wide = planOf(sittingOf([[2, dries]]), token(0, 0), token(0, 0), token(0, 1), token(0, 1));
    expect(wide?.makespan).toBe(18);
  });

  test('two pairs of hands share one heat tool, and have one each of two', () => {
    const heats = [[2, [{ name: 'heat', minutes: 4, heat: true }]]] as const;
    const order = [token(0), token(0)];
    expect(planOf(sittingOf(heats, { hands: 2 }), ...order)?.makespan).toBe(8);
    expect(planOf(sittingOf(heats, { hands: 2, heatTools: 2 }), ...order)?.makespan).toBe(4);
  });
});

test('the plain ways are those a maker would name, and one that finds no place to dry is left out', () => {
  const dries = [lay('gorse', 3, { rest: { min: 10 } }), lay('leat', 2)];
  const stages = (order: readonly Token[] | undefined) => order?.map(({ stage }) => stage).join('');
  const { panelAfterPanel, stageByStage, inFours } = plainOrders(workbenchOf(sittingOf([[6, dries]])));
  expect(stages(panelAfterPanel)).toBe('010101010101');
  expect(stages(stageByStage)).toBe('000000111111');
  expect(stages(inFours)).toBe('000011110011');
  const few = plainOrders(workbenchOf(sittingOf([[6, dries]], { places: 4 })));
  expect(Object.keys(few)).toEqual(['panelAfterPanel', 'inFours']);
});
