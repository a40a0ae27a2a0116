import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD } from '../../../testing/resolvedRecipes';
import type { Card } from '../../materials/card/card';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { groupOf } from './fromSheet';
import { knownSitting } from './known';
import { bottleDoes, millilitres, type PanelUse } from './materials';
import { type CardChoices, type OutlayGiven, outlayOf, piecesByCard, reservedBy } from './outlay';
import { newSitting, type SittingRecord } from './record';
import { beginRun } from './run';

const [gorse, leat] = [ink('Gorse', '#f8d46f'), ink('Leat', '#009aab', 'dye')];
const blue = resolvedOf([gorse, leat], WHITE_CARD, { name: 'Blue' });
const warm = resolvedOf([gorse, ink('Rowan', '#b8322f')], WHITE_CARD, { name: 'Warm' });
const CHOICES: CardChoices = {
  oversize: 2,
  mats: [{ margin: 3, cardId: 'black' }],
  base: { margin: 5, cardId: 'white', fold: 'side' },
  greeting: undefined,
};

/** A sitting of so many panels of each recipe. */
function sittingOf(
  lots: readonly (readonly [ResolvedRecipe, number])[],
  change: Partial<SittingRecord> = {},
) {
  const record = {
    ...newSitting('own', 'Sunday', '2026-11-29'),
    lots: lots.map(([{ recipe }, count], i) => ({ id: `l${i}`, recipeId: recipe.id, count })),
    ...change,
  };
  const sheets = lots.map(([resolved]) => {
    const group = groupOf(resolved, 0);
    return { resolved, group, heated: group };
  });
  return knownSitting(record, sheets, {});
}

const useOf = (inkId: string, coated: number): PanelUse => ({
  inks: [{ inkId, name: inkId, coated }],
  things: [],
});

const GIVEN: OutlayGiven = {
  uses: [],
  cuts: [],
  choices: CHOICES,
  sittings: [],
  today: '2026-11-29',
  ink: { perCoat: 12, refills: 0 },
  isDryAfter: () => false,
};

describe('the pieces a sitting is cut of', () => {
  const told = (known: ReturnType<typeof sittingOf>) =>
    [...piecesByCard(known, CHOICES)].map(
      ([cardId, pieces]) =>
        `${cardId}: ${pieces.map(({ count, name, width, height }) => `${count} ${name} ${width} × ${height}`).join(', ')}`,
    );

  test('are panels alone where no cards are put together, and none for a lot without panels', () => {
    expect(told(sittingOf([[blue, 4]]))).toEqual(['white: 4 panel to be trimmed 84 × 104']);
    expect(told(sittingOf([[blue, 0]]))).toEqual([]);
  });

  test('are whole cards where they are: a mat 3 mm out, a base 5 mm beyond it, folded at the side', () => {
    expect(told(sittingOf([[blue, 4]], { putsTogether: true }))).toEqual([
      'white: 4 panel to be trimmed 84 × 104, 4 base folded at the side 192 × 116',
      'black: 4 mat 86 × 106',
    ]);
  });

  test('are named by their recipe where there are several, and cut of both cards laid at once', () => {
    const twin = { ...warm, alsoOn: { ...WHITE_CARD, id: 'kraft' } };
    expect(
      told(
        sittingOf([
          [blue, 4],
          [twin, 1],
        ]),
      ),
    ).toEqual([
      'white: 4 panel to be trimmed (Blue) 84 × 104, 1 panel to be trimmed (Warm) 84 × 104',
      'kraft: 1 panel to be trimmed (Warm) 84 × 104',
    ]);
  });
});

describe('what a sitting takes', () => {
  const both = sittingOf([
    [blue, 4],
    [warm, 2],
  ]);
  const uses = [useOf('Gorse', 30), useOf('Gorse', 50)];

  test('is the ink of all its panels; a bottle is counted by the panels that take most of it', () => {
    const { inks, refills, perCoat } = outlayOf(both, { ...GIVEN, uses, ink: { perCoat: 8, refills: 3 } });
    expect(inks).toEqual([
      {
        inkId: 'Gorse',
        name: 'Gorse',
        ml: millilitres(4 * 30 + 2 * 50, 8),
        isDry: false,
        bottle: bottleDoes(50, 8),
      },
    ]);
    expect([refills, perCoat]).toEqual([3, 8]);
  });

  test('is more where a greeting strip is blended with the same inks', () => {
    const choices = { ...CHOICES, greeting: { width: 40, height: 20 } };
    const put = sittingOf([[blue, 4]], { putsTogether: true });
    const [plain] = outlayOf(put, { ...GIVEN, uses: [useOf('Gorse', 30)] }).inks;
    const [more] = outlayOf(put, { ...GIVEN, choices, uses: [useOf('Gorse', 30)] }).inks;
    // The strip is a tenth of the panel, 80 × 100.
    expect((more?.ml ?? 0) / (plain?.ml ?? 1)).toBeCloseTo(1.1, 6);
  });

  test('asks for a pad to be inked by what the whole sitting lays, and leaves out inks that are not laid', () => {
    const asked: [string, number][] = [];
    const { inks } = outlayOf(both, {
      ...GIVEN,
      uses: [useOf('Gorse', 30), useOf('Rowan', 0)],
      isDryAfter: (inkId, coated) => {
        asked.push([inkId, coated]);
        return coated > 100;
      },
    });
    expect(inks.map(({ name, isDry }) => [name, isDry])).toEqual([['Gorse', true]]);
    expect(asked).toEqual([['Gorse', 120]]);
  });

  test('is an envelope a card where cards go out, and the tools of lots that have panels', () => {
    expect(outlayOf(both, GIVEN).envelopes).toBe(0);
    const put = sittingOf(
      [
        [blue, 4],
        [warm, 0],
      ],
      { putsTogether: true },
    );
    const outlay = outlayOf(put, GIVEN);
    expect(outlay.envelopes).toBe(4);
    expect(outlay.tools).toEqual(put.lots[0]?.group.tools);
    expect(outlay.tools.length).toBeGreaterThan(0);
  });
});

describe('the card of a sitting', () => {
  const known = sittingOf([[blue, 4]]);
  const card: Card = { ...WHITE_CARD, stock: 10 };
  const pieces = [{ name: 'panel', width: 80, height: 100, count: 4 }];
  const plan = { sheets: [{ cuts: [1, 2, 3] }, { cuts: [4] }] };
  const other = (id: string, change: Partial<SittingRecord> = {}): SittingRecord => ({
    ...newSitting(id, id, '2026-11-30'),
    reserves: [
      { cardId: 'white', sheets: 3 },
      { cardId: 'black', sheets: 50 },
    ],
    ...change,
  });
  const ended = { ...beginRun(0, []), endedAt: 1 };

  test('is told in sheets and cuts, with what other sittings leave of it', () => {
    const { cuts, used } = outlayOf(known, {
      ...GIVEN,
      cuts: [{ card, pieces, plan }],
      sittings: [other('a'), other('b')],
    });
    expect(cuts).toEqual([{ name: card.name, pieces, sheets: 2, cuts: 4, left: 4 }]);
    expect(used).toEqual([{ cardId: 'white', sheets: 2 }]);
  });

  test('that nobody counts, or that cannot be cut, has no number', () => {
    const { cuts, used } = outlayOf(known, { ...GIVEN, cuts: [{ card: WHITE_CARD, pieces }] });
    expect(cuts).toEqual([{ name: card.name, pieces }]);
    expect(used).toEqual([]);
  });

  test('is not less than nothing', () => {
    const many = ['a', 'b', 'c', 'd'].map((id) => other(id));
    expect(outlayOf(known, { ...GIVEN, cuts: [{ card, pieces }], sittings: many }).cuts[0]?.left).toBe(0);
  });

  test('is reserved by sittings that are to come: not by itself, by patterns, or by what has ended or gone by', () => {
    const all = [other('own'), other('a'), other('p', { pattern: true }), other('e', { run: ended })];
    const run = beginRun(0, []);
    const reserved = (sittings: typeof all, cardId = 'white', today = all[1]?.date ?? '') =>
      reservedBy(sittings, 'own', cardId, today);
    expect(reserved(all)).toBe(3);
    expect(reserved([...all, other('r', { run })])).toBe(6);
    expect(reserved(all, 'kraft')).toBe(0);
    expect(reserved([...all, other('r', { run })], 'white', '2099-01-01')).toBe(3);
  });
});
