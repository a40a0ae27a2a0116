import type { Params } from '../core/base/params';
import type { Card } from '../core/materials/card/card';
import type { Hex } from '../core/materials/colour/hex';
import type { Design } from '../core/materials/design/design';
import type { Ink } from '../core/materials/ink/ink';
import type { InkKindId } from '../core/materials/ink/kinds';
import { addPass, setPlacement } from '../core/recipe/editPasses';
import type { PassKindId } from '../core/recipe/passes/passes';
import type { Kit, Recipe } from '../core/recipe/recipe';
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
export function kitOf(
  inks: readonly Ink[],
  card = WHITE_CARD,
  change: Partial<Recipe> = {},
  passInks: readonly Ink[] = [],
  designs: readonly Design[] = [],
): Kit {
  const recipe: Recipe = {
    id: 'test',
    name: 'Test',
    cardId: card.id,
    panel: { width: 80, height: 100 },
    run: STRAIGHT,
    passes: [],
    tool: 'brush',
    school: 'paleFirst',
    rungs: inks.map(({ id }) => ({ inkId: id, share: 1 / inks.length })),
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

/** A kit with one pass more. */
export function withPass(kit: Kit, kind: PassKindId, { ink: laid, design, params }: PassWish = {}): Kit {
  const added = addPass(kit.recipe, kind, {
    ...(laid ? { inkId: laid.id } : {}),
    ...(design ? { design } : {}),
  });
  const pass = added.passes.find(({ id }) => !kit.recipe.passes.some((other) => other.id === id));
  if (!pass) throw new Error('the recipe is full');
  const once = <T>(list: readonly T[], one: T | undefined): readonly T[] =>
    one === undefined || list.includes(one) ? list : [...list, one];
  return {
    ...kit,
    recipe: params ? setPlacement(added, pass.id, 0, { params }) : added,
    passInks: once(kit.passInks, laid),
    designs: once(kit.designs, design),
  };
}
