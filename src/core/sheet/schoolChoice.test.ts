import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_INKS } from '../../data/demo/inks';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import type { Hex } from '../materials/colour/hex';
import { BARE, type Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';
import { setRun } from '../recipe/editLadder';
import { jointSpans, type Recipe } from '../recipe/recipe';
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

test('why a school is suggested is said', () => {
  const depths = ['#5bbfc5', '#007a7c', '#004c52'].map((hex, i) => ink(`Weir ${i}`, hex as Hex));
  const whyOf = (...inks: readonly Ink[]) => suggestSchool(by('suggested', inks)).because;
  expect(whyOf(...depths)).toBe('depths of one colour are dragged out of the deepest');
  expect(whyOf(gorse, weir, skerry)).toBe('yellow goes down before all others');
  expect(whyOf(ink('Thrift', '#e2568f'), weir, skerry)).toBe('the pale brush stays clean');
});

describe('the sheet of each school, as it is read at the desk', () => {
  test('pale first', () => {
    expect(atWork(by('paleFirst'))).toEqual([
      'Gorse: Solid from the top edge to 85 mm; fade down to nothing by 75.',
      'Weir: Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.',
      'Back with Gorse: Over the join with Weir, 75 to 85 mm, until no line is left.',
      'Skerry: Solid from the foot to 35 mm; fade up to nothing by 45.',
      'Back with Weir: Over the join with Skerry, 35 to 45 mm, until no line is left.',
    ]);
  });

  test('dark first', () => {
    expect(atWork(by('darkFirst'))).toEqual([
      'Skerry: Solid from the foot to 35 mm; fade up to nothing by 45.',
      'Weir: Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.',
      'Back with Skerry: Over the join with Weir, 35 to 45 mm, until no line is left.',
      'Gorse: Solid from the top edge to 85 mm; fade down to nothing by 75.',
      'Back with Weir: Over the join with Gorse, 75 to 85 mm, until no line is left.',
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
      /^Brewed middle: Load one brush from both: \d+ of Gorse to \d+ of Skerry, .*green, round \d.* mm from the foot\./,
    );
    expect(brew).toContain('Lay it in the bare strip, 55 to 65 mm.');
    expect(back).toEqual([
      expect.stringMatching(
        /^Back with Gorse: Into its own half only, from 65 mm to the middle of the join, 60 mm/,
      ),
      expect.stringMatching(/^Back with Skerry: Into its own half only, from 55 mm to the middle/),
    ]);
  });

  test('a long strip is brewed as a slope of mixes from the one ink to the other, and takes its time', () => {
    const brewOf = (width: number) => {
      const resolved = by('bothEnds', [gorse, skerry]);
      const recipe = { ...resolved.recipe, panel: { width: 80, height: 200 }, joints: [{ width }] };
      return compileSheet({ ...resolved, recipe }, 'mm').steps.find(({ kind }) => kind === 'brew');
    };
    const [short, middling, long] = [30, 70, 110].map(brewOf);
    const mixes = (step: ReturnType<typeof brewOf>) =>
      step?.work.match(/round [\d.]+ mm from the foot/g)?.length;
    expect([short, middling, long].map(mixes)).toEqual([1, 2, 3]);
    expect(long?.minutes ?? 0).toBeGreaterThan((short?.minutes ?? 0) + 2);
    // From the top down: less and less of the upper ink, each mix lower than the one before.
    const places = [...(long?.work.matchAll(/round ([\d.]+) mm/g) ?? [])].map(([, at]) => Number(at));
    expect(places).toEqual(places.toSorted((p, q) => q - p));
  });

  test('no middle is brewed of two that make mud, or may not share a brush, and that is said', () => {
    for (const pair of [
      [ink('red', '#c2303a'), ink('green', '#2f7f3f')],
      [ink('gold', '#e3b20f', 'pigment'), skerry],
    ]) {
      const sheet = compileSheet(by('bothEnds', pair), 'mm');
      expect(sheet.steps.some(({ kind }) => kind === 'brew')).toBe(false);
      expect(sheet.remarks.join(' ')).toMatch(/No middle is brewed/);
    }
  });

  test('middle out, on a glow: the centre, then ring by ring', () => {
    const glow = by('middleOut');
    const resolved = { ...glow, recipe: setRun(glow.recipe, 'glow') };
    expect(atWork(resolved)[0]).toMatch(
      /^Gorse: Solid from the centre to ring 1; fade outward to nothing by ring 2\.$/,
    );
    expect(atWork(resolved).at(-2)).toMatch(
      /^Skerry: Solid from the edges to ring 4; fade inward to nothing by ring 3/,
    );
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

test('on a large panel quick inks are woken and worked in sections, slow ones laid at one go', () => {
  const large = (kind: Ink['kind']) =>
    titles(
      resolvedOf(
        [gorse, weir, skerry].map((one) => ({ ...one, kind })),
        WHITE_CARD,
        { panel: { width: 210, height: 297 } },
      ),
    );
  expect(large('dye').filter((title) => title.startsWith('Wake ')).length).toBeGreaterThan(0);
  expect(large('pigment').filter((title) => /^Wake|into the join/.test(title))).toEqual([]);
});

test('sections of a join are told one after another from the left, each with its share of the time and a key of its own', () => {
  const { steps } = compileSheet(
    resolvedOf(
      [gorse, weir].map((one) => ({ ...one, kind: 'dye' as const })),
      WHITE_CARD,
      { panel: { width: 290, height: 297 }, joints: [{ width: 40 }] },
    ),
    'mm',
  );
  const into = steps.filter(({ key }) => key.startsWith('into '));
  expect(into.length).toBeGreaterThan(1);
  const told = into.map(({ work, title }) => `${title} ${work}`);
  const words = {
    2: ['left half', 'right half'],
    3: ['left third', 'middle third', 'right third'],
    4: ['first quarter', 'second quarter', 'third quarter', 'last quarter'],
  }[into.length] as readonly string[];
  words.forEach((part, i) => {
    expect(told[i]).toContain(part);
  });
  expect(into.map(({ key }) => key.match(/\d\/\d$/)?.[0])).toEqual(
    into.map((_, i) => `${i + 1}/${into.length}`),
  );
  const [first] = into;
  for (const { minutes } of into) expect(minutes).toBeCloseTo(first?.minutes ?? 0, 9);
  // Together they take what the whole join takes, which is less than laying a band.
  expect(into.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0)).toBeLessThan(2 * USUAL_PACE.layBand);
});

test('a join that runs up and down is worked in sections from the top, as long as it is', () => {
  const dyes = [gorse, weir].map((one) => ({ ...one, kind: 'dye' as const }));
  const steps = (width: number, height: number, run: Recipe['run']) =>
    compileSheet(
      resolvedOf(dyes, WHITE_CARD, { panel: { width, height }, joints: [{ width: 40 }], run }),
      'mm',
    ).steps.filter(({ key }) => key.startsWith('into '));
  const upright = steps(297, 290, { id: 'slant', params: { angle: 90 } });
  expect(upright[0]?.work).toMatch(/the upper|from the top/);
  expect(upright[0]?.work).not.toMatch(/left/);
  expect(upright).toHaveLength(steps(290, 297, { id: 'slant', params: { angle: 0 } }).length);
});

test('dark first drags toward the pale end what goes there, and fades back over the dark by lifting', () => {
  const fading = (inks: readonly Ink[]) =>
    compileSheet(by('darkFirst', inks), 'mm')
      .steps.filter(({ kind }) => kind === 'lay')
      .map(
        ({ title, care }) =>
          `${title} ${care.some((line) => line.startsWith('Drag')) ? 'dragged' : 'lifted'}`,
      );
  expect(fading([gorse, weir, skerry])).toEqual(['Skerry dragged', 'Weir dragged', 'Gorse lifted']);
  expect(fading([BARE, weir, skerry])).toEqual(['Skerry dragged', 'Weir dragged']);
});

test('going back round a ring takes as much longer than across the panel as it is longer', () => {
  const panel = { width: 150, height: 150 };
  const laid = resolvedOf([gorse, weir], WHITE_CARD, { panel, joints: [{ width: 20 }] });
  const backOn = (run: Recipe['run']) => {
    const recipe = { ...laid.recipe, run };
    const back = compileSheet({ ...laid, recipe }, 'mm').steps.find(({ kind }) => kind === 'go back');
    return { minutes: back?.minutes ?? 0, span: jointSpans(recipe)[0] ?? { start: 0, end: 0 } };
  };
  const ring = backOn({ id: 'glow', params: { x: 50, y: 50, oval: 100 } });
  const round = Math.PI * (ring.span.start + ring.span.end);
  expect(ring.minutes / backOn({ id: 'straight', params: {} }).minutes).toBeCloseTo(round / panel.width, 1);
});

test('the panel is turned to a corner in hand, and round for the ink in the middle', () => {
  const five = resolvedOf([gorse, weir, skerry, ink('Thrift', '#e77fa3'), ink('Slip', '#f2efe6')]);
  const { steps } = compileSheet({ ...five, recipe: setRun(five.recipe, 'corners') }, 'mm');
  const turned = (where: RegExp) => steps.find(({ work }) => where.test(work))?.care.join(' ');
  expect(turned(/^From the middle/)).not.toContain('the corner in hand');
  expect(turned(/^From the bottom right corner/)).toContain('the corner in hand');
});

test('a panel waits for the slowest of its inks, wherever in the ladder it stands', () => {
  const drying = (kinds: readonly Ink['kind'][]) =>
    compileSheet(
      resolvedOf([gorse, weir, skerry].map((one, i) => ({ ...one, kind: kinds[i] ?? 'dye' }))),
      'mm',
    ).steps.find(({ kind }) => kind === 'dry')?.work;
  expect(drying(['dye', 'pigment', 'hybrid'])).toContain('Weir is the slowest (pigment)');
  expect(drying(['dye', 'dye', 'hybrid'])).toContain('Skerry is the slowest (hybrid)');
  expect(drying(['hybrid', 'dye', 'dye'])).toContain('Gorse is the slowest (hybrid)');
});

test('times are a maker’s own once they have timed a step: the median of the latest', () => {
  expect(paceFrom([])).toEqual(USUAL_PACE);
  const timings = [3, 1, 2].map((minutes) => ({ work: 'layBand', minutes }) as const);
  expect(paceFrom(timings)).toEqual({ ...USUAL_PACE, layBand: 2 });
  const resolved = by('paleFirst');
  const slow = compileSheet(resolved, 'mm', { pace: { ...USUAL_PACE, layBand: 6 } });
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
