import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { BandRun } from '../../core/recipe/runs/definition';
import { RUNS } from '../../core/recipe/runs/runs';
import { apartAlongBands, placeOf, pointOf } from './apart';

test('handles keep apart, stay in the panel, and those with room stay on the run’s line', () => {
  const panel = { width: 100, height: 140 };
  fc.assert(
    fc.property(
      fc.constantFrom('slant' as const, 'glow' as const),
      fc.uniqueArray(fc.integer({ min: 5, max: 60 }), { minLength: 2, maxLength: 5 }),
      (id, places) => {
        const run = RUNS[id] as BandRun;
        const bands = run.layOn(panel, id === 'slant' ? { angle: 30 } : { x: 50, y: 50, oval: 130 });
        const marks = places.toSorted((p, q) => p - q);
        const points = apartAlongBands(bands, marks, panel, 7);
        points.forEach(({ x, y }, i) => {
          expect(Math.min(x, y, panel.width - x, panel.height - y)).toBeGreaterThanOrEqual(-1e-6);
          for (const other of points.slice(0, i))
            expect(Math.hypot(other.x - x, other.y - y)).toBeGreaterThan(6.5);
        });
        expect(points[0]).toEqual(pointOf(placeOf(bands, marks[0] ?? 0)));
      },
    ),
    // In the corner a slant's bands are short.
    { examples: [['slant', [5, 6, 7]]] },
  );
});
