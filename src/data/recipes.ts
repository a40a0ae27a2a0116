import type { Card } from '../core/materials/card/card';
import type { Design } from '../core/materials/design/design';
import { BARE, type Ink, isBare } from '../core/materials/ink/ink';
import { shareEqually } from '../core/recipe/editLadder';
import { USUAL_PANEL } from '../core/recipe/panel';
import type { Kit, Recipe } from '../core/recipe/recipe';
import { STRAIGHT } from '../core/recipe/runs/runs';
import type { Database } from './database';
import { firstRecord, type RecipeRecord } from './records';

/** Another tab saved this recipe since it was opened here. Nothing was written. */
export class ChangedElsewhere extends Error {
  override readonly name = 'ChangedElsewhere';
  constructor(readonly theirs: RecipeRecord | undefined) {
    super('The recipe was changed in another tab');
  }
}

/** All recipes, the one changed last first. */
export const listRecipes = (db: Database): Promise<RecipeRecord[]> =>
  db.recipes.orderBy('updatedAt').reverse().toArray();

/** The recipe changed last, if there is any. */
export const latestRecipe = (db: Database): Promise<RecipeRecord | undefined> =>
  db.recipes.orderBy('updatedAt').last();

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
    const record = { ...stored, recipe, revision: baseRevision + 1, updatedAt: Date.now() };
    await db.recipes.put(record);
    return record;
  });

/** Keeps a recipe as a new one, under a new id and a name not used yet. */
export const addRecipe = (db: Database, recipe: Recipe): Promise<RecipeRecord> =>
  db.transaction('rw', db.recipes, async () => {
    const names = new Set((await db.recipes.toArray()).map((record) => record.recipe.name));
    const record = firstRecord(
      { ...recipe, id: crypto.randomUUID(), name: freeName(recipe.name, names) },
      Date.now(),
    );
    await db.recipes.add(record);
    return record;
  });

/** Names made here leave room, within the 120 letters of a file, for what is added to them. */
const LONGEST_NAME = 100;

/** "Dusk", or "Dusk (2)" when there is a Dusk already, and so on. */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  const stem = name.replace(/ \(\d+\)$/, '').slice(0, LONGEST_NAME);
  let count = 2;
  while (taken.has(`${stem} (${count})`)) count++;
  return `${stem} (${count})`;
}

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

export const restoreRecipe = async (db: Database, record: RecipeRecord): Promise<void> => {
  await db.recipes.put(record);
};

/** A straight recipe of these inks from the top down, equally shared, on a panel of the usual size; not yet saved. */
export const recipeOf = (name: string, inks: readonly Ink[], card: Card): Recipe =>
  shareEqually({
    id: 'new',
    name: name.slice(0, LONGEST_NAME),
    cardId: card.id,
    panel: USUAL_PANEL,
    run: STRAIGHT,
    passes: [],
    tool: 'brush',
    school: 'suggested',
    rungs: inks.map(({ id }) => ({ inkId: id, share: 1 / inks.length })),
    joints: inks.slice(1).map(() => ({ width: 1 })),
  });

/** What recipes are made of. */
export interface Materials {
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
  readonly designs: readonly Design[];
}

/** What a recipe needs, from the shelf; undefined when an ink, a design or the card is no longer there. */
export function kitFrom(recipe: Recipe, { inks, cards, designs }: Materials): Kit | undefined {
  const card = cards.find(({ id }) => id === recipe.cardId);
  const find = ({ inkId }: { readonly inkId: string }): Ink[] => {
    const ink = inkId === BARE.id ? BARE : inks.find(({ id }) => id === inkId);
    return ink ? [ink] : [];
  };
  const found = recipe.rungs.flatMap(find);
  const inkIds = inkIdsOf(recipe.passes);
  const passInks = inks.filter(({ id }) => inkIds.has(id));
  const designIds = designIdsOf(recipe.passes);
  const drawn = designs.filter(({ id }) => designIds.has(id));
  const whole =
    found.length === recipe.rungs.length &&
    passInks.length === inkIds.size &&
    drawn.length === designIds.size;
  return card && whole ? { recipe, card, inks: found, passInks, designs: drawn } : undefined;
}

const inkIdsOf = (passes: Recipe['passes']): Set<string> =>
  new Set(passes.flatMap(({ placements }) => placements.flatMap(({ inkId }) => inkId ?? [])));

export const designIdsOf = (passes: Recipe['passes']): Set<string> =>
  new Set(passes.flatMap(({ designId }) => designId ?? []));

/**
 * Brings a recipe in from a file, with what of its inks, designs and card is not on the shelf yet: all of it or nothing.
 * One that is here under the same id but is another one comes in beside it under a new id.
 */
export async function importKit(db: Database, kit: Kit): Promise<RecipeRecord> {
  const { isOwnDesign } = await import('../core/materials/design/own');
  return db.transaction('rw', db.recipes, db.inks, db.cards, db.designs, async () => {
    const inkIds = new Map<string, string>();
    for (const ink of [...kit.inks, ...kit.passInks])
      if (!isBare(ink) && !inkIds.has(ink.id)) inkIds.set(ink.id, await bringIn(db.inks, ink));
    const here = <T extends { readonly inkId: string }>(part: T): T => ({
      ...part,
      inkId: inkIds.get(part.inkId) ?? part.inkId,
    });
    const designIds = new Map<string, string>();
    for (const design of kit.designs)
      if (!isOwnDesign(design.id)) designIds.set(design.id, await bringIn(db.designs, design));
    const cardId = await bringIn(db.cards, kit.card);
    return addRecipe(db, {
      ...kit.recipe,
      cardId,
      rungs: kit.recipe.rungs.map(here),
      passes: kit.recipe.passes.map(({ designId, ...pass }) => ({
        ...pass,
        ...(designId === undefined ? {} : { designId: designIds.get(designId) ?? designId }),
        placements: pass.placements.map((placement) =>
          placement.inkId === undefined ? placement : here({ ...placement, inkId: placement.inkId }),
        ),
      })),
    });
  });
}

async function bringIn<T extends { id: string; name: string }>(
  table: { get(id: string): PromiseLike<T | undefined>; add(value: T): PromiseLike<string> },
  incoming: T,
): Promise<string> {
  const here = await table.get(incoming.id);
  if (here && sameFields(here, incoming)) return here.id;
  const id = here ? crypto.randomUUID() : incoming.id;
  await table.add(
    here ? { ...incoming, id, name: `${incoming.name.slice(0, LONGEST_NAME)} (from file)` } : incoming,
  );
  return id;
}

function sameFields(here: object, incoming: object): boolean {
  const [p, q] = [Object.entries(here), Object.entries(incoming)];
  return (
    p.length === q.length &&
    p.every(([key, value]) => sameValue(value, incoming[key as keyof typeof incoming]))
  );
}

/** Fields are plain values, or lists and records of them. */
function sameValue(p: unknown, q: unknown): boolean {
  return p === q || (typeof p === 'object' && JSON.stringify(p) === JSON.stringify(q));
}
