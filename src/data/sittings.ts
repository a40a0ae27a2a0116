import type { MadePanel } from '../core/keep/log/made';
import { nextNumber } from '../core/keep/log/made';
import type { SheetsOf, SittingRecord } from '../core/make/sitting/record';
import type { Database } from './database';
import { isSoundSitting, soundOnes } from './sound';

/** All sittings that are sound, in order of their days; a damaged one does not take the others with it. */
export const listSittings = async (db: Database): Promise<SittingRecord[]> =>
  soundOnes(await db.sittings.orderBy('date').toArray(), isSoundSitting).sound;

export const readSitting = async (db: Database, id: string): Promise<SittingRecord | undefined> => {
  const found: unknown = await db.sittings.get(id);
  return isSoundSitting(found) ? found : undefined;
};

/** Keeps sittings as they are; returns those that were there before, for `restoreSittings`. */
export const saveSittings = (
  db: Database,
  sittings: readonly SittingRecord[],
): Promise<(SittingRecord | undefined)[]> =>
  db.transaction('rw', db.sittings, async () => {
    const before = await db.sittings.bulkGet(sittings.map(({ id }) => id));
    await db.sittings.bulkPut([...sittings]);
    return before;
  });

/** Changes a sitting as it stands now, whatever another tab did; nothing happens to one that is gone. */
export const changeSitting = (
  db: Database,
  id: string,
  change: (sitting: SittingRecord) => SittingRecord,
): Promise<SittingRecord | undefined> =>
  db.transaction('rw', db.sittings, async () => {
    const before = await db.sittings.get(id);
    if (!before) return undefined;
    await db.sittings.put(change(before));
    return before;
  });

export const removeSittings = async (db: Database, ids: readonly string[]): Promise<SittingRecord[]> =>
  db.transaction('rw', db.sittings, async () => {
    const gone = (await db.sittings.bulkGet([...ids])).filter((one) => one !== undefined);
    await db.sittings.bulkDelete([...ids]);
    return gone;
  });

/** Logs a panel that a sitting has finished, and notes in the sitting which it is: both or neither. */
export const logOfSitting = (
  db: Database,
  id: string,
  key: string,
  panel: Omit<MadePanel, 'id' | 'number'>,
): Promise<void> =>
  db.transaction('rw', db.sittings, db.panels, async () => {
    const sitting = await db.sittings.get(id);
    // Another tab may have logged it.
    if (!sitting?.run || sitting.run.logged[key] !== undefined) return;
    const last = await db.panels.orderBy('number').last();
    const made: MadePanel = { ...panel, id: crypto.randomUUID(), number: nextNumber(last ? [last] : []) };
    await db.panels.add(made);
    const logged = { ...sitting.run.logged, [key]: made.id };
    await db.sittings.put({ ...sitting, run: { ...sitting.run, logged } });
  });

/** Ends a sitting, and takes the sheets it used out of the drawer; where less is left than that, none is. */
export const endSitting = (
  db: Database,
  id: string,
  endedAt: number,
  used: readonly SheetsOf[],
): Promise<void> =>
  db.transaction('rw', db.sittings, db.cards, async () => {
    const sitting = await db.sittings.get(id);
    if (!sitting?.run || sitting.run.endedAt !== undefined) return;
    const taken = await takeSheets(db, used);
    const { reserves: _, ...rest } = sitting;
    await db.sittings.put({ ...rest, run: { ...sitting.run, endedAt, used: taken } });
  });

/** Takes `endSitting` back. */
export const reopenSitting = (db: Database, id: string): Promise<void> =>
  db.transaction('rw', db.sittings, db.cards, async () => {
    const sitting = await db.sittings.get(id);
    if (!sitting?.run?.used) return;
    await takeSheets(
      db,
      sitting.run.used.map(({ cardId, sheets }) => ({ cardId, sheets: -sheets })),
    );
    const { endedAt: _, used: __, ...run } = sitting.run;
    await db.sittings.put({ ...sitting, run });
  });

/** Takes sheets out of the drawer, of each card at most what is left; returns what was taken. A card that is not counted stays so. */
async function takeSheets(db: Database, wanted: readonly SheetsOf[]): Promise<SheetsOf[]> {
  const taken: SheetsOf[] = [];
  for (const { cardId, sheets } of wanted) {
    const card = await db.cards.get(cardId);
    if (card?.stock === undefined) continue;
    const own = Math.min(sheets, card.stock);
    await db.cards.put({ ...card, stock: card.stock - own });
    taken.push({ cardId, sheets: own });
  }
  return taken;
}
