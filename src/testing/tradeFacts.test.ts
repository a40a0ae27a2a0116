import { describe, expect, test } from 'vitest';
import { findingsOf } from '../core/advise/rules/rules';
import { panelSampler, probePanel } from '../core/engine/probe';
import { readRecipeFile, writeRecipeFile } from '../core/files/recipeFile';
import { deltaE00 } from '../core/materials/colour/difference';
import type { Design } from '../core/materials/design/design';
import { OWN_DESIGNS } from '../core/materials/design/own';
import { BARE } from '../core/materials/ink/ink';
import { paintPanel } from '../core/picture/paint';
import { readLadder } from '../core/readings/readings';
import type { ResolvedRecipe } from '../core/recipe/resolved';
import { compileSheet, sheetText } from '../core/sheet/compile';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from './resolvedRecipes';

/** Facts of the trade about what passes do to a picture and to the work; all are common practice. */
const design = (id: string): Design => OWN_DESIGNS.find((one) => one.id === id) as Design;
const [gorse, weir, skerry] = [
  ink('Gorse', '#e3b20f'),
  ink('Weir', '#007a7c'),
  ink('Skerry', '#005487'),
] as const;
const slip = ink('Slip', '#fdfdfb', 'white');
const plain = resolvedOf([gorse, weir, skerry]);
const find = (resolved: ResolvedRecipe, key: string) =>
  findingsOf({
    resolved,
    readings: readLadder(resolved),
    passes: [],
    shelf: [],
    cards: [WHITE_CARD],
    unit: 'mm',
  }).find((one) => one.key.startsWith(key));

/** How uneven a solid band is painted, as the spread of its green. */
function unevenness(resolved: ResolvedRecipe): number {
  const { pixels } = paintPanel(resolved, 'dry', 160, 200);
  const greens = Array.from({ length: 160 * 16 }, (_, i) => pixels[4 * (170 * 160 + i) + 1] as number);
  const mean = greens.reduce((sum, green) => sum + green, 0) / greens.length;
  return Math.sqrt(greens.reduce((sum, green) => sum + (green - mean) ** 2, 0) / greens.length);
}

describe('glycerine', () => {
  const quick = resolvedOf(
    [gorse, weir, skerry].map((one) => ({ ...one, kind: 'dye' as const })),
    WHITE_CARD,
    { panel: { width: 108, height: 140 }, joints: [{ width: 30 }, { width: 30 }] },
  );
  const drop = (drops: 'one' | 'two') => withPass(quick, 'glycerine', { params: { drops } });
  const woken = (resolved: ResolvedRecipe) =>
    compileSheet(resolved, 'mm').steps.filter(({ title }) => title.startsWith('Wake')).length;

  test('one drop evens ordinary card and keeps a dye open, so that less has to be woken', () => {
    const streaky = { ...quick, recipe: { ...quick.recipe, tool: 'foam' as const } };
    expect(unevenness(withPass(streaky, 'glycerine'))).toBeLessThan(unevenness(streaky));
    expect(woken(quick)).toBeGreaterThan(0);
    expect(woken(drop('one'))).toBeLessThan(woken(quick));
  });

  test('more than one drop is told off, and mended by a press', () => {
    expect(find(drop('one'), 'drops')).toBeUndefined();
    const finding = find(drop('two'), 'drops');
    expect(finding?.message).toMatch(/slide and stay patchy/);
    const mended = { ...drop('two'), recipe: finding?.fix?.apply(drop('two').recipe) ?? quick.recipe };
    expect(find(mended, 'drops')).toBeUndefined();
  });
});

test('a mist smooths the streaks a brayer leaves', () => {
  const rolled = { ...plain, recipe: { ...plain.recipe, tool: 'brayer' as const } };
  expect(unevenness(withPass(rolled, 'mist'))).toBeLessThan(0.7 * unevenness(rolled));
});

describe('an edge stencil', () => {
  const placed = (params: Record<string, string | number>) =>
    withPass(plain, 'edgeStencil', {
      ink: skerry,
      design: design('far-hills'),
      params: { width: 50, x: 40, y: 50, fade: 14, ...params },
    });
  /** The biggest step of the stencil's ink between neighbouring points of a level line above its edge, coats. */
  const biggestStep = (resolved: ResolvedRecipe): number => {
    const { program, stackAt } = probePanel(resolved);
    const own = program.palette.length - 1;
    let worst = 0;
    for (let y = 20; y < 45; y += 5) {
      let before = 0;
      for (let x = 0; x <= 80; x += 0.25) {
        const stack = stackAt(x, y);
        const here = stack.amounts[(stack.dried + (stack.wet ? 0 : -1)) * stack.inks + own] ?? 0;
        worst = Math.max(worst, Math.abs(here - before));
        before = here;
      }
    }
    return worst;
  };

  test('with scrap beyond its ends prints no straight side', () => {
    expect(biggestStep(placed({ scrap: 'yes' }))).toBeLessThan(0.1);
  });

  test('lays the reflected colour on its body, fainter than along the edge', () => {
    const at = (resolved: ResolvedRecipe, y: number) =>
      panelSampler(resolved)(40, y).inks.find((one) => one.ink.name === 'Skerry' && one.coats > 0.01)
        ?.coats ?? 0;
    const [bare, reflected] = [placed({ body: 0 }), placed({ body: 40 })];
    const down = Array.from({ length: 60 }, (_, y) => y + 20);
    const gained = down.map((y) => at(reflected, y) - at(bare, y));
    expect(Math.max(...gained)).toBeGreaterThan(0.1);
    expect(Math.max(...gained)).toBeLessThan(0.7 * 0.41);
  });

  test('is inked along either of its edges', () => {
    const [upper, lower] = [placed({ edge: 'upper' }), placed({ edge: 'lower' })].map((one) =>
      panelSampler(one),
    );
    const differs = Array.from({ length: 40 }, (_, i) => i + 30).filter(
      (y) => deltaE00(upper?.(40, y).lab ?? BLACK, lower?.(40, y).lab ?? BLACK) > 2,
    );
    expect(differs.length).toBeGreaterThan(10);
  });
});
const BLACK = { l: 0, a: 0, b: 0 };

test('an edge in the ladder’s own inks deepens each side in the ink that lies there, and adds no other', () => {
  const edged = withPass(plain, 'ownEdge', { params: { depth: 12, strength: 100 } });
  const [before, after] = [panelSampler(plain), panelSampler(edged)];
  for (const y of [15, 50, 85]) {
    expect(after(1, y).lab.l).toBeLessThan(before(1, y).lab.l);
    expect(after(1, y).inks.map((one) => one.ink.name)).toEqual(before(1, y).inks.map((one) => one.ink.name));
    expect(after(40, y).lab).toEqual(before(40, y).lab);
  }
});

test('a shimmer glaze softens every colour, pearl powder shows on dark card', () => {
  const glazed = panelSampler(withPass(plain, 'glaze', { params: { strength: 100 } }));
  for (const y of [10, 50, 90]) expect(glazed(40, y).lab.l).toBeGreaterThan(panelSampler(plain)(40, y).lab.l);
  const dark = resolvedOf([gorse, weir], BLACK_CARD);
  const shown = withPass(dark, 'pearl', { design: design('bottle-kiln'), params: { width: 70 } });
  expect(deltaE00(panelSampler(shown)(40, 50).lab, panelSampler(dark)(40, 50).lab)).toBeGreaterThan(25);
});

test('one stamp carries two inks: its upper part is of the one, its lower of the other', () => {
  const soot = ink('Soot', '#1d1d1f', 'detail');
  const rose = ink('Rose', '#a01040');
  const pots = design('shelf-of-pots');
  const half = (resolved: ResolvedRecipe, of: typeof soot, inked: string) =>
    withPass(resolved, 'silhouette', { ink: of, design: pots, params: { width: 70, x: 40, y: 50, inked } });
  const both = panelSampler(half(half(plain, soot, 'upper'), rose, 'lower'));
  const inksAt = (y: number) =>
    new Set(
      Array.from({ length: 70 }, (_, i) => both(5 + i, y)).flatMap(({ inks }) =>
        inks.map((one) => one.ink.name),
      ),
    );
  const height = (70 * pots.height) / pots.width;
  expect(inksAt(50 - 0.3 * height)).toContain('Soot');
  expect(inksAt(50 - 0.3 * height)).not.toContain('Rose');
  expect(inksAt(50 + 0.3 * height)).toContain('Rose');
  expect(inksAt(50 + 0.3 * height)).not.toContain('Soot');
});

describe('two bases at once', () => {
  const kraft = { ...WHITE_CARD, id: 'kraft', name: 'kraft', colour: '#b08d62', finish: 'kraft' } as const;
  const two: ResolvedRecipe = { ...plain, alsoOn: kraft, recipe: { ...plain.recipe, alsoOn: 'kraft' } };

  test('have one sheet, on which each step is done twice and takes as long', () => {
    const [one, both] = [compileSheet(plain, 'mm'), compileSheet(two, 'mm')];
    expect(both.steps[0]?.layOut?.filter(({ group }) => group === 'Card')).toHaveLength(2);
    expect(both.workMinutes).toBeGreaterThan(1.6 * one.workMinutes);
    expect(both.steps[1]?.care.join(' ')).toContain('The same on the other panel');
  });

  test('go out in a file and come back', () => {
    expect(readRecipeFile(writeRecipeFile(two)).alsoOn).toEqual(kraft);
    expect(() =>
      readRecipeFile(writeRecipeFile({ ...two, recipe: { ...two.recipe, alsoOn: 'other' } })),
    ).toThrow(/recipe\.alsoOn/);
  });

  test('an ink that is lost on the second is told', () => {
    const black: ResolvedRecipe = {
      ...two,
      inks: two.inks.map((one) => ({ ...one, kind: 'dye' as const })),
      alsoOn: { ...BLACK_CARD, id: 'kraft' },
    };
    expect(find(black, 'other base')?.message).toMatch(/is lost on black/);
    expect(find(plain, 'other base')).toBeUndefined();
  });
});

test('white that fades a colour to bare card is a technique, and no fault', () => {
  const fading = resolvedOf([skerry, slip, BARE]);
  expect(find(fading, 'lost')).toBeUndefined();
  expect(find(fading, 'alike')).toBeUndefined();
  expect(sheetText(fading, 'mm')).toMatch(/From the bare end inward/);
});

test('blended on a background stamp the card stays bare between its lines, and it is printed before it dries', () => {
  const printed = withPass(plain, 'backgroundStamp', { design: design('crackle'), params: { width: 76 } });
  const sample = panelSampler(printed);
  const points = Array.from({ length: 400 }, (_, i) =>
    sample(20 + (i % 20) * 2, 30 + Math.floor(i / 20) * 2),
  );
  const bare = points.filter(({ inks }) => inks.length === 0).length;
  expect(bare).toBeGreaterThan(20);
  expect(bare).toBeLessThan(380);
  const titles = compileSheet(printed, 'mm').steps.map(({ title }) => title);
  expect(titles.slice(titles.indexOf('Print it') - 1).slice(0, 4)).toEqual([
    'Back with Weir',
    'Print it',
    'Dry',
    'Clear-emboss the print',
  ]);
});

test('a dipped panel is paler and more marbled than a brushed one, and wants card that takes water', () => {
  const dipped = { ...plain, recipe: { ...plain.recipe, tool: 'dip' as const } };
  expect(panelSampler(dipped)(40, 92).lab.l).toBeGreaterThan(panelSampler(plain)(40, 92).lab.l + 5);
  expect(unevenness(dipped)).toBeGreaterThan(3 * unevenness(plain));
  const thin = { ...dipped, card: { ...WHITE_CARD, grammage: 200 } };
  expect(find(thin, 'soaked')?.message).toMatch(/wetted through/);
  expect(find({ ...thin, card: { ...thin.card, finish: 'watercolour' } }, 'soaked')).toBeUndefined();
  expect(find(plain, 'soaked')).toBeUndefined();
});
