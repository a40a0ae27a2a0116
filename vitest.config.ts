import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** Tests that put other modules in place of the real ones: each has a world of its own. */
const MOCKED = [
  'src/testing/madeUpKinds.test.ts',
  'src/workers/client.test.ts',
  'src/workers/picture.worker.test.ts',
  'src/workers/sitting.worker.test.ts',
];

export default defineConfig({
  test: {
    environment: 'node',
    // A property over whole panels takes seconds, and more where others use the machine.
    testTimeout: 60_000,
    // Left to itself the runner keeps one core of two for watching.
    maxWorkers: availableParallelism(),
    projects: [
      {
        extends: true,
        test: {
          name: 'shared',
          include: ['src/**/*.test.ts', 'cli/**/*.test.ts', 'server/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: MOCKED,
          // The core has no state: its modules, and the films it remembers, are loaded once for all of them.
          isolate: false,
        },
      },
      { extends: true, test: { name: 'mocked', include: MOCKED } },
    ],
  },
});
