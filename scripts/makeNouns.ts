// npx tsx scripts/makeNouns.ts: works out src/workers/nouns.bin anew, where names or their distances have changed.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deflateRawSync } from 'node:zlib';
import { namesOfLattice } from '../src/core/choose/search/pairs/nounLattice';

const names = namesOfLattice();
const packed = deflateRawSync(new Uint8Array(names.buffer), { level: 9 });
writeFileSync(join(import.meta.dirname, '../src/workers/nouns.bin'), packed);
console.log(
  `${names.filter((name) => name >= 0).length} of ${names.length} points named, ${packed.length} bytes`,
);
