import { dequal } from 'dequal/lite';
import { freeName, LONGEST_NAME, withCleanName } from '../core/base/names';
import { isBare } from '../core/materials/ink/ink';
import type { Recipe } from '../core/recipe/recipe';
import { type ResolvedRecipe, withIds } from '../core/recipe/resolved';
import type { Database } from './database';
import { firstRecord, type RecipeRecord } from './records';
import { askForRoom } from './room';
import { isSoundRecord, soundOnes } from './sound';

/** Another tab saved this recipe since it was opened here. Nothing was written. */
export class ChangedElsewhere extends Error {
  override readonly name = 'ChangedElsewhere';
  constructor(readonly theirs: RecipeRecord | undefined) {
    super('The recipe was changed in another tab');
  }
}

/** Where ids are parted, which are random but for the demo's: the values of a thousand recipes at once hold the page up. */
const [QUARTER, HALF, LAST] = ['4', '8', 'c'];

/**
 * All recipes that are sound, the one changed last first. Read in parts, each kept by the database's own cache, which a
 * transaction around them would pass by; so it is no single look, and a live query runs again for what changes meanwhile.
 */
export async function listRecipes(db: Database): Promise<RecipeRecord[]> {
  const ids = () => db.recipes.where(':id');
  const records = await Promise.all([
    ids().below(QUARTER).toArray(),
    ids().between(QUARTER, HALF).toArray(),
    ids().between(HALF, LAST).toArray(),
    ids().aboveOrEqual(LAST).toArray(),
  ]);
  return soundOnes(records.flat(), isSoundRecord).sound.sort((p, q) => q.updatedAt - p.updatedAt);
}

/** The sound recipe changed last, if there is any. */
export const latestRecipe = (db: Database): Promise<RecipeRecord | undefined> =>
  db.recipes.orderBy('updatedAt').reverse().filter(isSoundRecord).first();

/**
 * Saves a recipe that was opened at `baseRevision`.
 *
 * @returns the new record
 * @throws ChangedElsewhere when the saved one has moved on or is gone
 */
export const saveRecipe = (db: Database, recipe: Recipe, baseRevision: number): Promise<RecipeRecord> =>
  db.transaction('rw', db.recipes, async () => {
    const stored = await db.recipes.get(recipe.id);
    if (!stored || stored.revision !== baseRevision) throw new ChangedElsewhere(stored);
    const record = {
      ...stored,
      recipe,
      revision: baseRevision + 1,
      updatedAt: Date.now(),
    };
    await db.recipes.put(record);
    return record;
  });

/** Keeps a recipe as a new one, under a new id and a name not used yet. */
export const addRecipe = (db: Database, recipe: Recipe): Promise<RecipeRecord> =>
  db.transaction('rw', db.recipes, async () => {
    const record = newRecord(recipe, await namesTaken(db));
    await db.recipes.add(record);
    return record;
  });

const namesTaken = async (db: Database): Promise<Set<string>> =>
  new Set((await db.recipes.toArray()).map((record) => record.recipe.name));

const newRecord = (recipe: Recipe, taken: ReadonlySet<string>): RecipeRecord =>
  firstRecord(
    { ...recipe, id: crypto.randomUUID(), name: freeName(withCleanName(recipe).name, taken) },
    Date.now(),
  );

/** Gives a recipe another name; counts as a save, so that other tabs notice. */
export const renameRecipe = (db: Database, id: string, name: string): Promise<RecipeRecord | undefined> =>
  db.transaction('rw', db.recipes, async () => {
    const stored = await db.recipes.get(id);
    if (!stored) return undefined;
    return saveRecipe(db, { ...stored.recipe, name }, stored.revision);
  });

/** Takes a recipe out and returns it, for `restoreRecipe` to put back. */
export const removeRecipe = (db: Database, id: string): Promise<RecipeRecord | undefined> =>
  db.transaction('rw', db.recipes, async () => {
    const stored = await db.recipes.get(id);
    await db.recipes.delete(id);
    return stored;
  });

/** Takes several recipes out at once and returns them, for `restoreRecipes` to put back. */
export const removeRecipes = (db: Database, ids: readonly string[]): Promise<RecipeRecord[]> =>
  db.transaction('rw', db.recipes, async () => {
    const stored = (await db.recipes.bulkGet([...ids])).filter((record) => record !== undefined);
    await db.recipes.bulkDelete([...ids]);
    return stored;
  });

export const restoreRecipes = async (db: Database, records: readonly RecipeRecord[]): Promise<void> => {
  await db.recipes.bulkPut([...records]);
};

export const restoreRecipe = async (db: Database, record: RecipeRecord): Promise<void> => {
  await db.recipes.put(record);
};

/**
 * Brings recipes in from files, with what of their inks, designs and cards is not on the shelf yet: all of it or nothing.
 * One that is here under the same id but is another one comes in beside it under a new id.
 *
 * @param during  told how far it is, 0…1; what is stopped leaves nothing
 * @throws the signal's reason when it was stopped
 */
export async function importRecipes(
  db: Database,
  many: readonly ResolvedRecipe[],
  during?: { readonly signal: AbortSignal; readonly reach: (part: number) => void },
): Promise<readonly RecipeRecord[]> {
  const { isOwnDesign } = await import('../core/materials/design/own');
  await askForRoom(many);
  return db.transaction('rw', db.recipes, db.inks, db.cards, db.designs, async () => {
    const names = await namesTaken(db);
    const [ink, card, design] = [bringerInto(db.inks), bringerInto(db.cards), bringerInto(db.designs)];
    const records: RecipeRecord[] = [];
    for (const resolved of many) {
      during?.signal.throwIfAborted();
      const inkIds = new Map<string, string>();
      for (const one of [...resolved.inks, ...resolved.passInks])
        if (!isBare(one) && !inkIds.has(one.id)) inkIds.set(one.id, await ink(one));
      const designIds = new Map<string, string>();
      for (const one of resolved.designs) if (!isOwnDesign(one.id)) designIds.set(one.id, await design(one));
      const cardId = await card(resolved.card);
      const also = resolved.alsoOn ? { alsoOn: await card(resolved.alsoOn) } : {};
      const record = newRecord(withIds({ ...resolved.recipe, cardId, ...also }, inkIds, designIds), names);
      await db.recipes.add(record);
      names.add(record.recipe.name);
      records.push(record);
      during?.reach(records.length / many.length);
    }
    return records;
  });
}

/** The same for one. */
export async function importRecipe(db: Database, resolved: ResolvedRecipe): Promise<RecipeRecord> {
  const [record] = await importRecipes(db, [resolved]);
  if (!record) throw new Error('one recipe came in as none');
  return record;
}

/** What brings parts of recipes in, each once however many recipes ask for it, and tells under which id it is here. */
function bringerInto<T extends { readonly id: string; readonly name: string }>(table: {
  get(id: string): PromiseLike<T | undefined>;
  add(value: T): PromiseLike<string>;
}): (brought: T) => Promise<string> {
  /** By the id they come with: what was here, then what came in beside it. */
  const known = new Map<string, { readonly part: T; readonly id: string }[]>();
  return async (brought) => {
    const incoming = withCleanName(brought);
    let ones = known.get(incoming.id);
    if (!ones) {
      const here = await table.get(incoming.id);
      ones = here ? [{ part: here, id: here.id }] : [];
      known.set(incoming.id, ones);
    }
    const same = ones.find(({ part }) => dequal(part, incoming));
    if (same) return same.id;
    const isOther = ones.length > 0;
    const id = isOther ? crypto.randomUUID() : incoming.id;
    ones.push({ part: incoming, id });
    await table.add(
      isOther ? { ...incoming, id, name: `${incoming.name.slice(0, LONGEST_NAME)} (from file)` } : incoming,
    );
    return id;
  };
}
