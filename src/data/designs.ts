import type { Design } from '../core/design/design';
import type { Database } from './database';
import { designIdsOf } from './recipes';

/** Drawn while the database opens: they need not come with the first script. */
const shipped = import('../core/design/own');

/** Every design there is to choose: those that ship with the application, then the maker's own, by name. */
export async function listDesigns(db: Database): Promise<Design[]> {
  const own = (await db.designs.toArray()).sort((p, q) => p.name.localeCompare(q.name));
  return [...(await shipped).OWN_DESIGNS, ...own];
}

/** Keeps a design, new or changed. */
export const saveDesign = async (db: Database, design: Design): Promise<void> => {
  await db.designs.put(design);
};

/** A design stays while recipes are made with it. Nothing was deleted. */
export class DesignInUse extends Error {
  override readonly name = 'DesignInUse';
  constructor(readonly recipes: readonly string[]) {
    super(`The design is used in ${recipes.join(', ')}`);
  }
}

/**
 * Takes a design of the maker's own away.
 *
 * @throws DesignInUse when a recipe has it
 */
export const removeDesign = (db: Database, id: string): Promise<void> =>
  db.transaction('rw', db.designs, db.recipes, async () => {
    const recipes = (await db.recipes.toArray())
      .filter(({ recipe }) => designIdsOf(recipe.passes).has(id))
      .map(({ recipe }) => recipe.name);
    if (recipes.length > 0) throw new DesignInUse(recipes);
    await db.designs.delete(id);
  });
