import { SCHOOL_IDS, SCHOOLS } from '../../recipe/schools/schools';
import { compileSheet } from '../../sheet/compile';
import { tryOut } from '../../sheet/hand/hand';
import { schoolOf } from '../../sheet/schoolChoice';
import type { Finding, Rule } from './definition';

/** A step that this maker's own times make impossible, and the order of laying that would leave time for it. */
export const undoable: Rule = {
  id: 'undoable',
  check: ({ resolved, unit, maker }) => {
    const refusalsBy = (school: typeof resolved.recipe.school) => {
      const isOwn = school === resolved.recipe.school;
      const by = isOwn ? resolved : { ...resolved, recipe: { ...resolved.recipe, school } };
      return tryOut(by, compileSheet(by, unit, maker));
    };
    const [first] = refusalsBy(resolved.recipe.school);
    if (!first) return [];
    const own = schoolOf(resolved).id;
    const other = first.isLate
      ? SCHOOL_IDS.find((id) => id !== own && refusalsBy(id).length === 0)
      : undefined;
    const advice = other
      ? ''
      : first.isLate
        ? ' At your own pace no order leaves time for it: a smaller panel, or an ink that stays open longer.'
        : '';
    const finding: Finding = {
      key: `undoable ${first.step.key}`,
      message: `${first.step.title}: ${first.why}${advice}`,
      ...(other
        ? { fix: { label: SCHOOLS[other].label, apply: (recipe) => ({ ...recipe, school: other }) } }
        : {}),
    };
    return [finding];
  },
};
