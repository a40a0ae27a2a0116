import { useCallback } from 'react';
import { useAnswer } from '../../app/useAnswer';
import { blendGround } from '../../core/engine/blend';
import type { Ink } from '../../core/materials/ink/ink';
import type { TopCoat } from '../../core/readings/legibility/topCoat';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { shelfWorker } from '../../workers/client';

/**
 * A shelf's darks as top coats over the recipe's ladder, ranked by the worker, which solves the films of a thousand inks for it.
 *
 * @param shelf  undefined where none is wanted
 * @returns undefined until they are ranked
 */
export function useTopCoats(
  resolved: ResolvedRecipe,
  shelf: readonly Ink[] | undefined,
): readonly TopCoat[] | undefined {
  const { inks } = resolved;
  const ground = blendGround(resolved);
  const ask = useCallback(
    () => shelfWorker().topCoatsOver([...inks], ground, [...(shelf ?? [])]),
    [inks, ground, shelf],
  );
  return useAnswer(shelf && ask, 'nothing');
}
