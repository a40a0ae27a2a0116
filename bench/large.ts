import type { Page } from '@playwright/test';
import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { addPlacement } from '../src/core/recipe/editPasses';
import { demoRecipe } from './core';
import { eightPasses } from './eightPasses';
import { standardInks } from './inks';
import { quantile, type Row, row } from './row';

/** What a large shelf holds. */
const LARGE = { inks: 1000, recipes: 1000, designs: 200 } as const;
/** Changes of view that the heap is watched over, after those that fill what is kept. */
const VIEWS = 300;
const WARM = 36;
/** A recipe of it in the list. */
const LISTED = 'main ul a[href^="/bench/"][href$="-large"]';
const ROUND = ['Bench', 'Inks', 'Designs', 'Recipes', 'Choose', 'Cards'] as const;
/** After so long, ms, what a view that was left had under way is done, and what it read is let go. */
const REST = 4000;

/** Fresh profiles that the views are opened in: of their longest tasks the median is told, as of all that is measured. */
const PROFILES = 5;

/** A large shelf: how fast the bench opens again, the recipes open and are searched, and whether the heap stays. */
export async function largeShelf(newPage: () => Promise<Page>): Promise<Row[]> {
  const again: number[] = [];
  const lists: number[] = [];
  const found: number[] = [];
  const longest: number[] = [];
  let heap = 0;
  for (let profile = 1; profile <= PROFILES; profile++) {
    const page = await newPage();
    await fill(page);
    await page.goto('/bench');
    await page.locator('main canvas[data-painted]').first().waitFor();
    await page.evaluate(watchTasks);
    for (let i = 0; i < 5; i++) {
      await open(page, 'Inks', 'main [role=row], main table');
      again.push(await open(page, 'Bench', 'main canvas[data-painted]'));
    }
    for (let i = 0; i < 5; i++) {
      lists.push(await open(page, 'Recipes', LISTED));
      found.push(await page.evaluate(clockFilter, [`Evening ${i + 111}`, LISTED] as const));
      await open(page, 'Inks', 'main [role=row], main table');
    }
    longest.push(await page.evaluate(() => Math.max(0, ...((window as { tasks?: number[] }).tasks ?? []))));
    if (profile === PROFILES) heap = await heapGrowth(page);
    await page.context().close();
  }
  return [
    row('bench-1000-inks', quantile(again, 0.5), 'ms', 300),
    row('recipes-1000', quantile(lists, 0.5), 'ms', 300),
    row('recipes-1000-find', quantile(found, 0.5), 'ms', 100),
    row('large-longest-task', quantile(longest, 0.5), 'ms', 100),
    row('heap-300-views', heap, 'MB', 3),
  ];
}

/** From a press on a view's name to what it shows, ms. */
async function open(page: Page, view: string, shows: string): Promise<number> {
  return page.evaluate(
    async ([name, selector]) => {
      const link = [...document.querySelectorAll<HTMLAnchorElement>('header nav a')].find(
        (one) => one.textContent === name,
      );
      const begun = performance.now();
      link?.click();
      while (!document.querySelector(selector)) await new Promise(requestAnimationFrame);
      return performance.now() - begun;
    },
    [view, shows] as const,
  );
}

/** Runs in the page: from typing what is looked for to the list that holds it alone, ms. */
async function clockFilter([text, listed]: readonly [text: string, listed: string]): Promise<number> {
  const field = document.querySelector<HTMLInputElement>('main input[type=search]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  if (!field || !set) throw new Error('there is nothing to search with');
  const begun = performance.now();
  set.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  while (document.querySelectorAll(listed).length !== 1) await new Promise(requestAnimationFrame);
  return performance.now() - begun;
}

/** Runs in the page: notes how long its long tasks are, ms. */
function watchTasks(): void {
  const told = window as { tasks?: number[] };
  told.tasks = [];
  new PerformanceObserver((list) => {
    told.tasks?.push(...list.getEntries().map(({ duration }) => duration));
  }).observe({ entryTypes: ['longtask'] });
}

/**
 * How much larger the heap is after many changes of view than when all have been seen, MB. Read where no list is open: a
 * thousand recipes that are just being shown weigh 4 MB.
 */
async function heapGrowth(page: Page): Promise<number> {
  const devtools = await page.context().newCDPSession(page);
  const change = async (times: number): Promise<void> => {
    for (let i = 0; i < times; i++) {
      const name = ROUND[i % ROUND.length] as string;
      await page.getByRole('link', { name, exact: true }).first().click();
      await page.locator('main h1, main [aria-label="Name of the recipe"]').first().waitFor();
    }
    await page.waitForTimeout(REST);
  };
  const used = async (): Promise<number> => {
    await devtools.send('HeapProfiler.collectGarbage');
    return (await devtools.send('Runtime.getHeapUsage')).usedSize / 1e6;
  };
  await change(WARM);
  const before = await used();
  await change(VIEWS);
  return (await used()) - before;
}

/** Puts the large shelf in place of the demo's. */
export async function fill(page: Page): Promise<void> {
  await page.goto('/recipes');
  await page.getByRole('button', { name: 'New recipe' }).waitFor();
  const laid = eightPasses(demoRecipe());
  const recipe = addPlacement(addPlacement(laid.recipe, 'edgeStencil-1'), 'edgeStencil-1');
  const designs = OWN_DESIGNS.slice(0, 1).flatMap((design) =>
    Array.from({ length: LARGE.designs }, (_, i) => ({ ...design, id: `large-${i}`, name: `Design ${i}` })),
  );
  const given = {
    // They begin as differently as the ids of a maker's own recipes do.
    ids: Array.from(
      { length: LARGE.recipes },
      (_, i) => `${(Math.imul(i + 1, 0x9e3779b1) >>> 0).toString(16).padStart(8, '0')}-large`,
    ),
    inks: standardInks().slice(0, LARGE.inks),
    laid: laid.inks,
    passInks: laid.passInks,
    designs,
    recipe,
  };
  await page.evaluate(async (all) => {
    await new Promise<void>((resolve, reject) => {
      const opening = indexedDB.open('tint-ladder');
      opening.onerror = () => reject(opening.error);
      opening.onsuccess = () => {
        const db = opening.result;
        const writing = db.transaction(['inks', 'recipes', 'designs'], 'readwrite');
        for (const ink of [...all.inks, ...all.laid, ...all.passInks]) writing.objectStore('inks').put(ink);
        for (const design of all.designs) writing.objectStore('designs').put(design);
        for (const [i, id] of all.ids.entries())
          writing.objectStore('recipes').put({
            id,
            recipe: { ...all.recipe, id, name: `Evening ${i}` },
            updatedAt: Date.now() - i * 60_000,
            createdAt: Date.now() - i * 60_000,
            revision: 1,
          });
        writing.onerror = () => reject(writing.error);
        writing.oncomplete = () => {
          db.close();
          resolve();
        };
      };
    });
  }, given);
}
