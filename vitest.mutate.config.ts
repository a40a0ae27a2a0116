import { defineConfig } from 'vitest/config';

/**
 * The tests that faults put into the core are to be noticed by: the core's own, and what whole recipes become. Properties
 * are tried on few cases, and what paints many panels in full is left out: every fault is tried against all of it.
 */
export default defineConfig({
  test: {
    include: ['src/core/**/*.test.ts', 'src/testing/{golden,goldenChoices,tradeFacts,otherMixers}.test.ts'],
    exclude: ['src/core/readings/solidBands.test.ts', 'src/core/materials/**', 'src/core/files/**'],
    setupFiles: ['src/testing/propertyRuns.ts'],
    environment: 'node',
    testTimeout: 120_000,
  },
});
