import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { setShare } from '../core/recipe/editLadder';
import { mapStorage } from '../testing/mapStorage';
import { Database } from './database';
import { clearJournal, takeJournal, writeJournal } from './journal';
import { listRecipes, saveRecipe } from './recipes';
import { isSoundRecipe } from './sound';

let count = 0;
async function workshop() {
  const db = new Database(`journal-${count++}`);
  const [record] = await listRecipes(db);
  if (!record) throw new Error('no demo recipe');
  return { db, record, changed: setShare(record.recipe, 0, 0.5), storage: mapStorage() };
}
const shareIn = async (db: Database, id: string) => (await db.recipes.get(id))?.recipe.rungs[0]?.share;

test('what a page left unsaved is stored at the next start, once', async () => {
  const { db, record, changed, storage } = await workshop();
  writeJournal({ recipe: changed, revision: record.revision }, storage);
  expect(await takeJournal(db, isSoundRecipe, storage)).toEqual([]);
  expect(await shareIn(db, record.id)).toBeCloseTo(0.5, 9);
  expect(storage.length).toBe(0);
  expect((await db.recipes.get(record.id))?.revision).toBe(2);
});

test('where another tab saved since it comes in beside that, under a name of its own; the same twice is one', async () => {
  const { db, record, changed, storage } = await workshop();
  await saveRecipe(db, setShare(record.recipe, 0, 0.3), record.revision);
  writeJournal({ recipe: changed, revision: record.revision }, storage);
  const [copy] = await takeJournal(db, isSoundRecipe, storage);
  expect(copy).toBe(`${record.recipe.name} (2)`);
  expect(await shareIn(db, record.id)).toBeCloseTo(0.3, 9);
  const { recipe } = (await listRecipes(db)).find((one) => one.recipe.name === copy) ?? {};
  expect(recipe?.rungs[0]?.share).toBeCloseTo(0.5, 9);

  const stored = await db.recipes.get(record.id);
  if (!stored) throw new Error('it is gone');
  writeJournal({ recipe: stored.recipe, revision: record.revision }, storage);
  expect(await takeJournal(db, isSoundRecipe, storage)).toEqual([]);
});

test('what cannot be computed with is let go of, and what is not ours stays', async () => {
  const { db, record, changed, storage } = await workshop();
  const before = await db.recipes.toArray();
  storage.setItem('tint-ladder unsaved a', '{"revision": 1, "recipe": {"id": ');
  storage.setItem('tint-ladder unsaved b', 'null');
  storage.setItem('tint-ladder unsaved c', JSON.stringify({ recipe: changed }));
  writeJournal({ recipe: { ...changed, joints: [] }, revision: record.revision }, storage);
  storage.setItem('another page', 'its own');
  expect(await takeJournal(db, isSoundRecipe, storage)).toEqual([]);
  expect(await db.recipes.toArray()).toEqual(before);
  expect(storage.length).toBe(1);
});

test('each recipe has its own entry, cleared alone; a storage that is full is nobody’s fault', async () => {
  const { db, record, storage } = await workshop();
  const [, other] = await listRecipes(db);
  if (!other) throw new Error('no second recipe');
  for (const { recipe, revision } of [record, other])
    writeJournal({ recipe: { ...recipe, name: `${recipe.name}, later` }, revision }, storage);
  clearJournal(record.id, storage);
  await takeJournal(db, isSoundRecipe, storage);
  expect((await db.recipes.get(record.id))?.recipe.name).toBe(record.recipe.name);
  expect((await db.recipes.get(other.id))?.recipe.name).toBe(`${other.recipe.name}, later`);
  const full = mapStorage(10);
  expect(() => writeJournal(record, full)).not.toThrow();
  expect(full.length).toBe(0);
});
