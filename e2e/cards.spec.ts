import { readFile } from 'node:fs/promises';
import { expect } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { expectAccessible, expectNoSideScroll } from './axe';
import { deskSetting, word } from './bench';
import { goOn, resizeTo, test } from './test';

test('one recipe lies on all cards, the best fit first, and opens on another; a card is added by pounds, changed, kept while it is used, and taken out with undo', async ({
  page,
}) => {
  await page.goto('/cards');
  await page.getByText('One recipe on all cards').click();
  const all = page.getByRole('region', { name: 'On all cards' });
  await expect(all.getByRole('listitem').filter({ has: page.getByRole('img') })).toHaveCount(8);
  await expect(all.locator('canvas[data-painted]')).toHaveCount(8);
  await expect(all.getByRole('heading').first()).toContainText(/white|cream/);
  await expect(all.getByRole('heading').last()).toContainText(/kraft|black/);
  await expect(all).toContainText('cannot be told from the bare card');
  await expectAccessible(page, 'on all cards');
  await page.getByRole('button', { name: 'Open a copy on it: kraft 280 g/m²' }).click();
  await expect(word(page, 'Card')).toHaveText('kraft 280 g/m²');

  await goOn(page, '/cards');
  const drawer = page.getByRole('list', { name: 'Cards' });
  await expect(drawer.getByRole('listitem')).toHaveCount(8);
  await page.getByRole('button', { name: 'Add a card' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Weight').fill('heavy');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByRole('alert')).toHaveCount(3);
  await form.getByLabel('Name').fill('dusk blue 65 lb');
  await form.getByLabel('Colour', { exact: true }).fill('40 -4 -18');
  await form.getByLabel('Weight').fill('65 lb cover');
  await expect(form).toContainText('176 g/m²');
  await form.getByRole('button', { name: 'A4' }).click();
  await form.getByLabel('Whole sheets in stock').fill('7');
  await form.getByRole('button', { name: 'Keep' }).click();
  const tile = drawer.getByRole('listitem').filter({ hasText: 'dusk blue' });
  await expect(tile).toContainText('curls once wetted');
  await expect(tile).toContainText('210 × 297 mm, 7 left');
  await tile.getByRole('button', { name: /^Change/ }).click();
  await form.getByLabel('Whole sheets in stock').fill('6');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(tile).toContainText('6 left');

  await drawer.getByRole('button', { name: 'Take out smooth white 350 g/m²' }).click();
  await expect(page.getByText(/smooth white 350 g\/m² stays: it is under/).first()).toBeVisible();
  await tile.getByRole('button', { name: /^Take/ }).click();
  await expect(drawer.getByRole('listitem')).toHaveCount(8);
  const told = page.getByRole('listitem').filter({ hasText: 'is out of the drawer' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(drawer.getByRole('listitem')).toHaveCount(9);
});

test('a batch is cut from the drawer’s sheets: pieces follow the choices, cuts are listed, files go out', async ({
  page,
}) => {
  await page.goto('/cards');
  await page.getByText('Cut a batch').click();
  const plans = page.getByRole('region', { name: 'Cut plans' });
  await expect(plans.getByRole('article')).toHaveCount(2);
  await expect(plans).toContainText('12 × panel, 108 × 139.5 mm');
  await expect(plans).toContainText('12 × mat, 114 × 145.5 mm');
  const together = page.getByRole('figure', { name: 'The card put together' });
  await expect(together.locator('canvas[data-painted]')).toBeVisible();
  await expect(together).toContainText('mat, black 300 g/m²: 114 × 145.5 mm');
  await expect(together).toContainText('124 × 155.5 mm, folded at the side');
  await expect(plans).toContainText(/Down at [\d.]+ mm from the left/);
  await page.getByText('Which card goes with it').click();
  await expect(page.getByRole('region', { name: 'The batch' })).toContainText(
    'black: the colours glow on it',
  );
  const count = page.getByLabel('How many cards');
  await count.fill('200');
  await count.press('Enter');
  await expect(page.getByRole('alert')).toContainText('from 1 to 60');
  await count.fill('4');
  await count.press('Enter');
  await expect(plans).toContainText('4 × panel');
  await page.getByRole('button', { name: 'Take mat 1 off' }).click();
  await expect(plans.getByRole('article')).toHaveCount(1);
  await page.getByRole('button', { name: 'Add a strip' }).click();
  await expect(plans).toContainText('4 × greeting strip, 60 × 16 mm');
  const strip = page.getByLabel('Strip width, mm');
  await strip.fill('0');
  await strip.press('Enter');
  await expect(page.getByRole('alert')).toContainText('from 5 to 300 mm');
  await strip.fill('250');
  await strip.press('Enter');
  await expect(
    page.getByText(/^The strip is wider than the panel, 250.mm on .*, and stands out/),
  ).toBeVisible();
  await strip.fill('60');
  await strip.press('Enter');
  await expect(plans).toContainText('4 × greeting strip, 60 × 16 mm');
  await page.getByLabel('Card of the base').selectOption({ label: 'mist grey 270 g/m²' });
  await expect(plans).toContainText('It is not known how large its sheets are');
  const pdf = page.waitForEvent('download');
  await plans.getByRole('button', { name: 'PDF, true size' }).click();
  expect((await pdf).suggestedFilename()).toBe('cut-smooth-white.pdf');
  await expectAccessible(page, 'cutting');
  await page.reload();
  await page.getByText('Cut a batch').click();
  await expect(plans).toContainText('4 × greeting strip');
  await resizeTo(page, 390, 844);
  await expectNoSideScroll(page, 390);
});

test('a batch is measured in inches, keeps the grain, and its drawing is as large as the sheet; axe finds nothing in the drawer', async ({
  page,
}) => {
  await page.goto('/cards');
  await page.getByRole('button', { name: 'Change kraft 280 g/m²' }).click();
  await expectAccessible(page, 'card form');
  await page.keyboard.press('Escape');
  await deskSetting(page, 'in');
  await page.getByText('Cut a batch').click();
  const plans = page.getByRole('region', { name: 'Cut plans' });
  await expect(plans.getByRole('article')).toHaveCount(2);
  await expect(plans).toContainText('12 × panel, 4 1/4 × 5 1/2 in');
  const oversize = page.getByLabel('Panel cut larger all round by, in');
  await oversize.fill('1/8');
  await oversize.press('Enter');
  await expect(plans).toContainText('12 × panel to be trimmed, 4 1/2 × 5 3/4 in');
  await oversize.fill('9');
  await oversize.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(plans).toContainText('4 1/2 × 5 3/4 in');
  const grain = page.getByLabel('Keep the grain alike in all pieces');
  await grain.click();
  await expect(grain).toBeChecked();
  await expect(plans.getByRole('alert')).toContainText(
    /base folded at the side, 9 3\/4 × 6 1\/8 in, is larger than the sheet of .* with its grain kept/,
  );
  await grain.click();
  await expect(plans.getByRole('alert')).toHaveCount(0);

  const drawn = page.waitForEvent('download');
  const panels = plans.getByRole('article').filter({ hasText: 'to be trimmed' });
  await panels.getByRole('button', { name: 'SVG, true size' }).click();
  const file = await drawn;
  const bytes = new Uint8Array(await readFile(await file.path()));
  const drawings = file.suggestedFilename().endsWith('.zip')
    ? Object.values(unzipSync(bytes)).map((one) => strFromU8(one))
    : [strFromU8(bytes)];
  for (const svg of drawings) {
    expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm" height="[\d.]+mm"/);
    expect(svg).toMatch(/panel to be trimmed|base/);
  }
  await resizeTo(page, 390, 844);
  await page.getByText(/^Drawer, /).click();
  await expectAccessible(page, 'drawer, narrow');
  await expectNoSideScroll(page, 390);
});
