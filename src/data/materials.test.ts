import 'fake-indexeddb/auto';
import { afterEach, expect, test, vi } from 'vitest';
import { ink } from '../testing/resolvedRecipes';
import { keepRow } from './changes';
import { Database } from './database';
import { comingDemo, demoAt } from './demo/demo';
import { writeMark } from './mark';
import { comingMaterials, readMaterials } from './materials';

/** A page's storage in memory. */
function stubStorage(): void {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
}
afterEach(() => void vi.unstubAllGlobals());

test('what a first visit shows before it is stored is the same value once it is, until something changes', async () => {
  stubStorage();
  const demo = demoAt(Date.now());
  const coming = await comingMaterials(demo);
  expect(coming.inks).toHaveLength(72);
  const db = new Database('materials-first', undefined, demo);
  expect(await db.recipes.toArray()).toEqual([...demo.recipes].sort((p, q) => (p.id < q.id ? -1 : 1)));
  expect(await readMaterials(db)).toBe(coming);
  await keepRow(db.inks, { ...ink('gorse-pale', '#f0e68c'), name: 'Gorse Pale, mine' });
  const changed = await readMaterials(db);
  expect(changed).not.toBe(coming);
  expect(changed.inks.find(({ id }) => id === 'gorse-pale')?.name).toBe('Gorse Pale, mine');
});

test('where there has been data, or nobody can tell, nothing is shown before it is read', () => {
  expect(comingDemo()).toBeUndefined();
  stubStorage();
  expect(comingDemo()).toBeDefined();
  writeMark({ recipes: 4 });
  expect(comingDemo()).toBeUndefined();
});
