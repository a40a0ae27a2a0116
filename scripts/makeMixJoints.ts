// npx tsx scripts/makeMixJoints.ts: compiles mixJoints.as.ts anew into mixJointsWasm.ts.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { compileMixJoints } from './mixJointsSource';

const to = 'src/core/choose/search/pairs/mixJointsWasm.ts';
const source = await compileMixJoints();
writeFileSync(join(import.meta.dirname, '..', to), source);
console.log(`${to}: ${source.length} characters`);
