import { groundOf } from '../../engine/ground';
import { scenesOf } from '../../engine/layers';
import { driedColour } from '../../materials/ink/laid';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Rule } from './rules';

/** What frames the blend. */
const FRAMES = ['edge', 'darkCorners', 'horizon'];

/** An edge, corners or a horizon in an ink paler than all they surround: they frame nothing. */
export const paleEdge: Rule = {
  id: 'paleEdge',
  check: ({ kit, readings }) => {
    const darkest = readings.rungs.reduce((dark, rung) => (rung.lab.l < dark.lab.l ? rung : dark));
    const ground = groundOf(kit);
    return passesInOrder(kit.recipe).flatMap((pass) => {
      const ink = scenesOf(kit, pass)[0]?.ink;
      if (!ink || !FRAMES.includes(pass.kind)) return [];
      if (driedColour(ink, ground).l <= darkest.lab.l + 6) return [];
      return [
        {
          key: `pale ${pass.id} ${ink.id}`,
          told: `${PASS_KINDS[pass.kind].label}: ${ink.name} is paler than ${darkest.ink.name} and will not frame it.`,
          fix: {
            label: `Use ${darkest.ink.name}`,
            mend: (current) => setPlacement(current, pass.id, 0, { inkId: darkest.ink.id }),
          },
        },
      ];
    });
  },
};
