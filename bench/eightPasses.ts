import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { addPlacement, setPlacement } from '../src/core/recipe/editPasses';
import type { ResolvedRecipe } from '../src/core/recipe/resolved';
import { DEMO_INKS } from '../src/data/demo/inks';
import { withPass } from '../src/testing/resolvedRecipes';

const inkOf = (id: string) => {
  const ink = DEMO_INKS.find((one) => one.id === id);
  if (!ink) throw new Error(`the demo has no ink ${id}`);
  return ink;
};
const designOf = (id: string) => {
  const design = OWN_DESIGNS.find((one) => one.id === id);
  if (!design) throw new Error(`there is no design ${id}`);
  return design;
};

/** A recipe with eight passes of different sorts over its blend, ten borders in all. */
export function eightPasses(resolved: ResolvedRecipe): ResolvedRecipe {
  const laid = [
    (one: ResolvedRecipe) => withPass(one, 'edge', { ink: inkOf('tarn-deep') }),
    (one: ResolvedRecipe) =>
      withPass(one, 'edgeStencil', { ink: inkOf('sloe-deep'), design: designOf('far-hills') }),
    (one: ResolvedRecipe) =>
      withPass(one, 'patternStencil', { ink: inkOf('leat-deep'), design: designOf('kiln-bricks') }),
    (one: ResolvedRecipe) => withPass(one, 'splash', { params: { after: 'dried' } }),
    (one: ResolvedRecipe) => withPass(one, 'clearResist', { design: designOf('reeds') }),
    (one: ResolvedRecipe) => withPass(one, 'coat', { ink: inkOf('tarn-deep'), params: { strength: 40 } }),
    (one: ResolvedRecipe) =>
      withPass(one, 'silhouette', { ink: inkOf('soot-line'), design: designOf('bottle-kiln') }),
    (one: ResolvedRecipe) => withPass(one, 'penDots'),
  ].reduce((one, lay) => lay(one), resolved);
  const moved = setPlacement(laid.recipe, 'edgeStencil-1', 'p1', { params: { y: 100 } });
  return { ...laid, recipe: addPlacement(moved, 'edgeStencil-1') };
}
