import { isChoice, type ParamSpec, type Params, type ParamValue } from '../core/base/params';
import type { Card } from '../core/materials/card/card';
import type { Hex } from '../core/materials/colour/hex';
import type { Design } from '../core/materials/design/design';
import type { Ink } from '../core/materials/ink/ink';
import type { InkKindId } from '../core/materials/ink/kinds';
import { addPass, setPlacements } from '../core/recipe/editPasses';
import type { PassKindId } from '../core/recipe/passes/passes';
import type { Recipe } from '../core/recipe/recipe';
import { equalRungs } from '../core/recipe/recipe';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { STRAIGHT } from '../core/recipe/runs/runs';

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
export function resolvedOf(
  inks: readonly Ink[],
  card = WHITE_CARD,
  change: Partial<Recipe> = {},
  passInks: readonly Ink[] = [],
  designs: readonly Design[] = [],
): ResolvedRecipe {
  const recipe: Recipe = {
    id: 'test',
    name: 'Test',
    cardId: card.id,
    panel: { width: 80, height: 100 },
    run: STRAIGHT,
    passes: [],
    tool: 'brush',
    school: 'paleFirst',
    rungs: equalRungs(inks.map(({ id }) => id)),
    joints: inks.slice(1).map(() => ({ width: 10 })),
    ...change,
  };
  return { recipe, card, inks, passInks, designs };
}

interface PassWish {
  readonly ink?: Ink;
  readonly design?: Design;
  readonly params?: Params;
}

/** A resolved recipe with one pass more. */
export function withPass(
  resolved: ResolvedRecipe,
  kind: PassKindId,
  { ink: laid, design, params }: PassWish = {},
): ResolvedRecipe {
  const added = addPass(resolved.recipe, kind, {
    ...(laid ? { inkId: laid.id } : {}),
    ...(design ? { design } : {}),
  });
  const pass = added.passes.find(({ id }) => !resolved.recipe.passes.some((other) => other.id === id));
  if (!pass) throw new Error('the recipe is full');
  const once = <T>(list: readonly T[], one: T | undefined): readonly T[] =>
    one === undefined || list.includes(one) ? list : [...list, one];
  return {
    ...resolved,
    recipe: params ? setPlacements(added, pass.id, { params }) : added,
    passInks: once(resolved.passInks, laid),
    designs: once(resolved.designs, design),
  };
}

/** A value of a parameter, for a part 0…1 of what it may be. */
export function valueAt(spec: ParamSpec, part: number): ParamValue {
  if (!isChoice(spec)) return spec.min + part * (spec.max - spec.min);
  const words = Object.keys(spec.choices);
  return words[Math.min(Math.floor(part * words.length), words.length - 1)] ?? spec.initial;
}
