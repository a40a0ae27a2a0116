import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { BLACK_CARD, ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { NEEDS } from '../readings/legibility/contrast';
import { rankTopCoats } from '../readings/legibility/topCoat';
import { readingsOf } from '../readings/readings';
import { addPass } from '../recipe/editPasses';
import { inkSuits } from '../recipe/passes/definition';
import { PASS_KIND_IDS, PASS_KINDS } from '../recipe/passes/passes';
import { startFor } from './passStart';
import { smallStencil } from './rules/smallStencil';

const inkOf = (id: string) => DEMO_INKS.find((one) => one.id === id) ?? ink('none', '#808080');
const resolved = resolvedOf(['gorse-pale', 'thrift-pale', 'leat-pale'].map(inkOf));
const start = (kind: (typeof PASS_KIND_IDS)[number], of = resolved, shelf = DEMO_INKS) =>
  startFor(kind, of, shelf, OWN_DESIGNS);

test('every kind starts with an ink it can be laid in and a design meant for it, and is whole', () => {
  for (const kind of PASS_KIND_IDS) {
    const { ink: need, design: takes } = PASS_KINDS[kind];
    const { inkId, design } = start(kind);
    if (need) expect(inkSuits(need, inkOf(inkId ?? ''))).toBe(true);
    else expect(inkId).toBeUndefined();
    if (takes && !takes.optional) expect(design?.use).toBe(takes.use);
    expect(addPass(resolved.recipe, kind, start(kind)).passes).toHaveLength(1);
  }
});

describe('what the trade would take (common practice)', () => {
  test('a coat is a veil of the darkest rung, but over a resist a full coat of the dark that reads best', () => {
    const veil = start('coat', resolvedOf(['gorse-pale', 'tarn-deep'].map(inkOf)));
    expect(veil).toEqual({ inkId: 'tarn-deep' });
    const [reeds] = OWN_DESIGNS as [Design];
    const resist = withPass(resolved, 'clearResist', { design: reeds });
    const over = start('coat', resist);
    const [best] = rankTopCoats(resist, DEMO_INKS);
    expect(over).toEqual({ inkId: best?.ink.id, params: { strength: 100 } });
    expect(best?.worst).toBeGreaterThan(NEEDS['bold shape']);
  });

  test('an edge starts in the darkest ink that lies there, a coat over the ladder too; over a resist in one that buffs off', () => {
    const coated = withPass(resolved, 'coat', { ink: inkOf('tarn-deep') });
    expect(start('edge', coated).inkId).toBe('tarn-deep');
    // What is only stamped there is no ground.
    const stamped = withPass(coated, 'silhouette', { ink: inkOf('soot-line') });
    expect(start('edge', stamped).inkId).toBe('tarn-deep');
    const [reeds] = OWN_DESIGNS as [Design];
    const ladder = resolvedOf(['gorse-pale', 'saggar-deep'].map(inkOf));
    expect(start('edge', ladder).inkId).toBe('saggar-deep');
    expect(start('edge', withPass(ladder, 'clearResist', { design: reeds })).inkId).toBe('gorse-pale');
    // With nothing but pigment there it is the pigment, and the rules say what becomes of it.
    const pigment = withPass(resolvedOf([inkOf('saggar-deep')]), 'clearResist', { design: reeds });
    expect(start('edge', pigment).inkId).toBe('saggar-deep');
  });

  test('a silhouette is stamped in detail black, where it is owned; else in the darkest rung', () => {
    expect(start('silhouette').inkId).toBe('soot-line');
    const wished = DEMO_INKS.map((one) => (one.kind === 'detail' ? { ...one, wished: true } : one));
    expect(start('silhouette', resolvedOf(['gorse-pale', 'tarn-deep'].map(inkOf)), wished).inkId).toBe(
      'tarn-deep',
    );
  });

  test('on black a silhouette starts in white, as often as it takes to read; on paler bands in black', () => {
    const deep = ['sedge-pale', 'sedge-mid', 'sedge-deep'].map(inkOf);
    expect(start('silhouette', resolvedOf(deep, BLACK_CARD))).toMatchObject({
      inkId: 'slip-white',
      params: { strength: expect.any(Number) },
    });
    expect(start('silhouette').params).toBeUndefined();
    // An ink that reads is not left for one that reads still better.
    const brown = {
      ...inkOf('soot-line'),
      id: 'peat-line',
      name: 'Peat Line',
      overWhite: '#4a3420' as const,
    };
    const [first] = DEMO_INKS.filter(({ kind }) => kind === 'detail');
    const both = [brown, ...DEMO_INKS];
    expect(first?.id).toBe('soot-line');
    expect(start('silhouette', resolved, both)).toMatchObject({ inkId: 'peat-line' });
  });

  test('a strip starts with a shadow where it would hardly stand off', () => {
    const even = ['betony-pale', 'tarn-pale', 'weir-pale'].map(inkOf);
    expect(start('greetingStrip', resolvedOf(even)).params).toEqual({ shadow: 'black' });
    const steep = ['gorse-pale', 'leat-mid', 'skerry-deep'].map(inkOf);
    expect(start('greetingStrip', resolvedOf(steep)).params).toBeUndefined();
  });

  test('a pattern goes over the whole panel: a stencil that is smaller is moved on, and no rule has to say so', () => {
    const on = (width: number, height: number) => {
      const panel = { ...resolved, recipe: { ...resolved.recipe, panel: { width, height } } };
      return { panel, start: start('patternStencil', panel) };
    };
    const [bricks] = OWN_DESIGNS.filter(({ use }) => use === 'pattern') as [Design];
    expect(on(bricks.width, bricks.height).start.params).toBeUndefined();
    for (const { panel, start } of [on(bricks.width + 2, 60), on(60, bricks.height + 2)]) {
      expect(start.params).toEqual({ repeat: 'tiles' });
      const laid = { ...panel, recipe: addPass(panel.recipe, 'patternStencil', start), designs: [bricks] };
      const input = { resolved: laid, readings: readingsOf(laid), passes: [], shelf: [], cards: [] };
      expect(smallStencil.check({ ...input, unit: 'mm' })).toEqual([]);
    }
  });

  test('a base is white, else the palest pigment owned; without either there is none to start with', () => {
    const onBlack = resolvedOf([inkOf('leat-mid')], BLACK_CARD);
    expect(start('whiteBase', onBlack).inkId).toBe('slip-white');
    const pigments = DEMO_INKS.filter(({ kind }) => kind === 'pigment');
    expect(start('whiteBase', onBlack, pigments).inkId).toMatch(/-pale$/);
    const dyes = DEMO_INKS.filter(({ kind }) => kind === 'dye');
    expect(start('whiteBase', onBlack, dyes)).toEqual({});
  });
});
