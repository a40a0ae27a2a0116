import { initialParams, isChoice } from '../../base/params';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS, type Pass, placementsOf } from '../../recipe/passes/passes';
import type { Recipe } from '../../recipe/recipe';
import { passesInOrder } from '../../recipe/recipe';
import { type Rule, readingOf } from './definition';

/** Something placed where the panel is not, as after another panel's figures were typed: its step would lay nothing. */
export const offPanel: Rule = {
  id: 'offPanel',
  check: (input) =>
    passesInOrder(input.resolved.recipe).flatMap((pass) => {
      const { label, placements } = PASS_KINDS[pass.kind];
      const off = readingOf(input, pass)?.off ?? [];
      return placementsOf(pass).flatMap(({ id }, i) =>
        off.includes(id)
          ? [
              {
                key: `off ${pass.id} ${id}`,
                message: `${label}${pass.placements.length > 1 ? `, ${placements.noun} ${i + 1},` : ''} lies off the panel: nothing of it is laid.`,
                fix: {
                  label: 'Bring it onto the panel',
                  apply: (recipe: Recipe) => broughtBack(recipe, pass, id),
                },
              },
            ]
          : [],
      );
    }),
};

/** The placement where its kind first lies; turned and as large as it is. */
function broughtBack(recipe: Recipe, { id, kind }: Pass, placementId: string): Recipe {
  const specs = PASS_KINDS[kind].params;
  const first = initialParams(specs, recipe.panel);
  const places = Object.entries(specs).flatMap(([key, spec]) =>
    !isChoice(spec) && spec.isPlaceAlong ? [[key, first[key]]] : [],
  );
  return setPlacement(recipe, id, placementId, { params: Object.fromEntries(places) });
}
