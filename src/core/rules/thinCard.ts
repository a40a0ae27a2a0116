import { CURLS_BELOW, curlOf, LIES_FLAT_FROM } from '../card/fit';
import type { Recipe } from '../ladder/recipe';
import { passesInOrder } from '../pass/order';
import { PASS_KINDS, type PassKindId } from '../pass/pass';
import { nearestCard } from './nearest';
import type { Rule } from './rule';

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
