import { readFile } from 'node:fs/promises';
import { expect, test } from 'vitest';
import { compileMixJoints } from './mixJointsSource';

test('the compiled joints are what their source compiles to', async () => {
  expect(await compileMixJoints()).toBe(
    await readFile('src/core/choose/search/pairs/mixJointsWasm.ts', 'utf8'),
  );
}, 30_000);
