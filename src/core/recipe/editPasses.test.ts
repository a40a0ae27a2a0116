import fc from 'fast-check';
import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { fitParams } from '../base/params';
import { readRecipeFile, writeRecipeFile } from '../files/recipeFile';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import {
  addPass,
  addPlacement,
  coatResist,
  enablePass,
  movePass,
  removePass,
  removePlacement,
  setPassDesign,
  setPlacement,
} from './editPasses';
import { PASS_KIND_IDS, PASS_KINDS, PASS_LIMITS, placementsOf } from './passes/passes';
import type { Recipe } from './recipe';
import type { ResolvedRecipe } from './resolved';

const inks = [ink('Gorse', '#f2c230'), ink('Thrift', '#e2568f'), ink('Tarn', '#1f4f7a')];
const dark = ink('Sloe', '#393060');
const resolved = resolvedOf(inks);

const edged = addPass(resolved.recipe, 'edge', { inkId: 'Sloe' });
const labels = (recipe: Recipe) => recipe.passes.map(({ id }) => id);

test('a number is held in its range; another ink leaves the numbers; taken off it is gone', () => {
  const placement = (recipe: Recipe) => recipe.passes[0]?.placements[0];
  expect(placement(setPlacement(edged, 'edge-1', 'p1', { params: { depth: 900 } }))?.params).toEqual({
    depth: 60,
  });
  expect(placement(setPlacement(edged, 'edge-1', 'p1', { inkId: 'Tarn' }))).toEqual({
    id: 'p1',
    inkId: 'Tarn',
    params: placement(edged)?.params,
  });
  expect(removePass(edged, 'edge-1').passes).toEqual([]);
  expect(enablePass(edged, 'edge-1', false).passes[0]?.enabled).toBe(false);
});

test('what lies under the blend stands first, and moving keeps it so', () => {
  const [design] = OWN_DESIGNS;
  if (!design) throw new Error('no design');
  const many = (['mask', 'coat', 'whiteBase', 'edge'] as const).reduce(
    (recipe, kind) => addPass(recipe, kind, { inkId: 'Sloe', design }),
    edged,
  );
  expect(labels(many)).toEqual(['mask-1', 'whiteBase-1', 'edge-1', 'coat-1', 'edge-2']);
  // A mist is laid on while the blend is wet: before all else over it.
  expect(labels(addPass(many, 'mist')).slice(1, 4)).toEqual(['whiteBase-1', 'mist-1', 'edge-1']);
  fc.assert(
    fc.property(fc.constantFrom(...labels(many)), fc.integer({ min: -3, max: 9 }), (id, to) => {
      const moved = movePass(many, id, to);
      expect(labels(moved).toSorted()).toEqual(labels(many).toSorted());
      expect(moved.passes.slice(0, 2).map(({ kind }) => PASS_KINDS[kind].stage)).toEqual(['under', 'under']);
    }),
  );
  expect(labels(movePass(many, 'edge-2', 2))).toEqual([
    'mask-1',
    'whiteBase-1',
    'edge-2',
    'edge-1',
    'coat-1',
  ]);
});

test('a further placement starts beside the last, as many as the kind allows; a new design comes in its size', () => {
  const [hills, bricks] = ['far-hills', 'kiln-bricks'].map((id) => OWN_DESIGNS.find((one) => one.id === id));
  if (!hills || !bricks) throw new Error('no design');
  let recipe = addPass(resolved.recipe, 'edgeStencil', { inkId: 'Sloe', design: hills });
  for (let i = 0; i < 20; i++) recipe = addPlacement(recipe, 'edgeStencil-1');
  const placements = recipe.passes[0]?.placements ?? [];
  expect(placements).toHaveLength(PASS_KINDS.edgeStencil.placements.max);
  expect(placements.slice(0, 2).map(({ params }) => params)).toMatchObject([{ x: 40 }, { x: 52 }]);
  expect(removePlacement(recipe, 'edgeStencil-1', 'p2').passes[0]?.placements).toHaveLength(
    placements.length - 1,
  );
  expect(setPassDesign(recipe, 'edgeStencil-1', bricks).passes[0]?.placements[0]?.params).toMatchObject({
    width: 100,
  });
});

/** Laid in anything, base, blend or stamp. */
const white = ink('Slip', '#fdfdfb', 'pigment');
/** Any change to one of the recipe's passes, or one more. */
const anyChange = fc.oneof(
  fc.tuple(fc.constantFrom(...PASS_KIND_IDS), fc.constantFrom(...OWN_DESIGNS)).map(
    ([kind, design]) =>
      (recipe: Recipe) =>
        addPass(recipe, kind, { inkId: white.id, design }),
  ),
  fc
    .tuple(
      fc.nat(PASS_LIMITS.passes),
      fc.constantFrom(
        removePass,
        addPlacement,
        (recipe: Recipe, id: string) => enablePass(recipe, id, false),
        (recipe: Recipe, id: string) => removePlacement(recipe, id, 'p1'),
        (recipe: Recipe, id: string) => coatResist(recipe, id, white.id),
        (recipe: Recipe, id: string) => movePass(recipe, id, 3),
      ),
    )
    .map(
      ([at, change]) =>
        (recipe: Recipe) =>
          change(recipe, recipe.passes[at]?.id ?? 'none'),
    ),
  fc
    .tuple(fc.nat(PASS_LIMITS.passes), fc.nat(20), fc.double({ min: -1e6, max: 1e6, noNaN: true }))
    .map(([at, param, value]) => (recipe: Recipe) => {
      const pass = recipe.passes[at];
      const keys = Object.keys(pass ? PASS_KINDS[pass.kind].params : {});
      const key = keys[param % Math.max(keys.length, 1)];
      return pass && key ? setPlacement(recipe, pass.id, 'p1', { params: { [key]: value } }) : recipe;
    }),
);

test('an image starts within the panel, a background stamp beyond it on every side, whichever way either lies', () => {
  const images = OWN_DESIGNS.filter(({ use }) => use === 'image');
  for (const panel of [
    { width: 80, height: 100 },
    { width: 140, height: 60 },
  ])
    for (const design of images) {
      const widthOf = (kind: 'clearResist' | 'backgroundStamp') => {
        const [pass] = addPass({ ...resolved.recipe, panel }, kind, { design }).passes;
        return Number(pass && placementsOf(pass)[0]?.params.width);
      };
      expect(widthOf('clearResist')).toBeLessThanOrEqual(0.8 * panel.width);
      const printed = widthOf('backgroundStamp');
      expect(printed).toBeGreaterThan(panel.width);
      expect((printed * design.height) / design.width).toBeGreaterThan(panel.height);
    }
});

test('after any changes ids differ, limits and ranges hold, and a file carries all of it', () => {
  fc.assert(
    fc.property(fc.array(anyChange, { maxLength: 40 }), (changes) => {
      const recipe = changes.reduce((so, change) => change(so), resolved.recipe);
      const { passes } = recipe;
      const placements = passes.flatMap((pass) => pass.placements.map((placement) => ({ pass, placement })));
      expect(new Set(labels(recipe)).size).toBe(passes.length);
      expect(passes.length).toBeLessThanOrEqual(PASS_LIMITS.passes);
      expect(placements.length).toBeLessThanOrEqual(PASS_LIMITS.placements);
      const stages = passes.map(({ kind }) => PASS_KINDS[kind].stage);
      expect(stages).toEqual(stages.toSorted().toReversed());
      for (const { placements: own, kind } of passes) {
        expect(own.length).toBeGreaterThan(0);
        expect(own.length).toBeLessThanOrEqual(PASS_KINDS[kind].placements.max);
      }
      for (const { pass, placement } of placements)
        expect(placement.params).toEqual(
          fitParams(PASS_KINDS[pass.kind].params, placement.params, recipe.panel),
        );
      const asked = new Set(passes.flatMap(({ designId }) => designId ?? []));
      const usesInk = placements.some(({ placement }) => placement.inkId !== undefined);
      const whole: ResolvedRecipe = {
        ...resolved,
        recipe,
        passInks: usesInk ? [white] : [],
        designs: OWN_DESIGNS.filter(({ id }) => asked.has(id)),
      };
      expect(readRecipeFile(writeRecipeFile(whole)).recipe).toEqual(recipe);
    }),
    { numRuns: 60 },
  );
});

test('a coat over a resist takes the ink in full; where none lies over it one is added, never one under it', () => {
  const [reeds] = OWN_DESIGNS as [Design];
  const under = withPass(withPass(resolved, 'coat', { ink: dark }), 'clearResist', { design: reeds });
  const added = coatResist(under.recipe, 'clearResist-1', 'Tarn');
  expect(labels(added)).toEqual(['coat-1', 'clearResist-1', 'coat-2']);
  expect(added.passes[0]).toEqual(under.recipe.passes[0]);
  expect(added.passes[2]?.placements).toEqual([{ id: 'p1', inkId: 'Tarn', params: { strength: 100 } }]);
  const again = coatResist(added, 'clearResist-1', 'Sloe');
  expect(labels(again)).toEqual(labels(added));
  expect(again.passes[2]?.placements[0]?.inkId).toBe('Sloe');
});
