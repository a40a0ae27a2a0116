import { execFileSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';

/** What a run of kills found. */
export interface Killed {
  readonly edits: number;
  readonly kills: number;
  /** What was told as saved and was not there afterwards. */
  readonly lost: readonly string[];
}

interface Wish {
  readonly baseURL: string;
  readonly kills: number;
  readonly editsEach: number;
  /** Told how far it is. */
  readonly tell?: (text: string) => void;
}

/** Longest a browser is let live after the last edit, ms. */
const LIVES = 500;

/**
 * Edits, and ends the browser in the midst of it by a signal that it cannot meet, again and again on one profile. After each
 * start the recipe has what was told as saved, or an edit made since, and everything else is as it was.
 */
export async function killAndLook({ baseURL, kills, editsEach, tell = () => {} }: Wish): Promise<Killed> {
  const profile = await mkdtemp(join(tmpdir(), 'kills-'));
  const lost: string[] = [];
  let edits = 0;
  let savedAs = 'Kiln-opening invitation, run 2';
  let since: string[] = [];
  try {
    for (let kill = 0; kill <= kills; kill++) {
      const context = await open(profile, baseURL);
      const page = context.pages()[0] ?? (await context.newPage());
      await page.goto('/bench/kiln-opening-2');
      await page.locator('main canvas[data-painted]').first().waitFor();
      const found = await page.getByLabel('Name of the recipe').inputValue();
      if (found !== savedAs && !since.includes(found))
        lost.push(`“${savedAs}” was saved, “${found}” was found`);
      const counts = await countsOf(page);
      if (counts !== '72 inks, 4 recipes') lost.push(`after kill ${kill}: ${counts}`);
      savedAs = found;
      since = [];
      if (kill === kills) {
        await context.close();
        break;
      }
      for (let i = 0; i < editsEach; i++) {
        const name = `Edit ${++edits}`;
        since.push(name);
        await rename(page, name);
        // Every other one is waited for: what is told as saved must be there.
        if (i % 2 === 0) {
          await page
            .getByRole('status')
            .filter({ hasText: /^Saved$/ })
            .first()
            .waitFor();
          savedAs = name;
          since = [];
        }
      }
      await page.waitForTimeout(Math.random() * LIVES);
      execFileSync('pkill', ['-9', '-f', profile]);
      await context.close().catch(() => {});
      tell(`${kill + 1} of ${kills} kills, ${edits} edits, ${lost.length} lost`);
    }
  } finally {
    await rm(profile, { recursive: true, force: true });
  }
  return { edits, kills, lost };
}

const open = (profile: string, baseURL: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
    baseURL,
    serviceWorkers: 'block',
  });

async function rename(page: Page, name: string): Promise<void> {
  const field = page.getByLabel('Name of the recipe');
  await field.fill(name);
  await field.press('Enter');
}

/** What is stored, in words. */
const countsOf = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('tint-ladder');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const reading = db.transaction(['inks', 'recipes']);
          const inks = reading.objectStore('inks').count();
          const recipes = reading.objectStore('recipes').count();
          reading.oncomplete = () => {
            db.close();
            resolve(`${inks.result} inks, ${recipes.result} recipes`);
          };
        };
      }),
  );
