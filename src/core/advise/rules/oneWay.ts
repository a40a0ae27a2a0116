import { FINISHES } from '../../materials/card/finishes';
import { isPrinted } from '../../recipe/laying';
import { TOOLS } from '../../recipe/tools/tools';
import type { Rule } from './definition';
import { nearestCard } from './nearest';

/** A tool that goes one way on a card with a grain: specks of bare card are left in it. */
export const oneWay: Rule = {
  id: 'oneWay',
  check: ({ resolved: { recipe, card }, cards }) => {
    const tool = TOOLS[recipe.tool];
    // A stamp’s rubber has no grain.
    if (!tool.goesOneWay || !FINISHES[card.finish].everyWay || isPrinted(recipe)) return [];
    const other = nearestCard(card, cards, ({ finish }) => finish === 'smooth');
    return [
      {
        key: `one way ${recipe.tool} ${card.id}`,
        message: `A ${tool.label} goes one way and leaves specks of bare card in the grain of ${card.name}. Take a brush, in circles every way, or a smooth card.`,
        fix: { label: 'Take a blending brush', apply: (current) => ({ ...current, tool: 'brush' }) },
        ...(other
          ? {
              others: [
                { label: `Take ${other.name}`, apply: (current) => ({ ...current, cardId: other.id }) },
              ],
            }
          : {}),
      },
    ];
  },
};
