import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { expectAccessible, expectNoSideScroll } from './axe';
import { dragBy, pastePicture, resizeTo, test } from './test';

const matched = (page: Page) => page.getByRole('region', { name: 'Matched inks' });
const rows = (page: Page) => matched(page).getByRole('listitem');
const inkOf = (page: Page, number: number) => matched(page).getByLabel(`Ink for colour ${number}`);

async function openMatch(page: Page) {
  await page.goto('/choose');
  await page.getByText('From a picture').click();
  await expect(rows(page)).toHaveCount(3);
}

/** A photograph of three flat bands, taken with the camera on its side. */
const bandsOnTheSide = () =>
  sharp({ create: { width: 600, height: 900, channels: 3, background: '#f8d46f' } })
    .composite([
      {
        input: { create: { width: 600, height: 300, channels: 3, background: '#009aab' } },
        top: 300,
        left: 0,
      },
      {
        input: { create: { width: 600, height: 300, channels: 3, background: '#133f7c' } },
        top: 600,
        left: 0,
      },
    ])
    .withMetadata({ orientation: 6 })
    .jpeg({ quality: 95 })
    .toBuffer();

test('a marker is moved by keys and by hand, pasted colours are matched in their order; nothing serious for axe, wide or narrow', async ({
  page,
}) => {
  await openMatch(page);
  const marker = page.getByRole('button', { name: /^Marker 1/ });
  const before = await marker.getAttribute('aria-label');
  await marker.focus();
  for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(marker).not.toHaveAttribute('aria-label', before ?? '');
  const moved = await marker.getAttribute('aria-label');
  await dragBy(marker, 120, -70);
  await expect(marker).not.toHaveAttribute('aria-label', moved ?? '');

  await page.getByText('Or paste colours').click();
  const pasted = page.getByLabel('Colours, one a line');
  await pasted.fill('#133f7c\nnavy');
  await page.getByRole('button', { name: 'Match these' }).click();
  await expect(page.getByRole('alert')).toContainText('"navy" is not a colour');
  await pasted.fill('#133f7c\n#f8d46f');
  await page.getByRole('button', { name: 'Match these' }).click();
  await expect(rows(page)).toHaveCount(2);
  await expect(inkOf(page, 1)).toHaveValue('tarn-deep');
  await expect(inkOf(page, 2)).toHaveValue('gorse-pale');
  await expectAccessible(page, 'match');
  await resizeTo(page, 390, 844);
  await expectAccessible(page, 'match, narrow');
  await expectNoSideScroll(page, 390);
});

test('what is no picture is refused, and the one in sight stays; one’s own is upright, its colours found, inks given, one swapped, and opened as a ladder', async ({
  page,
}) => {
  await openMatch(page);
  const file = page.getByLabel('Picture file');
  await file.setInputFiles({
    name: 'notes.png',
    mimeType: 'image/png',
    buffer: Buffer.from('not a picture'),
  });
  await expect(page.getByRole('alert')).toContainText('not a PNG, JPEG or WebP');
  const whole = await bandsOnTheSide();
  await file.setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: whole.subarray(0, 400) });
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Kiln mouth' })).toBeVisible();

  const picture = page.getByLabel('Picture file');
  await picture.setInputFiles({ name: 'bands.jpg', mimeType: 'image/jpeg', buffer: await bandsOnTheSide() });
  const shown = page.getByRole('img', { name: 'bands.jpg' });
  await expect(shown).toBeVisible();
  // On its side in the file, 600 × 900; upright it is wider than high.
  const box = await shown.boundingBox();
  expect((box?.width ?? 0) / (box?.height ?? 1)).toBeCloseTo(1.5, 1);
  const inks = async () => (await Promise.all([1, 2, 3].map((n) => inkOf(page, n).inputValue()))).sort();
  await expect.poll(inks).toEqual(['gorse-pale', 'leat-mid', 'tarn-deep']);
  // The same, copied elsewhere and pasted.
  await pastePicture(page, await bandsOnTheSide());
  await expect(page.getByRole('img', { name: 'Pasted picture' })).toBeVisible();
  await expect.poll(inks).toEqual(['gorse-pale', 'leat-mid', 'tarn-deep']);

  await inkOf(page, 1).selectOption({ index: 1 });
  await matched(page).getByText('light to dark').click();
  await matched(page).getByLabel('Shares as in the picture').check();
  await expect(matched(page)).toContainText(/Gorse Pale 3\d %, .* 3\d %/);
  await matched(page).getByRole('button', { name: 'Open on the bench' }).click();
  await expect(
    page.getByRole('region', { name: 'Readings' }).getByRole('button', { name: /^Change/ }),
  ).toHaveCount(3);
});

test('swatches are read off the sample sheet against its bare card, and become inks with undo', async ({
  page,
}) => {
  await page.goto('/inks');
  await page.getByRole('button', { name: 'From a swatch sheet' }).click();
  await page.getByRole('button', { name: 'Try the sample sheet' }).click();
  const sheet = page.getByRole('application');
  const at = async (x: number, y: number) => {
    const box = await sheet.boundingBox();
    await page.mouse.click((box?.x ?? 0) + x * (box?.width ?? 0), (box?.y ?? 0) + y * (box?.height ?? 0));
  };
  const dialog = page.getByRole('dialog');
  await at(0.12, 0.8);
  await expect(dialog.getByRole('alert')).toContainText('too dark to be bare white card');
  await at(0.02, 0.5);
  await at(0.12, 0.2);
  // The first ink on the sheet is the demo's Gorse Deep, #c98914.
  await expect(dialog.getByRole('listitem')).toContainText('L* 62');
  await expect(dialog.getByRole('listitem')).toContainText('spread');
  await dialog.getByLabel('Name of Swatch 1').fill('Kestrel');
  await expectAccessible(page, 'swatch reader');
  await dialog.getByRole('button', { name: 'Add 1 ink' }).click();
  await expect(page.locator('main').getByRole('status')).toHaveText('73 of 73');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('main').getByRole('status')).toHaveText('72 of 72');
});

test('an ink’s colour is taken off a picture in its form, by keys alone', async ({ page }) => {
  await page.goto('/inks');
  await page.getByRole('button', { name: 'Add an ink' }).click();
  await page.getByRole('button', { name: 'Read it off a picture' }).first().click();
  const reader = page.getByRole('dialog', { name: 'Read swatches off a picture' });
  await reader.getByRole('button', { name: 'Try the sample sheet' }).click();
  await reader.getByRole('application').focus();
  // The cross starts in the middle, on a swatch; bare card lies at the left edge.
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(reader.getByText('Now each swatch.')).toBeVisible();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Enter');
  await reader.getByRole('button', { name: 'Use this colour' }).click();
  await expect(page.getByLabel('Colour over white, dried')).toHaveValue(/^#[0-9a-f]{6}$/);
});
