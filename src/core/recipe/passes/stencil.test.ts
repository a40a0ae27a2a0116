import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../../testing/resolvedRecipes';
import type { InkKindId } from '../../materials/ink/kinds';
import { placedPasses } from '../resolved';
import type { ToolId } from '../tools/tools';

const PANEL = { width: 60, height: 60 };
const SQUARE = {
  id: 'square',
  name: 'Square',
  use: 'pattern',
  width: 30,
  height: 30,
  shapes: [{ d: 'M0 0H30V30H0Z', rule: 'nonzero' }],
} as const;

/** How far ink of a kind creeps under the edges of a square opening, at each half of a millimetre along it, mm. */
function creeps(tool: ToolId, kind: InkKindId): number[] {
  const pale = ink('Chaff', '#f8d46f');
  const plain = resolvedOf([pale, { ...pale, id: 'again' }], undefined, { panel: PANEL, tool });
  const resolved = withPass(plain, 'patternStencil', {
    ink: ink('laid', '#133f7c', kind),
    design: SQUARE,
    params: { x: 30, y: 30, width: 30, turn: 0 },
  });
  const [pass] = resolved.recipe.passes;
  const border = pass && placedPasses(resolved, pass)[0]?.borders[0];
  if (!border) throw new Error('nothing is laid');
  return Array.from({ length: 4 * 56 }, (_, i) => {
    const along = 16 + Math.floor(i / 4) / 2;
    const outward = (far: number): number => {
      const [x, y] = i % 2 === 0 ? [along, 15 - far] : [15 - far, along];
      return i % 4 < 2 ? border(x, y) : border(60 - x, 60 - y);
    };
    let far = -0.5;
    while (far < 0.5 && outward(far) > 0) far += 0.005;
    return far;
  });
}
const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

test('ink creeps under a stencil, the farther the wetter the tool and the more it bleeds, and never far', () => {
  const order = (
    [
      ['brush', 'pigment'],
      ['brush', 'hybrid'],
      ['pad', 'hybrid'],
      ['pad', 'dye'],
    ] as const
  ).map(([tool, kind]) => meanOf(creeps(tool, kind)));
  expect(order).toEqual(order.toSorted((p, q) => p - q));
  expect(Math.min(...creeps('brush', 'hybrid'))).toBeGreaterThan(-0.06);
  expect(Math.max(...creeps('pad', 'dye'))).toBeLessThan(0.4);
});
