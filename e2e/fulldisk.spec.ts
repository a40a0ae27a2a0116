import { execFileSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtemp, rm, statfs, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { openProfile } from './kills';
import { test } from './test';

/** A small file system of its own in memory, which takes rights that not every machine gives. */
async function smallDisk(): Promise<string | undefined> {
  const place = await mkdtemp(join(tmpdir(), 'disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=60m', 'tmpfs', place], { stdio: 'ignore' });
    return place;
  } catch {
    await rm(place, { recursive: true });
    return undefined;
  }
}

/** Inks whose notes no disk can make smaller. */
const table = (count: number): string =>
  [
    'name,over_white,note',
    ...Array.from(
      { length: count },
      (_, i) =>
        `Zed ${i},#12${(i % 256).toString(16).padStart(2, '0')}56,${randomBytes(900).toString('hex')}`,
    ),
  ].join('\n');

async function importInks(page: Page, count: number): Promise<void> {
  await page.getByRole('link', { name: 'Inks' }).click();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page
    .getByLabel('Table file')
    .setInputFiles({ name: 'zed.csv', mimeType: 'text/csv', buffer: Buffer.from(table(count)) });
  await page.getByRole('button', { name: /^Keep/ }).click();
}

test('on a disk that is nearly full a large import is refused and told, and everything is as it was', async ({
  baseURL,
}) => {
  const disk = await smallDisk();
  test.skip(!disk, 'no small disk may be mounted here');
  if (!disk) return;
  const context = await openProfile(disk, baseURL ?? '');
  try {
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto('/bench/kiln-opening-2');
    await page.locator('main canvas[data-painted]').first().waitFor();
    await page.getByLabel('Name of the recipe').fill('Saved before it was full');
    await page.getByLabel('Name of the recipe').press('Enter');
    await page
      .getByRole('status')
      .filter({ hasText: /^Saved$/ })
      .first()
      .waitFor();
    const { bavail, bsize } = await statfs(disk);
    await writeFile(join(disk, 'ballast'), Buffer.alloc(Math.max(bavail * bsize - 12_000_000, 0)));
    await importInks(page, 3500);
    await expect(page.getByText('There is no room').first()).toBeVisible();
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(page.getByText('72 of 72')).toBeVisible();
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await expect(page.getByLabel('Name of the recipe')).toHaveValue('Saved before it was full');
  } finally {
    await context.close().catch(() => {});
    execFileSync('umount', ['-l', disk]);
    await rm(disk, { recursive: true });
  }
});
