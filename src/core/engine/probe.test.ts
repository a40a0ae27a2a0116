import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyRecipe } from '../../testing/anyRecipe';
import { gridOf } from '../base/grid';
import { probePanel } from './probe';

test('what a probe says of a point does not hang on what it was asked before, whatever is laid, dried or wet', () => {
  fc.assert(
    fc.property(anyRecipe(5), fc.constantFrom('dry' as const, 'wet' as const), (resolved, wetness) => {
      const probe = probePanel(resolved, { wetness });
      const points = gridOf(resolved.recipe.panel, 12);
      const asked = points.map(([x, y]) => probe.lightAt(x, y));
      points.forEach(([x, y], i) => {
        if (i % 7 === 0) expect(probePanel(resolved, { wetness }).lightAt(x, y)).toEqual(asked[i]);
      });
    }),
    { numRuns: 20 },
  );
});
