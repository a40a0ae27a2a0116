import { initialParams, isChoice } from '../../base/params';
import { PLACE_PARAMS, SIZE_PARAM } from '../../materials/design/placement';
import { offPanel as placementsOff } from '../../readings/passReadings';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS, type Pass, placementsOf } from '../../recipe/passes/passes';
import type { Recipe } from '../../recipe/recipe';
import { passesInOrder } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { type Fix, type Rule, readingOf } from './definition';

/** Something placed where the panel is not, as after another panel's figures were typed: its step would lay nothing. */
export const offPanel: Rule = {
  id: 'offPanel',
  check: (input) =>
    passesInOrder(input.resolved.recipe).flatMap((pass) => {
      const { label, placements } = PASS_KINDS[pass.kind];
      const off = readingOf(input, pass)?.off ?? [];
      return placementsOf(pass).flatMap(({ id }, i) => {
        if (!off.includes(id)) return [];
        const fix = fixOf(input.resolved, pass, id);
        return [
          {
            key: `off ${pass.id} ${id}`,
            message: `${label}${pass.placements.length > 1 ? `, ${placements.noun} ${i + 1},` : ''} lies off the panel: nothing of it is laid.`,
            ...(fix ? { fix } : {}),
          },
        ];
      });
    }),
};

/** What says where a design lies, how turned and how large. */
const LIES: ReadonlySet<string> = new Set(Object.keys({ ...PLACE_PARAMS, ...SIZE_PARAM }));

/**
 * The placement where its kind first lies, turned and as large as it is; where that shows nothing of it, since it is larger
 * than the panel and empty there, as it first lies altogether. Undefined where neither helps.
 */
function fixOf(resolved: ResolvedRecipe, { id, kind }: Pass, placementId: string): Fix | undefined {
  const specs = PASS_KINDS[kind].params;
  const placed = (recipe: Recipe, everything: boolean): Recipe => {
    const first = initialParams(specs, recipe.panel);
    const measures = Object.entries(specs).flatMap(([key, spec]) =>
      !isChoice(spec) && (spec.isPlaceAlong || (everything && LIES.has(key))) ? [[key, first[key]]] : [],
    );
    return setPlacement(recipe, id, placementId, { params: Object.fromEntries(measures) });
  };
  const shows = (everything: boolean): boolean => {
    const recipe = placed(resolved.recipe, everything);
    const pass = recipe.passes.find((one) => one.id === id);
    return pass !== undefined && !placementsOff({ ...resolved, recipe }, pass).includes(placementId);
  };
  if (shows(false)) return { label: 'Bring it onto the panel', apply: (recipe) => placed(recipe, false) };
  return shows(true)
    ? { label: 'Lay it as it was first laid', apply: (recipe) => placed(recipe, true) }
    : undefined;
}
