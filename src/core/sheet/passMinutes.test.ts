import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import type { Design } from '../materials/design/design';
import { addPlacement, setPlacement } from '../recipe/editPasses';
import type { ResolvedRecipe } from '../recipe/resolved';
import { compileSheet, type Maker } from './compile';
import { USUAL_PACE } from './times';

const gorse = ink('Gorse', '#e3b20f');
const resolved = resolvedOf([gorse, ink('Leat', '#009aab', 'dye')], WHITE_CARD, {
  panel: { width: 102, height: 138 },
});
const twice = { ...resolved, alsoOn: { ...WHITE_CARD, id: 'cream', name: 'cream' } };
const leaf = (width: number, height: number): Design => ({
  id: 'leaf',
  name: 'Leaf',
  use: 'image',
  width,
  height,
  shapes: [{ d: `M0 0H${width}V${height}H0Z`, rule: 'nonzero' }],
});
/** Minutes of the steps whose title begins so. */
function minutesOf(made: ResolvedRecipe, title: string, maker: Maker = {}): number {
  const steps = compileSheet(made, 'mm', maker).steps.filter((step) => step.title.startsWith(title));
  if (steps.length === 0) throw new Error(`no step is called ${title}`);
  return steps.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
}

describe('how long a pass takes', () => {
  const strip = withPass(resolved, 'greetingStrip');

  test('with the heat tool is the maker’s own, in air it is the ink’s', () => {
    const slow = { pace: { ...USUAL_PACE, heatDry: 2 * USUAL_PACE.heatDry } };
    expect(minutesOf(strip, 'Dry the strip')).toBe(1);
    expect(minutesOf(strip, 'Dry the strip', slow)).toBe(2);
    const based = withPass(resolved, 'whiteBase', { ink: ink('Slip', '#fdfdfb', 'white') });
    expect(minutesOf(based, 'Dry the white')).toBe(60);
    expect(minutesOf(based, 'Dry the white', slow)).toBe(60);
  });

  test('in air at a desk where things dry slowly is longer by as much, whatever dries; what cools takes its minute', () => {
    const damp = { pace: { ...USUAL_PACE, airDry: 1.5 } };
    const based = withPass(resolved, 'whiteBase', { ink: ink('Slip', '#fdfdfb', 'white') });
    const embossed = withPass(based, 'toneResist', { design: leaf(40, 40) });
    for (const [made, title] of [
      [resolved, 'Dry'],
      [based, 'Dry the white'],
      [withPass(resolved, 'glaze'), 'Dry the glaze'],
    ] as const)
      expect(minutesOf(made, title, damp), title).toBeCloseTo(1.5 * minutesOf(made, title), 9);
    expect([minutesOf(embossed, 'Cool'), minutesOf(embossed, 'Cool', damp)]).toEqual([1, 1]);
  });

  test('on two panels is said of each piece of hand-work, not of what is waited for', () => {
    const coated = withPass(twice, 'coat', { ink: ink('Tarn', '#143c78', 'dye') });
    const said = compileSheet(coated, 'mm').steps.flatMap(({ title, care }) =>
      care.includes('The same on the other panel.') ? [title] : [],
    );
    expect(said).toEqual(['Top coat: Tarn']);
    const alone = withPass(resolved, 'coat', { ink: ink('Tarn', '#143c78', 'dye') });
    expect(compileSheet(alone, 'mm').steps.flatMap(({ care }) => care)).not.toContain(
      'The same on the other panel.',
    );
  });

  test('at hand-work grows with the panel, and is done on each of two', () => {
    const [one, both] = [
      minutesOf(strip, 'Letter the strip'),
      minutesOf(withPass(twice, 'greetingStrip'), 'Letter'),
    ];
    expect(both).toBeCloseTo(2 * one, 9);
    const large = withPass(
      resolvedOf([gorse, ink('Leat', '#009aab', 'dye')], WHITE_CARD, { panel: { width: 204, height: 276 } }),
      'greetingStrip',
    );
    expect(minutesOf(large, 'Letter the strip')).toBeGreaterThan(1.5 * one);
  });

  test('brushed on goes at the pace of laying a band, stamped or dried it does not', () => {
    const quick = { pace: { ...USUAL_PACE, layBand: USUAL_PACE.layBand / 2 } };
    const edged = withPass(resolved, 'edge', { ink: gorse });
    // The mat is wiped for it first, at its own pace.
    const laying = (maker?: Maker) => minutesOf(edged, 'Edge', maker) - USUAL_PACE.wipeMat;
    expect(laying(quick)).toBeCloseTo(laying() / 2, 9);
    expect(minutesOf(strip, 'Letter the strip', quick)).toBe(minutesOf(strip, 'Letter the strip'));
  });

  test('with a design goes by how far the hand has to go over it, on each panel: not less than 0.6 nor more than twice', () => {
    const stamped = (width: number, height = width, on = resolved) =>
      minutesOf(
        withPass(on, 'clearResist', { design: leaf(width, height), params: { width } }),
        'Emboss the resist',
      );
    const usual = stamped(80);
    expect(stamped(120)).toBeCloseTo(1.5 * usual, 9);
    // As long a way over 40 × 160 as over 80 × 80.
    expect(stamped(40, 160)).toBeCloseTo(usual, 9);
    expect(stamped(20)).toBeCloseTo(0.6 * usual, 9);
    expect(stamped(80, 80, twice)).toBeCloseTo(2 * usual, 9);
  });

  test('with several shapes laid in one step takes half as long again for each more; they come off together, or as each is due', () => {
    const masked = withPass(resolved, 'shield', { design: leaf(80, 80), params: { width: 80 } });
    const two = { ...masked, recipe: addPlacement(masked.recipe, 'shield-1') };
    const once = minutesOf(withPass(resolved, 'mask', { design: leaf(80, 80) }), 'Lift the mask');
    const lifts = (made: ResolvedRecipe) =>
      compileSheet(made, 'mm').steps.flatMap(({ title, minutes = 0 }) =>
        title.startsWith('Lift') ? [[title, minutes / once]] : [],
      );
    const coated = (made: ResolvedRecipe) =>
      withPass(withPass(made, 'coat', { ink: gorse }), 'coat', { ink: gorse });
    expect(minutesOf(two, 'Mask the blend')).toBeCloseTo(1.5 * minutesOf(masked, 'Mask the blend'), 9);
    // However large they are.
    const large = withPass(resolved, 'shield', { design: leaf(120, 120), params: { width: 120 } });
    const larges = { ...large, recipe: addPlacement(large.recipe, 'shield-1') };
    expect(minutesOf(larges, 'Mask the blend')).toBeCloseTo(1.5 * minutesOf(large, 'Mask the blend'), 9);
    expect(lifts(coated(masked))).toEqual([['Lift the mask', 1]]);
    expect(lifts(coated(two))).toEqual([['Lift the mask', 2]]);
    const second = two.recipe.passes[0]?.placements[1]?.id ?? '';
    const later = { ...two, recipe: setPlacement(two.recipe, 'shield-1', second, { params: { passes: 2 } }) };
    expect(lifts(coated(later))).toEqual([
      ['Lift mask (1)', 1],
      ['Lift mask (2)', 1],
    ]);
  });
});
