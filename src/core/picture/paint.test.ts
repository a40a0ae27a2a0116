import { expect, test } from 'vitest';
import { BLACK_CARD, ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { lightOf, type Wetness } from '../engine/mixing';
import { finished } from '../engine/progress';
import { addWet, dryStack, makeStack } from '../engine/stack';
import { groundOfCard } from '../materials/card/card';
import { linearRgbOfXyz, xyzOfSpectrum } from '../materials/colour/lab';
import { laidReflectance } from '../materials/ink/laid';
import { setRun, setShare } from '../recipe/editLadder';
import { setPlacement } from '../recipe/editPasses';
import { bandsOf } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { createPainter, paintPanel, pixelsAt } from './paint';
import { type Ramp, rampOf } from './ramp';
import { SHADE } from './shades';

const pale = ink('pale', '#f8d46f');
const dark = ink('dark', '#005487');

/** The colours along a recipe's bands, finished. */
function rampAlong(resolved: ResolvedRecipe, wetness: Wetness): Ramp {
  const bands = bandsOf(resolved.recipe);
  if (!bands) throw new Error('no bands');
  return rampOf(resolved, bands, wetness, finished(resolved.recipe));
}

/** The colour of one sample of a ramp. */
const colourAt = ({ shades }: Ramp, sample: number): number[] => [
  ...shades.subarray(sample * SHADE, sample * SHADE + 3),
];

test('the ramp begins in the first ink, ends in the last, and nothing in it jumps', () => {
  const ramp = rampAlong(resolvedOf([pale, dark], undefined, { joints: [{ width: 40 }] }), 'dry');
  expect(colourAt(ramp, 0)).not.toEqual(colourAt(ramp, ramp.samples - 1));
  for (let i = 1; i < ramp.samples; i++) {
    const before = colourAt(ramp, i - 1);
    for (const [channel, value] of colourAt(ramp, i).entries())
      expect(Math.abs(value - (before[channel] ?? 0))).toBeLessThan(8);
  }
});

test('a wet panel is darker than the same panel dried, a dye more so than a pigment (common practice)', () => {
  const light = (kind: 'dye' | 'pigment', wetness: 'wet' | 'dry') => {
    const ramp = rampAlong(resolvedOf([ink('a', '#e55b8e', kind), ink('b', '#9769b8', kind)]), wetness);
    return Array.from({ length: ramp.samples }, (_, i) => colourAt(ramp, i))
      .flat()
      .reduce((sum, value) => sum + value, 0);
  };
  const loss = (kind: 'dye' | 'pigment') => 1 - light(kind, 'wet') / light(kind, 'dry');
  expect(loss('pigment')).toBeGreaterThan(0);
  expect(loss('dye')).toBeGreaterThan(3 * loss('pigment'));
});

test('the picture has the panel’s proportions, and its top and foot show the first and the last ink', () => {
  const resolved = resolvedOf([pale, dark], undefined, { panel: { width: 80, height: 100 } });
  const { width, height } = pixelsAt(resolved.recipe.panel, 50.8);
  expect([width, height]).toEqual([160, 200]);
  const { pixels } = paintPanel(resolved, 'dry', width, height);
  const at = (row: number) => [...pixels.slice(row * width * 4 + 320, row * width * 4 + 323)];
  const far = (p: number[], q: number[]) => Math.max(...p.map((v, i) => Math.abs(v - (q[i] ?? 0))));
  expect(far(at(5), [0xf8, 0xd4, 0x6f])).toBeLessThan(10);
  expect(far(at(195), [0x00, 0x54, 0x87])).toBeLessThan(10);
});

test('the picture’s mixing in one pass says what the films say, layer by layer', () => {
  const over = ink('over', '#7a2450', 'dye');
  const palette = [pale, { ...dark, strength: 2.2 }, ink('third', '#e2568f', 'pigment'), over];
  const ground = groundOfCard(BLACK_CARD);
  const stack = makeStack(palette, 3);
  const wet = [0.2, 0.5, 0.3, 0.4];
  wet.forEach((coats, i) => {
    addWet(stack, i, coats);
  });
  dryStack(stack);
  addWet(stack, 3, 0.7);
  const { r, g, b } = lightOf(palette, ground, 'dry')(stack);
  const under = laidReflectance(
    palette.map((one, i) => ({ ink: one, coats: wet[i] ?? 0 })),
    ground,
  );
  const exact = linearRgbOfXyz(xyzOfSpectrum(laidReflectance([{ ink: over, coats: 0.7 }], under)));
  expect([r, g, b]).toEqual([exact.r, exact.g, exact.b].map((value) => expect.closeTo(value, 5)));
});

test('a picture painted in two parts is the picture painted whole, on bands and on patches', () => {
  const resolved = resolvedOf([pale, dark, ink('mid', '#e2568f')]);
  for (const id of ['slant', 'scatter'] as const) {
    const one = withPass(
      withPass({ ...resolved, recipe: setRun(resolved.recipe, id) }, 'horizon', { ink: dark }),
      'splash',
    );
    const [width, height, middle] = [120, 150, 71];
    const whole = paintPanel(one, 'dry', width, height).pixels;
    const parts = [
      { from: 0, to: middle },
      { from: middle, to: height },
    ].map((rows) => {
      const { picture, paintRows } = createPainter()({ resolved: one, wetness: 'dry', width, height, rows });
      paintRows(rows.from, rows.to);
      return picture.pixels;
    });
    expect(
      Buffer.concat(parts.map((part) => Buffer.from(part.buffer))).equals(Buffer.from(whole.buffer)),
    ).toBe(true);
  }
});

test('a blend that is dragged under a pass is painted as if afresh, on bands, rings and patches', () => {
  const size = { width: 48, height: 60 };
  for (const run of ['straight', 'glow', 'scatter'] as const) {
    const laid = withPass(resolvedOf([pale, dark, pale]), 'penDots');
    const prepare = createPainter();
    for (const share of [0.3, 0.45, 0.2, 0.3]) {
      const recipe = setShare(setRun(laid.recipe, run), 0, share);
      const resolved = { ...laid, recipe };
      const { picture, paintRows } = prepare({ resolved, wetness: 'dry', ...size });
      paintRows(0, size.height);
      expect(picture.pixels, `${run}, ${share}`).toEqual(
        paintPanel(resolved, 'dry', size.width, size.height).pixels,
      );
    }
  }
});

test('two pictures painted by turns, row by row, are as they are painted one after the other', () => {
  const resolved = resolvedOf([pale, dark, ink('mid', '#e2568f')]);
  const stamped = withPass(resolved, 'splash');
  const other = {
    ...stamped,
    recipe: setPlacement(setShare(stamped.recipe, 0, 0.6), 'splash-1', 'p1', { params: { seed: 9 } }),
  };
  const [width, height] = [90, 110];
  const alone = [stamped, other].map((one) => paintPanel(one, 'dry', width, height).pixels);
  const prepare = createPainter();
  const turns = [stamped, other].map((one) => prepare({ resolved: one, wetness: 'dry', width, height }));
  for (let row = 0; row < height; row += 4)
    for (const { paintRows } of turns) paintRows(row, Math.min(row + 4, height));
  turns.forEach(({ picture }, i) => {
    expect(Buffer.from(picture.pixels.buffer).equals(Buffer.from(alone[i]?.buffer as ArrayBuffer))).toBe(
      true,
    );
  });
});

test('a strip laid over drops hides their rims, also for a painter that has painted the drops without it', () => {
  const drops = withPass(resolvedOf([ink('Gorse', '#f8d46f'), ink('Leat', '#0098a8')]), 'splash');
  const strip = withPass(drops, 'greetingStrip');
  const paintBy = (paint: ReturnType<typeof createPainter>, laid: ResolvedRecipe) => {
    const { picture, paintRows } = paint({ resolved: laid, wetness: 'dry', width: 240, height: 300 });
    paintRows(0, 300);
    return picture.pixels;
  };
  const used = createPainter();
  paintBy(used, drops);
  const [after, fresh] = [paintBy(used, strip), paintBy(createPainter(), strip)];
  expect(after.filter((value, i) => value !== fresh[i]).length).toBe(0);
});
