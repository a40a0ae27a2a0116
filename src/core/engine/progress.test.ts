import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { OWN_DESIGNS } from '../materials/design/own';
import { addPlacement, enablePass } from '../recipe/editPasses';
import { jointSpans } from '../recipe/recipe';
import { finished, passesDone, spansSoFar, untouched } from './progress';

const inks = [ink('Gorse', '#f2c230'), ink('Thrift', '#e2568f'), ink('Tarn', '#1f4f7a')];
const resolved = resolvedOf(inks);
const spans = jointSpans(resolved.recipe);

test('an untouched panel has nothing laid, a finished one all of it', () => {
  const edged = withPass(
    withPass(resolved, 'edge', { ink: inks[2] as (typeof inks)[number] }),
    'heatSet',
  ).recipe;
  expect(untouched(edged)).toMatchObject({
    laid: [false, false, false],
    blended: [false, false],
    passes: 0,
    placings: 0,
  });
  expect(finished(edged)).toMatchObject({ laid: [true, true, true], blended: [true, true], passes: 2 });
  expect(finished(enablePass(edged, 'edge-1', false)).passes).toBe(1);
});

test('a joint is narrow until it is gone back over; where one ink is not laid yet it has its own width', () => {
  const laid = { ...untouched(resolved.recipe), laid: [true, true, false] };
  const [met, open] = spansSoFar(spans, laid);
  expect(met?.start).toBeCloseTo((spans[0]?.start ?? 0) + 0.3 * 10, 9);
  expect(met?.end).toBeCloseTo((spans[0]?.end ?? 0) - 0.3 * 10, 9);
  expect(open).toEqual(spans[1]);
  expect(spansSoFar(spans, { ...laid, blended: [true, false] })).toEqual(spans);
});

test('passes are done in the order of work, the one in hand by as many placings as have been laid', () => {
  const [design] = OWN_DESIGNS;
  if (!design) throw new Error('no design');
  const stamped = withPass(
    withPass(resolved, 'silhouette', { ink: inks[2] as (typeof inks)[number], design }),
    'mask',
    { design },
  );
  const recipe = addPlacement(stamped.recipe, 'silhouette-1');
  const done = (passes: number, placings = 0) =>
    passesDone(recipe, { ...finished(recipe), passes, placings }).map(
      ({ kind, placements }) => `${kind} ${placements.length}`,
    );
  expect([done(0), done(1), done(1, 1), done(2)]).toEqual([
    [],
    ['mask 1'],
    ['mask 1', 'silhouette 1'],
    ['mask 1', 'silhouette 2'],
  ]);
});
