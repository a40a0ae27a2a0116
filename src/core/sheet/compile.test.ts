import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyRecipe } from '../../testing/anyRecipe';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { finished, passesDone } from '../engine/progress';
import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { BARE, type Ink } from '../materials/ink/ink';
import { paintPanel } from '../picture/paint';
import { setRun } from '../recipe/editLadder';
import { addPlacement } from '../recipe/editPasses';
import { USUAL_PANEL } from '../recipe/panel';
import { PASS_KIND_IDS, PASS_KINDS } from '../recipe/passes/passes';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { RunId } from '../recipe/runs/runs';
import type { SchoolId } from '../recipe/schools/schools';
import type { ToolId } from '../recipe/tools/tools';
import { brushesFor, DAMP_FOR } from './brushes';
import { cautionsOf } from './cautions';
import { compileSheet, sheetText } from './compile';
import type { Step } from './desk';
import { tryOut } from './hand/hand';
import { layingOrder } from './schoolChoice';
import { describeMinutes, USUAL_PACE } from './times';

const yellow = ink('Gorse', '#e3b20f');
const white = ink('Mist', '#e4e9ee');
const blue = ink('Skerry', '#005487');
const teal = ink('Weir', '#007a7c');

test('pale first lays yellow before all others, even before a paler ink (common practice)', () => {
  expect(layingOrder(resolvedOf([blue, white, yellow]))).toEqual([2, 1, 0]);
  expect(layingOrder(resolvedOf([blue, teal, white]))).toEqual([2, 1, 0]);
});

test('every new ink is followed by going back with each neighbour that is down already', () => {
  const { steps } = compileSheet(resolvedOf([yellow, teal, blue]), 'mm');
  expect(steps.map(({ title }) => title)).toEqual([
    'Prepare',
    'Gorse',
    'Weir',
    'Back with Gorse',
    'Skerry',
    'Back with Weir',
    'Dry',
    'Check, dry',
  ]);
});

test('an ink laid last between two neighbours is gone back over on both sides', () => {
  const { steps } = compileSheet(resolvedOf([teal, blue, yellow]), 'mm');
  const titles = steps.map(({ title }) => title);
  expect(titles.slice(titles.indexOf('Skerry'))).toEqual([
    'Skerry',
    'Back with Weir',
    'Back with Gorse',
    'Dry',
    'Check, dry',
  ]);
});

test('marks are measured from the foot and come from the geometry', () => {
  const resolved = resolvedOf([yellow, teal, blue], WHITE_CARD, { panel: { width: 80, height: 120 } });
  const { steps } = compileSheet(resolved, 'mm');
  expect(steps[0]?.work).toContain('35, 45, 75, 85 mm');
  expect(steps[1]?.work).toBe('Solid from the top edge to 85 mm; fade down to nothing by 75.');
  expect(steps[2]?.work).toBe('Solid 45 to 75 mm; fade up to nothing by 85, down to nothing by 35.');
  expect(steps[4]?.work).toBe('Solid from the foot to 35 mm; fade up to nothing by 45.');
  expect(compileSheet(resolved, 'in').steps[3]?.work).toContain('2 15/16 to 3 3/8 in');
});

test('the mat is wiped before every ink but the first, and times add up', () => {
  const resolved = resolvedOf([yellow, teal, blue], WHITE_CARD, { panel: USUAL_PANEL });
  const { steps, workMinutes, dryMinutes } = compileSheet(resolved, 'mm');
  const wiped = steps.filter(({ care }) => care.some((line) => line.startsWith('Wipe and dry the mat')));
  expect(wiped.map(({ title }) => title)).toEqual(['Weir', 'Skerry']);
  expect(workMinutes).toBeCloseTo(3 * 2 + 2 * 0.5 + 2 * 0.75, 9);
  expect(dryMinutes).toBe(15);
});

test('the mat is not wiped for the ink that still lies wet on it, and is once that has dried', () => {
  const edged = withPass(resolvedOf([yellow, teal]), 'edge', { ink: teal });
  const cornered = withPass(edged, 'darkCorners', { ink: teal });
  const careOf = (made: ResolvedRecipe) =>
    compileSheet(made, 'mm')
      .steps.filter(({ title }) => /^(Edge|Dark corners)/.test(title))
      .map(({ care }) => care[0]);
  expect(careOf(cornered)).toEqual(['Brush B holds it already.', 'Brush B holds it already.']);
  const set = withPass(withPass(resolvedOf([yellow, teal]), 'heatSet'), 'edge', { ink: teal });
  expect(careOf(set)).toEqual(['Wipe and dry the mat. Brush B holds it already.']);
});

test('glycerine goes beside each ink as it is taken up, since the mat is wiped between; not to a touch, nor what goes over', () => {
  const base = withPass(resolvedOf([yellow, teal, blue]), 'coat', { ink: blue });
  const { steps } = compileSheet(withPass(base, 'glycerine'), 'mm');
  const dropped = steps.filter(({ care }) => care.some((line) => line.includes('drop of glycerine')));
  expect(dropped.map(({ title }) => title)).toEqual(['Gorse', 'Weir', 'Skerry']);
  expect(dropped.every(({ needs }) => needs.includes('glycerine and a dropper'))).toBe(true);
  const minutes = (of: readonly Step[]) =>
    of.reduce((sum, step) => sum + (step.waits ? 0 : (step.minutes ?? 0)), 0);
  expect(minutes(steps)).toBeCloseTo(minutes(compileSheet(base, 'mm').steps) + 0.6, 9);
});

test('of two panels both are worked on, and both strips', () => {
  const stepsOf = (alsoOn?: Card) => {
    const base = resolvedOf([yellow, blue]);
    const strip = withPass(base, 'greetingStrip');
    return compileSheet({ ...strip, ...(alsoOn ? { alsoOn } : {}) }, 'mm').steps;
  };
  const [one, two] = [stepsOf(), stepsOf(WHITE_CARD)];
  const found = (steps: readonly Step[], title: string) => steps.find((step) => step.title === title);
  const again = (title: string) => found(two, title)?.care.find((line) => line.startsWith('The same on'));
  expect(again('Gorse')).toBe('The same on the other panel before the next step.');
  expect(again('Gorse, on the strip')).toBe('The same on the other strip before the next step.');
  expect(again('Letter the strip')).toBe('The same on the other panel.');
  const times = (title: string) => (found(two, title)?.minutes ?? 0) / (found(one, title)?.minutes ?? 0);
  expect(times('Letter the strip')).toBe(2);
  expect(times('Gorse, on the strip')).toBeGreaterThan(1.4);
  expect(found(two, 'Gorse, on the strip')?.care.join(' ')).toContain('Turn the strip');
});

test('a ladder that is printed goes on one rubber for both panels, which stays where it lies, as in a mirror', () => {
  const design = OWN_DESIGNS.find(({ id }) => id === 'crackle');
  if (!design) throw new Error('there is no such stamp');
  const base = resolvedOf([yellow, blue], WHITE_CARD, { tool: 'pad' });
  const printed = (run: RunId): ResolvedRecipe =>
    withPass(
      withPass({ ...base, recipe: setRun(base.recipe, run), alsoOn: WHITE_CARD }, 'backgroundStamp', {
        design,
      }),
      'mist',
    );
  const told = (run: RunId, title: string): string => {
    const step = compileSheet(printed(run), 'mm').steps.find((one) => one.title === title);
    return [step?.work, ...(step?.care ?? [])].join(' ');
  };
  for (const title of ['Gorse', 'Skerry']) {
    expect(told('straight', title)).toContain('Dab the pad straight on the rubber');
    expect(told('straight', title)).not.toMatch(/on the card|Turn the panel|other panel/);
  }
  expect(told('straight', 'Background stamp')).not.toMatch(/mirror|other panel/);
  expect(told('slant', 'Background stamp')).toContain('as in a mirror');
  expect(told('corners', 'Background stamp')).toContain('as in a mirror');
  expect(told('straight', 'Print it')).toContain('The same on the other panel, the stamp inked anew for it.');
  expect(told('straight', 'Clear-emboss the print')).toContain('wiped clean and dried');
  expect(told('straight', 'Mist the rubber')).toContain('before each layer');
  expect(told('straight', 'Mist the rubber')).not.toMatch(/on the card|other panel/);
});

test('printing takes as long as inking the stamp again does: with more inks, layers and panels longer (from memory)', () => {
  const minutes = (inks: readonly Ink[], layers: 'two' | 'three' = 'two', alsoOn?: Card): number =>
    compileSheet(
      withPass(
        { ...resolvedOf(inks, WHITE_CARD, { tool: 'brush' }), ...(alsoOn ? { alsoOn } : {}) },
        'backgroundStamp',
        { params: { layers } },
      ),
      'mm',
    ).steps.find(({ title }) => title === 'Print it')?.minutes ?? 0;
  // Half a minute a print, and one an ink that is laid on again; all of it for so large a panel.
  const usual = minutes([yellow, blue]) / 3;
  expect(usual).toBeGreaterThan(0.5);
  expect(minutes([yellow, blue, BARE])).toBeCloseTo(3 * usual);
  expect(minutes([yellow, blue, teal])).toBeCloseTo(4 * usual);
  expect(minutes([yellow, blue], 'three')).toBeCloseTo(5.5 * usual);
  // Two prints on each of two panels: inked three times after the ladder itself.
  expect(minutes([yellow, blue], 'two', WHITE_CARD)).toBeCloseTo(8 * usual);
});

const loads = (...inks: readonly Ink[]) => inks.map((one) => ({ inks: [one], takes: 'new ink' }) as const);
const goesBack = (one: Ink) => ({ inks: [one], takes: 'what it holds' }) as const;
const family = (depth: Ink['depth'], kind: Ink['kind'] = 'dye'): Ink => ({
  ...ink(`Weir ${depth} ${kind}`, '#007a7c', kind),
  family: 'Weir',
  depth,
});
const [deep, mid, pale] = [family('deep'), family('mid'), family('pale', 'hybrid')] as const;

test('depths of one colour share a brush only once none is to go back; pigment and white never share (common practice)', () => {
  const letters = (...needs: Parameters<typeof brushesFor>[0]) =>
    brushesFor(needs)
      .map(({ brush }) => brush.letter)
      .join('');
  expect(letters(...loads(pale, mid), goesBack(pale), ...loads(deep), goesBack(mid))).toBe('ABAAB');
  expect(letters(...loads(pale, mid, deep))).toBe('AAA');
  // A pale one after a deep one would be spoiled by what is left of it.
  expect(letters(...loads(deep, mid, pale))).toBe('ABC');
  expect(letters(...loads(mid, family('mid', 'pigment'), ink('Slip', '#fff', 'white')))).toBe('ABC');
  expect(letters(...loads(deep, ink('Gorse', '#e3b20f')))).toBe('AB');
  // Every white takes the white brush, whatever it is called.
  expect(letters(...loads(ink('Slip', '#fff', 'white'), ink('Haar', '#fff', 'white')))).toBe('AA');
  // A brush that a middle was brewed on is none of a colour; the next middle may take it over.
  const brewed = (...inks: readonly Ink[]) => ({ inks, takes: 'new ink' as const });
  const gorse = ink('Gorse', '#e3b20f');
  expect(letters(brewed(mid, gorse), ...loads(mid))).toBe('AB');
  expect(letters(...loads(mid), brewed(mid, gorse), goesBack(mid))).toBe('ABA');
  expect(letters(brewed(mid, gorse), { inks: [mid, deep], takes: 'what it holds' })).toBe('AA');
});

test('a second coat of a few per cent is laid with a touch of ink, a stronger one with a loaded tool', () => {
  const stepOf = (strength: number, tool: ToolId = 'brush') => {
    const coated = withPass(resolvedOf([yellow, teal]), 'secondCoat', { params: { strength } });
    const { steps } = compileSheet({ ...coated, recipe: { ...coated.recipe, tool } }, 'mm');
    return steps.find(({ title }) => title === `${yellow.name}, second coat`);
  };
  const laying = (...of: Parameters<typeof stepOf>) => stepOf(...of)?.care.join(' ') ?? '';
  expect(laying(80)).toContain('Load, tap off');
  expect(laying(10)).not.toContain('Load, tap off');
  expect(laying(10)).toContain('until it hardly marks white paper. Small circles, light hand');
  // A touch comes from the pad itself: no mat is wiped for it.
  const [strong, faint] = [stepOf(80), stepOf(10)];
  expect(strong?.deeds).toContainEqual({ does: 'wipe mat', minutes: USUAL_PACE.wipeMat });
  expect(strong?.deeds).toContainEqual({ does: 'load', brush: 'A', inks: [yellow], load: 'full' });
  expect(faint?.deeds[0]).toEqual({ does: 'load', brush: 'A', inks: [yellow], load: 'touch' });
  expect((strong?.minutes ?? 0) - (faint?.minutes ?? 0)).toBeCloseTo(USUAL_PACE.wipeMat);
  const brewed = withPass(resolvedOf([yellow, blue], WHITE_CARD, { school: 'bothEnds' }), 'secondCoat', {
    params: { strength: 10 },
  });
  const middles = compileSheet(brewed, 'mm').steps.filter(({ kind }) => kind === 'brew');
  expect(middles.map(({ care }) => care.join(' ').includes('Hardly any of either'))).toEqual([false, true]);
  // Dipped once more, a coat of a tenth would be a whole one.
  expect(laying(80, 'dip')).toContain('Pool it');
  expect(laying(10, 'dip')).toContain('Roll it once over the pad');
});

test('brushes with pigment or white are washed while it dries, the others at the end', () => {
  const washing = (kinds: readonly Ink['kind'][]) =>
    compileSheet(
      resolvedOf(
        [yellow, teal, blue].slice(0, kinds.length).map((one, i) => ({ ...one, kind: kinds[i] ?? 'dye' })),
      ),
      'mm',
    ).steps.flatMap(({ title, care }) =>
      care.flatMap((line) => (/^(Meanwhile wash|Wash)/.test(line) ? `${title}: ${line}` : [])),
    );
  expect(washing(['pigment', 'hybrid'])).toEqual([
    'Dry: Meanwhile wash brush A, since what is on it would set; dry your hands after.',
    'Check, dry: Wash brush B at the end of the sitting.',
  ]);
  expect(washing(['hybrid', 'dye', 'hybrid'])).toEqual([
    'Check, dry: Wash brushes A, B and C at the end of the sitting.',
  ]);
  expect(washing(['pigment', 'pigment'])).toEqual([
    'Dry: Meanwhile wash brushes A and B, since what is on them would set; dry your hands after.',
  ]);
});

test('with nothing to wait for, what would set in a brush is washed at once', () => {
  const heated = compileSheet(withPass(resolvedOf([{ ...yellow, kind: 'pigment' }, blue]), 'heatSet'), 'mm');
  expect(heated.steps.filter(({ waits }) => waits === 'air')).toEqual([]);
  expect(heated.steps.at(-1)?.care.at(-1)).toBe(
    'Wash brush A at once, before the ink sets; brush B at the end of the sitting.',
  );
  const both = [yellow, blue].map((one) => ({ ...one, kind: 'pigment' as const }));
  expect(
    compileSheet(withPass(resolvedOf(both), 'heatSet'), 'mm')
      .steps.at(-1)
      ?.care.at(-1),
  ).toBe('Wash brushes A and B at once, before the ink sets.');
});

test('what sets in a brush is washed off while something dries for long, and taken up anew; what does not set waits in it', () => {
  const use = (one: Ink, takes: 'new ink' | 'what it holds', begins: number, stretch = 1) =>
    brushesFor([
      { inks: [one], takes: 'new ink', begins: 0, stretch: 0 },
      { inks: [one], takes, begins, stretch },
    ])[1];
  const white = ink('Slip', '#ffffff', 'white');
  expect(use(white, 'new ink', 33)).toMatchObject({
    touched: false,
    cleaned: { of: [white], how: 'washed' },
  });
  expect(use(white, 'what it holds', 33)?.touched).toBe(true);
  // Soon enough, with no wait to wash it in, or of an ink that does not set in it.
  for (const kept of [use(white, 'new ink', 12), use(white, 'new ink', 33, 0), use(mid, 'new ink', 33)])
    expect(kept?.cleaned).toBeUndefined();
  const twice = withPass(resolvedOf([yellow, blue]), 'whiteBase', { ink: white, params: { coats: 'two' } });
  const { steps } = compileSheet(twice, 'mm');
  const told = steps.flatMap(({ ownBrushes }) => ownBrushes.filter((line) => /brush A\b/i.test(line)));
  expect(told).toEqual([
    'Meanwhile wash brush A, since what is on it would set; dry your hands after.',
    'Wipe and dry the mat. Brush A worked with Slip: it has to be washed by now, and dry.',
    'Meanwhile wash brush A, since what is on it would set; dry your hands after.',
  ]);
});

test('an ink’s minutes fall to its fades as they are wide', () => {
  const resolved = resolvedOf([yellow, teal, blue], WHITE_CARD, {
    school: 'bothEnds',
    panel: USUAL_PANEL,
    joints: [{ width: 6 }, { width: 36 }],
  });
  const fades = compileSheet(resolved, 'mm').steps.flatMap(({ deeds }) =>
    deeds.flatMap((deed) => (deed.does === 'fade' && deed.rung === 1 ? [deed] : [])),
  );
  const minutes = (toward: number) => fades.find((fade) => fade.toward === toward)?.minutes ?? 0;
  expect(minutes(0)).toBeGreaterThan(0);
  expect(minutes(2) / minutes(0)).toBeCloseTo(6, 6);
});

test('with too few brushes the one needed last is rubbed clean, washed where something dries before, and its ink comes back as a touch', () => {
  const gorse = ink('Gorse', '#e3b20f');
  const uses = brushesFor([...loads(gorse, deep), goesBack(gorse)], { 'dye and hybrid': 1 });
  expect(uses.map(({ brush }) => brush.letter).join('')).toBe('AAA');
  expect(uses[1]?.cleaned).toMatchObject({ how: 'rubbed', of: [gorse] });
  expect(uses[2]).toMatchObject({ touched: true, cleaned: { how: 'rubbed' } });
  const [first] = loads(gorse);
  const later = (begins: number, stretch = 1) =>
    brushesFor(
      [
        { ...first, inks: [gorse], takes: 'new ink', begins: 0, ends: 4 },
        { inks: [deep], takes: 'new ink', stretch, begins },
      ],
      { 'dye and hybrid': 1 },
    )[1]?.cleaned?.how;
  // Of one colour a darker depth takes over a wiped brush, unless what is on it has set meanwhile.
  const deeper = (kind: Ink['kind'], begins: number) =>
    brushesFor([
      { inks: [family('mid', kind)], takes: 'new ink', begins: 0, ends: 4 },
      { inks: [family('deep', kind)], takes: 'new ink', stretch: 1, begins },
    ])[1]?.cleaned?.how;
  expect([deeper('pigment', 64), deeper('pigment', 12), deeper('dye', 64)]).toEqual([
    'washed',
    'wiped',
    'wiped',
  ]);
  // A washed brush is damp for twenty minutes after its last stroke.
  expect([later(4 + DAMP_FOR), later(3.9 + DAMP_FOR), later(60, 0)]).toEqual(['washed', 'rubbed', 'rubbed']);
});

test('a brush is labelled by what it is kept for: its family, what of it is pigment, white, a mixture, or the maker’s own word', () => {
  const label = (...inks: Ink[]) => brushesFor([{ inks, takes: 'new ink' }])[0]?.brush.label;
  expect(label(mid)).toBe(mid.family);
  expect(label(family('mid', 'pigment'))).toBe(`${mid.family}, pigment`);
  expect(label(ink('Slip', '#fff', 'white'))).toBe('white only');
  expect(label(mid, deep)).toBe('the middle');
  expect(label({ ...mid, brush: 'the blue one' })).toBe('the blue one');
  expect(label()).toBe('');
});

test('a sheet for fewer brushes says so, and how the brush goes back', () => {
  const resolved = resolvedOf([yellow, teal, blue]);
  const wide = compileSheet(resolved, 'mm');
  const few = compileSheet(resolved, 'mm', { owned: { brushes: { 'dye and hybrid': 2 } } });
  expect([wide.remarks.length, few.remarks.length]).toEqual([0, 1]);
  expect(few.remarks[0]).toMatch(/take 3 brushes; you own fewer, and 2 will do/);
  expect(new Set(few.steps.flatMap(({ brush }) => brush?.letter ?? []))).toEqual(new Set(['A', 'B']));
  const text = sheetText(resolved, 'mm', { owned: { brushes: { 'dye and hybrid': 1 } } });
  expect(text).toMatch(/\n\nMind: .*you own fewer/);
  expect(text).toMatch(/hardly marks white paper/);
});

test('one brush for all is rubbed clean for each, since a washed one is damp, goes back with a touch, and a hand can do it as it is told', () => {
  const resolved = resolvedOf([yellow, teal, blue]);
  const one = compileSheet(resolved, 'mm', { owned: { brushes: { 'dye and hybrid': 1 } } });
  const back = one.steps.find(({ title }) => title === 'Back with Gorse');
  expect(back?.care.join('\n')).toContain(
    'Brush A worked with Weir: rub it on dry kitchen paper until it leaves no colour; washed, it would be damp. Touch it to the pad and tap off until it hardly marks white paper: Gorse again, hardly any.',
  );
  expect(back?.deeds.slice(0, 2)).toEqual([
    { does: 'clean', brush: 'A', how: 'rubbed', minutes: 0.3 },
    { does: 'load', brush: 'A', inks: [yellow], load: 'touch' },
  ]);
  expect(tryOut(resolved, one, true)).toEqual([]);
  // Rubbing takes its time, five times here, and of quick inks the clock allows for it.
  const rubbed = one.steps.flatMap(({ deeds }) => deeds.filter(({ does }) => does === 'clean')).length;
  expect(one.workMinutes).toBeCloseTo(compileSheet(resolved, 'mm').workMinutes + 0.3 * rubbed, 9);
  const quick = resolvedOf([yellow, teal, blue].map((one) => ({ ...one, kind: 'dye' as const })));
  for (const count of [1, 2])
    for (const pace of [{}, { layBand: 0.5, goBack: 0.9 }, { layBand: 1, goBack: 0.5 }]) {
      const maker = { owned: { brushes: { 'dye and hybrid': count } }, pace: { ...USUAL_PACE, ...pace } };
      expect(tryOut(quick, compileSheet(quick, 'mm', maker), true)).toEqual([]);
    }
  // A brush of its own goes back with what it holds.
  const own = compileSheet(resolved, 'mm').steps.find(({ title }) => title === 'Back with Gorse');
  expect(own?.care).toContain('No new ink.');
  expect(own?.deeds.some(({ does }) => does === 'load' || does === 'clean')).toBe(false);
});

test('white ink is wiped where it comes over colour, not where it is laid on bare card (common practice)', () => {
  const wiped = (school: SchoolId) => {
    const resolved = resolvedOf([ink('Slip', '#fdfdfb', 'white'), teal, blue]);
    const { steps } = compileSheet({ ...resolved, recipe: { ...resolved.recipe, school } }, 'mm');
    return steps
      .filter(({ care }) => care.some((line) => /wipe it on paper/.test(line)))
      .map(({ title }) => title);
  };
  expect(wiped('paleFirst')).toEqual(['Back with Slip']);
  expect(wiped('darkFirst')).toEqual(['Slip']);
  // With bare card at its one end, whichever, it comes from there; between colours, or in patches, from nowhere.
  const slip = ink('Slip', '#fdfdfb', 'white');
  const wiping = (inks: readonly Ink[], run: RunId = 'straight') => {
    const resolved = resolvedOf(inks);
    const recipe = { ...setRun(resolved.recipe, run), school: 'darkFirst' as const };
    const lines = compileSheet({ ...resolved, recipe }, 'mm').steps.flatMap(({ care }) => care);
    return [
      ...new Set(lines.filter((line) => line.includes('picks up')).map((line) => line.split(' picks')[0])),
    ];
  };
  expect(wiping([BARE, slip, teal])).toEqual(['From the bare end inward; it']);
  expect(wiping([teal, slip, BARE])).toEqual(['From the bare end inward; it']);
  expect(wiping([yellow, slip, teal])).toEqual(['It']);
  expect(wiping([BARE, slip, teal], 'scatter')).toEqual(['It']);
});

test('brushes are labelled by the family they hold, pigment apart, white as white, and one of the maker’s own by its name', () => {
  const labels = (inks: readonly Ink[]) => [
    ...new Map(
      compileSheet(resolvedOf(inks), 'mm').steps.flatMap(({ brush }) =>
        brush ? [[brush.letter, brush.label]] : [],
      ),
    ).values(),
  ];
  expect(labels([yellow, blue])).toEqual(['Gorse', 'Skerry']);
  expect(
    labels([
      { ...yellow, kind: 'pigment' },
      { ...blue, kind: 'pigment' },
    ]),
  ).toEqual(['Gorse, pigment', 'Skerry, pigment']);
  expect(labels([{ ...yellow, brush: 'my blues' }, blue])).toEqual(['my blues', 'Skerry']);
  expect(labels([{ ...white, kind: 'white' }, blue])).toEqual(['white only', 'Skerry']);
});

test('thin card is warned of, heat carries its caution once', () => {
  const thin = compileSheet(resolvedOf([yellow, blue], { ...WHITE_CARD, grammage: 176 }), 'mm');
  expect(thin.steps[0]?.care.join(' ')).toContain('curls');
  expect(compileSheet(resolvedOf([yellow, blue]), 'mm').steps[0]?.care.join(' ')).not.toContain('curls');
  expect(sheetText(resolvedOf([yellow, blue]), 'mm').match(/hot air and hot card burn/g)).toHaveLength(1);
});

describe('passes in the order of work', () => {
  const design = (id: string): Design => OWN_DESIGNS.find((one) => one.id === id) as Design;
  const titles = (resolved: ResolvedRecipe) => compileSheet(resolved, 'mm').steps.map(({ title }) => title);
  const dark = ink('Tarn', '#133f7c');

  test('a white base is laid and dried before the blend; a resist dries it, cools, and is coated', () => {
    const slip = ink('Slip', '#fdfdfb', 'white');
    const based = withPass(resolvedOf([yellow, blue]), 'whiteBase', { ink: slip });
    const resolved = withPass(withPass(based, 'clearResist', { design: design('reeds') }), 'coat', {
      ink: dark,
    });
    expect(titles(resolved)).toEqual([
      'Prepare',
      'White base: Slip',
      'Dry the white',
      'Gorse',
      'Skerry',
      'Back with Gorse',
      'Dry',
      'Emboss the resist',
      'Cool',
      'Top coat: Tarn',
      'Buff the resist',
      'Dry',
      'Check, dry',
    ]);
    // The white's own brush is washed while the white dries, long before the end.
    expect(compileSheet(resolved, 'mm').steps[2]?.care.at(-1)).toBe(
      'Meanwhile wash brush A, since what is on it would set; dry your hands after.',
    );
  });

  test('the one brush is washed for a top coat while the blend dries, where that takes so long, and told so there', () => {
    const resisted = withPass(resolvedOf([yellow, teal]), 'clearResist', { design: design('reeds') });
    const coated = withPass(resisted, 'coat', { ink: blue });
    const withOne = (airDry: number) =>
      compileSheet(coated, 'mm', {
        owned: { brushes: { 'dye and hybrid': 1 } },
        pace: { ...USUAL_PACE, airDry },
      });
    const { steps } = withOne(2);
    // Dry sooner than a washed brush is, the blend leaves no time for it.
    expect(
      withOne(1)
        .steps.flatMap(({ care }) => care)
        .join('\n'),
    ).not.toMatch(/washed by now|Meanwhile wash/);
    const coat = steps.findIndex(({ title }) => title === 'Top coat: Skerry');
    expect(steps[coat]?.care[0]).toMatch(/Brush A worked with .*: it has to be washed by now, and dry\.$/);
    expect(
      steps.slice(0, coat).filter(({ care }) => care.some((line) => /^Meanwhile wash /.test(line))),
    ).toEqual([
      expect.objectContaining({
        title: 'Dry',
        care: expect.arrayContaining([
          'Meanwhile wash brush A, since Skerry comes next on it; dry your hands after.',
        ]),
      }),
    ]);
    expect(steps[0]?.layOut?.map(({ thing }) => thing)).toContain('water and soap for brushes');
  });

  test('ink that is laid over foil is wiped off it at once, before it dries', () => {
    const foiled = withPass(resolvedOf([yellow, blue]), 'foil', { design: design('slip-dots') });
    expect(titles(foiled)).not.toContain('Wipe the foil');
    const coated = withPass(foiled, 'coat', { ink: dark });
    expect(titles(coated).slice(-4)).toEqual(['Top coat: Tarn', 'Wipe the foil', 'Dry', 'Check, dry']);
    // Pigment does not bead: it stays, and the panel shows it.
    const pigmented = withPass(foiled, 'coat', { ink: { ...dark, kind: 'pigment' } });
    expect(titles(pigmented)).not.toContain('Wipe the foil');
    // Nor does a stamp that is inked with the ladder’s own pigments, and a bare rung is no ink at all.
    const pigments = resolvedOf([{ ...blue, kind: 'pigment' }, BARE, { ...yellow, kind: 'pigment' }]);
    const stamped = withPass(withPass(pigments, 'foil', { design: design('slip-dots') }), 'toneStamp', {
      design: design('glaze-drips'),
    });
    expect(titles(stamped)).not.toContain('Wipe the foil');
    expect(tryOut(stamped, compileSheet(stamped, 'mm'))).toEqual([]);
  });

  test('what is dry already is not dried again, and a heat set is the drying', () => {
    const set = withPass(withPass(resolvedOf([yellow, blue]), 'heatSet'), 'splash');
    expect(titles(set).slice(-4)).toEqual(['Heat set', 'Splashes', 'Dry the panel', 'Check, dry']);
    expect(titles(set).filter((title) => title === 'Dry')).toEqual([]);
  });

  test('a greeting strip is seen on the panel once it is laid on, not while it is made', () => {
    const made = withPass(resolvedOf([yellow, blue]), 'greetingStrip');
    const { steps } = compileSheet(made, 'mm');
    const shown = steps
      .filter(({ after }) => passesDone(made.recipe, after).length === 1)
      .map(({ title }) => title);
    expect(shown).toEqual(['Lay the strip on', 'Check, dry']);
  });

  test('each placement is a step in its own ink, and the picture after it grows', () => {
    const stencil = withPass(resolvedOf([yellow, blue]), 'edgeStencil', {
      ink: dark,
      design: design('far-hills'),
    });
    const resolved = { ...stencil, recipe: addPlacement(stencil.recipe, 'edgeStencil-1') };
    const placings = compileSheet(resolved, 'mm').steps.filter(({ title }) =>
      title.startsWith('Edge stencil'),
    );
    expect(placings.map(({ title }) => title)).toEqual([
      'Edge stencil, placing 1: Tarn',
      'Edge stencil, placing 2: Tarn',
    ]);
    expect(placings.map(({ after: { passes, placings: down } }) => [passes, down])).toEqual([
      [0, 1],
      [0, 2],
    ]);
    // Each step shows where its own placing goes.
    expect(placings.map(({ traces }) => traces?.length)).toEqual([1, 1]);
    expect(placings[0]?.traces).not.toEqual(placings[1]?.traces);
    // The first placing lies there as it does alone.
    const [first] = placings;
    if (!first) throw new Error('nothing was placed');
    const alone = paintPanel(stencil, 'wet', 80, 100);
    expect(paintPanel(resolved, 'wet', 80, 100, { progress: first.after }).pixels).toEqual(alone.pixels);
  });

  test('a panel stands wet from the first ink on and dry once it has dried, whatever lies on it', () => {
    const resolved = withPass(
      withPass(resolvedOf([yellow, blue]), 'clearResist', { design: design('reeds') }),
      'coat',
      {
        ink: dark,
      },
    );
    const { steps } = compileSheet(resolved, 'mm');
    expect(steps.map(({ title, stands }) => `${title} ${stands}`)).toEqual([
      'Prepare dry',
      'Gorse wet',
      'Skerry wet',
      'Back with Gorse wet',
      'Dry dry',
      'Emboss the resist dry',
      'Cool dry',
      'Top coat: Tarn wet',
      'Buff the resist wet',
      'Dry dry',
      'Check, dry dry',
    ]);
    // The resist is there once it is embossed: the coat that comes after is what shows it.
    expect(steps.find(({ title }) => title === 'Emboss the resist')?.after.passes).toBe(1);
  });

  test('heat, powder, blades and steel edges are cautioned against once a sheet, and only where they are', () => {
    const dangers = [/hot air/g, /do not breathe/g, /cut away from/g, /their edges cut/g];
    const counts = (resolved: ResolvedRecipe) =>
      dangers.map((one) => sheetText(resolved, 'mm').match(one)?.length ?? 0);
    const plain = resolvedOf([yellow, blue]);
    expect(counts(plain)).toEqual([1, 0, 0, 0]);
    const all = (['clearResist', 'mask', 'patternStencil', 'toneResist', 'paste'] as const).reduce(
      (resolved, kind) =>
        withPass(resolved, kind, {
          ink: dark,
          design: design('kiln-bricks'),
          params: kind === 'paste' ? { material: 'steel' } : {},
        }),
      plain,
    );
    expect(counts(all)).toEqual([1, 1, 1, 1]);
    const text = sheetText(all, 'mm');
    expect(text.match(/follow your local rules/g)).toHaveLength(1);
    // Before the work, and of each step what it has of its own.
    expect(text.indexOf('hot air')).toBeLessThan(text.indexOf('1. Prepare'));
    const { steps } = compileSheet(all, 'mm');
    expect(steps.find(({ title }) => title === 'Emboss the resist')?.dangers).toEqual(['heat', 'powder']);
    expect(steps.filter(({ kind }) => kind === 'lay').flatMap(({ dangers: of }) => of)).toEqual([]);
  });

  test('in inches nothing is told in millimetres, whatever is laid', () => {
    for (const kind of PASS_KIND_IDS) {
      const resolved = withPass(resolvedOf([yellow, blue]), kind, {
        ...(PASS_KINDS[kind].ink ? { ink: dark } : {}),
        ...(PASS_KINDS[kind].design ? { design: design('reeds') } : {}),
      });
      expect(sheetText(resolved, 'in'), kind).not.toMatch(/\d (mm|cm)\b/);
    }
  });

  test('whatever passes there are: keys name one step, and the last shows all of them done', () => {
    const anyKind = fc.constantFrom(...PASS_KIND_IDS);
    fc.assert(
      fc.property(fc.array(anyKind, { minLength: 1, maxLength: 8 }), (kinds) => {
        const resolved = kinds.reduce(
          (one, kind) =>
            withPass(one, kind, {
              ...(PASS_KINDS[kind].ink ? { ink: dark } : {}),
              ...(PASS_KINDS[kind].design ? { design: design('reeds') } : {}),
            }),
          resolvedOf([yellow, teal, blue]),
        );
        const { steps, workMinutes, dryMinutes } = compileSheet(resolved, 'mm');
        expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
        expect(steps.at(-1)?.after).toEqual(finished(resolved.recipe));
        const told = steps.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
        expect(workMinutes + dryMinutes).toBeCloseTo(told, 6);
      }),
      { numRuns: 60 },
    );
  });
});

test('where nothing can hurt nothing is cautioned against', () => {
  expect(cautionsOf(new Set())).toEqual([]);
  expect(
    cautionsOf(new Set(['blade', 'steel'])).map((told) => /your local rules, .* pets\.$/.test(told)),
  ).toEqual([false, true]);
});

test('no piece of work is told to take no time, however small the panel or the join', () => {
  fc.assert(
    fc.property(anyRecipe(), (resolved) => {
      for (const { minutes, title } of compileSheet(resolved, 'mm').steps)
        if (minutes !== undefined) expect(minutes, title).toBeGreaterThan(0.2);
    }),
    { numRuns: 60 },
  );
});

test('a smaller tool is longer over the same panel: a small brush than a dauber, a dauber than a large brush', () => {
  const laying = (tool: ToolId): number => {
    const three = resolvedOf([yellow, teal, blue]);
    const { steps } = compileSheet({ ...three, recipe: { ...three.recipe, tool } }, 'mm');
    return steps.reduce((sum, { kind, minutes = 0 }) => sum + (kind === 'lay' ? minutes : 0), 0);
  };
  expect(laying('smallBrush')).toBeGreaterThan(laying('dauber'));
  expect(laying('dauber')).toBeGreaterThan(laying('brush'));
});

test('minutes are told as a maker says them', () => {
  expect([0.75, 2, 2.5, 60, 75].map(describeMinutes)).toEqual([
    '45 s',
    '2 min',
    '2½ min',
    '1 h',
    '1 h 15 min',
  ]);
});
