import { sampleCorrelation } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { ink, resolvedOf, WHITE_CARD, withPass } from '../../../testing/resolvedRecipes';
import type { FinishId } from '../../materials/card/finishes';
import { deltaE00 } from '../../materials/colour/difference';
import { type Lab, labOfXyz, srgbLinear, xyzOfLinearRgb } from '../../materials/colour/lab';
import { OWN_DESIGNS } from '../../materials/design/own';
import type { Border } from '../../materials/design/placement';
import { setShare } from '../../recipe/editLadder';
import { PASS_KINDS, type Pass } from '../../recipe/passes/passes';
import { placedPasses, type ResolvedRecipe } from '../../recipe/resolved';
import { TOOL_IDS, type ToolId } from '../../recipe/tools/tools';
import { type Picture, paintPanel } from '../paint';
import { lightOnSlope, shadowOf, shineOnSlope } from './lamp';
import { type Surface, surfaceMaker } from './surface';
import { A_COAT, ALL_BARE, PERIOD } from './tiles';

const PANEL = { width: 90, height: 60 };
const pale = ink('pale', '#f8d46f');
const mid = ink('mid', '#cf3d63');
const dark = ink('dark', '#005487');
const BRICKS = OWN_DESIGNS.find(({ id }) => id === 'kiln-bricks');

/** One ink all over, as two rungs of it. */
const solidOf = (colour: typeof mid, tool: ToolId, finish: FinishId): ResolvedRecipe =>
  resolvedOf([colour, { ...colour, id: 'again' }], { ...WHITE_CARD, finish }, { panel: PANEL, tool });

/** The colour of a whole picture, its light averaged. */
function meanOf({ pixels }: Picture): Lab {
  const sum = [0, 0, 0];
  pixels.forEach((byte, i) => {
    if (i % 4 < 3) sum[i % 4] = (sum[i % 4] ?? 0) + srgbLinear((1 / 255) * byte);
  });
  const [r = 0, g = 0, b = 0] = sum.map((light) => (4 * light) / pixels.length);
  return labOfXyz(xyzOfLinearRgb({ r, g, b }));
}

const painted = (resolved: ResolvedRecipe, dpi: number, isPlain = false): Picture =>
  paintPanel(
    resolved,
    'dry',
    Math.round((resolved.recipe.panel.width / 25.4) * dpi),
    Math.round((resolved.recipe.panel.height / 25.4) * dpi),
    { isPlain },
  );

function surfaceAt(resolved: ResolvedRecipe, dpi: number): Surface & { readonly width: number } {
  const { panel } = resolved.recipe;
  const [width, height] = [Math.round((panel.width / 25.4) * dpi), Math.round((panel.height / 25.4) * dpi)];
  const surface = surfaceMaker()(resolved, { panel, width, height, from: 0, to: height });
  surface.fill(0, height);
  return { ...surface, width };
}

const spreadOf = (values: ArrayLike<number>): number => {
  const all = Array.from(values);
  const mean = all.reduce((sum, value) => sum + value, 0) / all.length;
  return Math.sqrt(all.reduce((sum, value) => sum + (value - mean) ** 2, 0) / all.length);
};

describe('grain never changes a colour', () => {
  test.each(TOOL_IDS)('a solid laid with %s keeps its mean colour within 0.3 ΔE00', (tool) => {
    for (const finish of ['smooth', 'watercolour'] as const)
      for (const colour of [pale, mid, dark]) {
        const solid = solidOf(colour, tool, finish);
        const [grained, plain] = [meanOf(painted(solid, 100)), meanOf(painted(solid, 100, true))];
        // Of some light this ink gives back none: nothing beside them outweighs a roller's white specks there.
        if (tool === 'brayer' && colour === dark) expect(Math.abs(grained.l - plain.l)).toBeLessThan(1);
        else expect(deltaE00(grained, plain), `${colour.name} on ${finish}`).toBeLessThan(0.3);
      }
  });

  test.each(['kraft', 'textured', 'coated', 'plate'] as const)('so does one on %s card', (finish) => {
    for (const colour of [pale, mid, dark]) {
      const solid = solidOf(colour, 'brush', finish);
      expect(deltaE00(meanOf(painted(solid, 100)), meanOf(painted(solid, 100, true)))).toBeLessThan(0.3);
    }
  });
});

describe('the grain', () => {
  const { grain, width } = surfaceAt(solidOf(mid, 'brush', 'smooth'), 300);
  const rows = grain.length / width;

  test('spreads as told: hardly with a brush, more with a dauber, most with what is pooled or rolled', () => {
    const spread = (tool: ToolId) => spreadOf(surfaceAt(solidOf(mid, tool, 'smooth'), 150).grain) / A_COAT;
    const [brush, dauber, brayer, dip] = (['brush', 'dauber', 'brayer', 'dip'] as const).map(spread);
    // From memory: a brushed solid on a flat-bed scan varies by about one L*, which is some three hundredths of a coat.
    expect(brush).toBeGreaterThan(0.02);
    expect(brush).toBeLessThan(0.05);
    expect(dauber).toBeGreaterThan(1.2 * (brush ?? 0));
    expect(brayer).toBeGreaterThan(1.1 * (dauber ?? 0));
    expect(dip).toBeGreaterThan(1.1 * (dauber ?? 0));
  });

  test('does not repeat where its tile does, and prefers no direction', () => {
    const apart = (across: number, down: number): number => {
      const [here, there]: [number[], number[]] = [[], []];
      for (let y = 0; y + down < rows; y += 3)
        for (let x = 0; x + across < width; x += 3) {
          here.push(grain[y * width + x] ?? 0);
          there.push(grain[(y + down) * width + x + across] ?? 0);
        }
      return sampleCorrelation(here, there);
    };
    const period = Math.round((PERIOD / 25.4) * 300);
    expect(Math.abs(apart(period, 0))).toBeLessThan(0.12);
    for (const step of [1, 2, 4]) expect(Math.abs(apart(step, 0) - apart(0, step))).toBeLessThan(0.06);
  });

  test('hangs on the panel in mm: at a quarter of the size each pixel has the mean of what it covers', () => {
    const small = surfaceAt(solidOf(mid, 'brush', 'watercolour'), 75);
    const large = surfaceAt(solidOf(mid, 'brush', 'watercolour'), 300);
    const [far, near]: [number[], number[]] = [[], []];
    for (let y = 0; y < small.grain.length / small.width - 1; y++)
      for (let x = 0; x < small.width - 1; x++) {
        let sum = 0;
        for (let down = 0; down < 4; down++)
          for (let across = 0; across < 4; across++)
            sum += large.grain[(4 * y + down) * large.width + 4 * x + across] ?? 0;
        far.push(small.grain[y * small.width + x] ?? 0);
        near.push(sum / 16);
      }
    expect(sampleCorrelation(far, near)).toBeGreaterThan(0.9);
  });

  test('stays where it is while a mark is moved', () => {
    const resolved = resolvedOf([pale, dark], undefined, { panel: PANEL, joints: [{ width: 8 }] });
    const moved = { ...resolved, recipe: setShare(resolved.recipe, 0, 0.55) };
    const [one, other] = [resolved, moved].map((state) => painted(state, 100).pixels);
    // Solid before and after: row for row the same.
    expect(one?.subarray(0, 20_000)).toEqual(other?.subarray(0, 20_000));
    expect(one).not.toEqual(other);
  });

  test('is stronger where a fade gives out than where it is solid', () => {
    const bare = { ...ink('bare', '#fcfbf8'), kind: 'bare' as const };
    const fading = resolvedOf([dark, bare], undefined, { panel: PANEL, joints: [{ width: 50 }] });
    const row = (y: number, isPlain: boolean): number[] => {
      const { pixels, width: across } = painted(fading, 150, isPlain);
      const at = Math.round((y / 25.4) * 150) * across * 4;
      return Array.from({ length: across }, (_, x) => pixels[at + 4 * x] ?? 0);
    };
    const uneven = (y: number) => {
      const plain = row(y, true);
      return spreadOf(row(y, false).map((byte, x) => byte - (plain[x] ?? 0)));
    };
    expect(uneven(36)).toBeGreaterThan(1.3 * uneven(3));
  });
});

describe('bare card', () => {
  const bareShare = (tool: ToolId, finish: FinishId): number =>
    surfaceAt(solidOf(mid, tool, finish), 150).bare.reduce((sum, part) => sum + part / ALL_BARE, 0) /
    surfaceAt(solidOf(mid, tool, finish), 150).bare.length;

  test('shows in the pits of a toothy card, more where it is gone over one way than in circles (common practice)', () => {
    const [circles, oneWay] = [bareShare('brush', 'watercolour'), bareShare('brayer', 'watercolour')];
    expect(circles).toBeLessThan(0.004);
    expect(oneWay).toBeGreaterThan(2 * circles);
    expect(bareShare('brush', 'smooth')).toBe(0);
  });

  test('shows between a roller’s streaks, as much as its colours are held to', () => {
    const { bareShare: told } = surfaceAt(solidOf(mid, 'brayer', 'smooth'), 150);
    expect(Math.abs(bareShare('brayer', 'smooth') - told)).toBeLessThan(0.012);
  });
});

describe('the lamp, upper left', () => {
  test('lights what faces it, and what stands up throws its shadow the other way', () => {
    expect(lightOnSlope(0.2, 0.2)).toBeGreaterThan(0);
    expect(lightOnSlope(-0.2, -0.2)).toBeLessThan(0);
    expect(lightOnSlope(0, 0)).toBe(0);
    expect(shineOnSlope(0.27, 0.36)).toBeGreaterThan(10 * shineOnSlope(0, 0));
    expect(shadowOf(0.3, 0.1, -0.6, -0.8)).toBeLessThan(-0.1);
    expect(shadowOf(0.3, 0.1, 0.6, 0.8)).toBe(0);
    expect(shadowOf(0.3, 0.5, -0.6, -0.8)).toBe(0);
  });

  test('lights one side of a pen’s dot and shades the other', () => {
    const plain = resolvedOf([pale, dark], undefined, { panel: PANEL });
    const dots = withPass(plain, 'penDots', { params: { dots: 1, size: 4 } });
    const [stands, lies] = [painted(dots, 100), painted(dots, 100, true)];
    const border = PASS_KINDS.penDots.layOn({
      id: 'p1',
      panel: PANEL,
      wets: 1,
      params: { pen: 'white', seed: 1, dots: 1, size: 4 },
    }).borders[0];
    if (!border) throw new Error('there is no dot');
    let [bright, shaded] = [0, 0];
    for (let y = 0; y < stands.height; y++)
      for (let x = 0; x < stands.width; x++) {
        const inside = border(((x + 0.5) / 100) * 25.4, ((y + 0.5) / 100) * 25.4);
        const at = 4 * (y * stands.width + x);
        if (inside > 0 && (stands.pixels[at] ?? 0) < (lies.pixels[at] ?? 0) - 8) shaded++;
        if (inside > 0 && (stands.pixels[at] ?? 0) >= (lies.pixels[at] ?? 0)) bright++;
      }
    expect(Math.min(bright, shaded)).toBeGreaterThan(5);
  });
});

describe('ink that is still wet', () => {
  /** Of a solid on a toothy card: how its colour is off the plain one, and which part of its pixels shines. */
  const wet = (change: (solid: ResolvedRecipe) => ResolvedRecipe = (same) => same) => {
    const solid = change(solidOf(dark, 'brush', 'watercolour'));
    const [shining, plain] = [false, true].map((isPlain) =>
      paintPanel(solid, 'wet', 708, 472, { isPlain }),
    ) as [Picture, Picture];
    const dried = painted(solid, 200);
    let shines = 0;
    for (let at = 0; at < dried.pixels.length; at += 4)
      if ((shining.pixels[at] ?? 0) > (dried.pixels[at] ?? 0) + 30) shines++;
    return { shines: (4 * shines) / dried.pixels.length, apart: deltaE00(meanOf(shining), meanOf(plain)) };
  };

  test('glints on the tooth of a card, and not so often that its colour changes', () => {
    const { shines, apart } = wet();
    expect(shines).toBeGreaterThan(0.002);
    expect(apart).toBeLessThan(0.3);
  });

  test('does so no more once something was laid on it dried', () => {
    const stencilled = (solid: ResolvedRecipe) =>
      withPass(solid, 'patternStencil', { ink: mid, params: { strength: 5 } });
    expect(wet(stencilled).shines).toBeLessThan(0.0002);
  });

  test('lies in pools while it is a dye: less even than when it has dried', () => {
    const dye = { ...mid, kind: 'dye' } as const;
    const solid = solidOf(dye, 'brush', 'smooth');
    const frame = { panel: PANEL, width: 360, height: 240, from: 0, to: 240 };
    const [wet, dried] = [true, false].map((isWet) => {
      const surface = surfaceMaker()(solid, frame, isWet);
      surface.fill(0, frame.height);
      return spreadOf(surface.grain);
    });
    expect(wet).toBeGreaterThan(1.08 * (dried ?? 0));
  });
});

test.each([
  ['penDots', { params: { pen: 'gold', dots: 6, size: 5 } }],
  ['foil', { ...(BRICKS ? { design: BRICKS } : {}), params: { foil: 'gold', width: 40, x: 45, y: 30 } }],
] as const)('metal mirrors the lamp in its own colour: %s', (kind, wish) => {
  const plain = resolvedOf([pale, dark], undefined, { panel: PANEL });
  const dpi = 200;
  /** The brightest place on it, and what it is there without a lamp. */
  const brightest = (): readonly [lit: number[], flat: number[]] => {
    const shining = withPass(plain, kind, wish);
    const [lit, flat] = [painted(shining, dpi).pixels, painted(shining, dpi, true)];
    const [pass] = shining.recipe.passes;
    const border = pass && placedPasses(shining, pass)[0]?.borders[0];
    if (!border) throw new Error('nothing shines');
    const sumAt = (at: number): number => (lit[at] ?? 0) + (lit[at + 1] ?? 0) + (lit[at + 2] ?? 0);
    let most = -1;
    for (let at = 0; at < lit.length; at += 4) {
      const [x, y] = [(at / 4) % flat.width, Math.floor(at / 4 / flat.width)];
      if (border(((x + 0.5) / dpi) * 25.4, ((y + 0.5) / dpi) * 25.4) < 0.2) continue;
      if (most < 0 || sumAt(at) > sumAt(most)) most = at;
    }
    return [[...lit.slice(most, most + 3)], [...flat.pixels.slice(most, most + 3)]];
  };
  const [gold, dull] = brightest();
  const redder = ([r = 0, , b = 1]: readonly number[]): number => r / b;
  // A white glint on top would bring red and blue nearer to each other.
  expect(gold[2]).toBeGreaterThan(1.3 * (dull[2] ?? 0));
  expect(redder(gold)).toBeGreaterThan(0.88 * redder(dull));
});

test('a drop left to dry has a rim darker than the ink around it, one dabbed at once has none (common practice)', () => {
  const plain = resolvedOf([mid, { ...mid, id: 'again' }], undefined, { panel: PANEL });
  const dpi = 200;
  const rimOf = (after: string): number => {
    const params = { after, distance: 120, drops: 20, seed: 3 };
    const splashed = withPass(plain, 'splash', { params });
    const { pixels, width } = painted(splashed, dpi);
    const [pass] = splashed.recipe.passes;
    const [placed] = pass ? placedPasses(splashed, pass) : [];
    const front = placed?.borders[0];
    if (!front) throw new Error('there are no drops');
    const lightAt = (from: number, to: number): number => {
      const found: number[] = [];
      for (let i = 0; i < pixels.length / 4; i++) {
        const inside = front(
          (((i % width) + 0.5) / dpi) * 25.4,
          ((Math.floor(i / width) + 0.5) / dpi) * 25.4,
        );
        if (inside > from && inside < to) found.push(srgbLinear((pixels[4 * i + 1] ?? 0) / 255));
      }
      return found.reduce((sum, light) => sum + light, 0) / found.length;
    };
    // The border tells half the distance: a tenth of a millimetre beside it, and more than two from it.
    return lightAt(-0.09, -0.03) / lightAt(-5, -1);
  };
  expect(rimOf('dried')).toBeLessThan(0.95);
  expect(rimOf('minute')).toBeLessThan(0.99);
  expect(rimOf('dabbed')).toBeGreaterThan(0.97);
});

test('a rim of strong ink on strong ink turns to no other colour', () => {
  const plain = resolvedOf([ink('teal', '#009aab'), dark], undefined, {
    panel: PANEL,
    joints: [{ width: 20 }],
  });
  const params = { after: 'dried', distance: 120, drops: 40, seed: 3 };
  const splashed = withPass(plain, 'splash', { params });
  const front = placedPasses(splashed, splashed.recipe.passes[0] as Pass)[0]?.borders[0] as Border;
  const dpi = 200;
  const [before, after] = [painted(plain, dpi), painted(splashed, dpi)];
  let [lighter, darker] = [0, 0];
  for (let i = 0; i < before.width * before.height; i++) {
    const [column, row] = [i % before.width, Math.floor(i / before.width)];
    const inside = front(((column + 0.5) / dpi) * 25.4, ((row + 0.5) / dpi) * 25.4);
    // Nearer to it some of what lies inside is in the pixel.
    if (inside > -0.07 || inside < -0.3) continue;
    for (let channel = 0; channel < 3; channel++) {
      const more = (after.pixels[4 * i + channel] ?? 0) - (before.pixels[4 * i + channel] ?? 0);
      lighter = Math.max(lighter, more);
      darker = Math.min(darker, more);
    }
  }
  expect(darker).toBeLessThan(-10);
  // A little red comes back as this teal gets thicker; told farther than it is known it was 25.
  expect(lighter).toBeLessThan(20);
});
