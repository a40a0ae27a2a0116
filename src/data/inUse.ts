import type { Recipe } from '../core/recipe/recipe';
import type { Database } from './database';

/** Something stays while recipes, or named states of them, are made with it. Nothing was deleted. */
export class InUse extends Error {
  override readonly name = 'InUse';
  /** @param by  what is made with it, by name */
  constructor(readonly by: readonly string[]) {
    super(`It is used in ${by.join(', ')}`);
  }
}

/**
 * Refuses to let go of what is still used. To be called in the transaction that would delete it, over `recipes` and
 * `versions`.
 *
 * @param uses  whether a recipe is made with it
 * @throws InUse when a recipe is, or a named state of a recipe that itself is no longer
 */
export async function refuseWhileUsed(
  db: Pick<Database, 'recipes' | 'versions'>,
  uses: (recipe: Recipe) => boolean,
): Promise<void> {
  const [recipes, versions] = await Promise.all([db.recipes.toArray(), db.versions.toArray()]);
  const by = recipes.flatMap(({ id, recipe }) =>
    uses(recipe)
      ? [recipe.name]
      : versions
          .filter((version) => version.recipeId === id && uses(version.recipe))
          .map((version) => `${recipe.name} as “${version.name}”`),
  );
  if (by.length > 0) throw new InUse(by);
}
