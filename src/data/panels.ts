import { type MadePanel, nextNumber } from '../core/keep/log/made';
import type { Database } from './database';
import type { PhotoRecord } from './records';
import { askForRoom } from './room';

/** So many numbers are read at once: a long log comes in pieces, each of which the page has time for. */
const PIECE = 250;

/** Panels that were made, the last one first. */
export const listPanels = (db: Database): Promise<MadePanel[]> =>
  db.transaction('r', db.panels, async () => {
    const panels: MadePanel[] = [];
    const last = await db.panels.orderBy('number').last();
    for (let to = last?.number ?? 0; to > 0; to -= PIECE) {
      const piece = await db.panels
        .where('number')
        .between(to - PIECE, to, false, true)
        .toArray();
      panels.push(...piece.toSorted((p, q) => q.number - p.number));
    }
    return panels;
  });

/** Logs a panel with the next number. */
export const logPanel = (
  db: Database,
  panel: Omit<MadePanel, 'id' | 'number'>,
  photos: readonly PhotoRecord[] = [],
): Promise<MadePanel> =>
  db.transaction('rw', db.panels, db.photos, async () => {
    const last = await db.panels.orderBy('number').last();
    const made: MadePanel = { ...panel, id: crypto.randomUUID(), number: nextNumber(last ? [last] : []) };
    await db.photos.bulkPut([...photos]);
    await db.panels.add(made);
    return made;
  });

/** Brings panels in from elsewhere, under numbers of their own that follow the last one's. */
export async function logPanels(db: Database, panels: readonly MadePanel[]): Promise<MadePanel[]> {
  await askForRoom(panels);
  return db.transaction('rw', db.panels, async () => {
    const last = await db.panels.orderBy('number').last();
    const first = nextNumber(last ? [last] : []);
    const added = panels.map((panel, i) => ({ ...panel, id: crypto.randomUUID(), number: first + i }));
    await db.panels.bulkAdd(added);
    return added;
  });
}

/** Changes what is said of a panel; returns it as it was, for `restorePanels`. Nothing happens to one that is gone. */
export const changePanel = (
  db: Database,
  id: string,
  change: (panel: MadePanel) => MadePanel,
  photos: readonly PhotoRecord[] = [],
): Promise<MadePanel | undefined> =>
  db.transaction('rw', db.panels, db.photos, async () => {
    const before = await db.panels.get(id);
    if (!before) return undefined;
    await db.photos.bulkPut([...photos]);
    await db.panels.put(change(before));
    return before;
  });

/** Takes panels out of the log; their photographs stay until they are tidied. Returns them, for `restorePanels`. */
export const removePanels = (db: Database, ids: readonly string[]): Promise<MadePanel[]> =>
  db.transaction('rw', db.panels, async () => {
    const gone = (await db.panels.bulkGet([...ids])).filter((panel) => panel !== undefined);
    await db.panels.bulkDelete([...ids]);
    return gone;
  });

/** Puts panels back as they were. */
export const restorePanels = async (db: Database, panels: readonly MadePanel[]): Promise<void> => {
  await db.panels.bulkPut([...panels]);
};

export const readPhoto = (db: Database, id: string): Promise<PhotoRecord | undefined> => db.photos.get(id);

/**
 * Does something with photographs that no panel shows yet; nobody tidies them meanwhile, in this tab or another. Where the
 * browser has no locks it is done all the same.
 */
export const aloneWithPhotos = <T>(work: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && navigator.locks
    ? navigator.locks.request('tint-ladder photographs', work)
    : work();

/**
 * Takes away photographs that no panel shows any more: at a start, when nothing can be undone any longer. Panels are gone
 * through one by one, so that a long log stops nobody.
 */
export const tidyPhotos = (db: Database): Promise<number> => aloneWithPhotos(() => tidy(db));

const tidy = (db: Database): Promise<number> =>
  db.transaction('rw', db.panels, db.photos, async () => {
    if ((await db.photos.count()) === 0) return 0;
    const shown = new Set<string>();
    await db.panels.each(({ photos = [] }) => {
      for (const { id, fullSize } of photos) for (const one of [id, fullSize]) if (one) shown.add(one);
    });
    const unseen = (await db.photos.toCollection().primaryKeys()).filter((id) => !shown.has(id));
    await db.photos.bulkDelete(unseen);
    return unseen.length;
  });
