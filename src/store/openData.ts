import { Database } from '../data/database';
import type { Demo } from '../data/demo/demo';
import { takeJournal } from '../data/journal';
import { writeMark } from '../data/mark';
import { isSoundRecipe } from '../data/sound';
import { openStorage } from '../data/storage';
import { closed } from './draft';
import { keepView } from './keepView';
import { copiesKept, faultFound } from './storage';
import type { AppStore } from './store';

/**
 * Opens the database and brings to the store what it has of the page before. Questions to it wait until it is open.
 *
 * @param coming  what a first visit has been shown
 */
export function openData(store: AppStore, coming: Demo | undefined): Database {
  const db = new Database(undefined, undefined, coming);
  void openStorage(db, (fault) => store.dispatch(faultFound(fault))).then(async (isUsable) => {
    if (!isUsable) return;
    store.dispatch(faultFound(undefined));
    await begin(store, db);
  });
  return db;
}

async function begin(store: AppStore, db: Database): Promise<void> {
  if (db.coming && !db.isFresh && store.getState().draft.recipe) {
    // It looked like a first visit, and there was a database after all: the bench begins again with what is in it.
    store.dispatch(closed());
    writeMark({ recipes: await db.recipes.count() });
    return window.location.replace('/bench');
  }
  // Neither of these is wanted at once.
  if (db.isFresh)
    void import('../data/demo/sittings').then(({ demoSittings }) =>
      db.sittings.bulkPut(demoSittings(new Date())),
    );
  await keepView(store, db);
  void import('../data/panels').then(({ tidyPhotos }) => tidyPhotos(db));
  const copies = await takeJournal(db, isSoundRecipe);
  if (copies.length > 0) store.dispatch(copiesKept(copies));
  writeMark({ recipes: await db.recipes.count() });
}
