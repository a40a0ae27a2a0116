import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { setShare } from '../core/recipe/editLadder';
import { Database } from '../data/database';
import { listRecipes } from '../data/recipes';
import { autosave } from './autosave';
import { edited, gestureEnded, opened, redone, undone } from './draft';
import { makeStore } from './store';

let count = 0;
async function benchWith(db = new Database(`store-${count++}`)) {
  const record = (await listRecipes(db))[0];
  if (!record) throw new Error('no demo recipe');
  const store = makeStore();
  store.dispatch(opened(record));
  const share = () => store.getState().draft.recipe?.rungs[0]?.share;
  const give = (wanted: number, gesture?: string) => {
    const { recipe } = store.getState().draft;
    if (recipe)
      store.dispatch(edited({ recipe: setShare(recipe, 0, wanted), ...(gesture ? { gesture } : {}) }));
  };
  return { db, store, record, share, give };
}

test('every change can be undone and redone, and a new change ends the way forth', async () => {
  const { store, share, give } = await benchWith();
  const before = share();
  give(0.5);
  give(0.6);
  store.dispatch(undone());
  expect(share()).toBeCloseTo(0.5, 9);
  store.dispatch(undone());
  expect(share()).toBe(before);
  store.dispatch(redone());
  store.dispatch(redone());
  expect(share()).toBeCloseTo(0.6, 9);
  store.dispatch(undone());
  give(0.4);
  store.dispatch(redone());
  expect(share()).toBeCloseTo(0.4, 9);
});

test('a drag is one step back, two drags are two', async () => {
  const { store, share, give } = await benchWith();
  const before = share();
  for (const wanted of [0.41, 0.42, 0.43]) give(wanted, 'mark 1');
  store.dispatch(gestureEnded());
  for (const wanted of [0.5, 0.55]) give(wanted, 'mark 1');
  store.dispatch(undone());
  expect(share()).toBeCloseTo(0.43, 9);
  store.dispatch(undone());
  expect(share()).toBe(before);
});

test('the draft saves itself, the newest change included', async () => {
  const { db, store, record, give } = await benchWith();
  const saver = autosave(store, Promise.resolve(db), 5);
  give(0.45);
  const first = saver.flush();
  give(0.52);
  await first;
  await saver.flush();
  expect(store.getState().draft.save).toBe('saved');
  expect((await db.recipes.get(record.id))?.recipe.rungs[0]?.share).toBeCloseTo(0.52, 9);
  saver.stop();
});

test('two tabs on one recipe: the later one is told, and neither is overwritten', async () => {
  const one = await benchWith();
  const other = await benchWith(one.db);
  one.give(0.45);
  await autosave(one.store, Promise.resolve(one.db)).flush();
  other.give(0.2);
  await autosave(other.store, Promise.resolve(one.db)).flush();
  expect(other.store.getState().draft.save).toBe('conflict');
  expect(other.share()).toBeCloseTo(0.2, 9);
  expect((await one.db.recipes.get(one.record.id))?.recipe.rungs[0]?.share).toBeCloseTo(0.45, 9);
});
