import type { Transaction } from 'dexie';
import { inkAt, recipeAt } from '../core/files/recipeMigrations';
import type { Demo } from './demo/demo';

/** One version of the database and the way to it from the version before. */
export interface SchemaVersion {
  readonly version: number;
  /** What changed, in a few words. */
  readonly title: string;
  /** Dexie's table specifications; a table left out stays as it was. */
  readonly stores: Readonly<Record<string, string | null>>;
  /** Brings the records of the version before into this version's shape. */
  readonly upgrade?: (transaction: Transaction) => Promise<void>;
}

/** All versions, oldest first. A version that has been released is never edited: a change is a new version. */
export const SCHEMA: readonly SchemaVersion[] = [
  {
    version: 1,
    title: 'shelf of inks, cards, recipes, settings',
    stores: { inks: 'id, family', cards: 'id', recipes: 'id, updatedAt', settings: 'key' },
  },
  { version: 2, title: 'kept trios', stores: { kept: 'id, keptAt' } },
  {
    version: 3,
    title: 'runs with numbers, overs and a tool; named versions and timings',
    stores: { versions: 'id, recipeId', timings: '++id, work' },
    upgrade: async (transaction) => {
      await transaction
        .table('recipes')
        .toCollection()
        .modify((record: { recipe: Record<string, unknown> }) => {
          if (typeof record.recipe.run === 'string') record.recipe = recipeAt(record.recipe, 1, 2);
        });
    },
  },
  {
    version: 4,
    title: 'passes in place of overs, and designs',
    stores: { designs: 'id' },
    upgrade: everyRecipe(2, 3, (recipe) => 'overs' in recipe),
  },
  {
    version: 5,
    title: 'rungs and placements with ids, choices in words',
    stores: {},
    upgrade: everyRecipe(3, 4, (recipe) => !hasRungIds(recipe)),
  },
  {
    version: 6,
    title: 'resists cool, silhouettes are set, stencils are of something',
    stores: {},
    // What has these already stays as it is.
    upgrade: everyRecipe(4, 5, () => true),
  },
  { version: 7, title: 'moods of one’s own', stores: { moods: 'id, name' } },
  {
    version: 8,
    title: 'tags on whatever lies in a drawer, and small pictures of recipes',
    stores: { tags: 'key, of', thumbnails: 'id' },
  },
  { version: 9, title: 'what was taken off, as it was', stores: { gone: 'key' } },
  { version: 10, title: 'a folder for backups', stores: { folders: 'key' } },
  {
    version: 11,
    title: 'an ink’s potency is its strength',
    stores: {},
    upgrade: async (transaction) => {
      const inks = transaction.table<Record<string, unknown>>('inks');
      await inks.bulkPut((await inks.toArray()).map((ink) => inkAt(ink, 5, 6)));
      await transaction
        .table('gone')
        .toCollection()
        .modify((record: { of: string; value: Record<string, unknown> }) => {
          if (record.of === 'ink') record.value = inkAt(record.value, 5, 6);
        });
    },
  },
  {
    version: 12,
    title: 'panels that were made, their photographs, when pads were re-inked, and brushes of one’s own',
    stores: { panels: 'id, number, date', photos: 'id', pads: 'inkId', tools: 'id', swatches: 'id, inkId' },
  },
  {
    version: 13,
    title: 'sittings, and practice',
    stores: { sittings: 'id, date', practice: '++id, exercise, at', known: 'key, due' },
  },
  {
    version: 14,
    title: 'small pictures as bytes',
    stores: {},
    // They are made anew when they are looked at.
    upgrade: (transaction) => transaction.table('thumbnails').clear(),
  },
];

/** Brings every recipe and named state that needs it from one version of files to the next. */
function everyRecipe(
  from: number,
  to: number,
  needsIt: (recipe: Record<string, unknown>) => boolean,
): (transaction: Transaction) => Promise<void> {
  return async (transaction) => {
    for (const table of ['recipes', 'versions'])
      await transaction
        .table(table)
        .toCollection()
        .modify((record: { recipe: Record<string, unknown> }) => {
          if (needsIt(record.recipe)) record.recipe = recipeAt(record.recipe, from, to);
        });
  };
}

/** Whether a recipe has them already, as the demo's have that this program sows in a database of any version. */
const hasRungIds = ({ rungs }: Readonly<Record<string, unknown>>): boolean =>
  Array.isArray(rungs) && rungs.every((rung) => 'id' in rung);

/** Sows the demo in a new database. */
export async function seedDemo(transaction: Transaction, { inks, cards, recipes }: Demo): Promise<void> {
  await Promise.all([
    transaction.table('inks').bulkAdd([...inks]),
    transaction.table('cards').bulkAdd([...cards]),
    transaction.table('recipes').bulkAdd([...recipes]),
  ]);
}
