import { movePass } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';

/** A mist that comes when the blend has dried, or when something lies on it that would be smeared. Common practice. */
export const lateMist: Rule = {
  id: 'lateMist',
  check: ({ resolved: { recipe } }) => {
    const over = passesInOrder(recipe).filter(({ kind }) => PASS_KINDS[kind].stage === 'over');
    const [first] = over;
    return over.flatMap((pass) => {
      const { label, worksWet } = PASS_KINDS[pass.kind];
      if (!worksWet || !first || PASS_KINDS[first.kind].worksWet) return [];
      return [
        {
          key: `late ${pass.id}`,
          message: `${label} wants the blend wet and bare: ${PASS_KINDS[first.kind].label} comes before it.`,
          fix: {
            label: `${label} first`,
            apply: (current) =>
              movePass(
                current,
                pass.id,
                current.passes.findIndex(({ kind }) => PASS_KINDS[kind].stage === 'over'),
              ),
          },
        },
      ];
    });
  },
};
