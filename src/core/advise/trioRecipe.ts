import type { RelationId } from '../choose/search/relations/relations';
import { RELATIONS } from '../choose/search/relations/relations';
import type { Card } from '../materials/card/card';
import type { Ink } from '../materials/ink/ink';
import { setShares } from '../recipe/editLadder';
import { addPass } from '../recipe/editPasses';
import { newRecipe } from '../recipe/newRecipe';
import type { PassKindId } from '../recipe/passes/passes';
import type { Recipe } from '../recipe/recipe';
import { type Materials, resolve } from '../recipe/resolved';
import { startFor } from './passStart';

/** What is laid over inks that were chosen to lie under one dark: the design that keeps them, and the dark. */
const UNDER_A_COAT: readonly PassKindId[] = ['clearResist', 'coat'];

/**
 * The recipe that found inks are opened as: with the shares their relation asks for, and with the resist and the dark
 * they were chosen to lie under.
 *
 * @param relationId  what they were found by; undefined where they were chosen otherwise
 */
export function trioRecipe(
  inks: readonly Ink[],
  card: Card,
  relationId: RelationId | undefined,
  shelf: Materials,
): Recipe {
  const plain = newRecipe(inks.map(({ name }) => name).join(', '), inks, card);
  const { shares, underTopCoat } = relationId ? RELATIONS[relationId] : {};
  const shared = shares?.length === plain.rungs.length ? setShares(plain, shares) : plain;
  if (!underTopCoat || inks.length < 3) return shared;
  return UNDER_A_COAT.reduce((recipe, kind) => {
    const resolved = resolve(recipe, shelf);
    return resolved ? addPass(recipe, kind, startFor(kind, resolved, shelf.inks, shelf.designs)) : recipe;
  }, shared);
}
