import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** A hunt for what a property finds once in thousands of cases: each is asked for as long as it is told, not so many times. */
export default defineConfig({
  test: {
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/propertyRuns.ts'],
    environment: 'node',
    testTimeout: 0,
    maxWorkers: availableParallelism(),
  },
});
