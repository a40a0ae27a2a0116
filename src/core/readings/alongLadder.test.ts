import { expect, test } from 'vitest';
import { ink, resolvedOf } from '../../testing/resolvedRecipes';
import { startRun } from '../recipe/runs/runs';
import { alongLadder } from './alongLadder';
import { readLadder } from './readings';

const resolved = resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#0097a7'), ink('Skerry', '#005487')]);
const along = () => alongLadder(resolved) ?? [];

test('it begins and ends as its first and last rung do, over the whole length of the run', () => {
  const places = along();
  const { rungs } = readLadder(resolved);
  expect(places[0]?.lab.l).toBeCloseTo(rungs[0]?.lab.l ?? 0, 6);
  expect(places.at(-1)?.lab.l).toBeCloseTo(rungs[2]?.lab.l ?? 0, 6);
  expect(places.at(-1)?.along).toBe(resolved.recipe.panel.height);
});

test('where it is darker, black reads worse and white better', () => {
  const places = along();
  const byLightness = places.toSorted((p, q) => q.lab.l - p.lab.l);
  for (const [i, place] of byLightness.entries()) {
    const paler = byLightness[i - 1];
    if (!paler) continue;
    expect(place.contrast.black).toBeLessThanOrEqual(paler.contrast.black + 1e-9);
  }
  expect(places.at(-1)?.contrast.white).toBeGreaterThan(places[0]?.contrast.white ?? 99);
});

test('patches lie every way, so there is no curve along them', () => {
  const { recipe } = resolved;
  const scattered = { ...resolved, recipe: { ...recipe, run: startRun('scatter', recipe.panel) } };
  expect(alongLadder(scattered)).toBeUndefined();
});
