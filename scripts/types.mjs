// Checks types twice. tsconfig.json asks of every element of a list whether it is there; the numeric kernels, which walk
// arrays of numbers whose length they know, are held to tsconfig.kernels.json instead, which does not.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';

const tsc = (project) => {
  const { stdout, error } = spawnSync(
    join(root, 'node_modules', '.bin', 'tsc'),
    ['-p', project, '--pretty', 'false'],
    { cwd: root, encoding: 'utf8', maxBuffer: 1 << 26 },
  );
  if (error) throw error;
  // A fault's own further lines are indented.
  return stdout.split(/\n(?=\S)/).filter((fault) => fault.trim() !== '');
};

const kernels = new Set(JSON.parse(readFileSync(join(root, 'tsconfig.kernels.json'), 'utf8')).include);
const isKernels = (line) => kernels.has(line.replace(/\(.*$/s, ''));

const faults = [
  ...tsc('tsconfig.json').filter((line) => !isKernels(line)),
  ...tsc('tsconfig.kernels.json').filter(isKernels),
];
for (const fault of faults) console.log(fault);
process.exit(faults.length === 0 ? 0 : 1);
