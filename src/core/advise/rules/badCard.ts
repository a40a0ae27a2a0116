import { FINISHES } from '../../materials/card/finishes';
import { nearestCard } from './nearest';
import type { Rule } from './rules';

/** A coated or printed card, which takes ink badly. */
export const badCard: Rule = {
  id: 'badCard',
  check: ({ kit: { card }, cards }) => {
    const finish = FINISHES[card.finish];
    if (finish.takes !== 'badly') return [];
    const other = nearestCard(card, cards, ({ finish: id }) => FINISHES[id].takes === 'well');
    return [
      {
        key: `card ${card.id}`,
        told: finish.told,
        ...(other
          ? { fix: { label: `Take ${other.name}`, mend: (recipe) => ({ ...recipe, cardId: other.id }) } }
          : {}),
      },
    ];
  },
};
