import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { CURLS_BELOW } from '../materials/card/weight';
import { OWN_DESIGNS } from '../materials/design/own';
import { BARE } from '../materials/ink/ink';
import { setRun } from '../recipe/editLadder';
import type { ResolvedRecipe } from '../recipe/resolved';
import { compileSheet } from './compile';

const [gorse, weir, skerry] = [ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c'), ink('Skerry', '#005487')];
const soot = ink('Soot', '#1d1d1f', 'detail');
const design = OWN_DESIGNS.find(({ id }) => id === 'reeds');

const prepared = (resolved: ResolvedRecipe, unit: 'mm' | 'in' = 'mm', maker = {}) => {
  const [step] = compileSheet(resolved, unit, maker).steps;
  if (step?.kind !== 'prepare') throw new Error('nothing is prepared');
  const of = (group: string) =>
    step.layOut?.filter((one) => one.group === group).map(({ thing }) => thing) ?? [];
  return { step, of };
};
const plain = resolvedOf([gorse, weir, skerry]);

describe('what is laid out before any ink', () => {
  test('the card, cut to size or larger to be trimmed, in the maker’s unit; both where two are laid at once', () => {
    expect(prepared(plain).of('Card')).toEqual([
      `${WHITE_CARD.name}, 80 × 100 mm; or 86 × 106 mm to be trimmed after`,
    ]);
    expect(prepared(plain, 'in').of('Card')[0]).toMatch(/ × .* in; or .* in to be trimmed after$/);
    const two = prepared({ ...plain, alsoOn: BLACK_CARD });
    expect(two.of('Card').map((thing) => thing.split(',')[0])).toEqual([WHITE_CARD.name, BLACK_CARD.name]);
    expect(two.step.work).toContain(
      `and one of ${BLACK_CARD.name}, side by side, to be swapped under the tool`,
    );
    const twins = prepared({ ...plain, alsoOn: WHITE_CARD });
    expect(twins.of('Card')).toEqual([
      `two of ${WHITE_CARD.name}, 80 × 100 mm; or 86 × 106 mm to be trimmed after`,
    ]);
    expect(twins.step.work).toContain(`Two panels, each 80 × 100 mm of ${WHITE_CARD.name}, side by side`);
  });

  test('each ink once, the ladder’s with its pad juicy; bare card is none', () => {
    const stamped = withPass(resolvedOf([gorse, BARE, weir, gorse]), 'silhouette', {
      ink: soot,
      ...(design ? { design } : {}),
    });
    expect(prepared(stamped).of('Inks')).toEqual(['Gorse, its pad juicy', 'Weir, its pad juicy', 'Soot']);
    const coated = withPass(plain, 'coat', { ink: skerry });
    expect(
      prepared(coated)
        .of('Inks')
        .filter((thing) => thing.startsWith('Skerry')),
    ).toEqual(['Skerry, its pad juicy']);
  });

  test('each brush with what it is for, water for washing only where one is washed', () => {
    const enough = prepared(plain);
    expect(enough.of('Brushes')).toHaveLength(3);
    expect(enough.of('Brushes')[0]).toMatch(/^brush A, /);
    expect(enough.of('Tools')).not.toContain('water and soap for brushes');
    const few = prepared(plain, 'mm', { owned: { brushes: { 'dye and hybrid': 2 }, daubers: {} } });
    expect(few.of('Brushes')).toHaveLength(2);
    expect(few.of('Tools')).not.toContain('water and soap for brushes');
    const based = withPass(plain, 'whiteBase', { ink: ink('Slip', '#ffffff', 'pigment') });
    expect(prepared(based).of('Tools')).toContain('water and soap for brushes');
  });

  test('tools once each, a ruler only where marks are measured, and what passes ask for', () => {
    const twice = [1, 2].reduce<ResolvedRecipe>(
      (resolved) => withPass(resolved, 'clearResist', design ? { design } : {}),
      plain,
    );
    const tools = prepared(twice).of('Tools');
    expect(new Set(tools).size).toBe(tools.length);
    for (const thing of ['ruler and pencil', 'heat tool', 'clear embossing powder', 'mat, clean and dry'])
      expect(tools).toContain(thing);
    const patches = { ...plain, recipe: setRun(plain.recipe, 'scatter') };
    expect(prepared(patches).of('Tools')).not.toContain('ruler and pencil');
  });

  test('thin card is warned of, once a card', () => {
    const thin = { ...WHITE_CARD, grammage: CURLS_BELOW - 1 };
    const warned = (resolved: ResolvedRecipe) =>
      prepared(resolved).step.care.filter((line) => /is thin: it curls/.test(line)).length;
    expect([
      warned(plain),
      warned({ ...plain, card: thin }),
      warned({ ...plain, card: thin, alsoOn: thin }),
      warned({ ...plain, card: thin, alsoOn: { ...thin, id: 'thin-too' } }),
    ]).toEqual([0, 1, 1, 2]);
  });
});

test('at the end each ink of the ladder is looked for once more, bare card and what was stamped left out', () => {
  const { steps } = compileSheet(resolvedOf([gorse, BARE, weir]), 'mm');
  expect(steps.at(-1)).toMatchObject({ kind: 'check', title: 'Check, dry' });
  expect(steps.at(-1)?.care[0]).toBe('Each ink still itself somewhere: Gorse, Weir.');
});
