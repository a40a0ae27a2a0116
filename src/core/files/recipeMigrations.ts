import { isPlain } from './plain';

/** Brings the `recipe` of a file, or of a database, from one version's shape to the next. */
export interface RecipeMigration {
  readonly from: number;
  readonly title: string;
  /** Nothing is known of the value yet: what does not fit is left for the reader to refuse. */
  readonly up: (recipe: Readonly<Record<string, unknown>>) => Record<string, unknown>;
}

/** All of them, oldest first. One that has been released is never edited. */
export const RECIPE_MIGRATIONS: readonly RecipeMigration[] = [
  {
    from: 1,
    title: 'runs have numbers, something may lie over the ladder, and a tool is named',
    up: ({ run, ...recipe }) => ({
      ...recipe,
      run: typeof run === 'string' ? { id: run, params: {} } : run,
      overs: [],
      tool: 'brush',
    }),
  },
  {
    from: 2,
    title: 'what lies over the ladder is passes, in the order of work',
    up: ({ overs, notes, ...recipe }) => ({
      ...recipe,
      passes: Array.isArray(overs) ? laidInOrder(overs).map(passOf) : overs,
      ...(notes === undefined ? {} : { notes: renamedNotes(notes) }),
    }),
  },
];

/** What was worked into the wet ladder came before what lay on the dried one, wherever it stood in the list. */
function laidInOrder(overs: readonly unknown[]): readonly unknown[] {
  const isWet = (over: unknown) => isPlain(over) && (over.id === 'edge' || over.id === 'darkCorners');
  return [...overs.filter(isWet), ...overs.filter((over) => !isWet(over))];
}

const passOf = (over: unknown): unknown =>
  isPlain(over)
    ? {
        id: over.id,
        kind: over.id,
        on: true,
        placements: [{ inkId: over.inkId, params: over.params }],
      }
    : over;

/** Steps of one of these were `over edge`. */
const renamedNotes = (notes: unknown): unknown =>
  isPlain(notes)
    ? Object.fromEntries(
        Object.entries(notes).map(([key, note]) => [key.replace(/^over (\w+)$/, 'pass $1 0'), note]),
      )
    : notes;

/** A recipe of one version in the shape of a later one. */
export const recipeAt = (
  recipe: Readonly<Record<string, unknown>>,
  from: number,
  to: number,
): Record<string, unknown> =>
  RECIPE_MIGRATIONS.filter((step) => step.from >= from && step.from < to).reduce<Record<string, unknown>>(
    (older, { up }) => up(older),
    recipe,
  );

/** A recipe of an earlier version in today's shape. */
export const migrateRecipe = (
  recipe: Readonly<Record<string, unknown>>,
  version: number,
): Record<string, unknown> => recipeAt(recipe, version, Number.POSITIVE_INFINITY);
