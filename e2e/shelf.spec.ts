import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { goOn, resizeTo, test } from './test';

/** The inks as they are listed, without the header. */
const rows = (page: Page) =>
  page
    .getByRole('table', { name: 'Inks' })
    .getByRole('row')
    .filter({ has: page.getByRole('cell') });

const status = (page: Page) => page.locator('main').getByRole('status');

async function openShelf(page: Page) {
  await page.goto('/inks');
  await expect(status(page)).toHaveText('72 of 72');
}

test('an ink is added by its reading in Lab, found, used on the bench, changed and taken off again', async ({
  page,
}) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'Add an ink' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('alert')).toHaveCount(3);
  await page.getByLabel('Name', { exact: true }).fill('Heron Mid');
  await page.getByLabel('Family', { exact: true }).last().fill('Heron');
  await page.getByLabel('Colour over white, dried').fill('54.2 -28 -8');
  await expect(page.getByRole('dialog')).toContainText('bluish green');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(status(page)).toHaveText('73 of 73');

  await page.getByRole('searchbox').fill('heron');
  await expect(status(page)).toHaveText('1 of 73');
  await page.getByRole('button', { name: 'Change Heron Mid' }).click();
  await page.getByLabel('Wished for, not owned yet').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(rows(page).filter({ hasText: 'Heron Mid' })).toContainText('wished for');

  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByRole('option', { name: /^Heron Mid/ }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('Heron Mid');
  await page.getByRole('link', { name: 'Inks' }).click();
  await page.getByRole('searchbox').fill('heron');
  await page.getByRole('button', { name: 'Take off Heron Mid' }).click();
  await expect(page.getByText('Heron Mid stays').first()).toBeVisible();
});

test('brushes that are owned are counted, and a sheet for fewer says so', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'Desk settings' }).click();
  const count = page.getByLabel('Brushes for dye and hybrid');
  await count.fill('none');
  await count.press('Enter');
  await expect(page.getByRole('alert')).toContainText('a whole number from 1 to 40');
  await count.fill('2');
  await count.press('Enter');
  await expectAccessible(page, 'brushes owned');
  await page.getByRole('button', { name: 'Done' }).click();
  await goOn(page, '/sheet/kiln-opening-2');
  await expect(page.getByRole('article')).toContainText('would take 3 brushes; you own fewer, and 2 will do');
  await expect(page.getByRole('checkbox', { name: /^brush / })).toHaveCount(2);
  await goOn(page, '/desk/kiln-opening-2');
  await expect(page.getByRole('checkbox', { name: /^brush / })).toHaveCount(2);
});

test('the shelf is searched by colour, filtered and sorted; twins and gaps are told', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('searchbox').fill('green dye');
  await expect(rows(page).first()).toContainText('green');
  await page.getByRole('searchbox').fill('turquoise');
  await expect(rows(page).filter({ hasText: 'Leat Mid' })).toBeVisible();
  await page.getByRole('searchbox').fill('');
  await page.getByRole('button', { name: 'L*', exact: true }).click();
  await expect(rows(page).first()).toContainText('Slip White');
  await expect(page.getByRole('columnheader', { name: 'L*' })).toHaveAttribute('aria-sort', 'descending');
  await page.getByText('Twins', { exact: true }).click();
  await expect(page.locator('main')).toContainText('nothing here is owned twice. The nearest are:');
  await expect(page.locator('main').getByText(/^ΔE00 /)).toHaveCount(8);
  await page.getByLabel('How near twins are, ΔE00').fill('8');
  await expect(page.locator('main')).toContainText('to nearly one colour on this card, as you count it');
  await page.getByLabel('Card', { exact: true }).selectOption({ label: 'black 300 g/m²' });
  await expect(page.locator('main')).toContainText('nearly one colour on this card');
});

test('the gaps are a plane of real colours, and the ink that would add the most is told and wished for', async ({
  page,
}) => {
  await openShelf(page);
  await page.getByText('Gaps', { exact: true }).click();
  await expect(page.getByRole('img', { name: /^A plane of hue and lightness with \d+ inks/ })).toBeVisible();
  const next = page.getByRole('region', { name: 'Which ink next' });
  const told = next.getByRole('listitem').filter({ hasText: /\d+ trios?$/ });
  await expect(told.first()).toBeVisible();
  const second = told.nth(1).getByRole('button');
  const name = ((await second.textContent()) ?? '').replace(/\d+ trios?$/, '').trim();
  await second.focus();
  await page.keyboard.press('Enter');
  const adds = page.getByRole('region', { name: `What ${name} would add` });
  await expect(adds.locator('canvas')).toHaveCount(3);
  await adds.getByRole('button', { name: 'Wish for it' }).click();
  await expect(page.getByText(`${name} is on the shelf.`).first()).toBeVisible();
  await page.getByText(/^Inks, \d+$/).click();
  await page.getByText('wished for', { exact: true }).click();
  await expect(page.getByRole('table', { name: 'Inks' })).toContainText(name);
});

test('a table goes out, and one comes in after a look at what it would do, with undo; a palette comes in as the inks it went out as', async ({
  page,
}) => {
  await openShelf(page);
  await page.getByRole('searchbox').fill('no ink is called so');
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(status(page)).toHaveText('72 of 72');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).first().click();
  await page.getByRole('menuitem', { name: 'As a table' }).click();
  expect((await file).suggestedFilename()).toBe('inks.csv');
  // By its mark a spreadsheet knows its letters.
  expect(await readFile(await (await file).path(), 'utf8')).toMatch(/^\uFEFFname,/);
  await page.getByRole('button', { name: 'Import' }).click();
  const pasted = page.getByLabel('Pasted rows');
  await pasted.fill('price;amount\n1;2');
  await expect(page.getByRole('alert')).toContainText('lacks name and over_white');
  await pasted.fill('name;over_white;kind\nHeron;#445566;dye\nPlover;teal;dye\nGorse Pale;#ffee88;hybrid');
  await expect(page.getByRole('dialog')).toContainText('1 new, 1 changed');
  await expect(page.getByRole('dialog')).toContainText('line 3: over_white "teal" is not a colour');
  await page.getByRole('button', { name: 'Keep 2 inks' }).click();
  await expect(status(page)).toHaveText('73 of 73');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(status(page)).toHaveText('72 of 72');

  const palette = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).first().click();
  await page.getByRole('menuitem', { name: 'As a palette' }).click();
  const path = await (await palette).path();
  const text = await readFile(path, 'utf8');
  expect(text).toMatch(/^GIMP Palette\r?\n/);
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel('Pasted rows').fill(`${text}\n10 20 30\tHeron Night\n`);
  await expect(page.getByRole('dialog')).toContainText('1 new, 0 changed');
  await page.getByRole('button', { name: 'Keep 1 ink' }).click();
  await expect(status(page)).toHaveText('73 of 73');
});

test('an ink taken off comes back with undo; nothing serious for axe on the form, the gaps and the narrow shelf', async ({
  page,
}) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'Take off Alder Deep' }).click();
  await expect(status(page)).toHaveText('71 of 71');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(status(page)).toHaveText('72 of 72');
  await page.getByRole('button', { name: 'Change Alder Mid' }).click();
  await expectAccessible(page, 'form');
  await page.keyboard.press('Escape');
  await page.getByText('Gaps', { exact: true }).click();
  await expectAccessible(page, 'gaps');
  await resizeTo(page, 390, 844);
  await page.getByText('Inks, 72').click();
  await expectAccessible(page, 'inks, narrow');
  await expectNoSideScroll(page, 390);
});

test('several inks are taken at once: tagged, moved, exported and taken off, each with undo', async ({
  page,
}) => {
  await openShelf(page);
  await page.getByRole('searchbox').fill('gorse');
  await page.getByLabel('Select all inks').check();
  await expect(page.getByText('3 selected')).toBeVisible();
  await page.getByRole('button', { name: 'Tag …' }).click();
  await page.getByLabel('A new tag').fill('autumn');
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 inks tagged “autumn”.').first()).toBeVisible();
  await expectAccessible(page, 'tags');
  await page.keyboard.press('Escape');
  await page.getByRole('searchbox').fill('');
  await page.getByLabel('Tag', { exact: true }).selectOption('autumn');
  await expect(rows(page)).toHaveCount(3);
  await page.getByLabel('Select all inks').check();
  await page.getByRole('button', { name: 'Move to …' }).click();
  await page.getByRole('menuitem', { name: 'wished for' }).click();
  await expect(rows(page).filter({ hasText: 'wished for' })).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(rows(page).filter({ hasText: 'wished for' })).toHaveCount(0);
  await page.getByLabel('Select all inks').check();
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).last().click();
  expect((await readFile(await (await file).path(), 'utf8')).trim().split('\n')).toHaveLength(4);
  // One of the three is in a recipe of the demo, and stays.
  await page.getByRole('button', { name: 'Take off' }).first().click();
  await expect(page.getByText(/off the shelf\. \d stay/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(rows(page)).toHaveCount(3);
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('dialog').getByLabel('Note').check();
  await expect(page.getByRole('columnheader', { name: 'Note' })).toBeVisible();
});
