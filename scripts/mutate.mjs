// npm run mutate: small faults are put into the core one at a time, and its tests are to notice. Prints the score.
//
//   npm run mutate                  an eighth of it, drawn by chance: about a quarter of an hour on two cores
//   npm run mutate -- --part 1      all of it: a night's work
//   npm run mutate -- --seed 2      another eighth
//   npm run mutate -- --of sheet    one room of it
import { readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { sourcesUnder } from './imports.mjs';
import { root, run } from './prepare.mjs';

const ROOMS = ['engine', 'readings', 'sheet', 'advise', 'choose/search'];
/** Lines that are drawn, or left, together. */
const BLOCK = 8;

const { values } = parseArgs({
  options: {
    part: { type: 'string', default: '8' },
    seed: { type: 'string', default: '1' },
    of: { type: 'string', multiple: true, default: ROOMS },
  },
});
const part = Number(values.part);
if (!(Number.isInteger(part) && part >= 1))
  throw new Error('--part must be a whole number: one in so many blocks');

/** A number in 0…1 that hangs on the seed and a place alone. */
const drawn = (text) => {
  let h = 0x811c9dc5 ^ Number(values.seed);
  for (const letter of text) h = Math.imul(h ^ letter.charCodeAt(0), 0x01000193);
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b);
  return ((h ^ (h >>> 13)) >>> 0) / 2 ** 32;
};

const blocks = values.of
  .flatMap((room) => sourcesUnder(join(root, 'src', 'core', room)))
  .filter((file) => !/\.(test|as)\.ts$/.test(file))
  .flatMap((file) => {
    const name = relative(root, file);
    const lines = readFileSync(file, 'utf8').split('\n').length;
    return Array.from({ length: Math.ceil(lines / BLOCK) }, (_, i) => [name, i * BLOCK + 1])
      .filter(([, from]) => drawn(`${name}:${from}`) * part < 1)
      .map(([, from]) => `${name}:${from}-${Math.min(from + BLOCK - 1, lines)}`);
  });
console.log(`${blocks.length} blocks of ${BLOCK} lines, one in ${part}`);
process.exit(
  run(join(root, 'node_modules', '.bin', 'stryker'), ['run', '--mutate', blocks.join(',')], {
    PATH: `${dirname(process.execPath)}:${process.env.PATH}`,
  }),
);
