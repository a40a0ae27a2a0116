import { CURLS_BELOW, curlOf, LIES_FLAT_FROM } from '../../materials/card/weight';
import { PASS_KINDS } from '../../recipe/passes/passes';
import type { Recipe } from '../../recipe/recipe';
import { passesInOrder } from '../../recipe/recipe';
import type { Rule } from './definition';
import { nearestCard } from './nearest';

/** Card that curls once it is wetted, or cockles where it is wetted through. */
export const thinCard: Rule = {
  id: 'thinCard',
  check: ({ resolved: { card, recipe }, cards }) => {
    const wets = wetted(recipe);
    const isThin = card.grammage < CURLS_BELOW;
    if (!isThin && (card.grammage >= LIES_FLAT_FROM || wets.length === 0)) return [];
    const other = nearestCard(card, cards, ({ grammage }) => grammage >= LIES_FLAT_FROM);
    return [
      {
        key: `thin ${card.id}`,
        message: [
          ...(isThin
            ? curlOf(card)
            : [
                `${card.grammage} g/m² cockles where it is wetted through: heat the back too. ${LIES_FLAT_FROM} g/m² and up lies flat.`,
              ]),
          ...wets,
        ].join(' '),
        ...(other
          ? { fix: { label: `Take ${other.name}`, apply: (recipe) => ({ ...recipe, cardId: other.id }) } }
          : {}),
      },
    ];
  },
};

/** Which passes wet it. */
function wetted(recipe: Recipe): string[] {
  const wetting = passesInOrder(recipe).filter(({ kind }) => PASS_KINDS[kind].wetsThrough);
  const labels = [...new Set(wetting.map(({ kind }) => PASS_KINDS[kind].label))];
  return labels.length > 0 ? [`Wetted through by: ${labels.join(', ')}.`] : [];
}
