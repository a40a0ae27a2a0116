import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyRecipe } from '../../testing/anyRecipe';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { compileSheet } from './compile';
import { shareCare } from './sharedCare';

test('how a brush is loaded is said once, at every ink; nothing else of the steps changes', () => {
  const { steps } = compileSheet(
    resolvedOf([ink('Gorse', '#f2c230'), ink('Leat', '#0097a7'), ink('Tarn', '#1f4f7a')]),
    'mm',
  );
  const told = shareCare(steps);
  expect(told.shared.find(({ when }) => when === 'At every ink')?.lines.join(' ')).toContain('Load, tap off');
  expect(told.steps.flatMap(({ care }) => care).join(' ')).not.toContain('Load, tap off');
  expect(told.steps.map(({ title, work }) => [title, work])).toEqual(
    steps.map(({ title, work }) => [title, work]),
  );
});

test('no line is lost, and none is said twice for steps of one sort', () => {
  fc.assert(
    fc.property(anyRecipe(4), (resolved) => {
      const { steps } = compileSheet(resolved, 'mm');
      const told = shareCare(steps);
      const all = [...told.shared.flatMap(({ lines }) => lines), ...told.steps.flatMap(({ care }) => care)];
      for (const line of steps.flatMap(({ care }) => care)) expect(all).toContain(line);
      for (const { lines } of told.shared) expect(new Set(lines).size).toBe(lines.length);
    }),
    { numRuns: 25 },
  );
});
