import 'fake-indexeddb/auto';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { setShare } from '../core/recipe/editLadder';
import { Database } from '../data/database';
import * as recipes from '../data/recipes';
import { mapStorage } from '../testing/mapStorage';
import { autosave, strand } from './autosave';
import { edited, opened } from './draft';
import { makeStore } from './store';

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

let count = 0;
async function bench() {
  const db = new Database(`autosave-${count++}`);
  const [record, other] = await recipes.listRecipes(db);
  if (!record || !other) throw new Error('no demo recipes');
  const store = makeStore();
  store.dispatch(opened(record));
  const give = (share: number) => {
    const { recipe } = store.getState().draft;
    if (recipe) store.dispatch(edited({ recipe: setShare(recipe, 0, share) }));
  };
  const storedShare = async (id = record.id) => (await db.recipes.get(id))?.recipe.rungs[0]?.share;
  return { db, record, other, store, give, storedShare, state: () => store.getState().draft };
}
type Bench = Awaited<ReturnType<typeof bench>>;

/** A disk that refuses the next writes. */
function refuse(db: Database, times: number) {
  let left = times;
  const put = db.recipes.put.bind(db.recipes);
  const writing = vi.spyOn(db.recipes, 'put').mockImplementation((...given) => {
    if (left-- > 0) throw new DOMException('no room', 'QuotaExceededError');
    return put(...given);
  });
  return writing;
}
/** A bench whose recipe could not be saved, and was left for another one. */
async function leftUnsaved() {
  const at = await bench();
  const saver = autosave(at.store, Promise.resolve(at.db), 1e6);
  refuse(at.db, 1);
  at.give(0.5);
  await saver.flush();
  expect(at.state().save).toBe('failed');
  strand(at.store);
  at.store.dispatch(opened(at.other));
  return { ...at, saver };
}
/** Lets storage answer while the clock stands. */
const settle = async ({ db }: Bench) => {
  for (let i = 0; i < 5; i++) await db.recipes.count();
};

describe('a save that fails', () => {
  test('says so, is tried again by itself ever more seldom, and ends with what is newest stored', async () => {
    const at = await bench();
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const writing = refuse(at.db, 3);
    const saver = autosave(at.store, Promise.resolve(at.db), 100);
    at.give(0.5);
    await vi.advanceTimersByTimeAsync(100);
    await settle(at);
    expect(at.state().save).toBe('failed');
    expect(writing).toHaveBeenCalledTimes(1);
    for (const [wait, calls] of [
      [2000, 2],
      [4000, 3],
    ] as const) {
      await vi.advanceTimersByTimeAsync(wait - 1);
      await settle(at);
      expect(writing).toHaveBeenCalledTimes(calls - 1);
      await vi.advanceTimersByTimeAsync(1);
      await settle(at);
      expect(writing).toHaveBeenCalledTimes(calls);
      expect(at.state().save).toBe('failed');
    }
    at.give(0.55);
    await vi.advanceTimersByTimeAsync(8000);
    await settle(at);
    expect(at.state().save).toBe('saved');
    expect(await at.storedShare()).toBeCloseTo(0.55, 9);
    saver.stop();
  });

  test('survives going to another recipe, and comes beside what another tab saved meanwhile', async () => {
    const { saver, ...at } = await leftUnsaved();
    expect(at.state()).toMatchObject({ save: 'saved', stranded: [{ recipe: { id: at.record.id } }] });
    vi.restoreAllMocks();
    await recipes.saveRecipe(at.db, setShare(at.record.recipe, 0, 0.3), at.record.revision);
    await saver.flush();
    expect(at.state().stranded).toEqual([]);
    expect(await at.storedShare()).toBeCloseTo(0.3, 9);
    const copy = (await recipes.listRecipes(at.db)).find(
      ({ recipe }) => recipe.name === `${at.record.recipe.name} (2)`,
    );
    expect(copy?.recipe.rungs[0]?.share).toBeCloseTo(0.5, 9);
    saver.stop();
  });

  test('of a recipe that is in hand no more is stored where it was left, when nobody else came between', async () => {
    const { saver, ...at } = await leftUnsaved();
    await saver.flush();
    expect(await at.storedShare()).toBeCloseTo(0.5, 9);
    expect(await recipes.listRecipes(at.db)).toHaveLength(4);
    saver.stop();
  });
});

describe('saving', () => {
  test('waits until the hand rests, and a stopped one saves no more', async () => {
    const at = await bench();
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const saver = autosave(at.store, Promise.resolve(at.db), 100);
    for (const share of [0.41, 0.42, 0.43]) {
      at.give(share);
      await vi.advanceTimersByTimeAsync(99);
    }
    await settle(at);
    expect((await at.db.recipes.get(at.record.id))?.revision).toBe(1);
    await vi.advanceTimersByTimeAsync(1);
    await settle(at);
    expect((await at.db.recipes.get(at.record.id))?.revision).toBe(2);
    at.give(0.5);
    saver.stop();
    await vi.advanceTimersByTimeAsync(1000);
    await settle(at);
    expect(await at.storedShare()).toBeCloseTo(0.43, 9);
  });

  test('a page that is being left writes down what is unsaved and what was stranded, and nothing that is saved', async () => {
    const storage = mapStorage();
    vi.stubGlobal('localStorage', storage);
    const at = await bench();
    const saver = autosave(at.store, Promise.resolve(at.db), 1e6);
    saver.writeDown();
    expect(storage.length).toBe(0);
    refuse(at.db, 1);
    at.give(0.5);
    await saver.flush();
    strand(at.store);
    at.store.dispatch(opened(at.other));
    at.give(0.45);
    saver.writeDown();
    expect(storage.length).toBe(2);
    await saver.flush();
    expect(storage.length).toBe(0);
    saver.stop();
  });
});
