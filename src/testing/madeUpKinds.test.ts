import Ajv from 'ajv/dist/2020';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { Provider } from 'react-redux';
import { expect, test, vi } from 'vitest';
import { ParamFields } from '../app/ParamFields';
import { findingsOf } from '../core/advise/rules/rules';
import type { ParamSpecs } from '../core/base/params';
import { dryInks, emptyPairTable, pairJudge } from '../core/choose/search/pairs/pairTable';
import { NO_CONSTRAINTS } from '../core/choose/search/query';
import { RELATION_IDS, RELATIONS, type RelationId } from '../core/choose/search/relations/relations';
import { searchTrios } from '../core/choose/search/trios';
import { panelSampler } from '../core/engine/probe';
import { readRecipeFile, writeRecipeFile } from '../core/files/recipeFile';
import { recipeJsonSchema } from '../core/files/recipeJsonSchema';
import { deltaE00 } from '../core/materials/colour/difference';
import { paintPanel } from '../core/picture/paint';
import { passReadings } from '../core/readings/passReadings';
import { laidShares } from '../core/readings/perceived';
import { readLadder } from '../core/readings/readings';
import { setRun } from '../core/recipe/editLadder';
import { addPass, setPlacement } from '../core/recipe/editPasses';
import { PASS_KIND_IDS, PASS_KINDS, type PassKindId } from '../core/recipe/passes/passes';
import { RUN_IDS, RUNS, type RunId } from '../core/recipe/runs/runs';
import { sheetText } from '../core/sheet/compile';
import { makeStore } from '../store/store';
import { ink, resolvedOf, WHITE_CARD } from './resolvedRecipes';

/**
 * A kind of pass, a run, a rule and a relation that nobody knows: each is one object and a line in its table, and is
 * found everywhere without anything else being changed.
 */
vi.mock('../core/recipe/passes/table', async (original) => {
  const { definePass } = await import('../core/recipe/passes/definition');
  const { choice } = await import('../core/base/params');
  const stripe = definePass({
    id: 'stripe',
    label: 'Stripe',
    description: 'A stripe of one ink across the panel.',
    stage: 'over',
    ink: 'blended',
    placements: { max: 2, noun: 'stripe' },
    params: {
      height: { label: 'Height', unit: 'mm', min: 5, max: 50, step: 0.5, initial: () => 20 },
      laid: choice('Laid', { once: 'once', twice: 'twice over' }, 'once'),
    },
    needsDry: true,
    layOn: ({ panel, params: { height, laid } }) => ({
      borders: [(_, y) => height / 2 - Math.abs(y - panel.height / 2)],
      effects: [
        { kind: 'dry' },
        { kind: 'film', coverAt: (_x, _y, inside) => (inside(0) ? (laid === 'twice' ? 2 : 1) : 0) },
      ],
      traces: [`M0 ${(panel.height - height) / 2}H${panel.width}`],
    }),
    steps: (contexts) => [
      { title: 'Stripe', work: `A stripe ${contexts[0]?.params.height} mm high.`, care: [], minutes: 2 },
    ],
  });
  return {
    PASS_TABLE: { ...(await original<typeof import('../core/recipe/passes/table')>()).PASS_TABLE, stripe },
  };
});

vi.mock('../core/recipe/runs/table', async (original) => {
  const { defineBandRun } = await import('../core/recipe/runs/definition');
  const upright = defineBandRun({
    id: 'upright',
    label: 'Upright',
    phrase: 'upright run',
    description: 'Bands from the left to the right.',
    params: { inset: { label: 'Inset', unit: 'mm', min: 0, max: 10, step: 0.5, initial: () => 0 } },
    layOn: ({ width, height }, { inset }) => ({
      length: width,
      alongAt: (x) => Math.min(Math.max(x - inset, 0), width),
      isHorizontal: false,
      toward: { x: 1, y: 0 },
      handleAt: (along) => ({ x: along, y: height / 2 }),
      trace: (along) => `M${along} 0V${height}`,
      markedAt: (along) => [{ from: 'left', at: along, pointAt: (at) => ({ x: at, y: height / 2 }) }],
      turning: (piece) => `Turn the ${piece}.`,
      start: { place: 'the left edge', toward: 'to the left' },
      end: { place: 'the right edge', toward: 'to the right' },
    }),
  });
  return {
    RUN_TABLE: { ...(await original<typeof import('../core/recipe/runs/table')>()).RUN_TABLE, upright },
  };
});

vi.mock('../core/advise/rules/table', async (original) => ({
  RULES: [
    ...(await original<typeof import('../core/advise/rules/table')>()).RULES,
    { id: 'upside down', check: () => [{ key: 'upside down', message: 'It hangs upside down.' }] },
  ],
}));

vi.mock('../core/choose/search/relations/table', async (original) => ({
  RELATION_TABLE: {
    ...(await original<typeof import('../core/choose/search/relations/table')>()).RELATION_TABLE,
    anyThree: {
      id: 'anyThree',
      label: 'Any three',
      phrase: 'any trios',
      description: 'Whichever three there are.',
      anyMiddle: false,
      scorer: () => () => 0.5,
      tell: () => 'They are three.',
    },
  },
}));

const stripe = 'stripe' as PassKindId;
const upright = 'upright' as RunId;
const [gorse, leat, tarn] = [
  ink('Gorse', '#f8d46f'),
  ink('Leat', '#0098a8'),
  ink('Tarn', '#1f3f6a'),
] as const;
const plain = resolvedOf([gorse, leat]);
const striped = {
  ...plain,
  recipe: addPass(plain.recipe, stripe, { inkId: tarn.id }),
  passInks: [tarn],
};
const run = { ...plain, recipe: setRun(plain.recipe, upright) };

/** The parameters of a kind as a form shows them. */
function formOf(of: string, specs: ParamSpecs, params: Record<string, number | string>): string {
  const children = createElement(ParamFields, {
    of,
    specs,
    params,
    panel: { width: 80, height: 100 },
    onChange: () => {},
  });
  const provided = { store: makeStore(), children };
  return renderToStaticMarkup(createElement(Provider, provided));
}

test('a made-up kind of pass is painted, read, told, filed, and has its form', () => {
  expect(PASS_KIND_IDS).toContain(stripe);
  const [inside, outside] = [panelSampler(striped)(40, 50), panelSampler(striped)(40, 20)];
  expect(inside.inks.map(({ ink: { name } }) => name)).toContain('Tarn');
  expect(outside.inks.map(({ ink: { name } }) => name)).not.toContain('Tarn');
  const at = ({ pixels }: { pixels: Uint8ClampedArray }, y: number) => [
    ...pixels.subarray(4 * (y * 80 + 40)).subarray(0, 3),
  ];
  const [bare, laid] = [plain, striped].map((one) => paintPanel(one, 'dry', 80, 100));
  if (!bare || !laid) throw new Error('nothing was painted');
  expect(at(laid, 50)).not.toEqual(at(bare, 50));
  expect(at(laid, 10)).toEqual(at(bare, 10));

  expect(passReadings(striped, [])[0]?.touches).toBeCloseTo(0.2, 1);
  expect(sheetText(striped, 'mm')).toMatch(/Stripe[\s\S]*A stripe 20 mm high\./);

  const thick = setPlacement(striped.recipe, 'stripe-1', 'p1', { params: { height: 900, laid: 'twice' } });
  const text = writeRecipeFile({ ...striped, recipe: thick });
  expect(readRecipeFile(text).recipe.passes).toEqual([
    {
      id: 'stripe-1',
      kind: 'stripe',
      enabled: true,
      placements: [{ id: 'p1', inkId: 'Tarn', params: { height: 50, laid: 'twice' } }],
    },
  ]);
  expect(() => readRecipeFile(text.replace('"twice"', '"thrice"'))).toThrow(
    /laid: must be one of once, twice/,
  );
  const allows = new Ajv({ allErrors: true }).compile(recipeJsonSchema());
  expect(allows(JSON.parse(text))).toBe(true);
  expect(allows(JSON.parse(text.replace('"twice"', '"thrice"')))).toBe(false);

  const form = formOf('Stripe', PASS_KINDS[stripe].params, { height: 20, laid: 'once' });
  expect(form).toContain('aria-label="Stripe: Height, mm"');
  expect(form).toMatch(/Stripe: Laid.*twice over/);
});

test('a made-up run is painted, measured, told, filed, and has its form', () => {
  expect(RUN_IDS).toContain(upright);
  const read = panelSampler(run);
  expect(deltaE00(read(5, 50).lab, read(75, 50).lab)).toBeGreaterThan(20);
  expect(deltaE00(read(5, 5).lab, read(5, 95).lab)).toBeLessThan(1e-6);
  expect(laidShares(run)).toEqual([0.5, 0.5].map((share) => expect.closeTo(share, 2)));
  expect(sheetText(run, 'mm')).toContain('from the left');
  const text = writeRecipeFile(run);
  expect(readRecipeFile(text).recipe.run).toEqual({ id: 'upright', params: { inset: 0 } });
  expect(new Ajv({ allErrors: true }).compile(recipeJsonSchema())(JSON.parse(text))).toBe(true);
  expect(formOf('Upright', RUNS[upright].params, { inset: 2 })).toContain('value="2"');
});

test('a made-up rule is among what is found, a made-up relation among those searched', () => {
  const readings = readLadder(plain);
  const input = { resolved: plain, readings, passes: [], shelf: [], cards: [], unit: 'mm' } as const;
  expect(findingsOf(input).map(({ message }) => message)).toContain('It hangs upside down.');

  const anyThree = 'anyThree' as RelationId;
  expect(RELATION_IDS).toContain(anyThree);
  expect(RELATIONS[anyThree].label).toBe('Any three');
  const dried = dryInks([gorse, leat, tarn], WHITE_CARD);
  const pairs = emptyPairTable(3);
  const judgeRow = pairJudge(dried, WHITE_CARD);
  for (let row = 0; row < 3; row++) judgeRow(row, pairs);
  const query = { relation: anyThree, constraints: NO_CONSTRAINTS, sort: 'fit', seed: 1, keep: 9 } as const;
  const search = searchTrios({ dried, pairs }, query);
  while (search.step());
  expect(search.result()).toMatchObject({ count: 1, best: [{ fit: 0.5 }] });
});
