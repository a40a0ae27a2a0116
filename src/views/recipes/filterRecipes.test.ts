import { expect, test } from 'vitest';
import { firstRecord } from '../../data/records';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { ALL_RECIPES, filterRecipes, type RecipeRow } from './filterRecipes';

const row = (name: string, at: number, more: Partial<RecipeRow> = {}): RecipeRow => {
  const resolved = resolvedOf([ink('Gorse', '#f2c230'), ink(name, '#1f4f7a')], undefined, { id: name, name });
  return {
    id: name,
    record: firstRecord(resolved.recipe, at),
    resolved,
    ladder: resolved,
    tags: [],
    isFavourite: false,
    ...more,
  };
};
const rows = [row('Dusk', 1, { tags: ['autumn'] }), row('Alder', 3), row('Kiln', 2, { isFavourite: true })];
const found = (change: Partial<typeof ALL_RECIPES>) =>
  filterRecipes(rows, { ...ALL_RECIPES, ...change }).map(({ id }) => id);

test('the one changed last stands first, unless another order is asked for', () => {
  expect(found({})).toEqual(['Alder', 'Kiln', 'Dusk']);
  expect(found({ sort: 'name' })).toEqual(['Alder', 'Dusk', 'Kiln']);
});

test('every word must be met, in the name, an ink, the card or a tag; tags and favourites narrow', () => {
  expect(found({ text: 'gorse alder' })).toEqual(['Alder']);
  expect(found({ text: 'AUTUMN' })).toEqual(['Dusk']);
  expect(found({ text: 'smooth white straight' })).toHaveLength(3);
  expect(found({ tag: 'autumn' })).toEqual(['Dusk']);
  expect(found({ isFavourite: true })).toEqual(['Kiln']);
  expect(found({ text: 'dusk', isFavourite: true })).toEqual([]);
});
