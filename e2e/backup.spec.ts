import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { openBench } from './bench';
import { test } from './test';

const name = (page: Page) => page.getByLabel('Name of the recipe');
const rename = async (page: Page, text: string) => {
  await name(page).fill(text);
  await name(page).press('Enter');
};

test('everything moves to another machine in one file, is looked at first, merged, and taken back', async ({
  page,
  browser,
}) => {
  await openBench(page);
  await rename(page, 'Moved house');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.getByRole('button', { name: 'Desk settings' }).click();
  const saving = page.waitForEvent('download');
  const save = page.getByRole('button', { name: 'Save everything as a file' });
  await save.press('Enter');
  const file = await (await saving).path();
  // While it was packed something else stood there; in a dialog, too, the keys come back to where they were.
  await expect(save).toBeFocused();
  expect((await saving).suggestedFilename()).toMatch(/^tint-ladder-\d{4}-\d\d-\d\d\.zip$/);

  const context = await browser.newContext();
  const elsewhere = await context.newPage();
  elsewhere.setDefaultTimeout(8000);
  await openBench(elsewhere);
  await elsewhere.getByRole('button', { name: 'Desk settings' }).click();
  const picker = elsewhere.getByLabel('Backup file');
  await picker.setInputFiles({
    name: 'notes.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('hello'),
  });
  await expect(elsewhere.getByText(/it cannot be unpacked/)).toBeVisible();
  await elsewhere.getByRole('button', { name: 'Close' }).click();
  await picker.setInputFiles({
    name: 'backup.zip',
    mimeType: 'application/zip',
    buffer: await readFile(file),
  });
  const changes = elsewhere.getByRole('table', { name: 'What the backup would change' });
  await expect(elsewhere.getByRole('region', { name: 'The backup' })).toBeFocused();
  await expect(changes).toBeInViewport();
  await expect(changes.getByRole('row', { name: /^inks/ })).toContainText('72');
  await expectAccessible(elsewhere, 'a backup coming in');
  await elsewhere.getByRole('radio', { name: 'take the backup’s' }).click();
  await elsewhere.getByRole('button', { name: 'Merge it in' }).click();
  await elsewhere.getByRole('button', { name: 'Done' }).click();
  await expect(name(elsewhere)).toHaveValue('Moved house');
  await elsewhere
    .getByRole('listitem')
    .filter({ hasText: 'The backup is brought in.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await elsewhere.getByRole('link', { name: 'Recipes' }).click();
  await expect(
    elsewhere.getByRole('link', { name: 'Open Kiln-opening invitation, run 2 on the bench' }),
  ).toBeVisible();
  await context.close();
});

/** Puts so many photographs of a megabyte into the log, each with a panel that shows it. */
const logPhotos = (page: Page, count: number) =>
  page.evaluate(async (many) => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('tint-ladder');
      opening.onsuccess = () => resolve(opening.result);
    });
    const writing = db.transaction(['photos', 'panels'], 'readwrite');
    for (let i = 0; i < many; i++) {
      const bytes = new Uint8Array(1_000_000);
      for (let at = 0; at < bytes.length; at += 50_000)
        crypto.getRandomValues(bytes.subarray(at, at + 50_000));
      const id = `photo-${i}`;
      writing.objectStore('photos').put({ id, type: 'image/jpeg', width: 100, height: 100, bytes });
      writing.objectStore('panels').put({
        id: `panel-${i}`,
        number: i + 1,
        date: '2026-05-01',
        name: 'By hand',
        inkNames: ['Gorse'],
        readings: [],
        photos: [{ id }],
      });
    }
    await new Promise((resolve) => {
      writing.oncomplete = resolve;
    });
    db.close();
  }, count);

/** How many photographs are stored. */
const photosIn = (page: Page) =>
  page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('tint-ladder');
      opening.onsuccess = () => resolve(opening.result);
    });
    const asking = db.transaction('photos').objectStore('photos').count();
    await new Promise((resolve) => {
      asking.onsuccess = resolve;
    });
    db.close();
    return asking.result;
  });

/** A disk that takes a piece only when it is told to, so that work on it is met half done. */
async function slowDisk(page: Page): Promise<{ take: (pieces: number) => Promise<void> }> {
  await page.addInitScript(() => {
    const openNow = caches.open.bind(caches);
    const waiting: (() => void)[] = [];
    let room = 0;
    const letIn = () => {
      while (room > 0 && waiting.length > 0) {
        room--;
        waiting.shift()?.();
      }
    };
    caches.open = async (name) => {
      await new Promise<void>((go) => {
        waiting.push(go);
        letIn();
      });
      return openNow(name);
    };
    document.addEventListener('room', ({ detail }: CustomEventInit<number>) => {
      room += detail ?? 0;
      letIn();
    });
  });
  return {
    take: (pieces) =>
      page.evaluate((detail) => {
        document.dispatchEvent(new CustomEvent('room', { detail }));
      }, pieces),
  };
}

test('photographs move piece by piece: it shows how far it is, and stopped by the keyboard nothing has come in', async ({
  page,
  browser,
}) => {
  await openBench(page);
  // Two pieces of up to 16 MB.
  await logPhotos(page, 20);
  await page.getByRole('button', { name: 'Desk settings' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything as a file' }).click();
  const file = await (await saving).path();

  const context = await browser.newContext();
  const elsewhere = await context.newPage();
  const disk = await slowDisk(elsewhere);
  await openBench(elsewhere);
  await elsewhere.getByRole('button', { name: 'Desk settings' }).click();
  const choose = async () => {
    await elsewhere.getByLabel('Backup file').setInputFiles(file);
    await elsewhere.getByRole('button', { name: 'Merge it in' }).click();
  };
  const progress = elsewhere.getByRole('progressbar', { name: 'Bringing everything in' });
  await choose();
  await disk.take(1);
  await expect.poll(async () => Number(await progress.getAttribute('value'))).toBeGreaterThan(0.3);
  await expectAccessible(elsewhere, 'a backup under way');
  await elsewhere.getByRole('button', { name: 'Stop' }).focus();
  await elsewhere.keyboard.press('Enter');
  await disk.take(1);
  await expect(elsewhere.getByText('Stopped: nothing was brought in.').first()).toBeVisible();
  await expect.poll(() => photosIn(elsewhere)).toBe(0);
  // The settings are closed meanwhile: it goes on at the foot of the page, and can be stopped there.
  await choose();
  await disk.take(1);
  await expect.poll(async () => Number(await progress.getAttribute('value'))).toBeGreaterThan(0.3);
  await elsewhere.getByRole('button', { name: 'Done' }).click();
  const goesOn = elsewhere.getByRole('listitem').filter({ hasText: 'Bringing everything in …' });
  await expect(goesOn.getByRole('progressbar')).toBeVisible();
  // Opened again they show the same work: no other is begun beside it.
  await elsewhere.getByRole('button', { name: 'Desk settings' }).click();
  const settings = elsewhere.getByRole('dialog', { name: 'Desk settings' });
  await expect(settings.getByRole('progressbar', { name: 'Bringing everything in' })).toBeVisible();
  await expect(settings.getByRole('button', { name: 'Bring everything in …' })).toBeHidden();
  await elsewhere.getByRole('button', { name: 'Done' }).click();
  await expect(goesOn).toHaveCount(1);
  await goesOn.getByRole('button', { name: 'Stop' }).click();
  await disk.take(100);
  await expect(goesOn).toBeHidden();
  await expect.poll(() => photosIn(elsewhere)).toBe(0);
  await elsewhere.getByRole('button', { name: 'Desk settings' }).click();
  await choose();
  await expect(elsewhere.getByText('The backup is brought in.').first()).toBeVisible();
  expect(await photosIn(elsewhere)).toBe(20);
  await context.close();
});

/** The page's private folder stands in for one on the disk, and old backups lie in it. */
const pickPrivateFolder = (page: Page) =>
  page.addInitScript(() => {
    const folderOf = async () => {
      const root = await navigator.storage.getDirectory();
      return root.getDirectoryHandle('Backups of mine', { create: true });
    };
    Object.assign(window, { showDirectoryPicker: folderOf });
  });

const filesIn = (page: Page) =>
  page.evaluate(async () => {
    const root = await navigator.storage.getDirectory();
    const folder = await root.getDirectoryHandle('Backups of mine', { create: true });
    const names: string[] = [];
    for await (const name of folder.keys()) names.push(name);
    return names.toSorted();
  });

test('a folder takes a backup each day of work by itself, keeps the last ten, and leaves other files alone', async ({
  page,
}) => {
  await pickPrivateFolder(page);
  await page.goto('/icon.svg');
  await page.evaluate(async () => {
    const root = await navigator.storage.getDirectory();
    const folder = await root.getDirectoryHandle('Backups of mine', { create: true });
    for (let day = 10; day < 22; day++)
      await folder.getFileHandle(`tint-ladder-2025-03-${day}.zip`, { create: true });
    await folder.getFileHandle('letter.txt', { create: true });
  });
  await openBench(page);
  await page.getByRole('button', { name: 'Desk settings' }).click();
  await page.getByRole('button', { name: 'Choose a backup folder …' }).click();
  await expect(page.getByText('Each day you work into “Backups of mine”')).toContainText('last just now');
  await expectAccessible(page, 'a folder for backups');
  const first = await filesIn(page);
  expect(first).toHaveLength(11);
  expect(first).toContain('letter.txt');
  expect(first).not.toContain('tint-ladder-2025-03-12.zip');

  // The next day of work writes the next one, and nobody has to think of it.
  const tomorrow = Date.now() + 86_400_000;
  await page.clock.install({ time: tomorrow });
  await page.reload();
  await openBench(page);
  await rename(page, 'The day after');
  await page.clock.runFor(10_000);
  // The new one stands there while it is written; the oldest goes once it is whole.
  const [letter, , ...kept] = first;
  await expect
    .poll(() => filesIn(page))
    .toEqual([letter, ...kept, expect.stringMatching(/^tint-ladder-.*\.zip$/)]);
});
