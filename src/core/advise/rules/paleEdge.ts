import { blendGround, solidColour } from '../../engine/blend';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf } from '../../recipe/resolved';
import type { Rule } from './definition';

/** An ink may be so much paler, L*, and still frame. By eye. */
const PALER = 6;

/** An edge, corners or a horizon in an ink paler than all they surround: they frame nothing. */
export const paleEdge: Rule = {
  id: 'paleEdge',
  check: ({ resolved, readings }) => {
    const darkest = readings.rungs.reduce((dark, rung) => (rung.lab.l < dark.lab.l ? rung : dark));
    const ground = blendGround(resolved);
    return passesInOrder(resolved.recipe).flatMap((pass) => {
      const [context] = contextsOf(resolved, pass);
      if (!context?.ink || !PASS_KINDS[pass.kind].frames) return [];
      const { id, ink } = context;
      if (solidColour(ink, ground).l <= darkest.lab.l + PALER) return [];
      return [
        {
          key: `pale ${pass.id} ${ink.id}`,
          message: `${PASS_KINDS[pass.kind].label}: ${ink.name} is paler than ${darkest.ink.name} and will not frame it.`,
          fix: {
            label: `Use ${darkest.ink.name}`,
            apply: (current) => setPlacement(current, pass.id, id, { inkId: darkest.ink.id }),
          },
        },
      ];
    });
  },
};
