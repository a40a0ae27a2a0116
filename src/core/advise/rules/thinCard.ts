import { CURLS_BELOW, curlOf, LIES_FLAT_FROM } from '../../readings/card/cardFit';
import { PASS_KINDS, type PassKindId } from '../../recipe/passes/passes';
import { passesInOrder } from '../../recipe/passesInOrder';
import type { Recipe } from '../../recipe/recipe';
import { nearestCard } from './nearest';
import type { Rule } from './rules';

/** Card that curls once it is wetted. */
export const thinCard: Rule = {
  id: 'thinCard',
  check: ({ kit: { card, recipe }, cards }) => {
    if (card.grammage >= CURLS_BELOW) return [];
    const other = nearestCard(card, cards, ({ grammage }) => grammage >= LIES_FLAT_FROM);
    return [
      {
        key: `thin ${card.id}`,
        told: [...curlOf(card), ...wetted(recipe)].join(' '),
        ...(other
          ? { fix: { label: `Take ${other.name}`, mend: (recipe) => ({ ...recipe, cardId: other.id }) } }
          : {}),
      },
    ];
  },
};

const WETS: readonly PassKindId[] = ['lift', 'splash', 'waterStamp', 'paste'];

/** Which passes wet it. */
function wetted(recipe: Recipe): string[] {
  const labels = passesInOrder(recipe)
    .filter(({ kind }) => WETS.includes(kind))
    .map(({ kind }) => PASS_KINDS[kind].label);
  return labels.length > 0 ? [`${labels.join(', ')} wet it through.`] : [];
}
