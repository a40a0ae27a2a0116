import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink, resolvedOf, WHITE_CARD } from '../../testing/resolvedRecipes';
import { areaCurveOf } from '../engine/areaCurve';
import { bareGround } from '../engine/blend';
import type { Ink } from '../materials/ink/ink';
import { setRun } from '../recipe/editLadder';
import type { Recipe } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { RunId } from '../recipe/runs/runs';
import { judgeJoint, walkJoint } from './joints/joint';
import { newColourWidth, setNewColourWidth, whyNotSoWide } from './joints/newColour';
import { laidShares, perceivedShares, potencies } from './perceived';
import { CLOSE_ENOUGH, solveShares, wantedShares } from './solveShares';

const yellow = ink('yellow', '#f2c230');
const blue = ink('blue', '#1f4f7a');
const pink = ink('pink', '#e2568f');
const red = ink('red', '#b3262f');
const onRun = (resolved: ResolvedRecipe, id: RunId): ResolvedRecipe => ({
  ...resolved,
  recipe: setRun(resolved.recipe, id),
});

describe('what the trade says of shares falls out of the inks (common practice)', () => {
  test('a yellow band needs more room than the share it is to show', () => {
    for (const other of [blue, red]) {
      const { recipe, why } = solveShares(
        resolvedOf([yellow, other], WHITE_CARD, { joints: [{ width: 60 }] }),
        [0.5, 0.5],
      );
      expect(why).toBeUndefined();
      expect(recipe.rungs[0]?.share).toBeGreaterThan(0.51);
    }
  });

  test('pink beside blue needs more than half to show as half', () => {
    const { recipe } = solveShares(
      resolvedOf([pink, blue], WHITE_CARD, { joints: [{ width: 60 }] }),
      [0.5, 0.5],
    );
    expect(recipe.rungs[0]?.share).toBeGreaterThan(0.53);
  });

  test.each([
    ['yellow', yellow, 'blue', blue, 'hybrid', 0.43],
    ['yellow', yellow, 'blue', blue, 'dye', 0.49],
    ['yellow', yellow, 'red', red, 'hybrid', 0.16],
    ['yellow', yellow, 'red', red, 'dye', 0.35],
    ['pink', pink, 'blue', blue, 'hybrid', 0.2],
    ['pink', pink, 'blue', blue, 'dye', 0.43],
  ] as const)(
    'in an even mixture %s gives way to its neighbour as far as was found before',
    (_, first, __, second, kind, part) => {
      const [weaker, stronger] = potencies(
        resolvedOf([
          { ...first, kind },
          { ...second, kind },
        ]),
      );
      expect(weaker?.holds).toBeCloseTo(part, 1);
      expect(stronger?.holds).toBeGreaterThanOrEqual(0.5);
    },
  );
});

test('what is seen and what is laid add up to the whole panel, on every run', () => {
  for (const id of ['straight', 'slant', 'glow', 'corners', 'scatter'] as const) {
    const resolved = onRun(resolvedOf([yellow, pink, blue]), id);
    for (const shares of [perceivedShares(resolved), laidShares(resolved)])
      expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
  }
});

test('shares are solved to a hundredth of the panel on every run, or it is said why not', () => {
  const inks = DEMO_INKS.filter(({ kind }) => kind === 'hybrid' || kind === 'dye');
  const any = fc.constantFrom(...inks);
  fc.assert(
    fc.property(
      fc.uniqueArray(any, { minLength: 2, maxLength: 4, selector: ({ family }) => family }),
      fc.constantFrom<RunId>('straight', 'slant', 'glow'),
      (three, id) => {
        const resolved = onRun(resolvedOf(three), id);
        const { recipe, perceived, off, why } = solveShares(resolved, wantedShares(resolved.recipe));
        expect(perceivedShares({ ...resolved, recipe })).toEqual(perceived);
        if (why === undefined) expect(off).toBeLessThanOrEqual(CLOSE_ENOUGH);
        else expect(why).toMatch(/shows \d+ % at best/);
      },
    ),
    { numRuns: 25 },
  );
});

test('where it cannot be had it is said which ink shows how much at best, and what would help', () => {
  const solved = (id: RunId) => {
    const resolved = onRun(resolvedOf([yellow, pink, blue]), id);
    return { name: resolved.inks[0]?.name, ...solveShares(resolved, [1, 0, 0]) };
  };
  const bands = solved('straight');
  expect(bands.off).toBeGreaterThan(CLOSE_ENOUGH);
  expect(bands.why).toBe(
    `${bands.name} shows ${Math.round(100 * (bands.perceived[0] ?? 0))} % at best, not 100 %: it holds even in its joints and every ink needs some room to be solid. Ask for less of it, or take an ink away.`,
  );
  expect(solved('corners').why).toMatch(
    /at best, not 100 %: on patches every ink has places of its own, however little is wanted of it\. Ask/,
  );
});

test('equal thirds of a usual trio can be had, on bands and on patches', () => {
  for (const id of ['straight', 'slant', 'glow', 'corners'] as const) {
    const resolved = onRun(resolvedOf([yellow, pink, blue]), id);
    const { off, why } = solveShares(resolved, wantedShares(resolved.recipe));
    expect(why).toBeUndefined();
    expect(off).toBeLessThanOrEqual(CLOSE_ENOUGH);
  }
});

test('an area curve is the area it says, by geometry: a glow is a round', () => {
  const panel = { width: 80, height: 100 };
  const areaOf = (id: RunId, params: Readonly<Record<string, number>>) =>
    areaCurveOf({ run: { id, params } as Recipe['run'], panel });
  // Round, in the middle of a panel of 80 × 100, until it meets a side; its farthest corner lies √(40² + 50²) off.
  const glow = areaOf('glow', { x: 50, y: 50, oval: 100 });
  for (const along of [5, 20, 40]) expect(glow.upTo(along)).toBeCloseTo((Math.PI * along ** 2) / 8000, 2);
  expect(glow.upTo(Math.hypot(40, 50))).toBeCloseTo(1, 9);
  for (const part of [0.1, 0.3, 0.6])
    expect(glow.alongOf(part)).toBeCloseTo(Math.sqrt((part * 8000) / Math.PI), 0);
  // At the very end what is left is a sliver at each corner: none of the panel lies beyond it.
  expect(glow.alongOf(1)).toBeCloseTo(Math.hypot(40, 50), 0);
  expect(glow.upTo(0.98 * Math.hypot(40, 50))).toBeGreaterThan(0.995);
  expect(glow.upTo(0.98 * Math.hypot(40, 50))).toBeLessThan(1);
});

test('an area curve climbs from 0 to 1, and its way back undoes it', () => {
  for (const id of ['straight', 'slant', 'glow'] as const) {
    const { upTo, alongOf } = areaCurveOf(onRun(resolvedOf([yellow, blue]), id).recipe);
    expect(upTo(0)).toBeCloseTo(0, 3);
    for (let part = 0.05; part < 1; part += 0.05) {
      expect(upTo(alongOf(part))).toBeCloseTo(part, 6);
      expect(alongOf(part + 0.01)).toBeGreaterThan(alongOf(part));
    }
  }
  // A disc of radius 30 round the middle of 80 × 100 mm.
  const glow = {
    ...resolvedOf([yellow, blue]).recipe,
    run: { id: 'glow', params: { x: 50, y: 50, oval: 100 } },
  } as const;
  expect(areaCurveOf(glow).upTo(30)).toBeCloseTo((Math.PI * 900) / 8000, 2);
});

test('a new colour is made as wide as it is asked for', () => {
  const resolved = resolvedOf([pink, blue]);
  const judged = (one: Ink, other: Ink) => {
    const stations = walkJoint(one, other, bareGround(WHITE_CARD));
    return { stations, verdict: judgeJoint(stations) };
  };
  const violet = judged(pink, blue);
  expect(newColourWidth(resolved.recipe, 0, violet)).toBeGreaterThan(1);
  for (const wanted of [4, 9, 20]) {
    const recipe = setNewColourWidth(resolved.recipe, 0, violet, wanted);
    expect(newColourWidth(recipe, 0, violet)).toBeCloseTo(wanted, 6);
  }
  expect(whyNotSoWide(resolved, 0, violet, 9, 'mm')).toBeUndefined();
  expect(whyNotSoWide(resolved, 0, violet, 60, 'mm')).toMatch(
    /^(That would leave \w+ only|There is room for)/,
  );
  const plain = judged(blue, ink('deeper', '#123456'));
  expect(setNewColourWidth(resolved.recipe, 0, plain, 9)).toBe(resolved.recipe);
});
