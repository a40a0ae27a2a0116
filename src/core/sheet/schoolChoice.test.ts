import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { BARE, type Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { setRun } from '../recipe/editLadder';
import { USUAL_PANEL } from '../recipe/panel';
import type { Recipe } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { RUN_IDS } from '../recipe/runs/runs';
import { SCHOOL_IDS, type SchoolId } from '../recipe/schools/schools';
import { compileSheet } from './compile';
import { suggestSchool } from './schoolChoice';
import { paceFrom, USUAL_PACE } from './times';

const gorse = ink('Gorse', '#e3b20f');
const weir = ink('Weir', '#007a7c');
const skerry = ink('Skerry', '#005487');
const by = (school: Recipe['school'], inks: readonly Ink[] = [gorse, weir, skerry]): ResolvedRecipe =>
  resolvedOf(inks, WHITE_CARD, { school, panel: { width: 80, height: 120 } });
const titles = (resolved: ResolvedRecipe) =>
  compileSheet(resolved, 'mm').steps.map(({ title, work }) => `${title}: ${work}`);
const atWork = (resolved: ResolvedRecipe) => titles(resolved).slice(1, -2);

describe('the sheet of each school, as it is read at the desk', () => {
  test('pale first', () => {
    expect(atWork(by('paleFirst'))).toEqual([
      'Gorse: Solid from 85 mm to the top edge; fade down to nothing by 75.',
      'Weir: Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.',
      'Back with Gorse: Over the join, 75 to 85 mm, until no line is left.',
      'Skerry: Solid from the foot to 35 mm; fade up to nothing by 45.',
      'Back with Weir: Over the join, 35 to 45 mm, until no line is left.',
    ]);
  });

  test('dark first', () => {
    expect(atWork(by('darkFirst'))).toEqual([
      'Skerry: Solid from the foot to 35 mm; fade up to nothing by 45.',
      'Weir: Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.',
      'Back with Skerry: Over the join, 35 to 45 mm, until no line is left.',
      'Gorse: Solid from 85 mm to the top edge; fade down to nothing by 75.',
      'Back with Weir: Over the join, 75 to 85 mm, until no line is left.',
    ]);
  });

  test('both ends, then an inked middle', () => {
    expect(atWork(by('bothEnds')).map((line) => line.split(':')[0])).toEqual([
      'Gorse',
      'Skerry',
      'Weir',
      'Back with Gorse',
      'Back with Skerry',
    ]);
  });

  test('both ends, then a brewed middle, mostly of the weaker ink', () => {
    const [, , brew, ...back] = atWork(by('bothEnds', [gorse, skerry]));
    expect(brew).toMatch(
      /^Brewed middle: Load a third brush from both: \d+ of Gorse to \d+ of Skerry, for a .*green\./,
    );
    expect(brew).toContain('Lay it in the bare strip, 55 to 65 mm.');
    expect(back.map((line) => line.split(':')[0])).toEqual(['Back with Gorse', 'Back with Skerry']);
  });

  test('middle out, on a glow: the centre, then ring by ring, measured as radii', () => {
    const glow = by('middleOut');
    const resolved = { ...glow, recipe: setRun(glow.recipe, 'glow') };
    expect(atWork(resolved)[0]).toMatch(
      /^Gorse: Solid from [\d.]+ mm to the centre; fade outward to nothing by [\d.]+\.$/,
    );
    expect(atWork(resolved).at(-2)).toMatch(/^Skerry: Solid from the edges to [\d.]+ mm; fade inward/);
  });
});

test.each<[string, ResolvedRecipe, SchoolId]>([
  [
    'a glow is laid from its middle',
    { ...by('suggested'), recipe: setRun(by('suggested').recipe, 'glow') },
    'middleOut',
  ],
  ['an ink that fades to bare card is dragged out', by('suggested', [skerry, BARE]), 'darkFirst'],
  ['two far ends want a brewed middle', by('suggested', [gorse, skerry]), 'bothEnds'],
  ['yellow goes down first', by('suggested'), 'paleFirst'],
  [
    'depths of one colour are dragged out of the deepest',
    by('suggested', [ink('pale', '#9fbee3'), ink('mid', '#0883c3'), ink('deep', '#005487')]),
    'darkFirst',
  ],
])('the school that follows: %s', (_, resolved, school) => {
  expect(suggestSchool(resolved).id).toBe(school);
});

const blended = DEMO_INKS.filter(({ kind }) => INK_KINDS[kind].blends);
const anyRecipe = fc
  .record({
    inks: fc.uniqueArray(fc.constantFrom(...blended), {
      minLength: 2,
      maxLength: 5,
      selector: ({ id }) => id,
    }),
    school: fc.constantFrom(...SCHOOL_IDS),
    run: fc.constantFrom(...RUN_IDS),
    over: fc.constantFrom(...blended),
  })
  .map(({ inks, school, run, over }): ResolvedRecipe => {
    const resolved = by(school, inks);
    return withPass({ ...resolved, recipe: setRun(resolved.recipe, run) }, 'edge', { ink: over });
  });

test('whatever the recipe: every ink is laid once, every join is gone back over, and a key names one step', () => {
  fc.assert(
    fc.property(anyRecipe, (resolved) => {
      const { steps } = compileSheet(resolved, 'mm');
      expect(
        steps
          .filter(({ kind }) => kind === 'lay')
          .map(({ ink: laid }) => laid?.id)
          .sort(),
      ).toEqual(resolved.inks.map(({ id }) => id).sort());
      expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
      if (resolved.recipe.run.id !== 'corners' && resolved.recipe.run.id !== 'scatter') {
        const last = steps.at(-1);
        expect(last?.after.blended.every(Boolean)).toBe(true);
      }
      expect(steps.at(-1)?.after.laid.every(Boolean)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('no step uses a brush that holds a foreign family or another kind’s ink', () => {
  fc.assert(
    fc.property(anyRecipe, (resolved) => {
      const held = new Map<string, Ink>();
      for (const { brush, ink: used, kind } of compileSheet(resolved, 'mm').steps) {
        if (!brush || !used || kind === 'brew') continue;
        const before = held.get(brush.letter);
        if (before) {
          expect(INK_KINDS[before.kind].brushSet).toBe(INK_KINDS[used.kind].brushSet);
          if (INK_KINDS[used.kind].brushSet !== 'white only') expect(before.family).toBe(used.family);
        }
        held.set(brush.letter, used);
      }
    }),
    { numRuns: 60 },
  );
});

test('a note stays with its step when the recipe is changed', () => {
  const resolved = by('paleFirst');
  const noted = {
    ...resolved,
    recipe: { ...resolved.recipe, notes: { 'back r1 over r2': 'lighter than last time' } },
  };
  const noteOf = (of: ResolvedRecipe) => compileSheet(of, 'mm').steps.find(({ note }) => note)?.title;
  expect(noteOf(noted)).toBe('Back with Gorse');
  expect(noteOf({ ...noted, recipe: setRun(noted.recipe, 'slant') })).toBe('Back with Gorse');
});

test('on a large panel dyes dry before they are gone back over, and it is said what helps; pigments do not', () => {
  const large = (kind: Ink['kind']) =>
    resolvedOf(
      [gorse, weir, skerry].map((one) => ({ ...one, kind })),
      WHITE_CARD,
      {
        panel: { width: 210, height: 297 },
      },
    );
  const [warning] = compileSheet(large('dye'), 'mm').warnings;
  expect(warning?.message).toMatch(/after both have dried\. Lay a smaller stretch.*stays open longer than/);
  expect(compileSheet(large('pigment'), 'mm').warnings).toEqual([]);
  expect(
    compileSheet(resolvedOf([gorse, weir, skerry], WHITE_CARD, { panel: USUAL_PANEL }), 'mm').warnings,
  ).toEqual([]);
});

test('times are a maker’s own once they have timed a step: the median of the latest', () => {
  expect(paceFrom([])).toEqual(USUAL_PACE);
  const timings = [3, 1, 2].map((minutes) => ({ work: 'layBand', minutes }) as const);
  expect(paceFrom(timings)).toEqual({ ...USUAL_PACE, layBand: 2 });
  const resolved = by('paleFirst');
  const slow = compileSheet(resolved, 'mm', { ...USUAL_PACE, layBand: 6 });
  expect(slow.workMinutes).toBeGreaterThan(compileSheet(resolved, 'mm').workMinutes + 5);
});

test('bare card is not laid, and what is laid over the dried ladder waits for it', () => {
  const resolved = by('suggested', [skerry, BARE]);
  expect(
    titles(resolved).filter((title) => title.startsWith('Skerry') || title.startsWith('bare')),
  ).toHaveLength(1);
  const coated = withPass(resolved, 'coat', { ink: weir });
  expect(compileSheet(coated, 'mm').steps.map(({ kind }) => kind)).toEqual([
    'prepare',
    'lay',
    'dry',
    'pass',
    'dry',
    'check',
  ]);
});

test('a grey has no hue: with two depths of one colour it is still a run of one colour', () => {
  const grey = ink('Haar', '#8a8a8c');
  const depths = [ink('Weir Pale', '#7fc4c6'), grey, ink('Weir Deep', '#00585a')];
  expect(suggestSchool(resolvedOf(depths)).id).toBe('darkFirst');
  const other = [ink('Weir Pale', '#7fc4c6'), ink('Thrift', '#e2568f'), ink('Weir Deep', '#00585a')];
  expect(suggestSchool(resolvedOf(other)).id).toBe('paleFirst');
});
