// What scripts/mutate.mjs runs with.
export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutate.config.ts' },
  // There is none of this name: the compiler in use has no programming interface to rewrite one with.
  tsconfigFile: 'none.json',
  plugins: ['@stryker-mutator/vitest-runner'],
  // A fault in what is worked out once, as a file is loaded, would need a run of its own for every test.
  ignoreStatic: true,
  coverageAnalysis: 'perTest',
  tempDirName: '.cache/mutate/sandbox',
  // What is built, and may be built anew meanwhile, is not tested here.
  ignorePatterns: ['dist'],
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: '.cache/mutate/report.json' },
  clearTextReporter: { reportTests: false, allowColor: false },
  concurrency: 2,
  timeoutMS: 10_000,
  // All tests once, on a machine that has others to serve.
  dryRunTimeoutMinutes: 20,
  thresholds: { high: 90, low: 80, break: 80 },
};
