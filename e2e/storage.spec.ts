import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { openBench } from './bench';
import { goOn, holdBack, test } from './test';

const name = (page: Page) => page.getByLabel('Name of the recipe');
const rename = async (page: Page, text: string) => {
  await name(page).fill(text);
  await name(page).press('Enter');
};

/** From now on the browser refuses to write, as one without room does; given back by `makeRoom`. */
const fillDisk = (page: Page) =>
  page.evaluate(() => {
    const { put, add } = IDBObjectStore.prototype;
    Object.assign(window, { makeRoom: () => Object.assign(IDBObjectStore.prototype, { put, add }) });
    document.body.dataset.picturesRefused = '0';
    function refuse(this: IDBObjectStore): never {
      const { dataset } = document.body;
      if (this.name === 'thumbnails') dataset.picturesRefused = `${Number(dataset.picturesRefused) + 1}`;
      throw new DOMException('no room', 'QuotaExceededError');
    }
    Object.assign(IDBObjectStore.prototype, { put: refuse, add: refuse });
  });
const makeRoom = (page: Page) =>
  page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());

/** Changes the stored data behind the program's back. */
const writeRaw = (page: Page, store: string, value: unknown) =>
  page.evaluate(
    ([table, record]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('tint-ladder');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const writing = db.transaction(table as string, 'readwrite');
          writing.objectStore(table as string).put(record);
          writing.oncomplete = () => {
            db.close();
            resolve();
          };
          writing.onerror = () => reject(writing.error);
        };
      }),
    [store, value] as const,
  );

test('undo brings back a recipe whose ink was taken off: it stands in as it was, and comes back by a press', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('option', { name: /^Tarn Mid/ }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('Tarn Mid');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Readings' })).not.toContainText('Tarn Mid');
  await page.getByRole('link', { name: 'Inks' }).click();
  await page.getByRole('searchbox').fill('tarn mid');
  await page.getByRole('button', { name: 'Take off Tarn Mid' }).click();
  await expect(page.locator('main').getByRole('status')).toHaveText('0 of 71');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(name(page)).toHaveValue('Kiln-opening invitation, run 2');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('alert')).toContainText('Tarn Mid was taken off, and is shown as it was');
  await expectAccessible(page, 'an ink that is gone');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('option', { name: /^Tarn Mid/ })).toHaveAttribute('aria-selected', 'true');
});

test('a save that fails is told, survives another recipe, and is stored by itself once there is room', async ({
  page,
}) => {
  await openBench(page);
  await fillDisk(page);
  await rename(page, 'Made without room');
  await expect(page.getByRole('alert')).toContainText('Not saved');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Keep it as a file' }).click();
  expect((await download).suggestedFilename()).toBe('made-without-room.json');
  // Pictures that find no room are shown, and nobody is told.
  const told = page.getByRole('listitem').filter({ hasText: 'There is no room: the browser stored nothing' });
  await page.getByRole('link', { name: 'Recipes' }).click();
  await expect(page.locator('main canvas[data-painted]')).toHaveCount(4);
  await expect(page.locator('body')).toHaveAttribute('data-pictures-refused', /^[4-9]$/);
  await page.waitForTimeout(200);
  await expect(told).toHaveCount(0);
  // Everything that the maker asks for is told where it is refused, and once.
  await page.getByRole('button', { name: 'Kiln mouth is a favourite' }).click();
  await expect(told).toHaveCount(1);
  await page.getByRole('link', { name: 'Open Kiln mouth on the bench' }).click();
  await expect(name(page)).toHaveValue('Kiln mouth');
  await told.evaluate((notice) => notice.setAttribute('data-before', ''));
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.locator('[data-before]')).toHaveCount(0);
  await expect(told).toHaveCount(1);
  await makeRoom(page);
  await page.getByRole('link', { name: 'Recipes' }).click();
  await expect(page.getByRole('link', { name: 'Open Made without room on the bench' })).toBeVisible();
});

test('an edit made a moment before the page is left is there afterwards, a name still being typed too', async ({
  page,
}) => {
  await openBench(page);
  for (const [i, wait] of [0, 20, 40, 120].entries()) {
    await rename(page, `Left after ${wait}`);
    await page.waitForTimeout(wait);
    await page.reload();
    await expect(name(page)).toHaveValue(`Left after ${wait}`);
    expect(i).toBeLessThan(4);
  }
  await name(page).fill('Still being typed');
  await page.reload();
  await expect(name(page)).toHaveValue('Still being typed');
});

test('a first visit shows the panel before anything is stored; what only looks like one opens what is there', async ({
  page,
}) => {
  // A browser that takes its time over making a database.
  await page.addInitScript(() => {
    const { open } = IDBFactory.prototype;
    const held = new Promise<void>((resolve) => Object.assign(window, { letOpen: resolve }));
    IDBFactory.prototype.open = function (...args) {
      const request = open.apply(this, args);
      const hold = (event: Event) => {
        event.stopImmediatePropagation();
        void held.then(() => request.dispatchEvent(new Event('success')));
      };
      request.addEventListener('success', hold, { once: true });
      return request;
    };
  });
  const letCome = await holdBack(page, /\/keeping-/);
  await page.goto('/');
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await rename(page, 'Named before it came');
  await expect(page.getByRole('status').filter({ hasText: 'Saving' })).toBeVisible();
  letCome();
  // Longer than another tab is waited for.
  await page.waitForTimeout(2500);
  await rename(page, 'Named before it was stored');
  await page.evaluate(() => (window as unknown as { letOpen: () => void }).letOpen());
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

  const other = await page.context().newPage();
  await openBench(other);
  await expect(name(other)).toHaveValue('Named before it was stored');
  await page.close();
  await other.getByRole('button', { name: 'Recipe …' }).click();
  await other.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(other).toHaveURL(/recipes$/);
  await other.evaluate(() => localStorage.removeItem('tint-ladder data'));
  await other.goto('/');
  await expect(name(other)).toHaveValue('Kiln mouth');
  await expect(other.getByRole('alert')).toHaveCount(0);
});

test('storage that is refused, blocked, newer or lost has a page of its own that says what to do; so has what does not come', async ({
  browser,
}) => {
  const context = await browser.newContext();
  const refused = await context.newPage();
  await refused.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  });
  await refused.goto('/');
  await expect(
    refused.getByRole('heading', { name: 'This browser keeps nothing for this page' }),
  ).toBeVisible();
  await expectAccessible(refused, 'storage refused');
  await refused.close();

  // What a slow machine shows until the application is there.
  const slow = await context.newPage();
  const letGo = await holdBack(slow, /\/assets\/index-.*\.js/);
  await slow.goto('/', { waitUntil: 'commit' });
  await expect(slow.getByText('Opening …')).toHaveCSS('opacity', '1');
  letGo();
  await expect(slow.getByRole('navigation', { name: 'Views' })).toBeVisible();
  await expect(slow.getByText('If it stays like this')).toHaveCount(0);
  await slow.close();

  const without = await context.newPage();
  await without.route(/\/keeping-/, (route) => route.abort());
  await without.goto('/');
  await expect(without.getByRole('heading', { name: 'This view stopped because of a fault' })).toBeVisible();
  await expect(without.getByRole('button', { name: 'Reload the page' })).toBeVisible();
  await without.close();

  // A newer program has been here.
  const page = await context.newPage();
  await openBench(page, '/');
  const third = await context.newPage();
  await openBench(third, '/');
  const upgraded = context.newPage().then(async (other) => {
    await other.goto('/icon.svg');
    await other.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('tint-ladder', 990);
          opening.onupgradeneeded = () => opening.result.createObjectStore('tomorrow');
          opening.onsuccess = () => {
            opening.result.close();
            resolve();
          };
          opening.onerror = () => reject(opening.error);
        }),
    );
    return other;
  });
  // The tabs that are open let the newer one in, and write nothing any more.
  for (const tab of [page, third])
    await expect(tab.getByRole('heading', { name: 'A newer Tint Ladder made this' })).toBeVisible();
  // A write that was under way when it was closed fails: that is not a loss.
  await third.evaluate(() => void Promise.reject(new DOMException('closed', 'QuotaExceededError')));
  await third.evaluate(() => new Promise((resolve) => setTimeout(resolve, 200)));
  await expect(third.getByRole('heading', { name: 'A newer Tint Ladder made this' })).toBeVisible();
  const other = await upgraded;
  await page.reload();
  await expect(page.getByRole('heading', { name: 'A newer Tint Ladder made this' })).toBeVisible();

  // The browser has dropped everything.
  await page.goto('/icon.svg');
  await other.evaluate(
    () =>
      new Promise<void>((resolve) => {
        indexedDB.deleteDatabase('tint-ladder').onsuccess = () => resolve();
      }),
  );
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'What was stored here is gone' })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('with 4 recipes');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'What was stored here is gone' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin anew …' }).click();
  await page.getByRole('button', { name: 'Yes, begin anew with the demo' }).click();
  await expect(name(page)).toHaveValue('Kiln-opening invitation, run 2');
  await context.close();
});

test('a database that the browser drops while it writes is a loss that is told at once, and what is in the page is kept', async ({
  page,
}) => {
  await openBench(page);
  await rename(page, 'In memory still');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    indexedDB.databases = async () => [];
  });
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Versions' }).click();
  await page.getByLabel('Name for the recipe as it stands').fill('Too late');
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await page.getByRole('button', { name: 'Name this state' }).click();
  await expect(page.getByRole('heading', { name: 'What was stored here is gone' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Keep what is still in this page as a file' }).click();
  expect((await download).suggestedFilename()).toBe('still-in-this-page.json');
});

test('one bad record costs that record: lists show the rest and name it; it goes out as it is, or away', async ({
  page,
}) => {
  await openBench(page);
  const now = Date.now();
  const bad = { id: 'bad', revision: 1, createdAt: now, updatedAt: now + 10_000 };
  await writeRaw(page, 'recipes', { ...bad, recipe: { id: 'bad', name: 'Broken rungs', rungs: null } });
  await writeRaw(page, 'inks', { id: 'odd', name: 'Odd ink', kind: 'gold leaf' });
  await writeRaw(page, 'designs', { id: 'none', name: 'No shapes', use: 'image', width: 10, height: 10 });
  await page.goto('/');
  await expect(name(page)).toHaveValue('Kiln-opening invitation, run 2');
  for (const [path, told] of [
    ['/recipes', '4 of 4'],
    ['/inks', '72 of 72'],
  ] as const) {
    await goOn(page, path);
    await expect(page.locator('main').getByRole('status')).toHaveText(told);
  }
  await goOn(page, '/designs');
  await expect(page.getByRole('list', { name: 'Designs' }).getByRole('listitem')).toHaveCount(15);
  await page.getByRole('button', { name: 'Desk settings' }).click();
  const damaged = page.getByRole('list', { name: 'Damaged' });
  await expect(damaged.getByRole('listitem')).toHaveCount(3);
  const download = page.waitForEvent('download');
  await damaged.getByRole('button', { name: 'Keep as a file: Broken rungs' }).click();
  expect((await download).suggestedFilename()).toBe('broken-rungs.json');
  await damaged.getByRole('button', { name: 'Take out Broken rungs' }).click();
  await expect(damaged.getByRole('listitem')).toHaveCount(2);
  await page.goto('/bench/bad');
  await expect(page.getByRole('heading', { name: 'This recipe is not here' })).toBeVisible();
});
