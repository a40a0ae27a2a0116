// node scripts/screenshots.mjs: takes docs/screenshots/ anew from the demo data.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { BROWSER } from './browser.mjs';
import { build, root } from './prepare.mjs';

const PORT = '5273';
const SHOTS = [
  { name: 'bench', path: '/bench/kiln-opening-2', width: 1280, height: 800 },
  {
    name: 'passes',
    path: '/bench/running-glaze',
    width: 1280,
    height: 800,
    press: 'Over the blend, 4',
    unfold: 'Clear resist',
  },
  { name: 'designs', path: '/designs', width: 1280, height: 800, ready: 'main li svg' },
  { name: 'sheet', path: '/sheet/kiln-mouth', width: 1280, height: 800 },
  { name: 'desk', path: '/desk/kiln-opening-2', width: 1280, height: 800, keys: ['PageDown', 'PageDown'] },
  { name: 'trios', path: '/choose', width: 1280, height: 800 },
  {
    name: 'match',
    path: '/choose',
    width: 1280,
    height: 800,
    press: 'From a picture',
    ready: 'button[aria-label^="Marker 1"]',
  },
  { name: 'shelf', path: '/inks', width: 1280, height: 800, ready: '[role=searchbox], input[type=search]' },
  { name: 'cards', path: '/cards', width: 1280, height: 800, press: 'One recipe on all cards' },
  { name: 'cutting', path: '/cards', width: 1280, height: 800, press: 'Cut a batch', ready: 'article svg' },
  { name: 'seen', path: '/bench/kiln-opening-2', width: 1280, height: 800, press: 'Will it be seen?' },
  { name: 'recipes', path: '/recipes', width: 1280, height: 800, ready: 'main [data-painted]' },
  {
    name: 'sitting',
    path: '/sittings/invitations-1',
    width: 1280,
    height: 800,
    ready: 'section[aria-label="To lay out"]',
  },
  {
    name: 'practice',
    path: '/practice',
    width: 1280,
    height: 800,
    // Which panel is asked about is drawn anew each time; what is asked of it is not.
    only: 'What went wrong here',
    press: 'Begin',
    ready: 'section[aria-label="Question"]',
  },
  { name: 'log', path: '/log', width: 1280, height: 800, ready: 'main li img', demoLog: true },
  {
    name: 'log-panel',
    path: '/log/demo-panel-25',
    width: 1280,
    height: 800,
    ready: 'figure img',
    demoLog: true,
  },
  {
    name: 'trouble',
    path: '/log/demo-panel-27',
    width: 1280,
    height: 800,
    ready: 'figure img',
    press: 'Find the cause by what is seen',
    pressAlso: 'a disc of colour in the blend',
    demoLog: true,
  },
  { name: 'bench-narrow', path: '/bench/kiln-mouth', width: 390, height: 844 },
];

build();
const server = spawn(join(root, 'node_modules', '.bin', 'tsx'), ['server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT },
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch(BROWSER);
const wanted = process.argv.slice(2);
for (const shot of SHOTS.filter(({ name }) => wanted.length === 0 || wanted.includes(name))) {
  const { name, path, width, height, press, unfold, keys = [], ready = 'canvas[data-painted]' } = shot;
  const page = await (
    await browser.newContext({ viewport: { width, height }, serviceWorkers: 'block' })
  ).newPage();
  if (shot.demoLog) {
    await page.goto(`http://127.0.0.1:${PORT}/log`);
    await page.getByRole('button', { name: 'Look at the demo’s log' }).click();
    // Told once it has been learned from, too.
    await page.getByText('The demo’s log is here').first().waitFor();
  }
  await page.goto(`http://127.0.0.1:${PORT}${path}`);
  if (shot.only) {
    await page.getByLabel(shot.only).waitFor();
    for (const box of await page.getByRole('checkbox').all()) await box.uncheck();
    await page.getByLabel(shot.only).check();
  }
  if (press) await page.getByText(press).click();
  if (unfold) await page.getByRole('button', { name: new RegExp(`^${unfold}`) }).click();
  await page.waitForSelector(ready);
  for (const key of keys) await page.keyboard.press(key);
  if (shot.pressAlso)
    await page.getByRole('dialog').getByRole('button', { name: shot.pressAlso }).click({ timeout: 20_000 });
  await page.waitForTimeout(unfold || name === 'designs' ? 4000 : 2500);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
}
await browser.close();
server.kill();
