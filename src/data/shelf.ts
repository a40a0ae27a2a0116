import { withCleanName } from '../core/base/names';
import type { Ink } from '../core/materials/ink/ink';
import { inkIdsOf } from '../core/recipe/resolved';
import type { Database } from './database';
import { rememberGone } from './gone';
import { refuseWhileUsed } from './inUse';
import { askForRoom } from './room';

/**
 * Takes an ink off the shelf.
 *
 * @throws InUse when it is a rung of a recipe or laid in a pass
 */
export const removeInk = (db: Database, inkId: string): Promise<void> =>
  db.transaction('rw', db.inks, db.recipes, db.versions, db.gone, async () => {
    await refuseWhileUsed(
      db,
      ({ rungs, passes }) => rungs.some((rung) => rung.inkId === inkId) || inkIdsOf(passes).has(inkId),
    );
    const ink = await db.inks.get(inkId);
    if (ink) await rememberGone(db, 'ink', [ink]);
    await db.inks.delete(inkId);
  });

/**
 * Takes several inks off the shelf at once; those that a recipe or a named state of one is made with stay.
 *
 * @returns what is gone, for `saveInks` to put back
 */
export const removeInks = (db: Database, ids: readonly string[]): Promise<Ink[]> =>
  db.transaction('rw', db.inks, db.recipes, db.versions, db.gone, async () => {
    const made = [...(await db.recipes.toArray()), ...(await db.versions.toArray())];
    const used = new Set(
      made.flatMap(({ recipe }) => [...recipe.rungs.map(({ inkId }) => inkId), ...inkIdsOf(recipe.passes)]),
    );
    const free = ids.filter((id) => !used.has(id));
    const gone = (await db.inks.bulkGet(free)).filter((ink) => ink !== undefined);
    await rememberGone(db, 'ink', gone);
    await db.inks.bulkDelete(free);
    return gone;
  });

/** Keeps many inks, all of them or none; returns what stood there before under the same ids. */
export async function saveInks(db: Database, inks: readonly Ink[]): Promise<Ink[]> {
  await askForRoom(inks);
  return db.transaction('rw', db.inks, async () => {
    const before = (await db.inks.bulkGet(inks.map(({ id }) => id))).filter((ink) => ink !== undefined);
    await db.inks.bulkPut(inks.map(withCleanName));
    return before;
  });
}

/** Takes back `saveInks`: what was there before stands again, what was new is gone. */
export const restoreInks = (db: Database, kept: readonly Ink[], before: readonly Ink[]): Promise<void> =>
  db.transaction('rw', db.inks, db.gone, async () => {
    const old = new Set(before.map(({ id }) => id));
    const fresh = kept.filter(({ id }) => !old.has(id));
    await rememberGone(db, 'ink', fresh);
    await db.inks.bulkDelete(fresh.map(({ id }) => id));
    await db.inks.bulkPut([...before]);
  });
