import { nameOrder } from '../core/base/names';
import type { Design } from '../core/materials/design/design';
import { designIdsOf } from '../core/recipe/resolved';
import type { Database } from './database';
import { rememberGone } from './gone';
import { refuseWhileUsed } from './inUse';
import { isSoundDesign, soundOnes } from './sound';

/** Drawn while the database opens: they need not come with the first script. */
const shipped = import('../core/materials/design/own');

/** Those that ship with the application. */
export const listShippedDesigns = async (): Promise<readonly Design[]> => (await shipped).OWN_DESIGNS;

/** Every design there is to choose: those that ship with the application, then the maker's own, by name. */
export async function listDesigns(db: Database): Promise<Design[]> {
  const { sound } = soundOnes(await db.designs.toArray(), isSoundDesign);
  const own = sound.sort((p, q) => nameOrder(p.name, q.name));
  return [...(await listShippedDesigns()), ...own];
}

/**
 * Takes a design of the maker's own away.
 *
 * @throws InUse when a recipe is made with it
 */
export const removeDesign = (db: Database, id: string): Promise<void> =>
  db.transaction('rw', db.designs, db.recipes, db.versions, db.gone, async () => {
    await refuseWhileUsed(db, ({ passes }) => designIdsOf(passes).has(id));
    const design = await db.designs.get(id);
    if (design) await rememberGone(db, 'design', [design]);
    await db.designs.delete(id);
  });
