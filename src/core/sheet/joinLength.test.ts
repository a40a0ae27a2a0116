import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD } from '../../testing/resolvedRecipes';
import { jointSpans, type Recipe } from '../recipe/recipe';
import { joinLength } from './joinLength';

const inks = [ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')];
const laid = (width: number, height: number, run: Recipe['run']): Recipe =>
  resolvedOf(inks, WHITE_CARD, { panel: { width, height }, joints: [{ width: 10 }], run }).recipe;
const middleOf = (recipe: Recipe): number => {
  const { start, end } = jointSpans(recipe)[0] ?? { start: 0, end: 0 };
  return (start + end) / 2;
};

describe('how long a join is', () => {
  test('of level bands the panel’s width, of patches as much', () => {
    expect(joinLength(laid(108, 140, { id: 'straight', params: {} }), 0)).toBe(108);
    expect(joinLength(laid(108, 140, { id: 'corners', params: { soft: 40 } }), 0)).toBe(108);
  });

  test('of slanting ones through the middle from edge to edge, whatever the angle', () => {
    fc.assert(
      fc.property(fc.integer({ min: -18, max: 18 }), (fifths) => {
        const angle = (fifths * 5 * Math.PI) / 180;
        const [x, y] = [Math.abs(Math.sin(angle)), Math.abs(Math.cos(angle))];
        const length = joinLength(laid(108, 140, { id: 'slant', params: { angle: fifths * 5 } }), 0);
        expect(length / Math.min(108 / y, 140 / x)).toBeGreaterThan(0.97);
        expect(length / Math.min(108 / y, 140 / x)).toBeLessThan(1.03);
      }),
    );
  });

  test('of a ring that lies on the panel its round, of an oval the oval’s', () => {
    // Source: S. Ramanujan, Quart. J. Math. 45 (1914) 350, from memory.
    const round = (a: number, b: number) => Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
    for (const oval of [50, 100, 130, 200]) {
      const recipe = laid(200, 200, { id: 'glow', params: { x: 50, y: 50, oval } });
      const inner = { ...recipe, rungs: recipe.rungs.map((rung, i) => ({ ...rung, share: i ? 0.8 : 0.2 })) };
      const a = middleOf(inner);
      expect(joinLength(inner, 0) / round(a, (a * oval) / 100), `${oval} %`).toBeCloseTo(1, 1);
    }
  });

  test('of a ring that leaves the panel as much as lies on it', () => {
    const recipe = laid(150, 150, { id: 'glow', params: { x: 0, y: 0, oval: 100 } });
    expect(joinLength(recipe, 0) / ((Math.PI / 2) * middleOf(recipe))).toBeCloseTo(1, 1);
  });
});
