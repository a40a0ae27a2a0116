import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestOfEveryOrder } from '../../../testing/bestOfEveryOrder';
import { faultsOfPlan } from '../../../testing/checkSitting';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { compileSheet } from '../../sheet/compile';
import { outcomeOf } from './evaluate';
import { groupOf } from './fromSheet';
import { whatWouldHelp } from './help';
import { planSitting } from './plan';
import {
  type AtHand,
  type Operation,
  type PanelGroup,
  type Planned,
  type Sitting,
  USUAL_TABLE,
  whyNot,
} from './sitting';
import { workbenchOf } from './workbench';

const minutes = fc.integer({ min: 1, max: 12 }).map((n) => n / 2);
const anInk = fc.constantFrom('Gorse', 'Leat', 'Skerry', undefined);
const operation: fc.Arbitrary<Operation> = fc
  .record({
    minutes,
    ink: anInk,
    dries: fc.boolean(),
    wait: minutes,
    open: fc.boolean(),
    heat: fc.boolean(),
    stamp: fc.option(fc.constantFrom('reeds', 'hills')),
    brush: fc.option(
      fc.record({ holds: fc.constantFrom('gold', 'blue', 'red'), set: fc.constantFrom('dye', 'pigment') }),
    ),
  })
  .map(({ minutes: takes, ink: wanted, dries, wait, open, heat, stamp, brush }) => ({
    name: 'work',
    minutes: takes,
    ...(wanted ? { ink: wanted } : {}),
    ...(brush ? { brush } : {}),
    ...(heat ? { heat } : {}),
    ...(stamp ? { things: [stamp] } : {}),
    ...(dries ? { rest: { min: 3 * wait } } : open ? { rest: { max: 2 + wait } } : {}),
  }));
const group = (count: fc.Arbitrary<number>, most: number): fc.Arbitrary<PanelGroup> =>
  fc.record({
    name: fc.constant('one'),
    count,
    operations: fc.array(operation, { minLength: 1, maxLength: most }),
  });
const table: fc.Arbitrary<AtHand> = fc.record({
  hands: fc.integer({ min: 1, max: 2 }),
  mats: fc.integer({ min: 1, max: 3 }),
  heatTools: fc.constant(1),
  places: fc.integer({ min: 30, max: 40 }),
  wipeMinutes: fc.constant(0.5),
  washMinutes: fc.constant(1.5),
  dampMinutes: fc.integer({ min: 0, max: 20 }),
  brushes: fc.oneof(
    fc.constant({}),
    fc.record({ dye: fc.integer({ min: 1, max: 4 }), pigment: fc.integer({ min: 1, max: 2 }) }),
  ),
});

test('whatever the evening, its plan can be worked: an independent checker finds no fault', {
  timeout: 120_000,
}, () => {
  const evening = fc.record({
    groups: fc.array(group(fc.integer({ min: 1, max: 6 }), 5), { minLength: 1, maxLength: 3 }),
    atHand: table,
    breaks: fc
      .option(fc.record({ start: fc.integer({ min: 0, max: 60 }), minutes: fc.integer({ min: 1, max: 30 }) }))
      .map((one) => (one ? [one] : [])),
    wants: fc.constantFrom('early' as const, 'clean' as const),
  });
  fc.assert(
    fc.property(evening, (sitting: Sitting) => {
      fc.pre(whyNot(sitting) === undefined);
      const { plan, order, bound, naive } = planSitting(sitting, { steps: 1 });
      expect(faultsOfPlan(sitting, plan)).toEqual([]);
      expect(plan.makespan).toBeGreaterThanOrEqual(bound - 1e-6);
      // What orders are compared by is what their plans show.
      const { lines, ...told } = plan;
      const done = (what: Planned['does']) => lines.filter(({ does }) => does === what).length;
      expect([told.wipes, told.washes]).toEqual([done('wipe'), done('wash')]);
      const worked = Math.max(...lines.map(({ end }) => end));
      expect(outcomeOf(workbenchOf(sitting), order)).toEqual({ ...told, worked });
      if (sitting.wants === 'early' && naive.panelAfterPanel)
        expect(plan.makespan).toBeLessThanOrEqual(naive.panelAfterPanel.makespan + 1e-6);
    }),
    { numRuns: 400 },
  );
});

test('a stage that lacks a mat, then a brush, then the stamp while a break comes is begun once all are free', () => {
  const red = { holds: 'red', set: 'pigment' };
  const join = { max: 2.5 };
  const printed: Operation[] = [
    { name: 'ink', minutes: 0.5, ink: 'Gorse', things: ['reeds'], rest: join },
    { name: 'ink', minutes: 0.5, ink: 'Gorse', brush: red, rest: join },
    { name: 'ink', minutes: 1.5, ink: 'Skerry', rest: join },
    { name: 'ink', minutes: 4.5, ink: 'Gorse', things: ['reeds'], rest: join },
    { name: 'ink', minutes: 3.5, ink: 'Gorse', brush: red },
  ];
  const stamped: Operation[] = [
    { name: 'lay', minutes: 0.5, ink: 'Leat' },
    { name: 'lay', minutes: 3.5, ink: 'Gorse', things: ['reeds'], rest: { min: 16.5 } },
    { name: 'set', minutes: 0.5, ink: 'Skerry', brush: { holds: 'red', set: 'dye' }, heat: true },
    { name: 'edge', minutes: 0.5, ink: 'Leat', brush: { holds: 'gold', set: 'pigment' }, rest: { min: 3 } },
  ];
  const embossed: Operation[] = [
    {
      name: 'emboss',
      minutes: 4.5,
      ink: 'Skerry',
      brush: { holds: 'blue', set: 'pigment' },
      heat: true,
      things: ['reeds'],
      rest: { min: 6 },
    },
  ];
  const sitting: Sitting = {
    groups: [
      { name: 'printed', count: 4, operations: printed },
      { name: 'stamped', count: 2, operations: stamped },
      { name: 'embossed', count: 2, operations: embossed },
    ],
    atHand: { ...USUAL_TABLE, hands: 2, mats: 2, dampMinutes: 3, brushes: { dye: 2, pigment: 2 } },
    breaks: [{ start: 30, minutes: 10 }],
  };
  expect(faultsOfPlan(sitting, planSitting(sitting, { steps: 1 }).plan)).toEqual([]);
});

test('two pairs of hands share mats, and wipe none in a break', () => {
  const work = (ink?: string): Operation => ({ name: 'work', minutes: 0.5, ...(ink ? { ink } : {}) });
  // One pair is done before the break and waits for the mat, which is free only just before it.
  const heldUp = {
    groups: [
      { name: 'one', count: 1, operations: [work('Gorse'), work(), work('Skerry')] },
      { name: 'one', count: 1, operations: [{ ...work('Gorse'), rest: { min: 18 } }, work('Gorse')] },
    ],
    mats: 1,
    breaks: [{ start: 20, minutes: 1 }],
    wipeMinutes: 2,
  };
  const evening = fc.record({
    groups: fc.array(group(fc.integer({ min: 1, max: 4 }), 4), { minLength: 2, maxLength: 3 }),
    mats: fc.integer({ min: 1, max: 2 }),
    breaks: fc.array(
      fc.record({ start: fc.integer({ min: 2, max: 40 }), minutes: fc.integer({ min: 1, max: 9 }) }),
      { minLength: 1, maxLength: 1 },
    ),
    wipeMinutes: fc.constantFrom<number>(0.5, 2),
  });
  fc.assert(
    fc.property(evening, ({ groups, mats, breaks, wipeMinutes }) => {
      const atHand = { ...USUAL_TABLE, brushes: {}, hands: 2, mats, wipeMinutes };
      const sitting: Sitting = { groups, atHand, breaks, wants: 'clean' };
      fc.pre(whyNot(sitting) === undefined);
      expect(faultsOfPlan(sitting, planSitting(sitting, { steps: 1 }).plan)).toEqual([]);
    }),
    { numRuns: 300, examples: [[heldUp]] },
  );
});

test('of few panels to dry at once, no more ever lie there', () => {
  const few = fc.record({
    groups: fc.array(group(fc.integer({ min: 1, max: 5 }), 4), { minLength: 1, maxLength: 2 }),
    places: fc.integer({ min: 1, max: 3 }),
  });
  fc.assert(
    fc.property(few, ({ groups, places }) => {
      const sitting = { groups, atHand: { ...USUAL_TABLE, places } };
      fc.pre(whyNot(sitting) === undefined);
      expect(faultsOfPlan(sitting, planSitting(sitting, { steps: 4 }).plan)).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

test('alike panels with a wait between two pieces of work end when the closed form says', () => {
  // n panels with work a, a wait of at least L, work b on one pair of hands end at max(n(a+b), a+L+nb, na+L+b). Source, from
  // memory: E. D. Wikum, D. C. Llewellyn, G. L. Nemhauser, Oper. Res. Lett. 16 (1994) 87, chains with minimum delays.
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      minutes,
      minutes,
      fc.integer({ min: 0, max: 60 }),
      (n, a, b, wait) => {
        const operations = [
          { name: 'first', minutes: a, rest: { min: wait } },
          { name: 'second', minutes: b },
        ];
        const sitting = { groups: [{ name: 'alike', count: n, operations }], atHand: USUAL_TABLE };
        const closed = Math.max(n * (a + b), a + wait + n * b, n * a + wait + b);
        expect(planSitting(sitting).plan.makespan).toBeCloseTo(closed, 6);
      },
    ),
    { numRuns: 150 },
  );
});

test('of up to eight pieces of work the plan is the best there is, by trying every order of every piece', {
  timeout: 120_000,
}, () => {
  // Wipes at any moment, in the midst of a chain too; joins that close; heat that is late.
  const work = fc.record({
    minutes,
    ink: anInk,
    min: fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 12 })),
    max: fc.option(fc.integer({ min: 1, max: 6 })),
    heat: fc.boolean(),
  });
  const few = fc.record({
    panels: fc.array(fc.array(work, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 4 }),
    mats: fc.integer({ min: 1, max: 2 }),
  });
  fc.assert(
    fc.property(few, ({ panels, mats }) => {
      fc.pre(panels.flat().length <= 8);
      const groups = panels.map(
        (own): PanelGroup => ({
          name: 'panel',
          count: 1,
          operations: own.map(({ minutes: takes, ink: wanted, min, max, heat }) => ({
            name: 'work',
            minutes: takes,
            ...(wanted ? { ink: wanted } : {}),
            ...(heat ? { heat } : {}),
            rest: max === null ? { min } : { max },
          })),
        }),
      );
      const sitting = { groups, atHand: { ...USUAL_TABLE, mats } };
      fc.pre(whyNot(sitting) === undefined);
      const { plan } = planSitting(sitting);
      expect(faultsOfPlan(sitting, plan)).toEqual([]);
      expect(bestOfEveryOrder(sitting, plan.makespan)).toBeCloseTo(plan.makespan, 6);
    }),
    { numRuns: 100 },
  );
});

describe('an evening of recipes', () => {
  const resolved = resolvedOf([
    ink('Gorse', '#f8d46f'),
    ink('Leat', '#009aab', 'dye'),
    ink('Skerry', '#005487'),
  ]);

  test('one panel is its sheet', () => {
    const sheet = compileSheet(resolved, 'mm');
    const { plan } = planSitting({ groups: [groupOf(resolved, 1)], atHand: USUAL_TABLE });
    const prepared = sheet.steps
      .filter(({ kind }) => kind === 'prepare')
      .reduce((sum, { minutes: takes = 0 }) => sum + takes, 0);
    const untimed =
      0.5 * sheet.steps.filter((step) => step.kind !== 'prepare' && step.minutes === undefined).length;
    expect(plan.makespan).toBeCloseTo(sheet.workMinutes + sheet.dryMinutes - prepared + untimed, 1);
  });

  test('forty-eight panels are planned near the bound, earlier than panel after panel, and more mats save more', () => {
    const sitting = { groups: [groupOf(resolved, 48)], atHand: { ...USUAL_TABLE, places: 60 } };
    const { plan, bound, naive } = planSitting(sitting, { steps: 40 });
    expect(faultsOfPlan(sitting, plan)).toEqual([]);
    expect(plan.makespan / bound).toBeLessThan(1.01);
    expect(plan.makespan).toBeLessThan(naive.panelAfterPanel?.makespan ?? 0);
    const [best] = whatWouldHelp(sitting, plan, { steps: 10 });
    expect(best?.saves).toBeGreaterThan(5);
  });

  test('what cannot be worked is told with what to change', () => {
    const group = groupOf(resolved, 2);
    expect(whyNot({ groups: [group], atHand: { ...USUAL_TABLE, mats: 0 } })).toMatch(/needs a mat.*add one/);
    expect(whyNot({ groups: [group], atHand: { ...USUAL_TABLE, places: 0 } })).toMatch(/no place/);
    const heated = { ...group, operations: [{ name: 'melt', minutes: 2, heat: true }] };
    expect(whyNot({ groups: [heated], atHand: { ...USUAL_TABLE, heatTools: 0 } })).toMatch(/heat tool/);
    const closes = {
      ...group,
      operations: [
        { name: 'lay', minutes: 1, ink: 'Leat', rest: { max: 0.2 } },
        { name: 'next', minutes: 1, ink: 'Gorse' },
      ],
    };
    expect(whyNot({ groups: [closes], atHand: USUAL_TABLE })).toMatch(/the join closes in 0\.2 min/);
  });
});
