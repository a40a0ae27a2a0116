import type { Card } from '../core/card/card';
import type { Hex } from '../core/colour/hex';
import type { Ink } from '../core/ink/ink';
import type { InkKindId } from '../core/ink/kinds';
import type { Kit, Recipe } from '../core/ladder/recipe';
import { STRAIGHT } from '../core/run/run';

/** Values for tests: small, real, and invented. */

export const WHITE_CARD: Card = {
  id: 'white',
  name: 'smooth white 350 g/m²',
  colour: '#fcfbf8',
  finish: 'smooth',
  grammage: 350,
};
export const BLACK_CARD: Card = { ...WHITE_CARD, id: 'black', name: 'black 300 g/m²', colour: '#2b2a29' };

export const ink = (name: string, overWhite: Hex, kind: InkKindId = 'hybrid'): Ink => ({
  id: name,
  name,
  family: name,
  depth: 'mid',
  kind,
  overWhite,
});

/** A recipe of these inks from the top down on a panel 100 mm high, with equal shares and joints of 10 mm. */
export function kitOf(
  inks: readonly Ink[],
  card = WHITE_CARD,
  change: Partial<Recipe> = {},
  overInks: readonly Ink[] = [],
): Kit {
  const recipe: Recipe = {
    id: 'test',
    name: 'Test',
    cardId: card.id,
    panel: { width: 80, height: 100 },
    run: STRAIGHT,
    overs: [],
    tool: 'brush',
    school: 'paleFirst',
    rungs: inks.map(({ id }) => ({ inkId: id, share: 1 / inks.length })),
    joints: inks.slice(1).map(() => ({ width: 10 })),
    ...change,
  };
  return { recipe, card, inks, overInks };
}
