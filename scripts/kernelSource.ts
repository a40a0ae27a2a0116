import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import asc from 'assemblyscript/asc';

/** What is written in AssemblyScript: a file without its endings, and the name its compiled self is exported by. */
export const KERNELS = [
  { file: 'src/core/choose/search/pairs/mixJoints', name: 'MIX_JOINTS_WASM' },
  { file: 'src/core/picture/rows', name: 'ROWS_WASM' },
] as const;

/** The text of the file that has a kernel compiled, as the source beside it compiles. */
export async function compileKernel({ file, name }: (typeof KERNELS)[number]): Promise<string> {
  const own = basename(file);
  const source = await readFile(join(import.meta.dirname, '..', `${file}.as.ts`), 'utf8');
  const { error, stderr, binary } = await asc.compileString(
    { [`${own}.ts`]: source },
    {
      optimizeLevel: 3,
      shrinkLevel: 0,
      runtime: 'stub',
      noAssert: true,
      importMemory: true,
      enable: ['simd'],
    },
  );
  if (error || !binary) throw new Error(`${own}.as.ts does not compile: ${stderr}`);
  const base64 = Buffer.from(binary).toString('base64');
  return `/** ${own}.as.ts compiled, as scripts/makeKernels.ts writes it. */\nexport const ${name} =\n  '${base64}';\n`;
}
