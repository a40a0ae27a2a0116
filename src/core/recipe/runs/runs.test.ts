import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf } from '../../../testing/resolvedRecipes';
import { clampMeasure, initialParams } from '../../base/params';
import { fade, fadeInverse } from '../../base/smoothStep';
import { areasOf, coverageOf } from '../../engine/coverage';
import { setPanel, setRun, setRunParams, setShare } from '../editLadder';
import { type Recipe, RUNG_LIMITS } from '../recipe';
import { TOOL_IDS } from '../tools/tools';
import type { BandRun, PatchRun, RunSpecs } from './definition';
import { RUN_IDS, RUNS } from './runs';

const inks = ['a', 'b', 'c', 'd', 'e'].map((name, i) => ink(name, `#${'369bd'[i]}08070` as `#${string}`));
const recipeOf = (count: number): Recipe => resolvedOf(inks.slice(0, count)).recipe;

const anyPart = fc.double({ min: 0, max: 1, noNaN: true });

const paramsFor = (specs: RunSpecs) =>
  fc.record(
    Object.fromEntries(
      Object.entries(specs).map(([key, spec]) => [
        key,
        fc.double({ min: spec.min, max: spec.max, noNaN: true }).map((value) => clampMeasure(spec, value)),
      ]),
    ),
  );
const anyPanel = fc.record({
  width: fc.double({ min: 40, max: 220, noNaN: true }),
  height: fc.double({ min: 40, max: 300, noNaN: true }),
});
const anyRecipe = fc
  .record({
    count: fc.integer({ min: 2, max: 5 }),
    panel: anyPanel,
    run: fc
      .constantFrom(...RUN_IDS)
      .chain((id) => fc.record({ id: fc.constant(id), params: paramsFor(RUNS[id].params) })),
    tool: fc.constantFrom(...TOOL_IDS),
    share: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
  })
  .map(({ count, panel, run, tool, share }) =>
    setShare(
      setRunParams(setRun(setPanel({ ...recipeOf(count), tool }, panel), run.id), run.params),
      0,
      share,
    ),
  );

describe('every run', () => {
  test('covers each point once: parts in 0…1 that sum to 1', () => {
    fc.assert(
      fc.property(anyRecipe, anyPart, anyPart, (recipe, u, v) => {
        const parts = new Float64Array(recipe.rungs.length);
        coverageOf(recipe)(u * recipe.panel.width, v * recipe.panel.height, parts);
        for (const part of parts) expect(part).toBeGreaterThanOrEqual(0);
        expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 150 },
    );
  });

  test('is continuous: a step of a hundredth of a millimetre changes no part by much', () => {
    fc.assert(
      fc.property(anyRecipe, anyPart, anyPart, (recipe, u, v) => {
        const coverage = coverageOf(recipe);
        const [here, there] = [0, 1].map(() => new Float64Array(recipe.rungs.length)) as [
          Float64Array,
          Float64Array,
        ];
        const [x, y] = [u * recipe.panel.width, v * recipe.panel.height];
        coverage(x, y, here);
        coverage(x + 0.006, y + 0.008, there);
        // The steepest fade there is: a joint of 1 mm laid with the hardest tool.
        for (const [i, part] of here.entries()) expect(Math.abs(part - (there[i] ?? 0))).toBeLessThan(0.06);
      }),
      { numRuns: 150 },
    );
  });

  test('of bands runs from 0 to its length over the panel, with its marks inside the panel', () => {
    const bands = RUN_IDS.filter((id) => RUNS[id].layout === 'bands');
    fc.assert(
      fc.property(
        fc.constantFrom(...bands).chain((id) =>
          fc.record({
            run: fc.constant(RUNS[id] as BandRun),
            params: paramsFor(RUNS[id].params),
            panel: anyPanel,
          }),
        ),
        anyPart,
        anyPart,
        ({ run, params, panel }, u, v) => {
          const lie = run.layOn(panel, params);
          const along = lie.alongAt(u * panel.width, v * panel.height);
          expect(along).toBeGreaterThanOrEqual(-1e-9);
          expect(along).toBeLessThanOrEqual(lie.length + 1e-9);
          const { x, y } = lie.handleAt(u * lie.length);
          expect(Math.min(x, y, panel.width - x, panel.height - y)).toBeGreaterThanOrEqual(-1e-6);
          expect(lie.alongAt(x, y)).toBeCloseTo(u * lie.length, 6);
          // A mark is on the card, where it says, and typing what it reads finds it again.
          for (const { from, at, pointAt } of lie.markedAt(along)) {
            const point = pointAt(at);
            expect(lie.alongAt(point.x, point.y)).toBeCloseTo(along, 2);
            expect(Math.min(point.x, point.y, panel.width - point.x, panel.height - point.y)).toBeGreaterThan(
              -0.01,
            );
            expect(from === 'foot' ? panel.height - point.y : point.x).toBeCloseTo(at, 6);
          }
        },
      ),
    );
  });

  test('of patches gives each ink the share of the panel it is asked for', () => {
    for (const id of ['corners', 'scatter'] as const)
      for (const count of [2, 3, 4, 5]) {
        const recipe = setShare(setRun(recipeOf(count), id), 0, 0.4);
        areasOf(recipe).forEach((area, i) => {
          expect(area).toBeCloseTo(recipe.rungs[i]?.share ?? 0, 2);
        });
      }
  });

  test('keeps the shares when the recipe goes onto it and back', () => {
    const before = setShare(recipeOf(3), 0, 0.5);
    for (const id of RUN_IDS)
      expect(setRun(setRun(before, id), 'straight').rungs.map(({ share }) => share)).toEqual(
        before.rungs.map(({ share }) => expect.closeTo(share, 6)),
      );
  });
});

test('a slant of 0° is the straight run, and its bands meet the edges where they are told to', () => {
  const panel = { width: 80, height: 100 };
  const flat = (RUNS.slant as BandRun).layOn(panel, { angle: 0 });
  expect(flat.length).toBeCloseTo(100, 9);
  expect(flat.alongAt(13, 40)).toBeCloseTo(40, 9);
  const lie = (RUNS.slant as BandRun).layOn(panel, { angle: 30 });
  const crossings = lie.markedAt(50);
  expect(crossings).toHaveLength(2);
  for (const { on, at } of crossings) {
    const [x, y] =
      on === 'left edge'
        ? [0, 100 - at]
        : on === 'right edge'
          ? [80, 100 - at]
          : [at, on === 'top' ? 0 : 100];
    expect(lie.alongAt(x, y)).toBeCloseTo(50, 6);
  }
});

test('a glow is measured as radii from its centre', () => {
  const lie = (RUNS.glow as BandRun).layOn({ width: 80, height: 100 }, { x: 50, y: 50, oval: 100 });
  expect(lie.alongAt(40 + 12, 50 + 16)).toBeCloseTo(20, 9);
  expect(lie.length).toBeCloseTo(Math.hypot(40, 50), 9);
});

test.each(['corners', 'scatter'] as const)('on %s each ink has a place, however small the panel is', (id) => {
  const run = RUNS[id] as PatchRun;
  fc.assert(
    fc.property(paramsFor(run.params), fc.integer(RUNG_LIMITS), anyPanel, (params, rungs, panel) => {
      const { places } = run.layOn(panel, params, rungs);
      expect(new Set(places.map(({ rung }) => rung)).size).toBe(rungs);
    }),
  );
});

test('the same seed scatters the same patches, another seed others', () => {
  const scattered = (seed: number) => setRunParams(setRun(recipeOf(3), 'scatter'), { seed });
  const at = (recipe: Recipe) => {
    const parts = new Float64Array(3);
    coverageOf(recipe)(33, 47, parts);
    return [...parts];
  };
  expect(at(scattered(5))).toEqual(at(scattered(5)));
  expect([6, 7, 8, 9].some((seed) => at(scattered(seed))[0] !== at(scattered(5))[0])).toBe(true);
});

test('a fade and its inverse undo each other', () => {
  fc.assert(
    fc.property(anyPart, (t) => {
      expect(fadeInverse(fade(t))).toBeCloseTo(t, 6);
    }),
  );
});

test('a run begins with numbers inside their ranges, on any panel', () => {
  fc.assert(
    fc.property(anyPanel, fc.constantFrom(...RUN_IDS), (panel, id) => {
      const specs: RunSpecs = RUNS[id].params;
      const params = initialParams(specs, panel);
      for (const [key, { min, max }] of Object.entries(specs)) {
        expect(params[key]).toBeGreaterThanOrEqual(min);
        expect(params[key]).toBeLessThanOrEqual(max);
      }
    }),
  );
});

test('a harder tool fades over less, on bands and on patches: its corner prints a line', () => {
  for (const id of ['straight', 'corners', 'scatter'] as const) {
    const soft = setRun(recipeOf(3), id);
    const places = Array.from(
      { length: 40 },
      (_, i) => [3 + (i % 8) * 10, 4 + Math.floor(i / 8) * 20] as const,
    );
    /** How many places have two inks in them. */
    const faded = (recipe: Recipe) => {
      const parts = new Float64Array(3);
      const at = coverageOf(recipe);
      return places.reduce((sum, [x, y]) => {
        at(x, y, parts);
        return sum + (1 - Math.max(...parts));
      }, 0);
    };
    expect(faded({ ...soft, tool: 'foam' }), id).toBeLessThan(faded({ ...soft, tool: 'brush' }));
  }
});
