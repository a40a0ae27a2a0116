import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { Database } from '../data/database';
import { readSetting } from '../data/settings';
import { mapStorage } from '../testing/mapStorage';
import { keepView, recallView } from './keepView';
import { makeStore } from './store';
import { viewSet } from './view';

const storageWith = (view: string): Storage => {
  const storage = mapStorage();
  storage.setItem('tint-ladder view', view);
  return storage;
};

test('what is chosen is there at the next start before the database has answered, and in the database', async () => {
  const [db, storage] = [new Database('view-kept'), mapStorage()];
  const before = makeStore();
  await keepView(before, db, storage);
  before.dispatch(viewSet({ unit: 'in', surround: 'dark', grain: false }));
  const after = makeStore();
  recallView(after, storage);
  expect(after.getState().view).toEqual(before.getState().view);
  await expect.poll(() => readSetting(db, 'view')).toEqual(before.getState().view);
});

test('the database goes before, as after a backup came in; and the page’s storage follows it', async () => {
  const [db, storage] = [new Database('view-restored'), storageWith('{"unit":"in"}')];
  await db.settings.put({ key: 'view', value: { unit: 'mm', surround: 'middle' } });
  const store = makeStore();
  recallView(store, storage);
  expect(store.getState().view.unit).toBe('in');
  await keepView(store, db, storage);
  const next = makeStore();
  recallView(next, storage);
  for (const { view } of [store.getState(), next.getState()])
    expect(view).toMatchObject({ unit: 'mm', surround: 'middle' });
});

test('a storage that is missing, forbidden or spoilt leaves things as they are at first', async () => {
  const forbidden = {
    getItem: () => {
      throw new Error('forbidden');
    },
    setItem: () => {
      throw new Error('full');
    },
  } as unknown as Storage;
  for (const storage of [undefined, forbidden, storageWith('{"unit":')]) {
    const store = makeStore();
    recallView(store, storage);
    expect(store.getState().view).toEqual(makeStore().getState().view);
  }
  const store = makeStore();
  await keepView(store, new Database('view-forbidden'), forbidden);
  store.dispatch(viewSet({ numbers: true }));
  expect(store.getState().view.numbers).toBe(true);
});
