import { bareGround } from '../../engine/blend';
import { buffsOff, INK_KINDS } from '../../materials/ink/kinds';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf } from '../../recipe/resolved';
import type { Rule } from './definition';
import { nearestShowing } from './nearest';

/** Pigment over a clear resist: it clings to the design and cannot be buffed off. */
export const clingingCoat: Rule = {
  id: 'clingingCoat',
  check: ({ resolved, shelf }) => {
    const passes = passesInOrder(resolved.recipe);
    const resist = passes.findIndex(({ kind }) => PASS_KINDS[kind].keepsGround);
    if (resist < 0) return [];
    return passes.slice(resist + 1).flatMap((pass) =>
      contextsOf(resolved, pass).flatMap(({ id, ink }) => {
        if (!ink || PASS_KINDS[pass.kind].ink !== 'blended' || buffsOff(ink.kind)) return [];
        const other = nearestShowing(ink, shelf, bareGround(resolved.card), ({ kind }) => kind === 'dye');
        return [
          {
            key: `clings ${pass.id} ${id} ${ink.id}`,
            message: `${PASS_KINDS[pass.kind].label}: ${ink.name}, a ${INK_KINDS[ink.kind].label}, clings to the resist and cannot be buffed off.`,
            ...(other
              ? {
                  fix: {
                    label: `Use ${other.name}`,
                    apply: (recipe) => setPlacement(recipe, pass.id, id, { inkId: other.id }),
                  },
                }
              : {}),
          },
        ];
      }),
    );
  },
};
