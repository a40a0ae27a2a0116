import { trioKey } from '../../choose/search/query';
import { blendGround } from '../../engine/blend';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { type Ink, isBare } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { judgeJoint, walkJoint, walkOnWhite } from '../../readings/joints/joint';
import { removeRung, setInk } from '../../recipe/editLadder';
import type { Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';

/** A recipe that a panel leads on to, and how it differs. */
export interface Onward {
  readonly recipe: Recipe;
  /** "without Leat Mid", "Weir Mid for Leat Mid". */
  readonly how: string;
}

/** So near an ink is a neighbour of another, ΔE00 of their swatches: seen as another, and still of its place in the ladder. */
const NEIGHBOUR = { from: 5, to: 22 } as const;
const NEIGHBOURS_TOLD = 3;

/** The panel cut to two inks, a cut for each one left out, those whose joint turns to mud last. */
export function twoInkCuts({ recipe, inks, ...materials }: ResolvedRecipe): readonly Onward[] {
  if (recipe.rungs.length !== 3 || inks.some(isBare)) return [];
  const ground = blendGround({ recipe, inks, ...materials });
  return inks
    .map((left, i) => {
      const [first, second] = inks.filter((_, j) => j !== i) as [Ink, Ink];
      const walked = walkJoint(first, second, ground);
      const isMud = judgeJoint(walked, walkOnWhite(first, second, ground, walked)).kind === 'mud';
      return { recipe: removeRung(recipe, i), how: `without ${left.name}`, isMud };
    })
    .toSorted((p, q) => Number(p.isMud) - Number(q.isMud))
    .map(({ recipe: cut, how }) => ({ recipe: cut, how }));
}

/**
 * Ladders one ink away that were never made: an ink near the one it stands for, and no joint that turns to mud. The
 * nearest first.
 *
 * @param made  keys of the trios that were made (`madeTrios`)
 */
export function untriedNeighbours(
  resolved: ResolvedRecipe,
  shelf: readonly Ink[],
  made: ReadonlySet<string>,
): readonly Onward[] {
  const { recipe, inks } = resolved;
  if (recipe.rungs.length !== 3) return [];
  const ground = blendGround(resolved);
  const isMuddy = (first: Ink, second: Ink): boolean => {
    const walked = walkJoint(first, second, ground);
    return judgeJoint(walked, walkOnWhite(first, second, ground, walked)).kind === 'mud';
  };
  const candidates = inks.flatMap((ink, rung) =>
    isBare(ink)
      ? []
      : shelf
          .filter(
            (one) => !one.wished && INK_KINDS[one.kind].isUsual && inks.every(({ id }) => id !== one.id),
          )
          .map((one) => ({ one, rung, ink, off: deltaE00(labOfHex(one.overWhite), labOfHex(ink.overWhite)) }))
          .filter(({ off }) => off >= NEIGHBOUR.from && off <= NEIGHBOUR.to),
  );
  const told: Onward[] = [];
  for (const { one, rung, ink } of candidates.toSorted((p, q) => p.off - q.off)) {
    const ladder = inks.with(rung, one);
    if (made.has(trioKey(ladder.map(({ id }) => id)))) continue;
    if (ladder.slice(1).some((next, i) => isMuddy(ladder[i] as Ink, next))) continue;
    told.push({ recipe: setInk(recipe, rung, one.id), how: `${one.name} for ${ink.name}` });
    if (told.length === NEIGHBOURS_TOLD) break;
  }
  return told;
}
