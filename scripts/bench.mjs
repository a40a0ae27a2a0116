// npm run bench: measures what design budgets name, prints a table with what moved since the runs before, and writes
// bench/latest.json and the last ten runs, bench/runs.json.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { BROWSER } from './browser.mjs';
import { build, installChromium, installPackages, root, run } from './prepare.mjs';

installPackages();
installChromium();
build();
// The core is measured as it ships, bundled, not through a loader.
const bundled = run(join(root, 'node_modules', '.bin', 'vite'), [
  'build',
  '--config=bench/vite.config.ts',
  '--logLevel=warn',
]);
if (bundled !== 0) process.exit(bundled);

const load = (name) => import(pathToFileURL(join(root, '.cache', 'bench', `${name}.js`)).href);
if (process.argv[2] === 'growth') {
  await writeGrowth();
  process.exit(0);
}
const rows = [];
for (const name of process.argv.slice(2).length > 0
  ? process.argv.slice(2)
  : ['core', 'paper', 'learn', 'log', 'sitting', 'browser']) {
  console.log(`Measuring ${name} …`);
  const { measure } = await load(name);
  rows.push(...(await measure({ root, browser: BROWSER })));
}
writeFileSync(join(root, 'bench', 'latest.json'), `${JSON.stringify(rows, null, 2)}\n`);

const { compareWith, withRun } = await load('history');
const kept = join(root, 'bench', 'runs.json');
const runs = existsSync(kept) ? JSON.parse(readFileSync(kept, 'utf8')) : [];
const values = Object.fromEntries(rows.map(({ name, value }) => [name, value]));
writeFileSync(kept, `${JSON.stringify(withRun(runs, { at: new Date().toISOString(), values }), null, 1)}\n`);

const compared = rows.map((row) => ({ ...row, than: compareWith(runs, row.name, row.value) }));
console.table(
  Object.fromEntries(
    compared.map(({ name, value, unit, budget, ok, peer, ratio, than }) => [
      name,
      {
        value: `${value} ${unit}`,
        budget: budget === null ? '' : `${budget} ${unit}`,
        ok,
        usual: than ? `${than.usual} ± ${Number(than.spread.toPrecision(2))}` : '',
        moved: than?.moved ?? '',
        peer: peer ?? '',
        'peer / ours': ratio ?? '',
      },
    ]),
  ),
);
const moved = compared.filter(({ than }) => than?.moved);
console.log(
  moved.length > 0
    ? `Moved beyond their noise: ${moved.map(({ name, value, than }) => `${name} ${than?.moved}, ${value} for ${than?.usual}`).join('; ')}.`
    : 'No row moved beyond its noise, as far as five runs before tell.',
);
process.exit(rows.every(({ ok }) => ok) ? 0 : 1);

/** Measures how costs grow, and writes docs/performance.md with its charts. */
async function writeGrowth() {
  const { grow } = await load('growth');
  const { chartOf } = await load('charts');
  console.log('Measuring how costs grow …');
  const { machine, growths } = grow();
  const folder = join(root, 'docs', 'performance');
  mkdirSync(folder, { recursive: true });
  const told = growths.map((growth) => {
    writeFileSync(join(folder, `${growth.name}.svg`), chartOf(growth));
    return `## ${growth.title}\n\n![${growth.title}](performance/${growth.name}.svg)\n\n${growth.limit}\n`;
  });
  writeFileSync(
    join(root, 'docs', 'performance.md'),
    `# How the cost grows\n\nMade by \`npm run bench growth\`, medians on one core of a shared machine that does ${(machine.operations / 1e9).toFixed(1)} thousand million\nmultiplications and additions a second in this language at its best, and moves ${(machine.bytes / 1e9).toFixed(1)} GB of memory.\n\n${told.join('\n')}`,
  );
  console.log(`docs/performance.md: ${growths.length} charts.`);
}
