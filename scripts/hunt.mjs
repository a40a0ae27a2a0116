// npm run hunt: every property is asked for many times as long as in a test run, each time anew, and what it finds is told.
//
//   npm run hunt                         ten seconds a property: a quarter of an hour on two cores
//   npm run hunt -- --seconds 40 sheet   forty, of the files whose path has "sheet"
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { sourcesUnder } from './imports.mjs';
import { root, run } from './prepare.mjs';

const { values, positionals } = parseArgs({
  options: { seconds: { type: 'string', default: '10' } },
  allowPositionals: true,
});
if (!(Number(values.seconds) > 0)) throw new Error('--seconds must be a number above 0');

const asking = sourcesUnder(join(root, 'src'))
  .filter((file) => file.endsWith('.test.ts') && readFileSync(file, 'utf8').includes('fc.assert'))
  .map((file) => relative(root, file))
  .filter((file) => positionals.length === 0 || positionals.some((part) => file.includes(part)));
if (asking.length === 0) throw new Error(`no property in a file named so: ${positionals.join(', ')}`);
process.exit(
  run(join(root, 'node_modules', '.bin', 'vitest'), ['run', '--config', 'vitest.hunt.config.ts', ...asking], {
    HUNT_SECONDS: values.seconds,
  }),
);
