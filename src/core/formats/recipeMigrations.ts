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
];

/** A recipe of an earlier version in today's shape. */
export const migrateRecipe = (
  recipe: Readonly<Record<string, unknown>>,
  version: number,
): Record<string, unknown> =>
  RECIPE_MIGRATIONS.filter(({ from }) => from >= version).reduce<Record<string, unknown>>(
    (older, { up }) => up(older),
    recipe,
  );
