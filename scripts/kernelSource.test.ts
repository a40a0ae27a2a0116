import { readFile } from 'node:fs/promises';
import { expect, test } from 'vitest';
import { compileKernel, KERNELS } from './kernelSource';

test.each(KERNELS)(
  '$file, compiled, is what its source compiles to',
  async (kernel) => {
    expect(await compileKernel(kernel)).toBe(await readFile(`${kernel.file}Wasm.ts`, 'utf8'));
  },
  30_000,
);
