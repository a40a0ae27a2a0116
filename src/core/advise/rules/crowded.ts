import { percentOf } from '../../base/words';
import { enablePass } from '../../recipe/editPasses';
import { PASS_KINDS, passName } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { type Rule, readingOf } from './definition';

/** So many designs over the blend are too many where together they lie on so much of the panel. Common practice: nothing crowded. */
const MANY = 3;
const COVERED = 0.5;

/** Several designs that leave the blend under them no room to be seen. */
export const crowded: Rule = {
  id: 'crowded',
  check: (input) => {
    const { passes } = input.resolved.recipe;
    const designs = passesInOrder({ passes })
      .filter(({ kind, designId }) => designId && PASS_KINDS[kind].stage === 'over')
      .flatMap((pass) => {
        const reading = readingOf(input, pass);
        return reading ? [{ pass, touches: reading.touches }] : [];
      });
    const covered = designs.reduce((sum, { touches }) => sum + touches, 0);
    const least = designs.toSorted((p, q) => p.touches - q.touches)[0];
    if (designs.length < MANY || covered < COVERED || !least) return [];
    const name = passName(passes, least.pass);
    return [
      {
        key: `crowded ${designs.map(({ pass }) => pass.id).join(' ')}`,
        message: `${designs.length} designs lie over the blend, on ${percentOf(Math.min(covered, 1))} of it: crowded, with little left that rests the eye.`,
        fix: {
          label: `Leave out ${name.toLowerCase()}`,
          apply: (recipe) => enablePass(recipe, least.pass.id, false),
        },
      },
    ];
  },
};
