// npm run bench: measures what design budgets name, prints a table and writes bench/latest.json.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, CHROMIUM, installChromium, installPackages, root, run } from './prepare.mjs';

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
const rows = [];
for (const name of process.argv.slice(2).length > 0
  ? process.argv.slice(2)
  : ['core', 'learn', 'log', 'sitting', 'browser']) {
  console.log(`Measuring ${name} …`);
  const { measure } = await load(name);
  rows.push(...(await measure({ root, chromium: CHROMIUM })));
}
writeFileSync(join(root, 'bench', 'latest.json'), `${JSON.stringify(rows, null, 2)}\n`);
console.table(
  Object.fromEntries(
    rows.map(({ name, value, unit, budget, ok, peer, ratio }) => [
      name,
      {
        value: `${value} ${unit}`,
        budget: budget === null ? '' : `${budget} ${unit}`,
        ok,
        peer: peer ?? '',
        'peer / ours': ratio ?? '',
      },
    ]),
  ),
);
process.exit(rows.every(({ ok }) => ok) ? 0 : 1);
