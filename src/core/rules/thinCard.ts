import { CURLS_BELOW, curlOf, LIES_FLAT_FROM } from '../card/fit';
import { nearestCard } from './nearest';
import type { Rule } from './rule';

/** Card that curls once it is wetted. */
export const thinCard: Rule = {
  id: 'thinCard',
  check: ({ kit: { card }, cards }) => {
    if (card.grammage >= CURLS_BELOW) return [];
    const other = nearestCard(card, cards, ({ grammage }) => grammage >= LIES_FLAT_FROM);
    return [
      {
        key: `thin ${card.id}`,
        told: curlOf(card).join(' '),
        ...(other
          ? { fix: { label: `Take ${other.name}`, mend: (recipe) => ({ ...recipe, cardId: other.id }) } }
          : {}),
      },
    ];
  },
};
