import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, WHITE_CARD, withPass } from '../../testing/resolvedRecipes';
import { gridOf } from '../base/grid';
import type { Params } from '../base/params';
import { deltaE00 } from '../materials/colour/difference';
import { labOfHex } from '../materials/colour/hex';
import { chroma, type Lab } from '../materials/colour/lab';
import { DESIGN_LIMITS, type Design } from '../materials/design/design';
import { OWN_DESIGNS } from '../materials/design/own';
import { BARE } from '../materials/ink/ink';
import type { InkKindId } from '../materials/ink/kinds';
import { paintPanel } from '../picture/paint';
import { setRun } from '../recipe/editLadder';
import { enablePass, movePass, setPlacement } from '../recipe/editPasses';
import type { PlacedPass } from '../recipe/passes/definition';
import { PASS_KIND_IDS, PASS_KINDS, type PassKindId } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/recipe';
import { contextsOf, placedPasses, type ResolvedRecipe } from '../recipe/resolved';
import { RUN_IDS, type RunId } from '../recipe/runs/runs';
import { endsDry, wetInks } from './drying';
import { compileLayers } from './layers';
import { panelSampler } from './probe';
import { finished, untouched } from './progress';

const design = (id: string): Design => OWN_DESIGNS.find((one) => one.id === id) as Design;
const pale = ink('Gorse', '#f8d46f');
const mid = ink('Leat', '#0098a8');
const dark = ink('Sloe', '#393060', 'dye');
const white = ink('Slip', '#fdfdfb', 'white');
const resolved = resolvedOf([pale, mid]);
/** How the only placement of the first pass lies. */
const firstPlaced = (of: ResolvedRecipe): PlacedPass => {
  const [placed] = passesInOrder(of.recipe).flatMap((pass) => placedPasses(of, pass));
  if (!placed) throw new Error('nothing is laid');
  return placed;
};
const labAt = (of: ResolvedRecipe, x: number, y: number): Lab => panelSampler(of)(x, y).lab;
/** A square of 40 mm in the middle of the panel. */
const SQUARE: Design = {
  id: 'square',
  name: 'Square',
  use: 'image',
  width: 40,
  height: 40,
  shapes: [{ d: 'M0 0h40v40h-40z', rule: 'nonzero' }],
};
const [inside, outside] = [
  [40, 50],
  [8, 50],
] as const;

test('what is cut out or stamped hides what stands up beneath it; what is only inked does not', () => {
  const splashed = withPass(resolved, 'splash', { params: { after: 'dried' } });
  const hidden = (over: ResolvedRecipe) => {
    const [drops] = compileLayers(over, finished(over.recipe)).details;
    return [drops?.under.length, drops?.stampedOver.length];
  };
  expect(hidden(splashed)).toEqual([0, 0]);
  expect(hidden(withPass(splashed, 'greetingStrip'))).toEqual([1, 0]);
  expect(hidden(withPass(splashed, 'silhouette', { design: SQUARE, ink: dark }))).toEqual([0, 1]);
  for (const inked of ['horizon', 'edge', 'coat'] as const)
    expect(hidden(withPass(splashed, inked, { ink: dark }))).toEqual([0, 0]);
  // A resist is an image, too, and no ink.
  expect(hidden(withPass(splashed, 'clearResist', { design: SQUARE }))).toEqual([0, 0]);
});

describe('resists (common practice)', () => {
  const resist = withPass(resolved, 'clearResist', { design: SQUARE });

  test('what a resist keeps never changes under a dye coat, however strong; around it the coat lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 21, max: 59, noNaN: true }),
        fc.double({ min: 31, max: 69, noNaN: true }),
        fc.integer({ min: 5, max: 100 }),
        (x, y, strength) => {
          const coated = withPass(resist, 'coat', { ink: dark, params: { strength } });
          expect(labAt(coated, x, y)).toEqual(labAt(resist, x, y));
        },
      ),
    );
    expect(labAt(withPass(resist, 'coat', { ink: dark }), ...outside).l).toBeLessThan(
      labAt(resist, ...outside).l - 15,
    );
  });

  test('dye wipes off, hybrid mostly, pigment clings', () => {
    const left = (kind: InkKindId) => {
      const coated = withPass(resist, 'coat', { ink: { ...dark, kind }, params: { strength: 100 } });
      return deltaE00(labAt(coated, ...inside), labAt(resist, ...inside));
    };
    expect(left('dye')).toBe(0);
    expect(left('hybrid')).toBeGreaterThan(0);
    expect(left('hybrid')).toBeLessThan(10);
    expect(left('pigment')).toBeGreaterThan(20);
  });

  test('a tone resist shows the dark card, a mask the bare one, paste comes up white', () => {
    const onBlack = resolvedOf(
      [ink('Haar', '#dfe4e6', 'pigment'), ink('Marram', '#c9b26a', 'pigment')],
      BLACK_CARD,
    );
    const black = labOfHex(BLACK_CARD.colour);
    const toned = withPass(onBlack, 'toneResist', { design: SQUARE });
    expect(deltaE00(labAt(toned, ...inside), black)).toBeLessThan(6);
    expect(deltaE00(labAt(toned, ...outside), black)).toBeGreaterThan(30);
    const masked = withPass(resolved, 'mask', { design: SQUARE });
    expect(deltaE00(labAt(masked, ...inside), labOfHex(WHITE_CARD.colour))).toBeLessThan(0.5);
    const pasted = withPass(resolvedOf([dark, mid], { ...WHITE_CARD, colour: '#b08d64' }), 'paste', {
      design: SQUARE,
    });
    expect(labAt(pasted, ...inside).l).toBeGreaterThan(labAt(pasted, ...outside).l + 30);
  });

  test('a mask is lifted once the blend is dry: what follows lies on the card there', () => {
    const later = withPass(withPass(resolved, 'mask', { design: SQUARE }), 'coat', { ink: dark });
    expect(labAt(later, ...inside).l).toBeLessThan(80);
  });

  test('a mask on the blend stays for as many passes as it says', () => {
    const shielded = (passes: number) =>
      withPass(
        withPass(withPass(resolved, 'shield', { design: SQUARE, params: { passes } }), 'coat', { ink: dark }),
        'coat',
        {
          ink: dark,
        },
      );
    expect(labAt(shielded(2), ...inside)).toEqual(labAt(resolved, ...inside));
    expect(labAt(shielded(1), ...inside).l).toBeLessThan(labAt(resolved, ...inside).l - 10);
  });
});

test('a strip laid over a resist takes ink again, and water does not get under a resist', () => {
  const resist = withPass(resolved, 'clearResist', { design: SQUARE });
  const strip = { x: 40, y: 50, width: 30, height: 20 };
  const dotted = (under: ResolvedRecipe) =>
    withPass(withPass(under, 'greetingStrip', { params: strip }), 'coat', { ink: dark });
  expect(labAt(dotted(resist), ...inside)).toEqual(labAt(dotted(resolved), ...inside));
  const pigments = resolvedOf([
    { ...mid, kind: 'pigment' },
    { ...mid, id: 'other', kind: 'pigment' },
  ]);
  const sealed = withPass(pigments, 'clearResist', { design: SQUARE });
  const lifted = withPass(sealed, 'lift', { params: { seconds: 90 } });
  expect(labAt(lifted, ...inside)).toEqual(labAt(sealed, ...inside));
  expect(labAt(lifted, ...outside)).not.toEqual(labAt(sealed, ...outside));
});

describe('water (common practice)', () => {
  const kinds: readonly InkKindId[] = ['dye', 'fluorescent', 'hybrid', 'pigment'];

  test('lifting never darkens, whatever the ink, the time and the cloth', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.integer({ min: 0, max: 0xffffff }),
        fc.integer({ min: 1, max: 90 }),
        (kind, colour, seconds) => {
          const one = ink('one', `#${colour.toString(16).padStart(6, '0')}` as `#${string}`, kind);
          const laid = resolvedOf([one, ink('other', '#e2568f', kind)]);
          const lifted = withPass(laid, 'lift', { params: { seconds } });
          for (const y of [5, 50, 95])
            expect(labAt(lifted, 40, y).l).toBeGreaterThanOrEqual(
              Math.min(labAt(laid, 40, y).l, labOfHex(WHITE_CARD.colour).l) - 1e-6,
            );
        },
      ),
      { numRuns: 60 },
    );
  });

  test('takes more of a dye than of a hybrid, hardly any pigment, and more the longer it stays', () => {
    const gain = (kind: InkKindId, seconds: number) => {
      const laid = resolvedOf([{ ...mid, kind }, pale]);
      const stamped = withPass(laid, 'waterStamp', { design: SQUARE, params: { seconds, y: 20 } });
      return labAt(stamped, 40, 20).l - labAt(laid, 40, 20).l;
    };
    expect(gain('dye', 40)).toBeGreaterThan(1.3 * gain('hybrid', 40));
    expect(gain('pigment', 40)).toBeLessThan(0.25 * gain('hybrid', 40));
    expect(gain('dye', 60)).toBeGreaterThan(gain('dye', 30));
  });

  test('a drop is paler inside than where none fell, the more the longer it stays', () => {
    const plain = resolvedOf([mid, { ...mid, id: 'same' }]);
    const gain = (after: string) => {
      const splashed = withPass(plain, 'splash', { params: { after, distance: 120, drops: 30 } });
      const [front] = firstPlaced(splashed).borders;
      const read = panelSampler(splashed);
      const inside = gridOf(plain.recipe.panel, 60).filter(([x, y]) => (front?.(x, y) ?? 0) > 0.1);
      expect(inside.length).toBeGreaterThan(20);
      const { l } = labAt(plain, 2, 2);
      return inside.reduce((sum, [x, y]) => sum + read(x, y).lab.l - l, 0) / inside.length;
    };
    expect(gain('dabbed')).toBeGreaterThan(1);
    expect(gain('minute')).toBeGreaterThan(1.5 * gain('dabbed'));
    expect(gain('dried')).toBeGreaterThan(gain('minute'));
  });

  test('near by the drops fall coarse, from afar fine', () => {
    const widest = (distance: number) => {
      const splashed = withPass(resolved, 'splash', { params: { distance, drops: 60 } });
      const border = firstPlaced(splashed).borders[0];
      let most = 0;
      for (let x = 0; x < 80; x++) for (let y = 0; y < 100; y++) most = Math.max(most, border?.(x, y) ?? 0);
      return most;
    };
    expect(widest(120)).toBeGreaterThan(2 * widest(600));
  });
});

describe('dark card and second films (common practice)', () => {
  test('over a dried white base colours show on black, as pastels; a second coat is stronger', () => {
    const onBlack = resolvedOf([mid, ink('Thrift', '#e2568f')], BLACK_CARD);
    const based = withPass(onBlack, 'whiteBase', { ink: white });
    expect(labAt(based, 40, 5).l).toBeGreaterThan(labAt(onBlack, 40, 5).l + 5);
    const twice = withPass(based, 'secondCoat');
    expect(labAt(twice, 40, 5).l).toBeLessThan(labAt(based, 40, 5).l);
    expect(labAt(twice, 40, 95).l).toBeLessThan(labAt(based, 40, 95).l);
  });

  test('on a white base left wet the colour mixes with it and sinks', () => {
    const onBlack = resolvedOf([mid, pale], BLACK_CARD);
    const [wet, dried] = (['wet', 'dried'] as const).map((done) =>
      withPass(onBlack, 'whiteBase', { ink: white, params: { dried: done } }),
    );
    expect(chroma(labAt(wet as ResolvedRecipe, 40, 5))).toBeLessThan(
      chroma(labAt(dried as ResolvedRecipe, 40, 5)) - 3,
    );
  });

  test('tone on tone is a second film of what lies there: a pale ink hardly shows, a mid one does', () => {
    const shows = (one: typeof pale) => {
      const laid = resolvedOf([one, { ...one, id: 'same' }]);
      const stamped = withPass(laid, 'toneStamp', { design: SQUARE });
      return deltaE00(labAt(stamped, ...inside), labAt(laid, ...inside));
    };
    expect(shows(ink('Haar', '#e6eaea'))).toBeLessThan(4);
    expect(shows(mid)).toBeGreaterThan(5);
  });

  test('a greeting strip shows the blend along its length, and hides what is under it', () => {
    const strip = withPass(resolved, 'greetingStrip', { params: { x: 40, y: 50, width: 60, height: 80 } });
    expect(deltaE00(labAt(strip, 11, 50), labAt(resolved, 40, 1))).toBeLessThan(3);
    expect(deltaE00(labAt(strip, 69, 50), labAt(resolved, 40, 99))).toBeLessThan(3);
    const over = withPass(withPass(resolved, 'silhouette', { ink: dark, design: SQUARE }), 'greetingStrip', {
      params: { x: 40, y: 50, width: 60, height: 80 },
    });
    expect(labAt(over, ...inside)).toEqual(labAt(strip, ...inside));
  });

  test('foil hides the lightest and the darkest ink alike, each in its own colour', () => {
    const foiled = (of: ResolvedRecipe, foil = 'gold') =>
      labAt(withPass(of, 'foil', { design: SQUARE, params: { foil } }), ...inside);
    const [onPale, onDark] = [pale, dark].map((one) => foiled(resolvedOf([one, { ...one, id: 'same' }])));
    expect(deltaE00(onPale as Lab, onDark as Lab)).toBeLessThan(1);
    expect(foiled(resolved, 'gold').b).toBeGreaterThan(foiled(resolved, 'copper').b + 5);
    expect(chroma(foiled(resolved, 'silver'))).toBeLessThan(3);
  });

  test('dye and hybrid that are laid over foil are wiped off it, and stay beside it; pigment stays', () => {
    const foiled = withPass(resolved, 'foil', { design: SQUARE, params: { foil: 'gold' } });
    for (const kind of ['dye', 'hybrid'] as const) {
      const coated = withPass(foiled, 'coat', { ink: ink('Night', '#1c2a5e', kind) });
      expect(labAt(coated, ...inside)).toEqual(labAt(foiled, ...inside));
      expect(deltaE00(labAt(coated, 5, 5), labAt(foiled, 5, 5))).toBeGreaterThan(10);
    }
    // Pigment is not wiped: it darkens foil at least as far as a mid ink.
    const night = ink('Night', '#1c2a5e', 'pigment');
    const darker = (on: ResolvedRecipe) =>
      deltaE00(
        labAt(withPass(on, 'coat', { ink: night, params: { strength: 10 } }), ...inside),
        labAt(on, ...inside),
      );
    expect(darker(foiled)).toBeGreaterThan(darker(resolvedOf([mid, { ...mid, id: 'same' }])));
  });
});

describe('an edge stencil', () => {
  const hills = design('far-hills');
  const laid = (params: Params = {}) =>
    withPass(resolvedOf([pale, { ...pale, id: 'same' }]), 'edgeStencil', {
      ink: dark,
      design: hills,
      params: { y: 60, x: 40, ...params },
    });

  test('inks along its edge, fading away from it, and nothing under its body', () => {
    const border = firstPlaced(laid()).borders[0];
    const column = Array.from({ length: 60 }, (_, y) => y).filter((y) => (border?.(40, y) ?? -1) > 0.3);
    const light = column.map((y) => labAt(laid(), 40, y).l);
    const near = light.slice(-12);
    for (let i = 1; i < near.length; i++) expect(near[i]).toBeLessThanOrEqual((near[i - 1] ?? 0) + 0.01);
    expect(light.at(-1)).toBeLessThan(labAt(resolved, 40, 2).l - 10);
    expect(labAt(laid(), 40, 70)).toEqual(labAt(resolvedOf([pale, { ...pale, id: 'same' }]), 40, 70));
  });

  test('prints a line along its own foot unless scrap lies there', () => {
    const foot = 60 + hills.height / 2 + 1;
    expect(labAt(laid({ scrap: 'no' }), 40, foot).l).toBeLessThan(
      labAt(laid({ scrap: 'yes' }), 40, foot).l - 8,
    );
  });
});

describe('the order of passes', () => {
  const points = [10, 30, 50, 70].flatMap((x) => [8, 30, 55, 92].map((y) => [x, y] as const));
  const colours = (of: ResolvedRecipe) => points.map(([x, y]) => labAt(of, x, y));
  const swapped = (of: ResolvedRecipe): ResolvedRecipe => ({
    ...of,
    recipe: movePass(of.recipe, of.recipe.passes[0]?.id ?? '', 1),
  });

  test('of independent ones does not matter', () => {
    const apart = (x: number) => ({ design: SQUARE, params: { x, y: 50, width: 20 } });
    const two = withPass(withPass(resolved, 'silhouette', { ink: dark, ...apart(20) }), 'silhouette', {
      ink: dark,
      ...apart(60),
    });
    expect(colours(swapped(two))).toEqual(colours(two));
  });

  test('of dependent ones does: a coat before or after a resist, an edge before or after drying', () => {
    const coatLast = withPass(withPass(resolved, 'clearResist', { design: SQUARE }), 'coat', { ink: dark });
    expect(colours(swapped(coatLast))).not.toEqual(colours(coatLast));
    const dryFirst = withPass(withPass(resolved, 'heatSet'), 'edge', { ink: dark });
    expect(colours(swapped(dryFirst))).not.toEqual(colours(dryFirst));
  });

  test('a pass that is off does nothing', () => {
    const coated = withPass(resolved, 'coat', { ink: dark });
    expect(colours({ ...coated, recipe: enablePass(coated.recipe, 'coat-1', false) })).toEqual(
      colours(resolved),
    );
  });
});

const anyPass = fc.record({
  kind: fc.constantFrom(...PASS_KIND_IDS),
  drawn: fc.constantFrom(SQUARE, design('reeds'), design('kiln-bricks'), design('far-hills')),
  x: fc.double({ min: 0, max: 80, noNaN: true }),
  y: fc.double({ min: 0, max: 100, noNaN: true }),
  turn: fc.integer({ min: -180, max: 180 }),
});
const laidWith = (
  base: ResolvedRecipe,
  passes: readonly { kind: PassKindId; drawn: Design; x: number; y: number; turn: number }[],
) =>
  passes.reduce((one, { kind, drawn, x, y, turn }) => {
    const { ink: need, design: takes, params } = PASS_KINDS[kind];
    const has = (key: string) => key in params;
    return withPass(one, kind, {
      ...(need ? { ink: need === 'white' ? white : dark } : {}),
      ...(takes ? { design: drawn } : {}),
      ...(has('turn') ? { params: { x, y, turn } } : has('x') ? { params: { x, y } } : {}),
    });
  }, base);

type Laid = Parameters<typeof laidWith>[1];
/** How far the picture is from what lies there, ΔE00 at the most, with its surface and without; borders left out. */
function farthest(
  run: RunId,
  passes: Laid,
  places: readonly (readonly [number, number])[],
): { readonly plain: number; readonly shown: number } {
  const laid = laidWith({ ...resolved, recipe: setRun(resolved.recipe, run) }, passes);
  const { borders } = compileLayers(laid, finished(laid.recipe));
  const perMm = 4;
  const read = panelSampler(laid);
  const [plain, shown] = [true, false].map((isPlain) => {
    const { pixels, width } = paintPanel(laid, 'dry', 80 * perMm, 100 * perMm, { isPlain });
    return places.reduce((most, [x, y]) => {
      const [at, down] = [x + 0.5 / perMm, y + 0.5 / perMm];
      // On a border a pixel shows both sides.
      if (borders.some((border) => Math.abs(border(at, down)) < 0.4)) return most;
      const from = (y * perMm * width + x * perMm) * 4;
      const painted = labOfHex(
        `#${[0, 1, 2].map((i) => (pixels[from + i] ?? 0).toString(16).padStart(2, '0')).join('')}` as `#${string}`,
      );
      return Math.max(most, deltaE00(painted, read(at, down).lab));
    }, 0);
  });
  return { plain: plain ?? Number.NaN, shown: shown ?? Number.NaN };
}
/** What the card's tooth, the brush's unevenness and the dither come to, about three, and some room. */
const STRAYS = 9;
/**
 * What is uneven on purpose strays farther: a dried drop's middle as far again as a card's tooth; foil, which mirrors the
 * lamp on each of its waves, by 19 in one place of 300.
 */
const STRAYS_MORE: Partial<Record<PassKindId, number>> = {
  splash: 15,
  waterStamp: 15,
  glycerine: 15,
  mist: 15,
  lift: 15,
  foil: 25,
};

test('whatever the passes: the painted picture shows at each place what lies there', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RUN_IDS),
      fc.array(anyPass, { minLength: 1, maxLength: 5 }),
      fc.array(fc.tuple(fc.integer({ min: 2, max: 77 }), fc.integer({ min: 2, max: 97 })), {
        minLength: 6,
        maxLength: 6,
      }),
      (run, passes, places) => {
        const { plain, shown } = farthest(run, passes, places);
        // A steep joint lies between two places at which what is smooth is worked out: eight at most in 1,900 such panels.
        expect(plain).toBeLessThan(10);
        expect(shown).toBeLessThan(Math.max(STRAYS, ...passes.map(({ kind }) => STRAYS_MORE[kind] ?? 0)));
      },
    ),
    { numRuns: 20 },
  );
});

test('a stamp’s even ink hides what water lifted unevenly under it', () => {
  const lifted: Laid = [
    { kind: 'waterStamp', drawn: design('kiln-bricks'), x: 0, y: 0, turn: 50 },
    { kind: 'silhouette', drawn: design('far-hills'), x: 0, y: 0, turn: 0 },
  ];
  const places = [46, 72, 47, 73, 45, 71].map((x, i): [number, number] => [x, i % 2 === 0 ? 8 : 2]);
  expect(farthest('straight', lifted, places).shown).toBeLessThan(9);
});

test('every kind tells its work, asks for what it needs, and starts inside its ranges', () => {
  for (const id of PASS_KIND_IDS) {
    const kind = PASS_KINDS[id];
    expect(kind.id).toBe(id);
    const laid = laidWith(resolved, [{ kind: id, drawn: SQUARE, x: 40, y: 50, turn: 10 }]);
    const [pass] = laid.recipe.passes;
    if (!pass) throw new Error('nothing was laid');
    const contexts = contextsOf(laid, pass);
    const steps = kind.steps(contexts, 'mm');
    expect(steps.length + (kind.atEachInk?.(contexts).length ?? 0)).toBeGreaterThan(0);
    for (const { title, work, care, minutes } of steps) {
      expect([title, work, ...care].every((told) => told.length > 2 && !/undefined|NaN/.test(told))).toBe(
        true,
      );
      expect(minutes).toBeGreaterThan(0);
    }
    expect(setPlacement(laid.recipe, pass.id, 'p1', { params: pass.placements[0]?.params ?? {} })).toEqual(
      laid.recipe,
    );
  }
  expect(DESIGN_LIMITS.max).toBe(400);
});

test('a panel ends dry where its last work dries it, and wet where ink came after', () => {
  const coated = withPass(resolved, 'coat', { ink: dark });
  const set = withPass(coated, 'heatSet');
  expect([resolved, coated, set, withPass(set, 'edge', { ink: dark })].map(endsDry)).toEqual([
    false,
    false,
    true,
    false,
  ]);
  expect(wetInks(coated, finished(coated.recipe))).toEqual([dark]);
});

test('half-way through what is wet is what has been laid: a base left wet, then the rungs that are down', () => {
  const based = withPass(resolvedOf([pale, BARE, mid]), 'whiteBase', {
    ink: white,
    params: { dried: 'wet' },
  });
  const down = (...rungs: readonly number[]) => ({
    ...untouched(based.recipe),
    passes: 1,
    laid: based.recipe.rungs.map((_, rung) => rungs.includes(rung)),
  });
  expect(wetInks(based, down())).toEqual([white]);
  expect(wetInks(based, down(2))).toEqual([white, mid]);
  expect(wetInks(based, down(0, 1, 2))).toEqual([white, pale, mid]);
  const dried = setPlacement(based.recipe, based.recipe.passes[0]?.id ?? '', 'p1', {
    params: { dried: 'dried' },
  });
  expect(wetInks({ ...based, recipe: dried }, down(0))).toEqual([pale]);
});
