import { FINISHES } from '../../materials/card/finishes';
import type { Rule } from './definition';
import { nearestCard } from './nearest';

/** A coated or printed card, which takes ink badly. */
export const badCard: Rule = {
  id: 'badCard',
  check: ({ resolved: { card }, cards }) => {
    const finish = FINISHES[card.finish];
    if (finish.takes !== 'badly') return [];
    const other = nearestCard(card, cards, ({ finish: id }) => FINISHES[id].takes === 'well');
    return [
      {
        key: `card ${card.id}`,
        message: finish.description,
        ...(other
          ? { fix: { label: `Take ${other.name}`, apply: (recipe) => ({ ...recipe, cardId: other.id }) } }
          : {}),
      },
    ];
  },
};
