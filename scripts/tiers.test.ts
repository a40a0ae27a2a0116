import { dirname, join, relative } from 'node:path';
import { describe, expect, test } from 'vitest';
import { importsOf, neededBy, sourcesUnder } from './imports.mjs';

const root = join(import.meta.dirname, '..');

/** The core from top to foot: a folder may import what stands in its own line or above, and a line is read left to right. */
const TIERS: readonly (readonly string[])[] = [
  ['base'],
  ['materials/colour', 'materials/ink', 'materials/card', 'materials/design'],
  ['recipe/runs', 'recipe/tools', 'recipe/schools', 'recipe/passes', 'recipe'],
  ['engine'],
  ['picture/surface', 'picture'],
  ['readings/joints', 'readings/legibility', 'readings', 'readings/card'],
  ['sheet', 'sheet/hand'],
  [
    'choose/photo',
    'choose/shelf',
    'choose/match',
    'choose/search/pairs',
    'choose/search/moods',
    'choose/search/relations',
    'choose/search',
  ],
  ['advise', 'advise/rules'],
  ['make/cutting', 'make/sitting'],
  [
    'keep/log',
    'keep/learn',
    'keep/figures',
    'keep/read',
    'keep/swatches',
    'keep/pads',
    'keep/trouble',
    'keep/stand',
  ],
  ['practice/exercises', 'practice'],
  ['files'],
];
const ORDER = TIERS.flat();

const sources = sourcesUnder(join(root, 'src')).map((file: string) => relative(root, file));
const isTest = (file: string) => file.endsWith('.test.ts');
const arrows = sources
  .filter((file: string) => !isTest(file))
  .flatMap((from: string) => importsOf(join(root, from), root).map((to: string) => ({ from, to })));
const roomOf = (file: string) => relative('src/core', dirname(file));
const inCore = ({ from, to }: { from: string; to: string }) =>
  from.startsWith('src/core/') && to.startsWith('src/core/');

describe('the core can be read in order', () => {
  test('every folder of it has its place', () => {
    const rooms = new Set(sources.filter((file: string) => file.startsWith('src/core/')).map(roomOf));
    expect([...rooms].sort()).toEqual(ORDER.toSorted());
  });

  test('no file imports from a folder below its own, types included', () => {
    const down = arrows
      .filter(inCore)
      .filter(({ from, to }) => ORDER.indexOf(roomOf(to)) > ORDER.indexOf(roomOf(from)))
      .map(({ from, to }) => `${from} -> ${to}`);
    expect(down).toEqual([]);
  });
});

test('no file of src is in a circle of imports, types included', () => {
  const next = new Map<string, string[]>();
  for (const { from, to } of arrows) next.set(from, [...(next.get(from) ?? []), to]);
  const circles: string[] = [];
  const done = new Set<string>();
  const walk = (file: string, path: readonly string[]): void => {
    if (path.includes(file)) {
      circles.push([...path.slice(path.indexOf(file)), file].join(' -> '));
      return;
    }
    if (done.has(file)) return;
    for (const to of next.get(file) ?? []) walk(to, [...path, file]);
    done.add(file);
  };
  for (const file of sources) walk(file, []);
  expect(circles).toEqual([]);
});

describe('the rest of src', () => {
  /** What each part may import besides itself. */
  const MAY: Readonly<Record<string, readonly string[]>> = {
    core: [],
    testing: ['core', 'data'],
    workers: ['core'],
    data: ['core'],
    store: ['core', 'data'],
    ui: ['core'],
    app: ['core', 'data', 'store', 'ui', 'workers'],
    views: ['core', 'data', 'store', 'ui', 'workers', 'app'],
    'main.tsx': ['core', 'data', 'store', 'ui', 'workers', 'app', 'views'],
  };
  const partOf = (file: string) => file.split('/')[1] ?? '';

  test('imports only what stands above it', () => {
    const wrong = arrows
      .filter(({ to }) => /\.tsx?$/.test(to))
      .filter(({ from, to }) => partOf(from) !== partOf(to) && !MAY[partOf(from)]?.includes(partOf(to)))
      .map(({ from, to }) => `${from} -> ${to}`);
    expect(wrong).toEqual([]);
  });

  test('no view imports another', () => {
    const viewOf = (file: string) => file.split('/')[2];
    const wrong = arrows
      .filter(
        ({ from, to }) => partOf(from) === 'views' && partOf(to) === 'views' && viewOf(from) !== viewOf(to),
      )
      .map(({ from, to }) => `${from} -> ${to}`);
    expect(wrong).toEqual([]);
  });
});

test('a first look waits neither for the database, nor for readings, sheets and searches', () => {
  const needed = neededBy('src/main.tsx', root);
  expect(needed).toContain('src/views/bench/PanelBoard.tsx');
  expect(needed).toContain('react-router');
  const late =
    /^(dexie|yup|src\/core\/(engine|picture|readings|sheet|choose|advise|make|keep|practice)\/)|src\/data\/(database|storage)\./;
  expect(needed.filter((one: string) => late.test(one))).toEqual([]);
});
