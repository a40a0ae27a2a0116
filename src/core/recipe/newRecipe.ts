import { LONGEST_NAME } from '../base/names';
import type { Card } from '../materials/card/card';
import { labOfHex } from '../materials/colour/hex';
import { INK_DEPTHS, type Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { shareEqually } from './editLadder';
import { USUAL_PANEL } from './panel';
import { equalRungs, MIN_JOINT, type Recipe } from './recipe';
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

/** The families of which all three depths are owned and blend, pale to dark, as they stand on the shelf. */
export function wholeFamilies(inks: readonly Ink[]): readonly (readonly Ink[])[] {
  const owned = inks.filter(({ kind, wished }) => INK_KINDS[kind].blends && !wished);
  const families = [...new Set(owned.map(({ family }) => family))];
  return families
    .map((family) =>
      INK_DEPTHS.flatMap((depth) => owned.find((ink) => ink.family === family && ink.depth === depth) ?? []),
    )
    .filter((depths) => depths.length === INK_DEPTHS.length)
    .map(paleFirst);
}

const paleFirst = (inks: readonly Ink[]): readonly Ink[] =>
  inks.toSorted((p, q) => labOfHex(q.overWhite).l - labOfHex(p.overWhite).l);

/** The card that is taken where none is asked for: smooth white where the drawer has it. */
export const usualCard = (cards: readonly Card[]): Card | undefined =>
  cards.find(({ id }) => id === 'smooth-white') ?? cards[0];
