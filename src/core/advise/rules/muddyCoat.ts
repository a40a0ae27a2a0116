import { listed } from '../../base/words';
import { blendGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { aPlainColour } from '../../materials/colour/plainWords';
import type { Ink } from '../../materials/ink/ink';
import { muddiedBy } from '../../readings/joints/over';
import { NEEDS } from '../../readings/legibility/contrast';
import { setPlacement } from '../../recipe/editPasses';
import { PASS_KINDS } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/recipe';
import { contextsOf } from '../../recipe/resolved';
import { type Finding, type Rule, topCoatsFor } from './definition';

/** An even coat that turns an ink under it to mud: purple over yellow. A dark near it in colour may keep it clean. */
export const muddyCoat: Rule = {
  id: 'muddyCoat',
  check: (input) => {
    const { resolved } = input;
    const ground = blendGround(resolved);
    const inks = [...new Set(resolved.inks)];
    const findings = (passId: string, placementId: string, over: Ink, coats: number): Finding[] => {
      const muddied = muddiedBy(over, coats, inks, ground);
      const [first] = muddied;
      if (!first) return [];
      const coatsThere = topCoatsFor(input);
      const off = ({ overWhite }: Ink) => deltaE00(labOfHex(overWhite), labOfHex(over.overWhite));
      // Another dark in place of a dark, so that a resist under it still reads.
      const other = coatsThere.some(({ ink }) => ink.id === over.id)
        ? coatsThere
            .filter(({ worst }) => worst >= NEEDS['bold shape'])
            .toSorted((p, q) => off(p.ink) - off(q.ink))
            .find(({ ink }) => muddiedBy(ink, coats, inks, ground).length === 0)
        : undefined;
      const names = listed(muddied.map(({ ink }) => ink.name));
      return [
        {
          key: `muddy coat ${passId} ${placementId} ${over.id}`,
          message: `${over.name} over ${names} dries to ${aPlainColour(first.lab)}: mud.`,
          ...(other
            ? {
                fix: {
                  label: `Coat it with ${other.ink.name}`,
                  apply: (recipe) => setPlacement(recipe, passId, placementId, { inkId: other.ink.id }),
                },
              }
            : {}),
        },
      ];
    };
    return passesInOrder(resolved.recipe).flatMap((pass) => {
      const { evenCoats } = PASS_KINDS[pass.kind];
      return contextsOf(resolved, pass).flatMap(({ id, ink, params }) =>
        evenCoats && ink ? findings(pass.id, id, ink, evenCoats(params)) : [],
      );
    });
  },
};
