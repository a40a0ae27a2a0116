import { isBare } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import type { Rule } from './definition';

/** A brush that white shares with a colour: the next white comes out tinted. */
export const sharedWhite: Rule = {
  id: 'sharedWhite',
  check: ({ resolved: { inks, passInks } }) => {
    const all = [...new Set([...inks, ...passInks])].filter((ink) => !isBare(ink) && ink.brush);
    const isWhite = ({ kind }: (typeof all)[number]) => INK_KINDS[kind].brushSet === 'white only';
    return all.filter(isWhite).flatMap((white) => {
      const other = all.find((ink) => !isWhite(ink) && ink.brush === white.brush);
      return other
        ? [
            {
              key: `shared ${white.id} ${other.id}`,
              message: `${white.name} and ${other.name} are both laid with the brush “${white.brush}”. Keep one brush for white only, and write so on the shelf.`,
            },
          ]
        : [];
    });
  },
};
