import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import { expect, test } from 'vitest';
import { ink, resolvedOf, withPass } from '../../testing/resolvedRecipes';
import { BARE } from '../materials/ink/ink';
import { setRun } from '../recipe/editLadder';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { RECIPE_MIGRATIONS, RECIPE_VERSION } from './recipeMigrations';

const card = { id: 'white', name: 'white', colour: '#fcfbf8', finish: 'smooth', grammage: 350 };
const inks = ['Gorse', 'Skerry'].map((name, i) => ({
  id: name,
  name,
  family: name,
  depth: 'mid',
  kind: 'hybrid',
  overWhite: ['#e3b20f', '#005487'][i],
}));
/** A file as version 1 wrote it. */
const FIRST = {
  format: 'tint-ladder/recipe',
  version: 1,
  recipe: {
    id: 'old',
    name: 'Old',
    cardId: 'white',
    panel: { width: 80, height: 100 },
    run: 'straight',
    school: 'paleFirst',
    rungs: inks.map(({ id }) => ({ inkId: id, share: 0.5 })),
    joints: [{ width: 20 }],
  },
  card,
  inks,
};

test('there is a migration from every version before today’s', () => {
  expect(RECIPE_MIGRATIONS.map(({ from }) => from)).toEqual(
    Array.from({ length: RECIPE_VERSION - 1 }, (_, i) => i + 1),
  );
});

test('a file of version 1 opens as it was meant: straight, with nothing over it, by brush', () => {
  const published = JSON.parse(readFileSync('docs/formats/recipe-1.schema.json', 'utf8'));
  expect(new Ajv().compile(published)(FIRST)).toBe(true);
  const { recipe } = readRecipeFile(JSON.stringify(FIRST));
  expect(recipe).toMatchObject({
    run: { id: 'straight', params: {} },
    passes: [],
    tool: 'brush',
    school: 'paleFirst',
  });
  expect(recipe.joints).toEqual([{ width: expect.closeTo(20, 9) }]);
});

test('a wrong field in an old file is told by its place', () => {
  const wrong = { ...FIRST, recipe: { ...FIRST.recipe, run: 'zigzag' } };
  expect(() => readRecipeFile(JSON.stringify(wrong))).toThrow(/recipe\.run\.id.*straight/);
});

test('every run, what lies over it and bare card come back from a file', () => {
  const dark = ink('Tarn', '#133f7c');
  const base = resolvedOf([ink('Gorse', '#e3b20f'), BARE]);
  const resolved = withPass({ ...base, recipe: setRun(base.recipe, 'glow') }, 'horizon', { ink: dark });
  const back = readRecipeFile(writeRecipeFile(resolved));
  expect(back.recipe.run).toEqual(resolved.recipe.run);
  expect(back.passInks).toEqual([dark]);
  expect(back.inks[1]).toEqual(BARE);
  expect(JSON.parse(writeRecipeFile(resolved)).inks.map(({ id }: { id: string }) => id)).toEqual([
    'Gorse',
    'Tarn',
  ]);
});

const edgeOf = (inkId: string, depth = 10) => ({
  id: 'edge-1',
  kind: 'edge',
  enabled: true,
  placements: [{ id: 'p1', inkId, params: { depth } }],
});
const DESIGN = {
  id: 'own-1',
  name: 'Star',
  use: 'image',
  width: 20,
  height: 20,
  shapes: [{ d: 'M0 0h9v9z', rule: 'nonzero' }],
};

test('a file of version 2 opens with its overs as passes: into the wet first, notes with their steps', () => {
  const second = {
    ...FIRST,
    version: 2,
    recipe: {
      ...FIRST.recipe,
      run: { id: 'straight', params: {} },
      tool: 'brush',
      overs: [
        { id: 'coat', inkId: 'Skerry', params: { strength: 40 } },
        { id: 'edge', inkId: 'Gorse', params: { depth: 12 } },
      ],
      notes: { 'over coat': 'thin!', check: 'good' },
    },
  };
  const published = JSON.parse(readFileSync('docs/formats/recipe-2.schema.json', 'utf8'));
  expect(new Ajv().compile(published)(second)).toBe(true);
  const { recipe } = readRecipeFile(JSON.stringify(second));
  expect(recipe.passes).toEqual([
    {
      id: 'edge',
      kind: 'edge',
      enabled: true,
      placements: [{ id: 'p1', inkId: 'Gorse', params: { depth: 12 } }],
    },
    {
      id: 'coat',
      kind: 'coat',
      enabled: true,
      placements: [{ id: 'p1', inkId: 'Skerry', params: { strength: 40 } }],
    },
  ]);
  expect(recipe.notes).toEqual({ 'pass coat 0': 'thin!', check: 'good' });
});

test.each<[string, (file: ReturnType<typeof JSON.parse>) => void, RegExp]>([
  [
    'an angle past a right one',
    (f) => (f.recipe.run = { id: 'slant', params: { angle: 120 } }),
    /recipe\.run\.params\.angle: must be a number from -90 to 90/,
  ],
  ['a number of another run', (f) => (f.recipe.run.params = { tilt: 3 }), /recipe\.run\.params.*tilt/],
  [
    'a number that is none',
    (f) => (f.recipe.run = { id: 'slant', params: { angle: 'steep' } }),
    /recipe\.run\.params\.angle: must be a number/,
  ],
  [
    'two passes of one id',
    (f) => (f.recipe.passes = [edgeOf('Gorse'), edgeOf('Gorse')]),
    /recipe\.passes: has two passes with one id/,
  ],
  [
    'an edge of an ink that is not there',
    (f) => (f.recipe.passes = [edgeOf('Rook')]),
    /recipe\.passes\[0\]\.placements\[0\]\.inkId: no ink "Rook"/,
  ],
  [
    'a pass with a number out of its range',
    (f) => (f.recipe.passes = [edgeOf('Gorse', 900)]),
    /recipe\.passes\[0\]\.placements\[0\]\.params\.depth: must be a number from 3 to 60/,
  ],
  [
    'a resist without a design',
    (f) =>
      (f.recipe.passes = [
        { ...edgeOf('Gorse'), kind: 'clearResist', placements: [{ id: 'p1', params: {} }] },
      ]),
    /recipe\.passes\[0\]\.designId: Clear resist needs a design/,
  ],
  [
    'a design that is not there',
    (f) => (f.recipe.passes = [{ ...edgeOf('Gorse'), designId: 'rook' }]),
    /recipe\.passes\[0\]\.designId: no design "rook"/,
  ],
  [
    'what lies over the blend before what lies under it',
    (f) =>
      (f.recipe.passes = [
        edgeOf('Gorse'),
        {
          id: 'base',
          kind: 'whiteBase',
          enabled: true,
          placements: [{ id: 'p1', inkId: 'Gorse', params: { coats: 'one', dried: 'dried' } }],
        },
      ]),
    /recipe\.passes: must have what lies under the blend before/,
  ],
  [
    'a design of the program’s own, drawn anew',
    (f) => (f.designs = [{ ...DESIGN, id: 'reeds' }]),
    /designs\[0\]\.id: "reeds" is a design that ships/,
  ],
  [
    'a design whose path is a script',
    (f) => (f.designs = [{ ...DESIGN, shapes: [{ d: 'M0 0<script>', rule: 'nonzero' }] }]),
    /designs\[0\]\.shapes\[0\]\.d: must be an SVG path/,
  ],
  [
    'a ladder of bare card alone',
    (f) => {
      for (const rung of f.recipe.rungs) rung.inkId = 'bare-card';
    },
    /recipe\.rungs: have no ink/,
  ],
  [
    'wishes for other rungs',
    (f) => (f.recipe.wanted = [0.2, 0.3, 0.5]),
    /recipe\.wanted: must have one share a rung/,
  ],
  ['notes that are no texts', (f) => (f.recipe.notes = { check: 7 }), /recipe\.notes.*texts/],
])('%s is refused by its place', (_, change, told) => {
  const file = JSON.parse(writeRecipeFile(resolvedOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')])));
  change(file);
  expect(() => readRecipeFile(JSON.stringify(file))).toThrow(told);
});

test('an ink that stood more strongly in version 5 is so much stronger', () => {
  const older = {
    ...JSON.parse(writeRecipeFile(readRecipeFile(JSON.stringify(FIRST)))),
    version: 5,
    inks: inks.map((one, i) => (i === 0 ? { ...one, potency: 1.5 } : one)),
  };
  const published = JSON.parse(readFileSync('docs/formats/recipe-5.schema.json', 'utf8'));
  expect(new Ajv().compile(published)(older)).toBe(true);
  const read = readRecipeFile(JSON.stringify(older)).inks;
  expect(read.map(({ strength }) => strength)).toEqual([1.5, undefined]);
  expect(read[0]).not.toHaveProperty('potency');
});
