import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';

const pairs = join(import.meta.dirname, '../src/core/choose/search/pairs');

/** The text of mixJointsWasm.ts, as the source beside it compiles. */
export async function compileMixJoints(): Promise<string> {
  const { error, stderr, binary } = await asc.compileString(
    { 'mixJoints.ts': await readFile(join(pairs, 'mixJoints.as.ts'), 'utf8') },
    {
      optimizeLevel: 3,
      shrinkLevel: 0,
      runtime: 'stub',
      noAssert: true,
      importMemory: true,
      enable: ['simd'],
    },
  );
  if (error || !binary) throw new Error(`mixJoints.as.ts does not compile: ${stderr}`);
  const base64 = Buffer.from(binary).toString('base64');
  return `/** mixJoints.as.ts compiled, as scripts/makeMixJoints.ts writes it. */\nexport const MIX_JOINTS_WASM =\n  '${base64}';\n`;
}
