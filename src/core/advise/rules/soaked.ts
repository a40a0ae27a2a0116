import { capitalised } from '../../base/words';
import { TOOLS } from '../../recipe/tools/tools';
import type { Rule } from './definition';

/** From this weight on, g/m², a card takes being dipped: 100 lb cover. Common practice. */
const HEAVY = 270;

/** A card dipped that is not made for it: it cockles, and its coat of ink slides. */
export const soaked: Rule = {
  id: 'soaked',
  check: ({ resolved: { recipe, card }, cards }) => {
    if (!TOOLS[recipe.tool].soaks) return [];
    const takesWater = (one: typeof card) => one.finish === 'watercolour' || (one.grammage ?? 0) >= HEAVY;
    if (takesWater(card)) return [];
    const other = cards.find(({ finish }) => finish === 'watercolour');
    return [
      {
        key: `soaked ${card.id}`,
        message: `${capitalised(card.name)} is dipped and wetted through: take cold-pressed watercolour, or dark card of ${HEAVY} g/m² and up with white pigment in the pool.`,
        ...(other
          ? {
              fix: {
                label: `Take ${other.name}`,
                apply: (current) => ({ ...current, cardId: other.id }),
              },
            }
          : {}),
      },
    ];
  },
};
