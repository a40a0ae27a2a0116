import { memoOf } from '../../core/base/memo';
import { nameOrder } from '../../core/base/names';
import { searched, searchedWords } from '../../core/base/searched';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { RUNS } from '../../core/recipe/runs/runs';
import type { RecipeRecord } from '../../data/records';

/** A recipe as it stands in its drawer. */
export interface RecipeRow {
  readonly id: string;
  readonly record: RecipeRecord;
  /** Found out when it is asked for: of a thousand recipes a dozen are in sight. */
  readonly resolved: ResolvedRecipe;
  /** What it is told, sorted and looked for by: asked for of all of them. */
  readonly ladder: Pick<ResolvedRecipe, 'card' | 'inks'>;
  readonly tags: readonly string[];
  readonly isFavourite: boolean;
}

export const RECIPE_SORTS = {
  changed: 'changed last',
  made: 'begun last',
  name: 'name',
} as const;
export type RecipeSort = keyof typeof RECIPE_SORTS;

export interface RecipeFilter {
  readonly text: string;
  /** Empty for all. */
  readonly tag: string;
  readonly isFavourite: boolean;
  readonly sort: RecipeSort;
}

export const ALL_RECIPES: RecipeFilter = { text: '', tag: '', isFavourite: false, sort: 'changed' };

const ORDERS: Readonly<Record<RecipeSort, (p: RecipeRow, q: RecipeRow) => number>> = {
  changed: (p, q) => q.record.updatedAt - p.record.updatedAt,
  made: (p, q) => q.record.createdAt - p.record.createdAt,
  name: (p, q) => nameOrder(p.record.recipe.name, q.record.recipe.name),
};

/** The recipes that match, in order. Every word of the text must be found somewhere in what is written of a recipe. */
export function filterRecipes(
  rows: readonly RecipeRow[],
  { text, tag, isFavourite, sort }: RecipeFilter,
): RecipeRow[] {
  const words = searchedWords(text);
  return rows
    .filter((row) => {
      if (tag && !row.tags.includes(tag)) return false;
      if (isFavourite && !row.isFavourite) return false;
      if (words.length === 0) return true;
      const written = writtenOf(row);
      return words.every((word) => written.includes(word));
    })
    .toSorted(ORDERS[sort]);
}

/** What is written of a recipe, as it is searched; remembered as long as its row is. */
const writtenOf = memoOf(({ record: { recipe }, ladder, tags }: RecipeRow): string =>
  searched(
    [
      recipe.name,
      RUNS[recipe.run.id].label,
      ladder.card.name,
      ...ladder.inks.map(({ name }) => name),
      ...Object.values(recipe.notes ?? {}),
      ...tags,
    ].join(' '),
  ),
);
