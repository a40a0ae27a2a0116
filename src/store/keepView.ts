import type { Database } from '../data/database';
import { keep, pageStorage, readKept } from '../data/pageStorage';
import { readSetting, writeSetting } from '../data/settings';
import type { AppStore } from './store';
import { rememberedView, viewSet } from './view';

/** In the database, which backups take with them. */
const SETTING = 'view';
/** And beside it, in the page's own storage, which answers before the first view is drawn. */
const COPY = 'tint-ladder view';

/** Brings back the view settings that the page's storage has: no view is first drawn in others. */
export const recallView = (store: AppStore, storage = pageStorage()): void =>
  void store.dispatch(viewSet(rememberedView(readKept(COPY, storage))));

/** Brings back what the database remembers, which goes before; and remembers each change from then on. */
export async function keepView(store: AppStore, db: Database, storage = pageStorage()): Promise<void> {
  store.dispatch(viewSet(rememberedView(await readSetting(db, SETTING))));
  let view = store.getState().view;
  keep(COPY, view, storage);
  store.subscribe(() => {
    if (store.getState().view === view) return;
    view = store.getState().view;
    keep(COPY, view, storage);
    void writeSetting(db, SETTING, view);
  });
}
