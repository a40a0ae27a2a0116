import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { STANDARD_1912 } from '../../testing/colourSets';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { groundOfCard } from '../materials/card/card';
import type { Hex } from '../materials/colour/hex';
import { paleToDark } from '../materials/colour/order';
import { driedColour } from '../materials/ink/laid';
import {
  addRung,
  copyRun,
  moveMark,
  nearestRung,
  orderLightToDark,
  placeForNew,
  removeRung,
  reverse,
  scaleJoints,
  setPanel,
  setRun,
  setRunParams,
  setShare,
  settle,
  shareEqually,
  swapRungs,
} from './editLadder';
import { jointSpans, MIN_JOINT, MIN_SOLID, partsAt, patchesOf, type Recipe, runLength } from './recipe';

const inks = ['a', 'b', 'c', 'd', 'e'].map((name) => ink(name, '#888888'));
const recipeOf = (count: number) => shareEqually(resolvedOf(inks.slice(0, count)).recipe);

/** What must hold for every recipe, whatever was done to it. */
function expectSound(recipe: Recipe): void {
  const length = runLength(recipe);
  expect(recipe.rungs.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  expect(recipe.joints).toHaveLength(recipe.rungs.length - 1);
  const laps = jointSpans(recipe);
  laps.forEach(({ start, end }, i) => {
    expect(end - start).toBeGreaterThanOrEqual(MIN_JOINT - 1e-9);
    expect(start).toBeGreaterThanOrEqual((laps[i - 1]?.end ?? 0) + MIN_SOLID - 1e-9);
    expect(end).toBeLessThanOrEqual((laps[i + 1]?.start ?? length) - MIN_SOLID + 1e-9);
  });
}

const place = fc.double({ min: -50, max: 250, noNaN: true });
const anyEdit = fc.oneof(
  fc.record({ joint: fc.nat(3), end: fc.constantFrom('start' as const, 'end' as const), to: place }).map(
    ({ joint, end, to }) =>
      (recipe: Recipe) =>
        moveMark(recipe, joint, end, to),
  ),
  fc.record({ rung: fc.nat(4), share: fc.double({ min: -1, max: 2, noNaN: true }) }).map(
    ({ rung, share }) =>
      (recipe: Recipe) =>
        rung < recipe.rungs.length ? setShare(recipe, rung, share) : recipe,
  ),
  fc.nat(5).map((at) => (recipe: Recipe) => addRung(recipe, Math.min(at, recipe.rungs.length), 'a')),
  fc.nat(5).map((at) => (recipe: Recipe) => removeRung(recipe, at)),
  fc.tuple(fc.nat(4), fc.nat(4)).map(
    ([i, j]) =>
      (recipe: Recipe) =>
        swapRungs(recipe, i, j),
  ),
  fc
    .integer({ min: 30, max: 420 })
    .map((height) => (recipe: Recipe) => setPanel(recipe, { width: 80, height })),
  fc.constantFrom(reverse, shareEqually),
);

test('after any edits shares sum to 1, no joint crosses its neighbour and every ink is solid somewhere', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 5 }), fc.array(anyEdit, { maxLength: 12 }), (count, edits) => {
      expectSound(edits.reduce((recipe, edit) => edit(recipe), recipeOf(count)));
    }),
  );
});

test('moving one mark leaves every other mark where it was', () => {
  fc.assert(
    fc.property(fc.nat(3), fc.constantFrom('start' as const, 'end' as const), place, (joint, end, to) => {
      const before = jointSpans(recipeOf(5));
      const after = jointSpans(moveMark(recipeOf(5), joint, end, to));
      after.forEach((lap, i) => {
        for (const side of ['start', 'end'] as const)
          if (i !== joint || side !== end) expect(lap[side]).toBeCloseTo(before[i]?.[side] ?? Number.NaN, 9);
      });
    }),
  );
});

test('a mark goes where it is put when there is room, and stops before its neighbour when there is not', () => {
  const recipe = recipeOf(3);
  expect(jointSpans(moveMark(recipe, 0, 'start', 12.5))[0]?.start).toBeCloseTo(12.5, 9);
  const next = jointSpans(recipe)[1]?.start ?? 0;
  expect(jointSpans(moveMark(recipe, 0, 'end', 99))[0]?.end).toBeCloseTo(next - MIN_SOLID, 9);
});

test('inks laid at any place add up to one coat, and at most two overlap', () => {
  const recipe = recipeOf(4);
  const laps = jointSpans(recipe);
  for (let along = 0; along <= 100; along += 0.5) {
    const coats = partsAt(recipe, laps, along);
    expect(coats.reduce((sum, amount) => sum + amount, 0)).toBeCloseTo(1, 12);
    expect(coats.filter((amount) => amount > 0).length).toBeLessThanOrEqual(2);
  }
});

test('a sound recipe is not changed by settling', () => {
  const recipe = recipeOf(3);
  settle(recipe).joints.forEach(({ width }, i) => {
    expect(width).toBeCloseTo(recipe.joints[i]?.width ?? 0, 9);
  });
});

test('five rungs are the most and two the least', () => {
  expect(addRung(recipeOf(5), 0, 'a').rungs).toHaveLength(5);
  expect(removeRung(recipeOf(2), 0).rungs).toHaveLength(2);
});

test('reversing twice gives the recipe back', () => {
  const recipe = moveMark(recipeOf(4), 1, 'start', 30);
  expect(reverse(reverse(recipe))).toEqual(recipe);
});

test('a new rung goes where it keeps the ladder in order, pale end up or down', () => {
  const at = (l: number) => ({ l, a: 0, b: 0 });
  expect(placeForNew([at(80), at(50), at(20)], 60)).toBe(1);
  expect(placeForNew([at(20), at(50), at(80)], 60)).toBe(2);
  expect(placeForNew([at(80), at(50), at(20)], 10)).toBe(3);
  expect(placeForNew([at(80), at(50), at(20)], 95)).toBe(0);
  expect(nearestRung([at(80), at(50), at(20)], 60)).toBe(1);
});

test('a share asked for is given when there is room, and what is left stays in proportion', () => {
  const recipe = setShare(setShare(recipeOf(3), 0, 0.5), 1, 0.3);
  expect(recipe.rungs[1]?.share).toBeCloseTo(0.3, 9);
  const [first = 0, , last = 0] = recipe.rungs.map(({ share }) => share);
  expect(first / last).toBeCloseTo(2, 6);
  expect(setShare(recipeOf(2), 0, 5).rungs[1]?.share).toBeGreaterThan(0);
});

test('joints are narrowed all alike, on patches by the one width they have, and never beyond what a run allows', () => {
  const banded = recipeOf(3);
  const widths = banded.joints.map(({ width }) => width);
  expect(scaleJoints(banded, 0.5).joints.map(({ width }) => width)).toEqual(widths.map((width) => width / 2));
  expect(scaleJoints(banded, 0).joints.every(({ width }) => width === MIN_JOINT)).toBe(true);
  const patched = setRunParams(setRun(banded, 'corners'), { soft: 40 });
  const softOf = (recipe: Recipe) => patchesOf(recipe)?.soft;
  expect([0.5, 1.4, 0, 9].map((times) => softOf(scaleJoints(patched, times)))).toEqual([20, 56, 2, 120]);
});

test('on a panel of another size shares stay and joints keep their part of it', () => {
  const before = recipeOf(3);
  const after = setPanel(before, { width: 80, height: 200 });
  expect(after.rungs).toEqual(before.rungs);
  expect(after.joints[0]?.width).toBeCloseTo(2 * (before.joints[0]?.width ?? 0), 9);
});

test('what is laid over it stays where it lies on the panel, as large as it is', () => {
  const plain = resolvedOf(inks.slice(0, 3), WHITE_CARD, { panel: { width: 80, height: 100 } });
  const stamped = withPass(plain, 'greetingStrip', { params: { x: 20, y: 75, width: 30, height: 10 } });
  const after = setPanel(stamped.recipe, { width: 40, height: 200 });
  const [strip] = after.passes;
  expect(strip?.placements[0]?.params).toMatchObject({ x: 10, y: 150, width: 30, height: 10 });
  const [depth] = setPanel(
    withPass(plain, 'edge', { params: { depth: 14 } }).recipe,
    after.panel,
  ).passes.flatMap(({ placements }) => placements.map(({ params }) => params));
  expect(depth).toMatchObject({ depth: 14 });
  // So do the passes of another recipe, taken over with its run.
  const taken = copyRun({ ...plain.recipe, panel: after.panel }, stamped.recipe);
  expect(taken.passes[0]?.placements[0]?.params).toMatchObject({ x: 10, y: 150 });
});

describe('order light to dark', () => {
  const white = groundOfCard(WHITE_CARD);
  const dried = (hex: string) => driedColour(ink('any', hex as Hex), white);

  test('puts the palest at the chosen end and lets each ink keep its share', () => {
    const recipe = setShare(recipeOf(3), 0, 0.5);
    const colours = ['#222222', '#eeeeee', '#888888'].map(dried);
    const top = orderLightToDark(recipe, colours, 'top');
    expect(top.rungs.map(({ inkId }) => inkId)).toEqual(['b', 'c', 'a']);
    expect(top.rungs[2]?.share).toBeCloseTo(0.5, 9);
    const foot = orderLightToDark(recipe, colours, 'foot');
    expect(foot.rungs.map(({ inkId }) => inkId)).toEqual(['a', 'c', 'b']);
  });

  test('agrees with the tone order of the 1912 standard in at least 95 % of neighbouring tones', () => {
    // Source: the standard's own tint-to-shade order inside each hue column, carried by color-name-lists.
    const columns = groupBy(STANDARD_1912, columnOf);
    let pairs = 0;
    let agreed = 0;
    for (const column of columns.values()) {
      const published = column.toSorted((p, q) => toneOf(p) - toneOf(q));
      const place = paleToDark(published.map(({ hex }) => dried(hex)));
      for (let i = 1; i < published.length; i++) {
        if (toneOf(published[i]) === toneOf(published[i - 1])) continue;
        pairs++;
        if (place.indexOf(i) > place.indexOf(i - 1)) agreed++;
      }
    }
    expect(pairs).toBeGreaterThan(700);
    expect(agreed / pairs).toBeGreaterThanOrEqual(0.95);
  });
});

type Toned = (typeof STANDARD_1912)[number];
const columnOf = ({ meta }: Toned): string =>
  `${meta?.parsed?.hueBase100}/${meta?.parsed?.neutralGreyPercent}`;
/** Tints count down to 0, shades up from it. */
const toneOf = (colour: Toned | undefined): number =>
  (colour?.meta?.parsed?.toneBlackPercent ?? 0) - (colour?.meta?.parsed?.toneWhitePercent ?? 0);

function groupBy<T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item]);
  return groups;
}

test('joints already as narrow as can be stay so on the shortest run, and no figure is lost', () => {
  for (let height = 30; height <= 60; height += 0.7) {
    const narrow = { ...recipeOf(5), joints: recipeOf(5).joints.map(() => ({ width: MIN_JOINT })) };
    expectSound(setShare(setPanel(narrow, { width: 80, height }), 0, 2));
  }
});
