import { blendGround, solidColour } from '../../engine/blend';
import type { Ink } from '../../materials/ink/ink';
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
    const passes = passesInOrder(resolved.recipe);
    return passes.flatMap((pass, place) => {
      const [context] = contextsOf(resolved, pass);
      if (!context?.ink || !PASS_KINDS[pass.kind].frames) return [];
      const { id, ink } = context;
      // What it surrounds may have been coated all over before.
      const under = [
        { ink: darkest.ink, l: darkest.lab.l },
        ...passes
          .slice(0, place)
          .filter(({ kind }) => PASS_KINDS[kind].coversAll)
          .flatMap((coat) => contextsOf(resolved, coat).flatMap((laid) => laid.ink ?? []))
          .map((coat) => ({ ink: coat, l: solidColour(coat, ground).l })),
      ].toSorted((p, q) => p.l - q.l)[0] as { readonly ink: Ink; readonly l: number };
      if (solidColour(ink, ground).l <= under.l + PALER) return [];
      return [
        {
          key: `pale ${pass.id} ${ink.id}`,
          message: `${PASS_KINDS[pass.kind].label}: ${ink.name} is paler than ${under.ink.name} and will not frame it.`,
          fix: {
            label: `Use ${under.ink.name}`,
            apply: (current) => setPlacement(current, pass.id, id, { inkId: under.ink.id }),
          },
        },
      ];
    });
  },
};
