// npx tsx scripts/makeKernels.ts: compiles each kernel's .as.ts anew into the Wasm.ts beside it.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { compileKernel, KERNELS } from './kernelSource';

for (const kernel of KERNELS) {
  const to = `${kernel.file}Wasm.ts`;
  const source = await compileKernel(kernel);
  writeFileSync(join(import.meta.dirname, '..', to), source);
  console.log(`${to}: ${source.length} characters`);
}
