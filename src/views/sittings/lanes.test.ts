import { expect, test } from 'vitest';
import { groupOf } from '../../core/make/sitting/fromSheet';
import { type KnownSitting, numberOf, tellLine } from '../../core/make/sitting/known';
import { planSitting } from '../../core/make/sitting/plan';
import { newSitting, sittingOf } from '../../core/make/sitting/record';
import { USUAL_TABLE } from '../../core/make/sitting/sitting';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { lanesOf } from './lanes';
import { copyOf, restOf, splitOver } from './sittingActions';

const resolved = resolvedOf([
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#009aab', 'dye'),
  ink('Skerry', '#005487'),
]);
const lots = [5, 3].map((count, i) => ({ id: `l${i}`, recipeId: 'test', count }));
const record = {
  ...newSitting('s', 'Sunday', '2026-11-29'),
  lots,
  atHand: { ...USUAL_TABLE, mats: 2, brushes: { 'dye and hybrid': 3 } },
};
const groups = lots.map(({ count }) => groupOf(resolved, count));
const sitting = sittingOf(record, groups);
const known: KnownSitting = {
  record,
  lots: lots.map((lot, i) => ({
    lot,
    resolved,
    group: groups[i] ?? groupOf(resolved, 0),
    before: i === 0 ? 0 : 5,
  })),
  sitting,
  heated: [],
  gone: [],
  maker: {},
  sheets: [],
  question: '',
};
const { plan } = planSitting(sitting, { steps: 4 });

test('every piece stands in the lane of its hands, and in no lane do two things lie over each other', () => {
  const lanes = lanesOf(known, plan.lines);
  expect(lanes.filter(({ kind }) => kind === 'hands').flatMap(({ lines }) => lines)).toHaveLength(
    plan.lines.length,
  );
  for (const { lines, kind } of lanes) {
    const inOrder = lines.toSorted((p, q) => p.start - q.start);
    inOrder.forEach((line, i) => {
      const next = inOrder[i + 1];
      if (next && kind !== 'drying') expect(next.start).toBeGreaterThanOrEqual(line.end - 1e-6);
    });
  }
  const lying = lanes.find(({ kind }) => kind === 'drying')?.lying ?? [];
  expect(lying.length).toBeGreaterThanOrEqual(8);
  for (const one of lying)
    for (const other of lying)
      if (one !== other && one.row === other.row)
        expect(one.to <= other.from + 1e-6 || other.to <= one.from + 1e-6).toBe(true);
});

test('panels are numbered through, and a line is told with its brush and, of several, its mat', () => {
  expect(numberOf(known, { group: 1, panel: 0 })).toBe(6);
  const laid = plan.lines.find(({ does, mat }) => does === 'operation' && mat !== undefined);
  if (!laid) throw new Error('no ink is laid');
  expect(tellLine(known, laid)).toMatch(/^\w+.*, brush [A-C], mat [12]$/);
  expect(tellLine(known, { ...laid, does: 'wash', brush: 1 })).toBe('Wash brush B');
});

test('evenings follow each other day by day and keep every panel; a copy has none of the run', () => {
  const evenings = [
    [5, 0],
    [0, 3],
  ];
  const made = splitOver(record, lots, evenings, '2026-11-20');
  expect(made.map(({ date }) => date)).toEqual(['2026-11-29', '2026-11-30']);
  const late = splitOver(record, lots, evenings, '2026-12-31');
  expect(late.map(({ date }) => date)).toEqual(['2026-12-31', '2027-01-01']);
  expect(made.map((one) => one.lots.map(({ count }) => count))).toEqual([[5], [3]]);
  const [long] = splitOver({ ...record, name: 'x'.repeat(120) }, lots, evenings, '2026-11-20');
  expect(long?.name).toMatch(/^x{104}, evening 1 of 2$/);
  expect(made[0]?.id).toBe('s');
  const reserved = { ...record, reserves: [{ cardId: 'white', sheets: 2 }] };
  expect(copyOf(reserved, 'pattern')).toMatchObject({ pattern: true });
  expect(copyOf(reserved, { date: '2026-12-01' }).reserves).toBeUndefined();
});

test('what is dried with the heat tool is told so, and no longer in air', () => {
  const step = groupOf(resolved, 1, { drying: 'heat' }).steps.find(({ kind }) => kind === 'dry');
  expect(step?.title).toBe('Dry with the heat tool');
  expect(`${step?.work} ${step?.care.join(' ')}`).not.toMatch(/in air|Or heat tool/);
});

test('what an ended evening did not begin is another evening, of the panels that are left alone', () => {
  const over = { untouched: [0, 2], begun: 1, keys: [] };
  const rest = restOf({ ...record, name: 'x'.repeat(120) }, lots, over, '2026-11-30');
  expect(rest).toMatchObject({ date: '2026-11-30', lots: [{ ...lots[1], count: 2 }] });
  expect(rest?.name).toMatch(/^x+, the rest$/);
  expect(rest?.name).toHaveLength(120);
  expect(rest?.id).not.toBe(record.id);
  expect(restOf(record, lots, { ...over, untouched: [0, 0] }, '2026-11-30')).toBeUndefined();
});
