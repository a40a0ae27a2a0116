import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { addPlacement, setPlacement } from '../src/core/recipe/editPasses';
import type { Kit } from '../src/core/recipe/recipe';
import { DEMO_INKS } from '../src/data/demo/inks';
import { withPass } from '../src/testing/kits';

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

/** A kit with eight passes of different sorts over its blend, ten borders in all. */
export function eightPasses(kit: Kit): Kit {
  const laid = [
    (one: Kit) => withPass(one, 'edge', { ink: inkOf('tarn-deep') }),
    (one: Kit) => withPass(one, 'edgeStencil', { ink: inkOf('sloe-deep'), design: designOf('far-hills') }),
    (one: Kit) =>
      withPass(one, 'patternStencil', { ink: inkOf('leat-deep'), design: designOf('kiln-bricks') }),
    (one: Kit) => withPass(one, 'splash', { params: { after: 2 } }),
    (one: Kit) => withPass(one, 'clearResist', { design: designOf('reeds') }),
    (one: Kit) => withPass(one, 'coat', { ink: inkOf('tarn-deep'), params: { strength: 40 } }),
    (one: Kit) => withPass(one, 'silhouette', { ink: inkOf('soot-line'), design: designOf('bottle-kiln') }),
    (one: Kit) => withPass(one, 'penDots'),
  ].reduce((one, lay) => lay(one), kit);
  const moved = setPlacement(laid.recipe, 'edgeStencil-1', 0, { params: { y: 100 } });
  return { ...laid, recipe: addPlacement(moved, 'edgeStencil-1') };
}
