import { readFile, writeFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { PDFDocument } from 'pdf-lib';
import { writeRecipeFile } from '../src/core/files/recipeFile';
import { writeRecipesZip } from '../src/core/files/recipesZip';
import { ink, resolvedOf } from '../src/testing/resolvedRecipes';
import { expectAccessible, expectNoSideScroll } from './axe';
import { openBench } from './bench';
import { colourAt } from './picture';
import { dropOn, goOn, holdBack, resizeTo, stopUnderWay, test } from './test';

const opened = (page: Page) => page.getByRole('link', { name: /^Open .* on the bench$/ });
const rows = (page: Page) =>
  page
    .getByRole('table')
    .getByRole('row')
    .filter({ has: page.getByRole('cell') });

const pagesPrinted = async (page: Page): Promise<number> =>
  (await PDFDocument.load(await page.pdf({ format: 'A4' }))).getPageCount();

test('recipes are searched, favoured, tagged, and go out and come in as a zip', async ({ page }) => {
  await page.goto('/recipes');
  await expect(opened(page)).toHaveCount(4);
  await page.getByLabel('Search recipes').fill('sloe');
  await expect(opened(page)).toHaveCount(1);
  await page.getByRole('button', { name: 'Raku dusk, tonal is a favourite' }).click();
  await page.getByLabel('Search recipes').fill('');
  await page.getByLabel('Favourites only').check();
  await expect(opened(page)).toHaveCount(1);
  await page.getByLabel('Select Raku dusk, tonal').check();
  await page.getByRole('button', { name: 'Tag …' }).click();
  await page.getByLabel('A new tag').fill('fair');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByLabel('Favourites only').uncheck();
  await page.getByLabel('Tag', { exact: true }).selectOption('fair');
  await expect(opened(page)).toHaveCount(1);
  await page.getByLabel('Tag', { exact: true }).selectOption('');
  await page.getByLabel('Select Kiln mouth').check();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export', exact: true }).click();
  const zip = await readFile(await (await download).path());
  const file = page.getByLabel('Recipe file to import');
  await file.setInputFiles({ name: 'recipes.zip', mimeType: 'application/zip', buffer: zip });
  await expect(page.getByText('2 recipes are brought in.').first()).toBeVisible();
  await expect(opened(page)).toHaveCount(6);
  await file.setInputFiles({ name: 'cut.zip', mimeType: 'application/zip', buffer: zip.subarray(0, 300) });
  await expect(page.getByRole('dialog')).toContainText('cannot be unpacked');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(opened(page)).toHaveCount(6);

  await page.getByRole('radio', { name: 'As a list' }).click();
  await page.getByRole('button', { name: 'Name', exact: true }).click();
  await expect(rows(page).first()).toContainText('Kiln mouth');
  await expectAccessible(page, 'recipes as a list');
  for (const name of ['Kiln mouth (2)', 'Raku dusk, tonal (2)'])
    await page.getByLabel(`Select ${name}`).check();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(opened(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(opened(page)).toHaveCount(6);
  // It is as it was left after a reload.
  await page.reload();
  await expect(rows(page)).toHaveCount(6);
});

test('many recipes come in with their progress shown; stopped, none has, and let alone all have; a list is printed whole', async ({
  page,
}) => {
  const resolved = resolvedOf([ink('Heron', '#556677'), ink('Plover', '#ddccaa')]);
  const many = Array.from({ length: 900 }, (_, i) => ({
    ...resolved,
    recipe: { ...resolved.recipe, id: `many-${i}`, name: `Evening ${i}` },
  }));
  const zip = { name: 'many.zip', mimeType: 'application/zip', buffer: Buffer.from(writeRecipesZip(many)) };
  await page.goto('/recipes');
  await expect(opened(page)).toHaveCount(4);
  const file = page.getByLabel('Recipe file to import');
  const stopped = stopUnderWay(page);
  await file.setInputFiles(zip);
  expect(await stopped).toBe('Recipes come in …');
  const progress = page.getByRole('progressbar', { name: 'Recipes come in …' });
  await expect(page.getByText('Stopped: no recipe was brought in.').first()).toBeVisible();
  await expect(progress).toHaveCount(0);
  await expect(opened(page)).toHaveCount(4);
  await file.setInputFiles(zip);
  await expect(page.getByText('900 recipes are brought in.').first()).toBeVisible({ timeout: 60_000 });
  await expect(progress).toHaveCount(0);

  // On paper the wall has the pictures in sight, and the list has all rows under a head on each page.
  expect(await pagesPrinted(page)).toBeLessThan(4);
  await page.getByRole('radio', { name: 'As a list' }).click();
  await expect(rows(page).first()).toBeVisible();
  await page.evaluate(() => {
    window.addEventListener('beforeprint', () => {
      document.documentElement.dataset.rows = String(document.querySelectorAll('tbody tr').length);
    });
  });
  expect(await pagesPrinted(page)).toBeGreaterThan(20);
  await expect(page.locator('html')).toHaveAttribute('data-rows', '904');
  expect(await rows(page).count()).toBeLessThan(60);
});

test('a small picture comes from what was stored, and is painted anew once an ink has changed', async ({
  page,
}) => {
  await page.goto('/recipes');
  await expect(page.locator('main [data-painted]')).toHaveCount(4);
  // Stored while it is looked at; the next visit shows what was stored.
  await page.waitForTimeout(1500);
  await page.reload();
  await expect(page.locator('main img[data-painted=stored]')).toHaveCount(4);

  // The bench shows it enlarged while the first panel of the page is painted; here the painter is held back.
  const letPaint = await holdBack(page, /picture\.worker/);
  await page.goto('/bench');
  const panel = page.locator('main canvas').first();
  await expect(panel).toHaveAttribute('data-stored', 'true');
  await expect(panel).not.toHaveAttribute('data-painted', /./);
  const small = [await colourAt(page, 0.5, 0.15), await colourAt(page, 0.5, 0.85)] as const;
  letPaint();
  await expect(panel).toHaveAttribute('data-painted', /./);
  // What was there before is what comes, only finer.
  for (const [i, at] of [0.15, 0.85].entries())
    (await colourAt(page, 0.5, at)).forEach((value, channel) => {
      expect(Math.abs(value - (small[i]?.[channel] ?? 0))).toBeLessThan(12);
    });

  await goOn(page, '/inks');
  await page.getByRole('searchbox').fill('sloe deep');
  await page.getByRole('button', { name: 'Change Sloe Deep' }).click();
  await page.getByLabel('Colour over white, dried').fill('#804020');
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.goto('/recipes');
  // Two of the four recipes are made with it.
  await expect(page.locator('main canvas[data-painted]')).toHaveCount(2);
  await expect(page.locator('main img[data-painted=stored]')).toHaveCount(2);
});

test('cards and designs are lists too: sorted, tagged, taken out; what is used stays', async ({ page }) => {
  await page.goto('/cards?as=list');
  await expect(rows(page)).toHaveCount(8);
  await page.getByRole('button', { name: 'Weight' }).click();
  await page.getByRole('button', { name: 'Weight' }).click();
  await expect(page.getByRole('columnheader', { name: 'Weight' })).toHaveAttribute(
    'aria-sort',
    /ascending|descending/,
  );
  await page.getByLabel('Select all cards').check();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByText(/out of the drawer\. 2 stay/).first()).toBeVisible();
  await expect(rows(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(rows(page)).toHaveCount(8);
  await expectAccessible(page, 'cards as a list');
  await goOn(page, '/designs?as=list');
  await expect(rows(page)).toHaveCount(15);
  await page.getByLabel('Select Reeds').check();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export', exact: true }).click();
  expect((await download).suggestedFilename()).toBe('designs.zip');
  await expect(page.getByRole('button', { name: 'Take away' })).toBeDisabled();
  await expectAccessible(page, 'designs as a list');
  await resizeTo(page, 390, 844);
  await expectNoSideScroll(page, 390);
});

test('files that are dropped are answered, wherever they fall, however many and whatever they are', async ({
  page,
}, info) => {
  const kept = async (name: string, bytes: string | Uint8Array) => {
    const path = info.outputPath(name);
    await writeFile(path, bytes);
    return path;
  };
  const plain = resolvedOf([ink('Gorse', '#e3b20f'), ink('Weir', '#007a7c')]);
  const [one, two, words, photo, table] = await Promise.all([
    kept('one.json', writeRecipeFile({ ...plain, recipe: { ...plain.recipe, name: 'One' } })),
    kept('two.json', writeRecipeFile({ ...plain, recipe: { ...plain.recipe, name: 'שתיים' } })),
    kept('words.txt', 'no recipe'),
    kept('photo.jpg', Uint8Array.of(0xff, 0xd8, 0xff, 0xe0)),
    kept('inks.csv', 'name,over_white\nQuern Red,#a02030\n'),
  ]);
  const main = page.getByRole('main');
  const told = (text: string) => expect(page.getByText(text).first()).toBeVisible();

  // A file among several that holds no recipe is named, and then none is brought in.
  await page.goto('/recipes');
  await expect(opened(page)).toHaveCount(4);
  await dropOn(main, [one, words, two]);
  await expect(page.getByRole('dialog')).toContainText('words.txt could not be opened');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(opened(page)).toHaveCount(4);
  await dropOn(main, [one, two]);
  await told('2 recipes are brought in.');
  await expect(opened(page)).toHaveCount(6);
  // A name that runs from right to left keeps to itself.
  await page.getByRole('radio', { name: 'List' }).click();
  await expect(page.getByText('\u2068שתיים\u2069').first()).toBeVisible();

  // A photograph is no log, and two are not one.
  await goOn(page, '/log');
  await dropOn(main, [photo]);
  await told('“photo.jpg” is not taken here: this takes a log that was exported here');
  await goOn(page, '/designs');
  await dropOn(main, [one, photo]);
  await told('2 files are too many: one at a time is taken here.');

  // Where nothing takes a file, the browser does not open it in the application's place.
  await goOn(page, '/cards');
  await dropOn(main, [one]);
  await told('No file is taken here. Recipes are taken on the bench');
  await expect(page).toHaveURL(/\/cards$/);

  await goOn(page, '/inks');
  await dropOn(main, [table]);
  await expect(page.getByRole('button', { name: 'Keep 1 ink' })).toBeVisible();
  await expect(page.getByLabel('Table file')).toHaveValue(/inks\.csv$/);

  // A folder is no file.
  await openBench(page);
  await dropOn(main, [dirname(one)]);
  await expect(page.getByRole('dialog')).toContainText('It cannot be read: it may be a folder');
});
