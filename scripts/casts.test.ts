import { existsSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { expect, test } from 'vitest';
import { sourcesUnder } from './imports.mjs';

const root = join(import.meta.dirname, '..');
const kernels: readonly string[] = JSON.parse(
  readFileSync(join(root, 'tsconfig.kernels.json'), 'utf8'),
).include;

/** So many casts a thousand lines at the most, where the compiler asks of every element whether it is there. */
const MOST = 8;
const CAST = / as (?:unknown|never|readonly|number|string|[A-Z{[(])/g;
const isCode = (line: string): boolean => !/^\s*(?:\/\/|\/?\*|import |export \{)/.test(line);

test('beside the loops over numbers the core hardly casts', () => {
  const lines = sourcesUnder(join(root, 'src', 'core'))
    .filter((file: string) => !/\.(?:test|as)\.ts$/.test(file) && !kernels.includes(relative(root, file)))
    .flatMap((file: string) => readFileSync(file, 'utf8').split('\n'));
  const casts = lines.filter(isCode).flatMap((line: string) => line.match(CAST) ?? []);
  expect(casts.length).toBeGreaterThan(0);
  expect((1000 * casts.length) / lines.length).toBeLessThan(MOST);
});

test('every file that is let off is there', () => {
  expect(kernels.filter((file) => !/[*]/.test(file) && !existsSync(join(root, file)))).toEqual([]);
});
