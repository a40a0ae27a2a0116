import { scenesOf } from '../../engine/layers';
import { buffsOff, INK_KINDS } from '../../materials/ink/kinds';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import { nearestShowing } from './nearest';
import type { Rule } from './rules';

/** Pigment over a clear resist: it clings to the design and cannot be buffed off. */
export const clingingCoat: Rule = {
  id: 'clingingCoat',
  check: ({ kit, shelf }) => {
    const passes = passesInOrder(kit.recipe);
    const resist = passes.findIndex(({ kind }) => kind === 'clearResist');
    if (resist < 0) return [];
    return passes.slice(resist + 1).flatMap((pass) =>
      scenesOf(kit, pass).flatMap(({ ink }, placement) => {
        if (!ink || PASS_KINDS[pass.kind].ink !== 'blended' || buffsOff(ink.kind)) return [];
        const other = nearestShowing(ink, shelf, kit.card, ({ kind }) => kind === 'dye');
        return [
          {
            key: `clings ${pass.id} ${placement} ${ink.id}`,
            told: `${PASS_KINDS[pass.kind].label}: ${ink.name}, a ${INK_KINDS[ink.kind].label}, clings to the resist and cannot be buffed off.`,
            ...(other
              ? {
                  fix: {
                    label: `Use ${other.name}`,
                    mend: (recipe) => setPlacement(recipe, pass.id, placement, { inkId: other.id }),
                  },
                }
              : {}),
          },
        ];
      }),
    );
  },
};
