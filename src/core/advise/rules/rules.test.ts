import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_CARDS } from '../../../data/demo/cards';
import { DEMO_INKS } from '../../../data/demo/inks';
import { anyRecipe } from '../../../testing/anyRecipe';
import { resolvedOf, valueAt, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import type { ParamSpec, Params } from '../../base/params';
import { readRecipeFile, writeRecipeFile } from '../../files/recipeFile';
import type { Card } from '../../materials/card/card';
import type { Design } from '../../materials/design/design';
import { OWN_DESIGNS } from '../../materials/design/own';
import { BARE, type Ink } from '../../materials/ink/ink';
import { passReadings } from '../../readings/passReadings';
import { readLadder } from '../../readings/readings';
import { setRun } from '../../recipe/editLadder';
import { addPass, addPlacement, movePass, setPlacement, setPlacements } from '../../recipe/editPasses';
import { inkSuits } from '../../recipe/passes/definition';
import { PASS_KIND_IDS, PASS_KINDS } from '../../recipe/passes/passes';
import type { Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { resolve } from '../../recipe/resolved';
import { startFor } from '../passStart';
import type { Finding } from './definition';
import { findingsOf } from './rules';

const inkOf = (id: string): Ink => DEMO_INKS.find((ink) => ink.id === id) as Ink;
const drawn = (id: string): Design => OWN_DESIGNS.find((one) => one.id === id) as Design;
const cardOf = (id: string): Card => DEMO_CARDS.find((card) => card.id === id) as Card;
const kitWith = (
  ids: readonly string[],
  cardId = 'smooth-white',
  change: Partial<Recipe> = {},
): ResolvedRecipe => resolvedOf(ids.map(inkOf), cardOf(cardId), change);
const check = (resolved: ResolvedRecipe): Finding[] =>
  findingsOf({
    resolved,
    readings: readLadder(resolved),
    passes: passReadings(resolved, DEMO_INKS),
    shelf: DEMO_INKS,
    cards: DEMO_CARDS,
    unit: 'mm',
  });
const find = (resolved: ResolvedRecipe, key: string) =>
  check(resolved).find((finding) => finding.key.startsWith(key));
/** The recipe as it is once a finding has been mended by its press. */
function mended(resolved: ResolvedRecipe, finding: Finding | undefined): ResolvedRecipe {
  const [chosen] = finding?.choice?.among() ?? [];
  const recipe = (chosen ?? finding?.fix)?.apply(resolved.recipe);
  const whole = recipe && resolve(recipe, { inks: DEMO_INKS, cards: DEMO_CARDS, designs: OWN_DESIGNS });
  if (!whole) throw new Error('nothing was mended');
  // A file of it is refused where a press left what a recipe cannot hold.
  readRecipeFile(writeRecipeFile(whole));
  return whole;
}

const dippedOne = kitWith(['gorse-pale', 'weir-mid', 'skerry-deep'], 'watercolour', { tool: 'dip' });

test('a sound recipe offends against nothing', () => {
  expect(check(kitWith(['gorse-pale', 'weir-mid', 'skerry-deep']))).toEqual([]);
});

test('water that takes little is told once a pass, of whatever lies there; nothing is where only card lies', () => {
  const { lifts: _, ...weir } = inkOf('weir-mid');
  const firm: Ink = { ...weir, kind: 'pigment' };
  const wetted = (inks: readonly Ink[]) =>
    withPass(withPass(resolvedOf(inks, cardOf('smooth-white')), 'splash'), 'waterStamp', {
      design: drawn('pressed-leaf'),
    });
  const keys = check(wetted([firm, { ...firm, id: 'other' }])).flatMap(({ key }) =>
    key.startsWith('little ') ? [key] : [],
  );
  expect(keys).toEqual(['little splash-1 pigments', 'little waterStamp-1 pigments']);
  expect(find(wetted([BARE, BARE]), 'little')).toBeUndefined();
});

describe('each rule is seen, said, and gone once its press has mended it (common practice)', () => {
  test.each<[string, ResolvedRecipe, string, RegExp]>([
    [
      'purple coated over yellow is mud',
      withPass(kitWith(['thrift-pale', 'gorse-pale', 'leat-pale']), 'coat', {
        ink: inkOf('vetch-deep'),
        params: { strength: 100 },
      }),
      'muddy coat',
      /Vetch Deep over Gorse Pale dries to a dark .*: mud\.$/,
    ],
    [
      'a glow that is to be dipped',
      { ...dippedOne, recipe: setRun(dippedOne.recipe, 'glow') },
      'dipped',
      /dipped from its ends: it cannot be dipped into a glow/,
    ],
    [
      'a mist after an edge',
      ((laid) => ({ ...laid, recipe: movePass(laid.recipe, 'mist-1', 1) }))(
        withPass(
          withPass(kitWith(['gorse-pale', 'weir-mid']), 'edge', { ink: inkOf('skerry-deep') }),
          'mist',
        ),
      ),
      'late mist-1',
      /^Mist wants the blend wet and bare: Edge comes before it/,
    ],
    [
      'a stamp that is to be dipped',
      withPass(dippedOne, 'backgroundStamp', { design: drawn('crackle') }),
      'dipped stamp',
      /^A stamp is inked and printed: it cannot be dipped/,
    ],
    [
      'a dye on black',
      kitWith(['leat-mid', 'gorse-mid'], 'black'),
      'lost',
      /Leat Mid, a dye, is lost on black/,
    ],
    ['red on green', kitWith(['hawberry-mid', 'alder-mid']), 'mud', /turn to .* where they meet/],
    ['two rungs alike', kitWith(['gorse-pale', 'gorse-pale', 'tarn-deep']), 'alike', /about one colour/],
    [
      'thin card',
      resolvedOf(['gorse-pale', 'weir-mid'].map(inkOf), cardOf('thin-white')),
      'thin',
      /curls once wetted/,
    ],
    [
      'an ink with no room',
      kitWith(['gorse-pale', 'betony-deep', 'tarn-deep'], 'smooth-white', {
        rungs: [
          { id: 'r1', inkId: 'gorse-pale', share: 0.12 },
          { id: 'r2', inkId: 'betony-deep', share: 0.44 },
          { id: 'r3', inkId: 'tarn-deep', share: 0.44 },
        ],
        joints: [{ width: 20 }, { width: 20 }],
      }),
      'hidden',
      /Gorse Pale shows on \d+ % of the panel only/,
    ],
    [
      'an ink in the middle, swallowed from all corners by joints that are too wide',
      kitWith(['haar-deep', 'marram-pale', 'dunnock-mid', 'tarn-pale', 'betony-mid'], 'smooth-white', {
        run: { id: 'corners', params: { soft: 120 } },
      }),
      'hidden',
      /Marram Pale shows on \d+ % of the panel only/,
    ],
  ])('%s', (_, resolved, key, told) => {
    const finding = find(resolved, key);
    expect(finding?.message).toMatch(told);
    for (const { label } of [...(finding?.fix ? [finding.fix] : []), ...(finding?.others ?? [])])
      expect(label).toMatch(/^[A-Z].*[^.]$/);
    expect(find(mended(resolved, finding), finding?.key ?? '')).toBeUndefined();
  });

  test('an edge paler than what it surrounds', () => {
    const resolved = withPass(kitWith(['gorse-pale', 'tarn-deep']), 'edge', { ink: inkOf('thrift-pale') });
    const finding = find(resolved, 'pale edge');
    expect(finding?.message).toContain('will not frame it');
    expect(find(mended(resolved, finding), 'pale edge')).toBeUndefined();
  });

  test('a coated card is exchanged for the nearest that takes ink well', () => {
    const coated: Card = { ...WHITE_CARD, id: 'gloss', finish: 'coated' };
    const resolved = resolvedOf(['gorse-pale', 'weir-mid'].map(inkOf), coated);
    const finding = find(resolved, 'card');
    expect(finding?.message).toContain('slides and wipes off');
    expect(finding?.fix?.apply(resolved.recipe).cardId).toBe('smooth-white');
  });

  test('fluorescent wet on white', () => {
    expect(find(kitWith(['slip-white', 'lantern-pink']), 'wet white')?.message).toContain(
      'let it dry before',
    );
  });
});

describe('rules of passes: seen, said, and gone once their press has mended it (common practice)', () => {
  const pale = kitWith(['haar-pale', 'gorse-pale', 'thrift-pale']);
  const tall = kitWith(['gorse-pale', 'weir-mid', 'skerry-deep']);
  const resist = withPass(pale, 'clearResist', { design: drawn('glaze-drips') });
  const coated = (ink: string) => withPass(resist, 'coat', { ink: inkOf(ink), params: { strength: 100 } });
  const stencil = (params: Params) =>
    withPass(tall, 'edgeStencil', { ink: inkOf('skerry-deep'), design: drawn('far-hills'), params });
  const stamped = withPass(tall, 'waterStamp', { design: drawn('pressed-leaf'), params: { width: 30 } });

  test.each<[string, ResolvedRecipe, string, RegExp]>([
    [
      'pigment over a clear resist',
      coated('saggar-deep'),
      'clings',
      /Saggar Deep, a pigment, clings to the resist/,
    ],
    ['a coat too light for its ground', coated('thrift-mid'), 'dark ground', /reads at only/],
    ['a resist with nothing over it', resist, 'dark ground', /Nothing dark lies over/],
    [
      'a dark card without a base',
      kitWith(['gorse-mid', 'leat-mid'], 'black'),
      'dark black',
      /Over a white base/,
    ],
    [
      'a base left wet',
      withPass(kitWith(['lantern-pink', 'gorse-mid'], 'black'), 'whiteBase', {
        ink: inkOf('slip-white'),
        params: { dried: 'wet' },
      }),
      'wet base',
      /still wet/,
    ],
    [
      'foil that is heated afterwards',
      withPass(withPass(tall, 'foil', { design: drawn('slip-dots') }), 'heatSet', {}),
      'heated',
      /Heat set comes after the foil/,
    ],
    [
      'water impressions over each other',
      { ...stamped, recipe: addPlacement(stamped.recipe, 'waterStamp-1') },
      'overlap',
      /Impressions 1 and 2 .* over each other by \d+ %/,
    ],
    [
      'an outer edge inside the panel',
      stencil({ y: 30, scrap: 'no' }),
      'outer',
      /will print a straight line/,
    ],
    [
      'a stencil of paper under paste',
      withPass(tall, 'paste', { design: drawn('slip-dots'), params: { material: 'paper' } }),
      'paper',
      /goes soft once it is wet.* one of plastic\./,
    ],
    [
      'spray under a stencil that moves',
      {
        ...stencil({ hold: 'spray' }),
        recipe: addPlacement(stencil({ hold: 'spray' }).recipe, 'edgeStencil-1'),
      },
      'spray',
      /Hold it by hand/,
    ],
    [
      'a stencil smaller than the panel',
      withPass(
        kitWith(['gorse-pale', 'weir-mid'], 'smooth-white', { panel: { width: 140, height: 140 } }),
        'patternStencil',
        {
          ink: inkOf('tarn-deep'),
          design: drawn('kiln-bricks'),
        },
      ),
      'small',
      /does not reach over the whole panel/,
    ],
    [
      'a fresh silhouette rubbed',
      withPass(
        withPass(pale, 'silhouette', {
          ink: inkOf('soot-line'),
          design: drawn('bottle-kiln'),
          params: { set: 'left' },
        }),
        'coat',
        {
          ink: inkOf('tarn-deep'),
        },
      ),
      'fresh',
      /rubs over the fresh silhouette/,
    ],
    [
      'lines finer than powder holds',
      withPass(pale, 'clearResist', { design: drawn('crackle'), params: { width: 40 } }),
      'fine',
      /drawn in lines of 0\.\d mm/,
    ],
    [
      'a silhouette lost on its ground',
      withPass(tall, 'silhouette', {
        ink: inkOf('skerry-deep'),
        design: drawn('shelf-of-pots'),
        params: { y: 82 },
      }),
      'image',
      /reads at only/,
    ],
    [
      'a strip that does not stand off',
      withPass(kitWith(['haar-pale', 'gorse-pale']), 'greetingStrip'),
      'strip',
      /hardly stands off/,
    ],
  ])('%s', (_, resolved, key, told) => {
    const finding = find(resolved, key);
    expect(finding?.message).toMatch(told);
    expect(find(mended(resolved, finding), finding?.key ?? '')).toBeUndefined();
  });

  test('a well-made resist offends against nothing', () => {
    expect(check(coated('sloe-deep')).map(({ key }) => key)).toEqual([]);
  });

  test('white and a colour on one brush are told; each on its own, nothing is', () => {
    const [white, colour] = [inkOf('slip-white'), inkOf('gorse-pale')];
    const labelled = resolvedOf(
      [
        { ...white, brush: 'round 1' },
        { ...colour, brush: 'round 1' },
      ],
      cardOf('smooth-white'),
    );
    expect(find(labelled, 'shared')?.message).toContain('“round 1”');
    expect(
      find(resolvedOf([{ ...white, brush: 'white' }, colour], cardOf('smooth-white')), 'shared'),
    ).toBeUndefined();
  });

  test('thin card that is wetted says by what', () => {
    const thin = withPass(resolvedOf(['gorse-pale', 'weir-mid'].map(inkOf), cardOf('thin-white')), 'splash');
    expect(find(thin, 'thin')?.message).toMatch(/ Wetted through by: Splashes\.$/);
  });
});

test('what passes do is read: how much of the panel, how strongly, and where a design reads worst', () => {
  const base = kitWith(['gorse-pale', 'weir-mid', 'skerry-deep']);
  const resolved = withPass(
    withPass(base, 'silhouette', {
      ink: inkOf('soot-line'),
      design: drawn('bottle-kiln'),
      params: { y: 70, width: 70 },
    }),
    'heatSet',
  );
  const [image, heat] = passReadings(resolved, []);
  expect(image?.touches).toBeGreaterThan(0.1);
  expect(image?.changes).toBeGreaterThan(20);
  expect(heat?.touches).toBe(0);
  // The panel grows darker to its foot, so black reads worst lowest down.
  const { least = 0, worst, places = [] } = image?.contrast ?? {};
  expect(least).toBe(Math.min(...places.map(({ ratio }) => ratio)));
  expect(worst?.y).toBeGreaterThan(65);
});

test('foil minds the heat tool on the panel after it: none before it, and none on a strip of its own', () => {
  const plain = kitWith(['gorse-pale', 'weir-mid', 'skerry-deep']);
  const foiled = (on: ResolvedRecipe) => withPass(on, 'foil', { design: drawn('slip-dots') });
  const told = (on: ResolvedRecipe) => find(on, 'heated')?.message;
  expect(told(foiled(withPass(plain, 'heatSet', {})))).toBeUndefined();
  expect(told(withPass(foiled(plain), 'greetingStrip', {}))).toBeUndefined();
  // The last one that heats is told: after that the foil is safe.
  expect(told(withPass(withPass(foiled(plain), 'heatSet', {}), 'glaze', {}))).toMatch(/^Shimmer glaze/);
});

test('what lies off the panel is told, whichever kind it is, and brought back by a press', () => {
  const plain = kitWith(['gorse-pale', 'leat-mid', 'skerry-deep']);
  const { width, height } = plain.recipe.panel;
  // A wiping without a stencil is wiped all over, wherever that would be.
  const kinds = PASS_KIND_IDS.filter((kind) => 'x' in PASS_KINDS[kind].params && kind !== 'lift');
  expect(kinds.length).toBeGreaterThan(12);
  for (const kind of kinds) {
    const at = (x: number, y: number): ResolvedRecipe => {
      const start = startFor(kind, plain, DEMO_INKS, OWN_DESIGNS);
      const { passes } = addPass(plain.recipe, kind, start);
      const placed = setPlacements({ ...plain.recipe, passes }, passes[0]?.id ?? '', { params: { x, y } });
      return resolve(placed, everything) ?? plain;
    };
    expect(find(at(width / 2, height / 2), 'off'), kind).toBeUndefined();
    const off = at(width + 400, height + 400);
    const finding = find(off, 'off');
    expect(finding?.message, kind).toMatch(/ lies off the panel: nothing of it is laid\.$/);
    expect(find(mended(off, finding), 'off'), kind).toBeUndefined();
  }
});

test('what is so large that the panel lies where it is empty is laid as it first lies', () => {
  const small = kitWith(['gorse-deep', 'slipware-mid'], 'smooth-white', { panel: { width: 40, height: 40 } });
  const huge = withPass(small, 'waterStamp', {
    design: OWN_DESIGNS.find(({ id }) => id === 'glaze-drips') as Design,
    params: { x: -200, y: -200, turn: -180, width: 333.8, seconds: 5 },
  });
  const finding = find(huge, 'off');
  expect(finding?.fix?.label).toBe('Lay it as it was first laid');
  expect(find(mended(huge, finding), 'off')).toBeUndefined();
});

test('a water impression over another is moved aside where there is room on the panel, and taken off where there is none', () => {
  const twice = (width: number, height: number) => {
    const params = { x: width / 2, y: height / 2, turn: 0, width: 42 };
    const own = kitWith(['gorse-pale', 'weir-mid'], 'smooth-white', { panel: { width, height } });
    const once = withPass(own, 'waterStamp', { design: drawn('glaze-drips'), params });
    const both = addPlacement(once.recipe, 'waterStamp-1');
    const over = { ...once, recipe: setPlacements(both, 'waterStamp-1', { params }) };
    const fix = find(over, 'overlap')?.fix;
    const after = { ...over, recipe: fix?.apply(over.recipe) ?? over.recipe };
    expect(find(after, 'overlap') ?? find(after, 'off')).toBeUndefined();
    return [fix?.label, after.recipe.passes[0]?.placements.length];
  };
  expect(twice(100, 140)).toEqual(['Move impression 2 aside', 2]);
  expect(twice(40, 40)).toEqual(['Take impression 2 off', 1]);
});

test('glycerine a second time is a second drop, and taken off by a press', () => {
  const once = withPass(kitWith(['gorse-pale', 'weir-mid']), 'glycerine');
  expect(find(once, 'drops')).toBeUndefined();
  const twice = withPass(once, 'glycerine');
  const fix = find(twice, 'drops')?.fix;
  expect(fix?.label).toBe('Once, no more');
  expect(fix?.apply(twice.recipe).passes).toEqual(once.recipe.passes);
});

test('however small, what lies on the panel is not told to be off it', () => {
  const wide = kitWith(['gorse-pale', 'weir-mid'], 'smooth-white', { panel: { width: 257, height: 43 } });
  for (const x of [100, 128.6, 131])
    for (const width of [5, 9]) {
      const params = { x, y: 21.6, turn: 180, width, strength: 5, fade: 2, edge: 'upper' };
      const small = withPass(wide, 'edgeStencil', {
        ink: inkOf('gorse-deep'),
        design: OWN_DESIGNS.find(({ id }) => id === 'far-hills') as Design,
        params,
      });
      expect(find(small, 'off'), `${x} ${width}`).toBeUndefined();
    }
});

/** A pass as a maker might add one: with what it starts with, then changed here and there. */
const anyPass = fc.record({
  kind: fc.constantFrom(...PASS_KIND_IDS),
  ink: fc.constantFrom(...DEMO_INKS),
  twice: fc.boolean(),
  changes: fc.array(fc.tuple(fc.nat(12), fc.double({ min: 0, max: 1, noNaN: true })), { maxLength: 3 }),
});
const everything = { inks: DEMO_INKS, cards: DEMO_CARDS, designs: OWN_DESIGNS };

test('pressed one after the other, what is offered comes to an end, and never back to what was', () => {
  fc.assert(
    fc.property(anyRecipe(3), (start) => {
      const told: string[] = [];
      const been = new Set<string>();
      let now = start;
      for (;;) {
        const [offered] = check(now).flatMap(({ key, message, fix }) => (fix ? [{ key, message, fix }] : []));
        been.add(JSON.stringify(now.recipe));
        if (!offered) return;
        now = mended(now, offered);
        told.push(`${offered.message} ${offered.fix.label}`);
        expect(been, told.join('\n')).not.toContain(JSON.stringify(now.recipe));
        expect(told.length, told.join('\n')).toBeLessThan(30);
      }
    }),
    { numRuns: 12 },
  );
});

test('whatever is laid: what is told is whole, a press leaves a whole recipe, and is not offered again', () => {
  fc.assert(
    fc.property(
      // Of three rungs of one ink the press takes one off, and is rightly offered again for the next.
      fc.uniqueArray(fc.constantFrom(...DEMO_INKS.filter(({ kind }) => kind !== 'detail')), {
        minLength: 2,
        maxLength: 4,
      }),
      fc.constantFrom(...DEMO_CARDS),
      fc.array(anyPass, { maxLength: 3 }),
      (inks, card, passes) => {
        const recipe = passes.reduce((so, { kind, ink, twice, changes }) => {
          const resolved = resolve(so, everything);
          const { ink: need, params } = PASS_KINDS[kind];
          const start = resolved ? startFor(kind, resolved, DEMO_INKS, OWN_DESIGNS) : {};
          const added = addPass(so, kind, {
            ...start,
            ...(need && inkSuits(need, ink) ? { inkId: ink.id } : {}),
          });
          const id = added.passes.find((pass) => !so.passes.some((other) => other.id === pass.id))?.id ?? '';
          const changed = changes.reduce((one, [at, part]) => {
            const specs = Object.entries<ParamSpec>(params);
            const [key, spec] = specs[at % Math.max(specs.length, 1)] ?? [];
            return key && spec
              ? setPlacement(one, id, 'p1', { params: { [key]: valueAt(spec, part) } })
              : one;
          }, added);
          return twice ? addPlacement(changed, id) : changed;
        }, resolvedOf(inks, card).recipe);
        const resolved = resolve(recipe, everything);
        if (!resolved) throw new Error('what was laid is not whole');
        for (const finding of check(resolved)) {
          expect(finding.message).not.toMatch(/undefined|NaN/);
          if (!finding.fix) continue;
          expect(finding.fix.label, finding.message).toMatch(/^[A-Z][^.]+$/);
          const after = check(mended(resolved, finding)).find(({ key }) => key === finding.key);
          expect(after?.fix?.label, finding.message).not.toBe(finding.fix.label);
        }
      },
    ),
    { numRuns: 8 },
  );
});
