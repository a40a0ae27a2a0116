import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { groundOfCard } from '../materials/card/card';
import { xyzOfSpectrum } from '../materials/colour/lab';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { laidReflectance } from '../materials/ink/laid';
import { addPlacement, enablePass, setPlacement } from '../recipe/editPasses';
import { PASS_KINDS, type Pass, placementsOf } from '../recipe/passes/passes';
import type { ResolvedRecipe } from '../recipe/resolved';
import { contrastOf } from './legibility/contrast';
import {
  describePassReading,
  designContrast,
  offPanel,
  type PassReading,
  passReadings,
} from './passReadings';

const pale = ink('Gorse', '#f8d46f');
const black = ink('Soot', '#141416', 'detail');
const dark = ink('Sloe', '#393060', 'dye');
const resolved = resolvedOf([pale, pale]);
/** A bar of 80 by 20 mm: a fifth of the panel's 80 by 100. */
const BAR: Design = {
  id: 'bar',
  name: 'Bar',
  use: 'image',
  width: 80,
  height: 20,
  shapes: [{ d: 'M0 0h80v20h-80z', rule: 'nonzero' }],
};
const barAt = (y: number) => ({ design: BAR, params: { x: 40, y, width: 80 } });
const only = (of: ResolvedRecipe): PassReading => {
  const [reading] = passReadings(of, []);
  if (!reading) throw new Error('no pass was read');
  return reading;
};
const passOf = ({ recipe }: ResolvedRecipe): Pass => recipe.passes[0] as Pass;

describe('what a pass does to the panel', () => {
  test('touches the part its design covers, strongly where the inks are far apart', () => {
    const reading = only(withPass(resolved, 'silhouette', { ink: black, ...barAt(50) }));
    expect(reading.touches).toBeCloseTo(0.2, 1);
    expect(reading.changes).toBeGreaterThan(40);
  });

  test('half of it off the panel touches half as much, all of it off nothing, and is said to', () => {
    const half = withPass(resolved, 'silhouette', { ink: black, ...barAt(100) });
    expect(only(half).touches).toBeCloseTo(0.1, 1);
    const off = withPass(resolved, 'silhouette', { ink: black, ...barAt(-30) });
    expect(only(off)).toMatchObject({ touches: 0, changes: 0 });
    expect(only(off).contrast).toBeUndefined();
    expect(describePassReading(passOf(off), only(off))).toBe('changes nothing that is seen');
  });

  test('dots too small for an even grid are met by their borders, whatever their seed: about as much as they cover', () => {
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const dotted = withPass(resolved, 'penDots', { params: { dots: 12, size: 1, seed } });
      const { touches, changes } = only(dotted);
      const covered =
        (12 * Math.PI * 0.5 ** 2) / (resolved.recipe.panel.width * resolved.recipe.panel.height);
      expect(touches).toBeGreaterThan(covered / 3);
      expect(touches).toBeLessThan(covered * 3);
      expect(changes).toBeGreaterThan(5);
      expect(describePassReading(passOf(dotted), only(dotted))).toMatch(/^less than 1 % of the panel/);
    }
  });

  test('one that is off is not read, and one hidden by another has nothing left to change', () => {
    const stamped = withPass(resolved, 'silhouette', { ink: black, ...barAt(50) });
    expect(
      passReadings({ ...resolved, recipe: enablePass(stamped.recipe, 'silhouette-1', false) }, []),
    ).toEqual([]);
    const resist = withPass(resolved, 'clearResist', barAt(50));
    expect(only(resist).touches).toBe(0);
    // Under a coat the same resist is what keeps the blend.
    expect(only(withPass(resist, 'coat', { ink: dark, params: { strength: 100 } })).touches).toBeCloseTo(
      0.2,
      1,
    );
  });
});

describe('what lies off the panel', () => {
  const off = (of: ResolvedRecipe) => offPanel(of, passOf(of));
  const stamped = (params: Readonly<Record<string, number>>, shape = BAR) =>
    withPass(resolved, 'silhouette', {
      ink: black,
      design: shape,
      params: { x: 40, y: 50, width: 80, ...params },
    });

  test('is each placement that the panel does not meet, by its id; one that it meets with a corner is on it', () => {
    expect(off(stamped({}))).toEqual([]);
    // The bar is 20 mm high, and the panel ends at 0.
    expect(off(stamped({ y: -9 }))).toEqual([]);
    expect([-9.5, -14, -30].map((y) => off(stamped({ y })))).toEqual([[], ['p1'], ['p1']]);
    const one = stamped({ y: -30 });
    const two = { ...one, recipe: addPlacement(one.recipe, 'silhouette-1') };
    const second = passOf(two).placements[1]?.id ?? '';
    const both = (y: number) =>
      off({ ...two, recipe: setPlacement(two.recipe, 'silhouette-1', second, { params: { x: 40, y } }) });
    expect(both(50)).toEqual(['p1']);
    expect(both(-30)).toEqual(['p1', second]);
  });

  test('may be what is so large that nothing of it lies there, and never what is only small', () => {
    // Two bars with a gap of 60 mm between, ten times as large: the panel lies in the gap.
    const gapped: Design = {
      ...BAR,
      id: 'gapped',
      height: 80,
      shapes: [{ d: 'M0 0h80v10h-80z M0 70h80v10h-80z', rule: 'nonzero' }],
    };
    expect(off(stamped({ width: 400 }, gapped))).toEqual(['p1']);
    expect(off(stamped({ width: 80 }, gapped))).toEqual([]);
    for (const x of [3, 17.3, 40]) expect(off(stamped({ x, y: 31.7, width: 5 }))).toEqual([]);
  });

  test('is an edge stencil whose body lies on the panel while the edge that is inked does not', () => {
    const hills = OWN_DESIGNS.find(({ id }) => id === 'far-hills') as Design;
    const inked = (y: number, edge: string) =>
      off(
        withPass(resolved, 'edgeStencil', {
          ink: dark,
          design: hills,
          params: { x: 40, y, width: 150, edge, fade: 5 },
        }),
      );
    expect([inked(0, 'upper'), inked(0, 'lower'), inked(50, 'upper')]).toEqual([['p1'], [], []]);
  });

  test('is nothing that has no place of its own, and a mask wherever it lies outside', () => {
    expect(off(withPass(resolved, 'coat', { ink: dark }))).toEqual([]);
    const mask = (y: number) =>
      off(withPass(resolved, 'mask', { design: BAR, params: { x: 40, y, width: 80 } }));
    expect([mask(50), mask(-60)]).toEqual([[], ['p1']]);
  });
});

describe('how clearly its design stands out', () => {
  test('a silhouette on even ground: the ratio of the two films, the same everywhere', () => {
    const stamped = withPass(resolved, 'silhouette', { ink: black, ...barAt(50) });
    const ground = laidReflectance([{ ink: pale, coats: 1 }], groundOfCard(WHITE_CARD));
    const over = laidReflectance([{ ink: { ...black, kind: 'pigment' }, coats: 1 }], ground);
    const ratio = contrastOf(xyzOfSpectrum(over).y, xyzOfSpectrum(ground).y);
    const contrast = designContrast(stamped, 'silhouette-1');
    expect(contrast?.least).toBeCloseTo(ratio, 1);
    for (const place of contrast?.places ?? []) expect(place.ratio).toBeCloseTo(ratio, 1);
  });

  test('two impressions apart from each other are each as clear as one alone', () => {
    const thin = { ink: ink('Mist', '#9fb4c2'), design: { ...BAR, height: 10 } };
    const once = withPass(resolved, 'silhouette', { ...thin, params: { x: 40, y: 20, width: 40 } });
    const [pass] = once.recipe.passes as [Pass];
    const added = addPlacement(once.recipe, pass.id);
    const second = placementsOf(added.passes[0] as Pass)[1];
    if (!second) throw new Error('nothing was added');
    const twice = {
      ...once,
      recipe: setPlacement(added, pass.id, second.id, { params: { ...second.params, x: 40, y: 80 } }),
    };
    const [one, two] = [once, twice].map((of) => designContrast(of, pass.id));
    expect(two?.least).toBeCloseTo(one?.least ?? 0, 6);
    expect(two?.places.length).toBeGreaterThan(1.8 * (one?.places.length ?? 0));
  });

  test('over a ladder from pale to dark its worst place is where the ladder is dark', () => {
    const ladder = resolvedOf([pale, dark]);
    const tall: Design = {
      ...BAR,
      width: 20,
      height: 80,
      shapes: [{ d: 'M0 0h20v80h-20z', rule: 'nonzero' }],
    };
    const stamped = withPass(ladder, 'silhouette', {
      ink: black,
      design: tall,
      params: { x: 40, y: 50, width: 20 },
    });
    const contrast = designContrast(stamped, 'silhouette-1');
    expect(contrast?.worst.y).toBeGreaterThan(50);
    expect(contrast?.least).toBeLessThan(2);
    expect(Math.max(...(contrast?.places ?? []).map(({ ratio }) => ratio))).toBeGreaterThan(8);
  });

  test('what hides a design later is not held against it: the resist is read as without the strip over it', () => {
    const resist = withPass(withPass(resolved, 'clearResist', barAt(50)), 'coat', { ink: dark });
    const hidden = withPass(resist, 'greetingStrip', { params: { x: 40, y: 50 } });
    expect(designContrast(hidden, 'clearResist-1')).toEqual(designContrast(resist, 'clearResist-1'));
  });

  test('on black card a clear resist shows nothing until a pigment is dragged over: a tone resist does', () => {
    const onBlack = resolvedOf([pale, pale], BLACK_CARD);
    const clear = withPass(onBlack, 'clearResist', barAt(50));
    expect(designContrast(clear, 'clearResist-1')?.least).toBeCloseTo(1, 2);
    const tone = withPass(onBlack, 'toneResist', { ink: ink('Slip', '#fdfdfb', 'white'), ...barAt(50) });
    expect(designContrast(tone, 'toneResist-1')?.least).toBeGreaterThan(3);
  });

  test('an edge stencil fades into its ground: it has no image to read', () => {
    const edge = withPass(resolved, 'edgeStencil', { ink: dark, design: { ...BAR, use: 'edge' } });
    expect(PASS_KINDS[passOf(edge).kind].standsOut).toBe(false);
    expect(only(edge).contrast).toBeUndefined();
  });
});

test('its finest lines are told as large as the design is laid, by its smallest impression', () => {
  const stamped = withPass(resolved, 'silhouette', { ink: black, ...barAt(50) });
  const twice = addPlacement(stamped.recipe, 'silhouette-1');
  const smaller = setPlacement(twice, 'silhouette-1', 'p2', { params: { width: 40 } });
  const whole = only(stamped).finest ?? 0;
  expect(whole).toBeGreaterThan(15);
  expect(only({ ...stamped, recipe: smaller }).finest).toBeCloseTo(whole / 2, 6);
});

test('two impressions over each other are told with how much of the smaller one lies on the other', () => {
  const stamped = withPass(resolved, 'silhouette', { ink: black, ...barAt(40) });
  const twice = addPlacement(stamped.recipe, 'silhouette-1');
  const laid = (y: number) => ({
    ...stamped,
    recipe: setPlacement(twice, 'silhouette-1', 'p2', { params: { x: 40, y } }),
  });
  expect(only(laid(50)).overlap).toMatchObject({ pair: [0, 1], part: expect.closeTo(0.5, 1) });
  expect(only(laid(70)).overlap).toBeUndefined();
});

test('a reading in words: how much of the panel, a hint, clearly or strongly, and its worst place', () => {
  const stamped = withPass(resolved, 'silhouette', { ink: black, ...barAt(50) });
  const pass = passOf(stamped);
  const told = (touches: number, changes: number, least?: number) =>
    describePassReading(pass, {
      id: 'silhouette-1',
      touches,
      changes,
      ...(least === undefined
        ? {}
        : { contrast: { least, worst: { x: 0, y: 0 }, cell: { width: 1, height: 1 }, places: [] } }),
    });
  expect(told(0.254, 4.9)).toBe('25 % of the panel, a hint');
  expect(told(0.254, 5)).toBe('25 % of the panel, clearly');
  expect(told(0.254, 14.9)).toBe('25 % of the panel, clearly');
  expect(told(0.254, 15)).toBe('25 % of the panel, strongly');
  expect(told(0.0049, 20)).toBe('less than 1 % of the panel, strongly');
  expect(told(0.005, 20)).toBe('1 % of the panel, strongly');
  expect(told(0.5, 20, 3.14)).toBe('50 % of the panel, strongly · 3.1 : 1 at its worst place');
  expect(told(0, 20, 3.14)).toBe('changes nothing that is seen');
  const heat = withPass(resolved, 'heatSet');
  expect(describePassReading(passOf(heat), { id: 'heatSet-1', touches: 0.3, changes: 9 })).toBe(
    'what follows lies on it',
  );
  const drop = passOf(withPass(resolved, 'glycerine'));
  const nothing = { id: 'glycerine-1', touches: 0, changes: 0 };
  expect(describePassReading(drop, nothing)).toBe('blends smoother, stays open longer');
  expect(describePassReading(drop, { ...nothing, off: ['p1'] })).toBe('changes nothing that is seen');
  const edge = withPass(resolved, 'edge', { ink: dark });
  const contrast = { least: 4, worst: { x: 0, y: 0 }, cell: { width: 1, height: 1 }, places: [] };
  expect(describePassReading(passOf(edge), { id: 'edge-1', touches: 0.3, changes: 9, contrast })).toBe(
    '30 % of the panel, clearly',
  );
});
