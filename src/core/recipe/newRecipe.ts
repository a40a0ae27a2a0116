import { LONGEST_NAME } from '../base/names';
import type { Card } from '../materials/card/card';
import { labOfHex } from '../materials/colour/hex';
import { INK_DEPTHS, type Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { shareEqually } from './editLadder';
import { USUAL_PANEL } from './panel';
import { equalRungs, MIN_JOINT, type Recipe, RUNG_LIMITS } from './recipe';
import type { Materials } from './resolved';
import { STRAIGHT } from './runs/runs';

/** A straight recipe of these inks from the top down, equally shared, on a panel of the usual size; not yet saved. */
export const newRecipe = (name: string, inks: readonly Ink[], card: Card): Recipe =>
  shareEqually({
    id: 'new',
    name: name.slice(0, LONGEST_NAME),
    cardId: card.id,
    panel: USUAL_PANEL,
    run: STRAIGHT,
    passes: [],
    tool: 'brush',
    school: 'suggested',
    rungs: equalRungs(inks.map(({ id }) => id)),
    joints: inks.slice(1).map(() => ({ width: MIN_JOINT })),
  });

/** How many inks a first ladder has, where its family does not say. */
const USUAL_RUNGS = 3;

/**
 * What "New recipe" begins with: three depths of the first family that has them and blends well, on the usual card, or
 * else the first inks there are; pale to dark in any case. Undefined where there are not two inks and a card.
 */
export function blankRecipe({ inks, cards }: Pick<Materials, 'inks' | 'cards'>): Recipe | undefined {
  const card = usualCard(cards);
  const blended = inks.filter(({ kind }) => INK_KINDS[kind].blends);
  const owned = blended.filter(({ wished }) => !wished);
  const families = [...new Set(owned.filter(({ kind }) => kind === 'hybrid').map(({ family }) => family))];
  const whole = families
    .map((family) =>
      INK_DEPTHS.flatMap((depth) => owned.find((ink) => ink.family === family && ink.depth === depth) ?? []),
    )
    .find((depths) => depths.length === INK_DEPTHS.length);
  const chosen = whole ?? (owned.length >= RUNG_LIMITS.min ? owned : blended).slice(0, USUAL_RUNGS);
  const rungs = chosen.toSorted((p, q) => labOfHex(q.overWhite).l - labOfHex(p.overWhite).l);
  return card && rungs.length >= RUNG_LIMITS.min ? newRecipe('New recipe', rungs, card) : undefined;
}

/** The card that is taken where none is asked for: smooth white where the drawer has it. */
export const usualCard = (cards: readonly Card[]): Card | undefined =>
  cards.find(({ id }) => id === 'smooth-white') ?? cards[0];
