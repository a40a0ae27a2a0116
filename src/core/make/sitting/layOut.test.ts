import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../../testing/resolvedRecipes';
import { groupOf } from './fromSheet';
import { brushesOf, layOutOf, type Outlay, shortOf, tellAmount } from './layOut';
import { planSitting } from './plan';
import { newSitting, sittingOf } from './record';
import { type Planned, USUAL_TABLE } from './sitting';
import { careInSitting, tellBrush, tellWashing } from './tellStep';

const resolved = resolvedOf([
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#009aab', 'dye'),
  ink('Skerry', '#005487'),
]);
const other = resolvedOf([ink('Thrift', '#e2568f'), ink('Rowan', '#c8553d'), ink('Sloe', '#393060')]);
const record = {
  ...newSitting('s', 'Sunday', '2026-11-29'),
  lots: ['l', 'm'].map((id) => ({ id, recipeId: 'test', count: 2 })),
  atHand: { ...USUAL_TABLE, brushes: { 'dye and hybrid': 3 } },
};
const sitting = sittingOf(record, [groupOf(resolved, 2), groupOf(other, 2)]);
const { plan } = planSitting(sitting, { steps: 4 });

const NOTHING: Outlay = { cuts: [], inks: [], things: [], tools: [], envelopes: 0 };
const laidOut = (outlay: Partial<Outlay>) =>
  layOutOf(sitting, plan, { ...NOTHING, ...outlay }).map(({ group, thing }) => `${group}: ${thing}`);

test('amounts are told by two figures, and the least of them as under a tenth', () => {
  expect([0.04, 0.1, 2.345, 9.96, 12.3].map((amount) => tellAmount(amount, 'ml'))).toEqual([
    'under 0.1 ml',
    '0.1 ml',
    '2.3 ml',
    '10.0 ml',
    '12 ml',
  ]);
});

describe('what is laid out before a sitting', () => {
  const piece = { name: 'panel', width: 100, height: 130, count: 6 };

  test('card is told in sheets and cuts where its size is known, else by its pieces alone', () => {
    expect(
      laidOut({
        cuts: [
          { name: 'smooth white', pieces: [piece, { ...piece, name: 'mat', count: 2 }], sheets: 2, cuts: 9 },
          { name: 'kraft', pieces: [piece], sheets: 1, cuts: 1 },
          { name: 'offcuts', pieces: [piece] },
        ],
        envelopes: 3,
      }).slice(0, 4),
    ).toEqual([
      'Card: 2 sheets of smooth white: 6 × panel, 2 × mat; 9 cuts',
      'Card: 1 sheet of kraft: 6 × panel; 1 cut',
      'Card: offcuts: 6 × panel',
      'Card: 3 envelopes',
    ]);
  });

  test('inks are told with what they take, and with the pads that are dry', () => {
    const inks = [
      { name: 'Gorse', ml: 0.42, isDry: false },
      { name: 'Leat', ml: 0.01, isDry: true },
    ];
    expect(laidOut({ inks }).filter((line) => line.startsWith('Inks'))).toEqual([
      'Inks: Gorse, 0.4 ml',
      'Inks: Leat, under 0.1 ml; re-ink its pad first',
    ]);
  });

  test('each brush with what it holds over the evening, washed in between: three brushes for six inks', () => {
    const brushes = brushesOf(sitting, plan);
    expect(brushes.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
    const held = brushes.flatMap(({ holds }) => holds);
    for (const { name } of [...resolved.inks, ...other.inks])
      expect(held.filter((one) => one.includes(name)).length, name).toBeGreaterThan(0);
    expect(plan.washes).toBeGreaterThan(2);
    for (const { holds } of brushes)
      holds.forEach((one, i) => {
        expect(one).not.toBe(holds[i + 1]);
      });
    const lines = laidOut({}).filter((line) => line.startsWith('Brushes'));
    expect(lines).toEqual(
      brushes.map(({ letter, holds }) => `Brushes: ${letter}: ${holds.join(', then washed: ')}`),
    );
    expect(lines.join()).toContain(', then washed: ');
  });

  test('tools are told once each, mats by their number, and what is weighed out by its weight alone', () => {
    const lines = laidOut({
      tools: ['mat, clean and dry', 'stamp “Reeds”', 'stamp “Reeds”', 'clear embossing powder'],
      things: [{ thing: 'clear embossing powder', unit: 'g', amount: 1.26 }],
    }).filter((line) => line.startsWith('Tools'));
    const mats = new Set(plan.lines.flatMap(({ mat }) => mat ?? [])).size;
    expect(lines).toEqual([
      `Tools: ${mats === 1 ? '1 mat' : `${mats} mats`}, clean and dry`,
      'Tools: clear embossing powder, about 1.3 g',
      'Tools: stamp “Reeds”',
    ]);
  });

  test('a sitting of no inks needs no mat', () => {
    const bare = { ...sitting, groups: [] };
    expect(layOutOf(bare, { ...plan, lines: [] }, NOTHING)).toEqual([]);
  });
});

test('it is short of card where more sheets are cut than are left, and says how many to buy', () => {
  const cut = (sheets?: number, left?: number) =>
    shortOf({
      cuts: [
        {
          name: 'smooth white',
          pieces: [],
          ...(sheets === undefined ? {} : { sheets }),
          ...(left === undefined ? {} : { left }),
        },
      ],
    });
  expect(cut(3, 3)).toEqual([]);
  expect(cut(3)).toEqual([]);
  expect(cut(undefined, 0)).toEqual([]);
  expect(cut(3, 2)).toEqual(['smooth white: 3 sheets, and 2 are left for it. Buy 1 more, or make fewer.']);
  expect(cut(1, 0)).toEqual(['smooth white: 1 sheet, and none is left for it. Buy 1 more, or make fewer.']);
});

describe('how a brush stands before its line', () => {
  const lays = plan.lines.filter(({ does, brush }) => does === 'operation' && brush !== undefined);
  const holdsOf = (line: Planned) => sitting.groups[line.group]?.operations[line.operation]?.brush?.holds;

  test('fresh at first, then holding its colour, or washed where it held another', () => {
    lays.forEach((line, i) => {
      const before = plan.lines.filter(({ start, brush }) => brush === line.brush && start < line.start);
      const last = before.at(-1);
      const told = tellBrush(sitting, before, line);
      if (!last) expect(told).toBe('Fresh.');
      else if (last.does === 'operation' && holdsOf(last) === holdsOf(line))
        expect(told).toBe('It holds it already.');
      else expect(told, `line ${i}`).toBe('Washed, and dry.');
    });
    expect(new Set(lays.map((line) => tellBrush(sitting, [], line)))).toEqual(new Set(['Fresh.']));
  });

  test('a line without a brush says nothing', () => {
    const [line] = lays as [Planned];
    const { brush: _, ...without } = line;
    expect(tellBrush(sitting, [], without)).toBeUndefined();
  });
});

test('a brush that would set is washed once no panel wants it any more, and only then', () => {
  const white = withPass(resolved, 'whiteBase', { ink: ink('Slip', '#ffffff', 'white') });
  const group = groupOf(white, 3);
  const evening = sittingOf({ ...record, lots: record.lots.slice(0, 1) }, [group]);
  const { lines } = planSitting(evening, { steps: 4 }).plan;
  const told = lines.filter((line) => tellWashing(evening, lines, line));
  expect(told).toHaveLength(1);
  const [last] = told as [Planned];
  expect(group.operations[last.operation]?.name).toBe('White base: Slip');
  expect(lines.some(({ brush, start }) => brush === last.brush && start > last.start)).toBe(false);
  expect(group.steps.flatMap(careInSitting).some((line) => /^(Meanwhile w|W)ash /.test(line))).toBe(false);
});

test('a brush that would set and lies for long is washed in between, and told to be washed when it is taken up again', () => {
  const white = withPass(resolved, 'whiteBase', {
    ink: ink('Slip', '#ffffff', 'white'),
    params: { coats: 'two' },
  });
  const evening = sittingOf({ ...record, lots: record.lots.slice(0, 1) }, [groupOf(white, 1)]);
  const { lines } = planSitting(evening, { steps: 4 }).plan;
  const [first, second] = lines.filter(({ brush }) => brush === lines[0]?.brush) as [Planned, Planned];
  expect(second.start - first.end).toBeGreaterThanOrEqual(30);
  expect(tellWashing(evening, lines, first)).toMatch(
    /^It is not wanted for 30 min: wash it .*before it sets\.$/,
  );
  expect(tellBrush(evening, [first], second)).toBe('Washed, and dry.');
  const soon = { ...second, start: first.end + 5 };
  expect(tellWashing(evening, [first, soon], first)).toBeUndefined();
  expect(tellBrush(evening, [first], soon)).toBe('It holds it already.');
});

test('of a step’s care what its own sheet says of brushes and mats is left out, and the rest stays', () => {
  const steps = groupOf(resolved, 1).steps;
  const all = steps.flatMap(({ care }) => care);
  const kept = steps.flatMap(careInSitting);
  expect(all.some((line) => /^Wipe and dry the mat|^Fresh /.test(line))).toBe(true);
  expect(kept.some((line) => /^Wipe and dry the mat|^Fresh [a-z]+\.|holds it already/.test(line))).toBe(
    false,
  );
  expect(kept.length).toBeGreaterThan(3);
  for (const line of kept) expect(all).toContain(line);
});

test('how few brushes are owned changes nothing of what each piece of work wants in its brush', () => {
  const few = groupOf(resolved, 1, { maker: { owned: { brushes: { 'dye and hybrid': 1 } } } });
  expect(few.operations).toEqual(groupOf(resolved, 1).operations);
  expect(new Set(few.operations.flatMap(({ brush }) => brush?.holds ?? []))).toEqual(
    new Set(['Gorse', 'Leat', 'Skerry']),
  );
});
