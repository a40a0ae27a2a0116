import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { beforeAll, expect, test } from 'vitest';

const importing = (from: string) => `import { a } from '${from}';\n\nexport const b = a;\n`;

/** The rooms of the core in reading order: each may import those before it. */
const ROOMS = [
  'base',
  'materials',
  'recipe',
  'engine',
  'picture',
  'readings',
  'sheet',
  'choose',
  'advise',
  'make',
  'files',
];
const importingType = (from: string) => `import type { A } from '${from}';\n\nexport type B = A;\n`;

const FORBIDDEN: [path: string, text: string][] = [
  ['src/core/recipe/store.ts', importing('../../store/draft')],
  ['src/core/recipe/data.ts', importing('../../data/database')],
  ['src/core/recipe/views.ts', importing('../../views/session')],
  ['src/core/react.ts', importing('react')],
  ['src/core/dexie.ts', importing('dexie')],
  ['src/core/redux.ts', importing('@reduxjs/toolkit')],
  ['src/core/node.ts', importing('node:fs')],
  ['src/core/document.ts', 'export const b = document;\n'],
  ['src/core/fetch.ts', 'export const b = fetch;\n'],
  ['src/workers/data.ts', importing('../data/database')],
  ['src/workers/nested.worker.ts', 'export const b = Worker;\n'],
  ['src/views/idle.ts', 'export const b = requestIdleCallback;\n'],
  ['src/data/store.ts', importing('../store/draft')],
  ['src/data/demo/views.ts', importing('../../views/session')],
  ['src/store/views.ts', importing('../views/session')],
  ['src/ui/store.ts', importing('../store/draft')],
  ['src/app/views.ts', importing('../views/bench/BenchView')],
  ...ROOMS.slice(0, -1).map((room, i): [string, string] => [
    `src/core/${room}/below.ts`,
    importingType(`../${ROOMS[i + 1]}/a`),
  ]),
];
const ALLOWED: [path: string, text: string][] = [
  ...ROOMS.slice(1).map((room, i): [string, string] => [
    `src/core/${room}/above.ts`,
    importingType(`../${ROOMS[i]}/a`),
  ]),
  ['src/core/recipe/core.ts', importing('../base/memo')],
  ['src/core/pure.ts', importing('culori/fn')],
  ['src/data/core.ts', importing('../core/recipe/recipe')],
  ['src/store/data.ts', importing('../data/recipes')],
  ['src/views/store.ts', importing('../store/draft')],
];

/** Paths the project's own rules refuse, out of a tree that holds all the files above. */
let refused: Set<string>;

beforeAll(() => {
  const root = mkdtempSync(join(tmpdir(), 'rules-'));
  copyFileSync('biome.json', join(root, 'biome.json'));
  for (const [path, text] of [...FORBIDDEN, ...ALLOWED]) {
    mkdirSync(dirname(join(root, path)), { recursive: true });
    writeFileSync(join(root, path), text);
  }
  const biome = resolve('node_modules/.bin/biome');
  const options = ['lint', '--vcs-enabled=false', '--reporter=github', '--max-diagnostics=none', 'src'];
  const { stdout } = spawnSync(biome, options, { cwd: root, encoding: 'utf8' });
  refused = new Set(
    [...stdout.matchAll(/^::error.*?file=([^,]+)/gm)].map(([, path = '']) =>
      path.slice(path.indexOf('src/')),
    ),
  );
});

test.each(FORBIDDEN)('%s is refused: knowledge points down only', (path) => {
  expect(refused).toContain(path);
});

test.each(ALLOWED)('%s may import what it stands on', (path) => {
  expect(refused).not.toContain(path);
});
