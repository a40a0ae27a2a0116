import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import { expect, test } from 'vitest';
import { ink, kitOf } from '../../testing/kits';
import { BARE } from '../ink/ink';
import { addOver, setRun } from '../ladder/edit';
import { RECIPE_VERSION, readRecipeFile, writeRecipeFile } from './recipeFile';
import { RECIPE_MIGRATIONS } from './recipeMigrations';

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
    overs: [],
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
  const base = kitOf([ink('Gorse', '#e3b20f'), BARE]);
  const kit = { ...base, recipe: addOver(setRun(base.recipe, 'glow'), 'horizon', 'Tarn'), overInks: [dark] };
  const back = readRecipeFile(writeRecipeFile(kit));
  expect(back.recipe.run).toEqual(kit.recipe.run);
  expect(back.overInks).toEqual([dark]);
  expect(back.inks[1]).toEqual(BARE);
  expect(JSON.parse(writeRecipeFile(kit)).inks.map(({ id }: { id: string }) => id)).toEqual([
    'Gorse',
    'Tarn',
  ]);
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
    /recipe\.run\.params.*numbers/,
  ],
  [
    'two edges',
    (f) => (f.recipe.overs = [1, 2].map(() => ({ id: 'edge', inkId: 'Gorse', params: { depth: 10 } }))),
    /recipe\.overs: has two of one kind/,
  ],
  [
    'an edge of an ink that is not there',
    (f) => (f.recipe.overs = [{ id: 'edge', inkId: 'Rook', params: { depth: 9 } }]),
    /recipe\.overs\[0\]\.inkId: no ink "Rook"/,
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
  const file = JSON.parse(writeRecipeFile(kitOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')])));
  change(file);
  expect(() => readRecipeFile(JSON.stringify(file))).toThrow(told);
});
