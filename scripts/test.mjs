// npm test: lint, types, unit and property tests, browser tests; ends with one line "N passed, N failed".
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { CHROMIUM, installPackages, root, run } from './prepare.mjs';

/** What the browser tests need is made ready beside the packages and the first checks. */
const beside = (task) => {
  const readying = spawn(process.execPath, [join(root, 'scripts', 'ready.mjs'), task], { stdio: 'inherit' });
  return new Promise((resolve) => readying.on('exit', resolve));
};
const installed = beside('installChromium');
installPackages();
const built = beside('build');

const bin = (name) => join(root, 'node_modules', '.bin', name);
const reports = join(root, '.cache', 'reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

const total = { passed: 0, failed: 0 };
/** What failed and why, told once more at the end: of a long output the end is what is kept. */
const faults = [];
const count = (passed, failed) => {
  total.passed += passed;
  total.failed += failed;
};
const heading = (text) => console.log(`\n== ${text}`);

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  heading(name);
  const ok = run(command, args) === 0;
  count(ok ? 1 : 0, ok ? 0 : 1);
  if (!ok) faults.push(name);
}

/** A test runner that writes a report; a run without one, or one that fails by itself, counts as a failure. */
function suite(name, command, args, env, read) {
  heading(name);
  const code = run(command, args, env);
  const report = join(reports, `${name}.json`);
  if (!existsSync(report)) {
    faults.push(`${name}: no report was written`);
    return count(0, 1);
  }
  const { passed, failed, told } = read(JSON.parse(readFileSync(report, 'utf8')));
  count(passed, Math.max(failed, code === 0 ? 0 : 1));
  faults.push(...told);
}

/** The failures of a unit report, each with its first words. */
const unitFaults = ({ testResults }) =>
  testResults.flatMap(({ name, message, assertionResults }) => [
    ...(message ? [`${name}\n${message}`] : []),
    ...assertionResults
      .filter(({ status }) => status !== 'passed')
      .map(({ fullName, status, failureMessages }) =>
        [`${fullName}: ${status}`, ...failureMessages].join('\n'),
      ),
  ]);

/** The failures of a browser report: the runner nests its suites. */
const browserFaults = ({ suites = [], specs = [], errors = [] }) => [
  ...errors.map(({ message }) => message),
  ...specs.flatMap(({ file, line, title, tests }) =>
    tests
      .flatMap(({ results }) => results)
      .filter(({ status }) => status !== 'passed')
      .map(({ status, errors }) =>
        [`${file}:${line} ${title}: ${status}`, ...errors.map(({ message }) => message)].join('\n'),
      ),
  ),
  ...suites.flatMap(browserFaults),
];

check('lint', bin('biome'), ['ci', '--log-level=warn', '.']);
check('types', process.execPath, [join(root, 'scripts', 'types.mjs')]);
check('nothing unused', bin('knip'), []);
suite(
  'unit',
  bin('vitest'),
  ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${join(reports, 'unit.json')}`],
  {},
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numTotalTests - report.numPassedTests,
    told: unitFaults(report),
  }),
);
if ((await installed) !== 0 || (await built) !== 0) count(0, 1);
else
  suite(
    'browser',
    bin('playwright'),
    ['test'],
    { CHROMIUM_PATH: CHROMIUM, PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json') },
    ({ stats, ...report }) => ({
      passed: stats.expected + stats.flaky,
      failed: stats.unexpected + stats.skipped,
      told: browserFaults(report),
    }),
  );

if (faults.length > 0) heading('what failed');
for (const fault of faults) console.log(stripVTControlCharacters(fault).split('\n').slice(0, 20).join('\n'));
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
