import { spawn } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { type Browser, chromium, type LaunchOptions, type Page } from '@playwright/test';
import sharp from 'sharp';
import { choose, chooseRun, runWord } from '../e2e/bench';
import { addPass } from '../e2e/passes';
import { replaceShelf } from '../e2e/shelves';
import { drawReference, REFERENCES } from '../src/core/choose/match/references';
import { writeRecipeFile } from '../src/core/files/recipeFile';
import type { Ink } from '../src/core/materials/ink/ink';
import { demoRecipe } from './core';
import { eightPasses } from './eightPasses';
import { standardInks } from './inks';
import { largeShelf } from './large';
import { quantile, type Row, row } from './row';

const PORT = 5272;
const STEPS = 120;
/** How long a bench is looked at before trios are looked for, ms. */
const LOOKED_AT = 10_000;
const baseURL = `http://127.0.0.1:${PORT}`;

/** Figures of the built application in a browser, served by its own server. */
export async function measure({
  root,
  browser: launch,
}: {
  root: string;
  browser: LaunchOptions;
}): Promise<Row[]> {
  const server = spawn(join(root, 'node_modules', '.bin', 'tsx'), ['server/main.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT) },
  });
  try {
    await new Promise<void>((resolve) => server.stdout.once('data', () => resolve()));
    const browser = await chromium.launch(launch);
    try {
      const colds: number[] = [];
      const inPage: number[] = [];
      for (let i = 0; i < 9; i++) {
        const page = await (await browser.newContext({ serviceWorkers: 'block', baseURL })).newPage();
        await page.addInitScript(notePainted);
        colds.push(await firstView(page));
        inPage.push(await page.evaluate(() => Number(document.documentElement.dataset.paintedAfter)));
        await page.close();
      }
      // A window in which the preview has about 400 × 520 device pixels.
      const page = await browser.newPage({ baseURL, viewport: { width: 1440, height: 880 } });
      await firstView(page);
      // The rest of the bench loads once the panel is there; a hand that comes over it is slower than that.
      await page.getByRole('list', { name: 'Steps' }).waitFor();
      await page.locator('main canvas').first().hover();
      await page.waitForTimeout(1000);
      const drag = await page.evaluate(stepControl, { selector: '[role=slider]', steps: STEPS });
      return [
        row('first-view', quantile(colds, 0.5), 'ms', 800),
        // Of that, what passes from the beginning of the navigation on; the rest is the browser starting a page.
        row('first-view-in-page', quantile(inPage, 0.5), 'ms', null),
        row('first-script', firstScriptKilobytes(root), 'kB', 140),
        row('preview-median', quantile(drag.latencies, 0.5), 'ms', 12),
        row('preview-p95', quantile(drag.latencies, 0.95), 'ms', 22),
        row('preview-longest-task', drag.longestTask, 'ms', 50),
        row('preview-pixels', drag.pixels, 'px', null),
        row('drag-longtask', await longestTaskOfDrag(page), 'ms', 50),
        ...(await previews(page)),
        ...(await previewOfPasses(page)),
        ...(await fineScreen(browser)),
        row('match-12mp', quantile(await matches(page), 0.5), 'ms', 1500),
        ...(await searches(page)),
        ...(await largeShelf(() => browser.newPage({ baseURL, viewport: { width: 1280, height: 800 } }))),
      ];
    } finally {
      await browser.close();
    }
  } finally {
    server.kill();
  }
}

/** From asking for the page to the first painted panel, in ms, with an empty cache. */
async function firstView(page: Page): Promise<number> {
  const begun = performance.now();
  await page.goto('/');
  await page.waitForSelector('canvas[data-painted]');
  return performance.now() - begun;
}

/** In the page: notes how long after the navigation began the first panel was painted, ms. */
function notePainted(): void {
  const watch = new MutationObserver(() => {
    if (!document.querySelector('canvas[data-painted]')) return;
    document.documentElement.dataset.paintedAfter = String(performance.now());
    watch.disconnect();
  });
  watch.observe(document, { subtree: true, childList: true, attributes: true });
}

/** What is moved on each run, and what lies over it. */
const PREVIEWED = [
  { name: 'straight', run: 'Straight', moves: '[role=slider]' },
  { name: 'slant', run: 'Slant', moves: '[role=slider]' },
  { name: 'glow', run: 'Glow', moves: '[role=slider]' },
  { name: 'corners', run: 'Corners', moves: 'button[aria-label*=" corner:"]' },
  { name: 'scatter', run: 'Scatter', moves: 'input[aria-label="Scatter: Joints, mm"]' },
  { name: 'edge', run: 'Straight', over: 'Edge', moves: 'button[aria-label^="Edge:"]' },
  { name: 'horizon', run: 'Straight', over: 'Horizon', moves: 'button[aria-label^="Horizon:"]' },
  { name: 'coat', run: 'Straight', over: 'Top coat', moves: '[role=slider]' },
  {
    name: 'stencil',
    run: 'Straight',
    over: 'Pattern stencil',
    moves: 'button[aria-label^="Pattern stencil:"]',
  },
  { name: 'resist', run: 'Straight', over: 'Clear resist', moves: 'button[aria-label^="Clear resist:"]' },
] as const;

/** How soon the picture follows on every run, three inks. */
async function previews(page: Page): Promise<Row[]> {
  const rows: Row[] = [];
  for (const { name, run, moves, ...more } of PREVIEWED) {
    await chooseRun(page, run);
    // The numbers of a run stand behind its word.
    if (moves.startsWith('input')) await runWord(page).click();
    if ('over' in more) {
      await addPass(page, more.over);
    }
    await page.waitForSelector(moves);
    await page.waitForTimeout(600);
    const { latencies } = await page.evaluate(stepControl, { selector: moves, steps: STEPS });
    rows.push(
      row(`preview-${name}`, quantile(latencies, 0.5), 'ms', 12),
      row(`preview-${name}-p95`, quantile(latencies, 0.95), 'ms', 22),
    );
    if (moves.startsWith('input')) await page.keyboard.press('Escape');
    if ('over' in more) await page.getByRole('button', { name: `Take ${more.over} off` }).click();
  }
  return rows;
}

/** How soon the picture follows a mark with eight passes over the blend. */
async function previewOfPasses(page: Page): Promise<Row[]> {
  const back = page.url();
  await page.goto('/recipes');
  await page.getByLabel('Recipe file to import').setInputFiles({
    name: 'passes.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeRecipeFile(eightPasses(demoRecipe()))),
  });
  const mark = '[role=slider]';
  await page.waitForURL(/bench/);
  await page.waitForSelector(mark);
  // Both painters have measured the designs by then.
  await page.waitForTimeout(4000);
  await page.evaluate(stepControl, { selector: mark, steps: 40 });
  await page.waitForTimeout(1500);
  const { latencies } = await page.evaluate(stepControl, { selector: mark, steps: STEPS });
  await page.goto(back);
  return [
    row('preview-passes', quantile(latencies, 0.95), 'ms', 50),
    row('preview-passes-median', quantile(latencies, 0.5), 'ms', null),
  ];
}

/**
 * How long the panel stands still while a design is moved at each frame of a screen of two pixels to one, ms: each picture is
 * overtaken by newer changes while it is painted.
 */
async function fineScreen(browser: Browser): Promise<Row[]> {
  const page = await browser.newPage({
    baseURL,
    viewport: { width: 1440, height: 880 },
    deviceScaleFactor: 2,
  });
  await firstView(page);
  await addPass(page, 'Pattern stencil');
  const selector = 'button[aria-label^="Pattern stencil:"]';
  await page.waitForSelector(selector);
  await page.waitForTimeout(1500);
  const gaps = await page.evaluate(gapsOfDrag, { selector, drags: 3 });
  await page.close();
  return [
    row('drag-fine-stencil', quantile(gaps, 0.5), 'ms', null),
    row('drag-fine-stencil-p95', quantile(gaps, 0.95), 'ms', null),
  ];
}

/** Runs in the page: moves a control at each frame for two seconds, some times over, and times from picture to picture. */
async function gapsOfDrag({ selector, drags }: { selector: string; drags: number }) {
  const canvas = document.querySelector('canvas');
  const grip = document.querySelector(selector);
  if (!canvas || !grip) throw new Error('the bench is not there');
  const gaps: number[] = [];
  for (let drag = 0; drag < drags; drag++) {
    const begun = performance.now();
    let last = begun;
    const note = () => {
      const now = performance.now();
      gaps.push(now - last);
      last = now;
    };
    const watch = new MutationObserver(note);
    watch.observe(canvas, { attributeFilter: ['data-painted'] });
    for (let i = 0; performance.now() - begun < 2000; i++) {
      const key = i % 40 < 20 ? 'ArrowDown' : 'ArrowUp';
      grip.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await new Promise(requestAnimationFrame);
    }
    watch.disconnect();
    note();
    await new Promise((resolve) => setTimeout(resolve, 1000));
  }
  return gaps;
}

/** The longest task on the page while a mark is dragged by the mouse for two seconds, ms. */
async function longestTaskOfDrag(page: Page): Promise<number> {
  const grip = await page.locator('[role=slider]').first().boundingBox();
  if (!grip) throw new Error('no mark is on the screen');
  await page.evaluate(() => {
    const told = window as { longest?: number };
    told.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) told.longest = Math.max(told.longest ?? 0, duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const [x, y] = [grip.x + grip.width - 4, grip.y + grip.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const begun = performance.now();
  for (let i = 0; performance.now() - begun < 2000; i++) await page.mouse.move(x, y + 30 * Math.sin(i / 12));
  await page.mouse.up();
  return page.evaluate(() => (window as { longest?: number }).longest ?? 0);
}

/** From choosing a picture of 12 megapixels to markers on its main colours, each time another picture. */
async function matches(page: Page): Promise<number[]> {
  await page.goto('/choose');
  await page.getByText('From a picture').click();
  await page.locator('button[aria-label^="Marker 1"]').waitFor();
  const times: number[] = [];
  for (const [i, reference] of REFERENCES.slice(0, 5).entries()) {
    const { width, height, data } = drawReference(reference, 1000, 750);
    const name = `photo-${i}.jpg`;
    const buffer = await sharp(Buffer.from(data), { raw: { width, height, channels: 4 } })
      .resize(4000, 3000)
      .jpeg({ quality: 90 })
      .toBuffer();
    await page.evaluate(clockMarkers, name);
    await page.getByLabel('Picture file').setInputFiles({ name, mimeType: 'image/jpeg', buffer });
    const took = await page.waitForFunction(() => (window as { took?: number }).took, null, { polling: 20 });
    times.push(Number(await took.jsonValue()));
  }
  return times;
}

/** Runs in the page: clocks from a file being chosen to its markers. */
function clockMarkers(name: string) {
  const told = window as { took?: number };
  delete told.took;
  document.addEventListener(
    'change',
    () => {
      const begun = performance.now();
      const look = () => {
        const shown = document.querySelector(`canvas[aria-label="${name}"]`);
        if (shown && document.querySelector('button[aria-label^="Marker 1"]'))
          told.took = performance.now() - begun;
        else setTimeout(look, 4);
      };
      look();
    },
    { capture: true, once: true },
  );
}

/** Whole searches as a maker gets them, every joint judged, by the workers of the page. */
async function searches(page: Page): Promise<Row[]> {
  const standard = standardInks();
  const some = standard.filter((_, i) => i % 4 === 0).slice(0, 240);
  const browser = page.context().browser() as Browser;
  const colds = await firstSearches(browser, some);
  await searchAll(page, some);
  const times: number[] = [];
  for (const card of ['kraft', 'smooth cream', 'mist grey', 'linen', 'smooth white'])
    times.push(await searchOnCard(page, card));
  const ahead = await searchFromBench(browser, some);
  await replaceShelf(page, standard);
  await page.goto('/choose');
  const stopping = await page.evaluate(clockStop);
  const large = await searchAll(page, standard);
  await page.goto('/inks');
  await page.getByText(`${standard.length} of ${standard.length}`).waitFor();
  const frames = await page.evaluate(scrollList);
  return [
    row('scroll-1117-median', quantile(frames, 0.5), 'ms', 1000 / 60 + 0.2),
    row('scroll-1117-p95', quantile(frames, 0.95), 'ms', null),
    row('search-240', quantile(times, 0.5), 'ms', 200),
    row('search-240-first', quantile(colds, 0.5), 'ms', 700),
    row('search-240-ahead', ahead, 'ms', 700),
    row('search-1117', large, 'ms', 6000),
    row('search-cancel', stopping, 'ms', 60),
  ];
}

async function searchAll(page: Page, inks: readonly Ink[]): Promise<number> {
  await replaceShelf(page, inks);
  await page.goto('/choose');
  const told = page.locator('[data-took]');
  await told.waitFor({ timeout: 180_000 });
  return Number(await told.getAttribute('data-took'));
}

/** The first search of each of five fresh profiles. */
async function firstSearches(browser: Browser, inks: readonly Ink[]): Promise<number[]> {
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    const context = await browser.newContext({ serviceWorkers: 'block', baseURL });
    times.push(await searchAll(await context.newPage(), inks));
    await context.close();
  }
  return times;
}

/** The first search of a maker who has looked at the bench for a while: the shelf has been made ready meanwhile. */
async function searchFromBench(browser: Browser, inks: readonly Ink[]): Promise<number> {
  const page = await browser.newPage({ baseURL, viewport: { width: 1280, height: 800 } });
  await replaceShelf(page, inks, 'with the demo’s recipes');
  await page.goto('/bench');
  await page.locator('main canvas[data-painted]').first().waitFor();
  await page.waitForTimeout(LOOKED_AT);
  await page.getByRole('link', { name: 'Choose' }).click();
  const told = page.locator('[data-took]');
  await told.waitFor({ timeout: 60_000 });
  const took = Number(await told.getAttribute('data-took'));
  await page.close();
  return took;
}

/** Another card asks for every joint anew; the workers are warm by then. */
async function searchOnCard(page: Page, card: string): Promise<number> {
  const told = page.locator('[data-took]');
  const before = await told.getAttribute('data-took');
  await choose(page, 'Card', card);
  await page.waitForFunction(
    (old) => document.querySelector('[data-took]')?.getAttribute('data-took') !== old,
    before,
    { timeout: 60_000 },
  );
  return Number(await told.getAttribute('data-took'));
}

/** Runs in the page: scrolls the list of inks for two seconds and times its frames. */
async function scrollList() {
  const list = document.querySelector('table[aria-label="Inks"]')?.parentElement;
  if (!list) throw new Error('the shelf is not there');
  const frames: number[] = [];
  let last = await new Promise<number>(requestAnimationFrame);
  for (let i = 0; i < 120; i++) {
    list.scrollTop += 60;
    const now = await new Promise<number>(requestAnimationFrame);
    frames.push(now - last);
    last = now;
  }
  return frames;
}

/** Runs in the page: waits until a search is well under way, presses Stop, and times until it says so. */
async function clockStop(): Promise<number> {
  const until = async (ready: () => boolean) => {
    while (!ready()) await new Promise((resolve) => setTimeout(resolve, 2));
  };
  const stop = () =>
    [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Stop');
  await until(() => stop() !== undefined);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const begun = performance.now();
  stop()?.click();
  await until(() => document.querySelector('[role=status]')?.textContent?.startsWith('Stopped') ?? false);
  return performance.now() - begun;
}

/** Runs in the page: moves a control of the bench step by step and times each step until its picture is on the screen. */
async function stepControl({ selector, steps }: { selector: string; steps: number }) {
  const tasks: number[] = [0];
  new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe(
    {
      entryTypes: ['longtask'],
    },
  );
  const canvas = document.querySelector('canvas');
  const grip = document.querySelector(selector);
  if (!canvas || !grip) throw new Error('the bench is not there');
  const latencies: number[] = [];
  for (let i = 0; i < steps; i++) {
    const painted = new Promise<void>((resolve) => {
      const observer = new MutationObserver(() => {
        observer.disconnect();
        resolve();
      });
      observer.observe(canvas, { attributes: true, attributeFilter: ['data-painted'] });
    });
    const begun = performance.now();
    const key = i % 40 < 20 ? 'ArrowDown' : 'ArrowUp';
    grip.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await painted;
    latencies.push(performance.now() - begun);
    await new Promise(requestAnimationFrame);
  }
  return {
    latencies: latencies.slice(10),
    longestTask: Math.max(...tasks),
    pixels: canvas.width * canvas.height,
  };
}

/** What the page loads before it can show anything, as the server sends it. */
function firstScriptKilobytes(root: string): number {
  const page = readFileSync(join(root, 'dist', 'index.html'), 'utf8');
  const assets = join(root, 'dist', 'assets');
  return readdirSync(assets)
    .filter((name) => name.endsWith('.js') && page.includes(name))
    .reduce((sum, name) => sum + statSync(join(assets, `${name}.br`)).size / 1000, 0);
}
