import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { OWN_DESIGNS } from '../core/materials/design/own';
import { anyRecipe } from '../testing/anyRecipe';
import { dropDamaged, listDamaged } from './damaged';
import { Database } from './database';
import { DEMO_CARDS } from './demo/cards';
import { DEMO_INKS } from './demo/inks';
import { DEMO_RECIPES } from './demo/recipes';
import { firstRecord } from './records';
import { isSoundCard, isSoundDesign, isSoundInk, isSoundRecipe, isSoundRecord } from './sound';

/** A thing with one of its parts left out, or made something else. */
const spoiled = (thing: object): object[] =>
  Object.keys(thing).flatMap((key) => {
    const { [key]: _, ...without } = thing as Record<string, unknown>;
    return [without, { ...thing, [key]: null }, { ...thing, [key]: Symbol.iterator }];
  });

describe('what views compute with', () => {
  test('everything that ships is sound', () => {
    expect(DEMO_INKS.every(isSoundInk)).toBe(true);
    expect(DEMO_CARDS.every(isSoundCard)).toBe(true);
    expect(OWN_DESIGNS.every(isSoundDesign)).toBe(true);
    expect(DEMO_RECIPES.every(isSoundRecipe)).toBe(true);
  });

  test('whatever the interface can make of a recipe is sound', () => {
    fc.assert(
      fc.property(anyRecipe(), ({ recipe }) => {
        expect(isSoundRecipe(recipe)).toBe(true);
        expect(isSoundRecord(firstRecord(recipe, 1))).toBe(true);
      }),
    );
  });

  test('without a part that is needed, or with another thing in its place, nothing is', () => {
    const { id, name, family, depth, kind, overWhite } = DEMO_INKS[0] as (typeof DEMO_INKS)[number];
    for (const ink of spoiled({ id, name, family, depth, kind, overWhite }))
      expect(isSoundInk(ink)).toBe(false);
    const { colour, finish, grammage } = DEMO_CARDS[0] as (typeof DEMO_CARDS)[number];
    for (const card of spoiled({ id, name, colour, finish, grammage })) expect(isSoundCard(card)).toBe(false);
    const { use, width, height, shapes } = OWN_DESIGNS[0] as (typeof OWN_DESIGNS)[number];
    for (const design of spoiled({ id, name, use, width, height, shapes }))
      expect(isSoundDesign(design)).toBe(false);
    const [recipe] = DEMO_RECIPES as [(typeof DEMO_RECIPES)[number]];
    const { notes: _, alsoOn: __, school: ___, ...needed } = recipe;
    for (const one of spoiled(needed)) expect(isSoundRecipe(one), JSON.stringify(one)).toBe(false);
    for (const record of spoiled(firstRecord(recipe, 1))) expect(isSoundRecord(record)).toBe(false);
    for (const nothing of [undefined, null, 3, 'ink', [], () => {}])
      for (const isSound of [isSoundInk, isSoundCard, isSoundDesign, isSoundRecipe, isSoundRecord])
        expect(isSound(nothing)).toBe(false);
  });

  test('a recipe has a joint between each two rungs, and no more passes than there may be', () => {
    const [recipe] = DEMO_RECIPES as [(typeof DEMO_RECIPES)[number]];
    expect(isSoundRecipe({ ...recipe, joints: [...recipe.joints, { width: 5 }] })).toBe(false);
    expect(isSoundRecipe({ ...recipe, joints: recipe.joints.map(() => ({ width: Number.NaN })) })).toBe(
      false,
    );
    const pass = { id: 'p', kind: 'penDots', enabled: true, placements: [{ id: 'p1', params: {} }] };
    const passes = (many: number) => Array.from({ length: many }, () => pass);
    expect(isSoundRecipe({ ...recipe, passes: passes(3) })).toBe(true);
    expect(isSoundRecipe({ ...recipe, passes: passes(300) })).toBe(false);
    expect(isSoundRecipe({ ...recipe, passes: [{ ...pass, kind: 'glitter' }] })).toBe(false);
    expect(isSoundRecipe({ ...recipe, passes: [{ ...pass, placements: [{ id: 'p1' }] }] })).toBe(false);
  });
});

test('one bad record costs that record: it is named as far as it names itself, goes, and comes back as it was', async () => {
  const db = new Database('damaged');
  const nameless = { id: 'x1', overWhite: 'teal' };
  const named = {
    ...firstRecord({ ...(DEMO_RECIPES[0] as object) } as never, 1),
    id: 'x2',
    recipe: { name: 'Dusk' },
  };
  await db.table('inks').put(nameless);
  await db.table('recipes').put(named);
  const damaged = await listDamaged(db);
  expect(damaged).toEqual([
    { table: 'recipes', id: 'x2', name: 'Dusk', value: named },
    { table: 'inks', id: 'x1', name: 'x1', value: nameless },
  ]);
  const [first] = damaged;
  if (!first) throw new Error('nothing is damaged');
  const putBack = await dropDamaged(db, first);
  expect(await listDamaged(db)).toHaveLength(1);
  await putBack();
  expect(await listDamaged(db)).toEqual(damaged);
});
