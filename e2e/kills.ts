import { execFileSync } from 'node:child_process';
import { openAsBlob } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { BROWSER } from '../scripts/browser.mjs';
import { readBackup } from '../src/core/files/backup';
import type { RecipeRecord } from '../src/data/records';

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
  let inks = new Set([72]);
  let backup: { readonly file: string; readonly name: string } | undefined;
  try {
    for (let kill = 0; kill <= kills; kill++) {
      const context = await openProfile(profile, baseURL);
      const page = context.pages()[0] ?? (await context.newPage());
      await page.goto('/bench/kiln-opening-2');
      await page.locator('main canvas[data-painted]').first().waitFor();
      const found = await page.getByLabel('Name of the recipe').inputValue();
      if (found !== savedAs && !since.includes(found))
        lost.push(`“${savedAs}” was saved, “${found}” was found`);
      const counts = await countsOf(page);
      if (counts.recipes !== 4 || !inks.has(counts.inks))
        lost.push(`after kill ${kill}: ${counts.recipes} recipes, ${counts.inks} inks`);
      inks = new Set([counts.inks]);
      savedAs = found;
      since = [];
      if (kill % BACKUP_EVERY === 1) {
        const file = join(profile, `backup-${kill}.zip`);
        await saveBackup(page, file);
        backup = { file, name: found };
      }
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
      if (kill % IMPORT_EVERY === 2) {
        inks.add(counts.inks + IMPORTED);
        await startImport(page, kill);
      }
      await page.waitForTimeout(Math.random() * LIVES);
      execFileSync('pkill', ['-9', '-f', profile]);
      await context.close().catch(() => {});
      if (backup) {
        const held = (await readBackup(await openAsBlob(backup.file))).workshop.recipes;
        if (!held.some((row) => (row as unknown as RecipeRecord).recipe.name === backup?.name))
          lost.push(`the backup of “${backup.name}” holds it no more`);
      }
      tell(`${kill + 1} of ${kills} kills, ${edits} edits, ${lost.length} lost`);
    }
  } finally {
    await rm(profile, { recursive: true, force: true });
  }
  return { edits, kills, lost };
}

export const openProfile = (profile: string, baseURL: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    ...BROWSER,
    baseURL,
    serviceWorkers: 'block',
  });

async function rename(page: Page, name: string): Promise<void> {
  const field = page.getByLabel('Name of the recipe');
  // A page that is still opening can set the field while it is being filled.
  do await field.fill(name);
  while ((await field.inputValue()) !== name);
  await field.press('Enter');
}

/** A backup is written after one start in so many, an import begun before one kill in so many. */
const BACKUP_EVERY = 4;
const IMPORT_EVERY = 3;
/** Inks in an import. */
const IMPORTED = 2000;

async function saveBackup(page: Page, file: string): Promise<void> {
  await page.getByRole('button', { name: 'Desk settings' }).click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything as a file' }).click(),
  ]);
  await saved.saveAs(file);
  await page.keyboard.press('Escape');
}

/** Begins to keep a large table of inks, and does not wait for it. */
async function startImport(page: Page, round: number): Promise<void> {
  const rows = Array.from({ length: IMPORTED }, (_, i) => `Zed ${round} ${i},#123456`);
  await page.getByRole('link', { name: 'Inks' }).click();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByLabel('Table file').setInputFiles({
    name: 'zed.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['name,over_white', ...rows].join('\n')),
  });
  await page.getByRole('button', { name: /^Keep/ }).click();
}

/** How much is stored. */
const countsOf = (page: Page): Promise<{ inks: number; recipes: number }> =>
  page.evaluate(
    () =>
      new Promise<{ inks: number; recipes: number }>((resolve, reject) => {
        const opening = indexedDB.open('tint-ladder');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const reading = db.transaction(['inks', 'recipes']);
          const inks = reading.objectStore('inks').count();
          const recipes = reading.objectStore('recipes').count();
          reading.oncomplete = () => {
            db.close();
            resolve({ inks: inks.result, recipes: recipes.result });
          };
        };
      }),
  );
