import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { writeDesignSvg } from '../src/core/files/designSvg';
import { OWN_DESIGNS } from '../src/core/materials/design/own';
import { HOSTILE_SVGS, hugePng } from '../src/testing/hostileDesigns';
import { expectAccessible, expectNoSideScroll } from './axe';
import { addPass } from './passes';
import { goOn, resizeTo, test } from './test';

const STAR = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" width="60mm"><style>.hole { fill: #fff }</style><script>document.title='taken'</script><text>hello</text><defs><path id="title" d="M50 10L60 40L90 40L66 58L76 90L50 70L24 90L34 58L10 40L40 40Z"/></defs><use href="#title"/><circle class="hole" cx="50" cy="50" r="4"/></svg>`;
const open = (page: Page, name: string, contents: string | Uint8Array) =>
  page.getByLabel('Design file').setInputFiles({
    name,
    mimeType: name.endsWith('.png') ? 'image/png' : 'image/svg+xml',
    buffer: Buffer.from(contents),
  });
const designs = (page: Page) => page.getByRole('list', { name: 'Designs' }).getByRole('listitem');

test('a drawing is opened, cleaned, measured, kept, laid as a resist, and stays while it is used', async ({
  page,
}) => {
  await page.goto('/designs');
  await expect(designs(page)).toHaveCount(15);
  await open(page, 'star.svg', STAR);
  const form = page.getByRole('dialog');
  await expect(form).toContainText('Left out: script, text');
  // The star that is used again, and the hole its style sheet makes.
  await expect(form.locator('svg path')).toHaveCount(2);
  await expect(form.getByLabel('True width, mm')).toHaveValue('60');
  // The star is 80 of the drawing's 100 wide: trimmed, it stays as large as it was.
  await form.getByLabel('Trim to what is drawn').check();
  await expect(form.getByLabel('True width, mm')).toHaveValue('48');
  await expect(form).toContainText('Height follows: 48 mm');
  await form.getByLabel('Name').fill('');
  await form.getByLabel('True width, mm').fill('9000');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByRole('alert')).toHaveCount(2);
  await form.getByLabel('Name').fill('Kiln star');
  await form.getByLabel('True width, mm').fill('40');
  await form.getByRole('button', { name: 'Keep' }).click();
  const tile = designs(page).filter({ hasText: 'Kiln star' });
  await expect(tile).toContainText('40 × 40 mm');
  await expect(tile).toContainText(/bold|medium/);
  await expectAccessible(page, 'designs');
  await tile.getByRole('button', { name: 'Change Kiln star' }).click();
  await form.getByLabel('It is').selectOption('pattern');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(tile).toContainText('Pattern stencil');

  await goOn(page, '/bench/kiln-opening-2');
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await addPass(page, 'Silhouette');
  await page.getByLabel('Design of silhouette').selectOption({ label: 'Kiln star' });
  await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Kiln star, 40 mm wide');
  await expect(page.getByText('Saved')).toBeVisible();
  await goOn(page, '/designs');
  await tile.getByRole('button', { name: 'Take away Kiln star' }).click();
  await expect(page.getByText(/Kiln star stays: it is used in Kiln-opening/).first()).toBeVisible();
  await expect(designs(page)).toHaveCount(16);
  expect(await page.title()).toBe('Designs · Tint Ladder');
});

test('hostile files are refused with the reason or lose what is hostile, and the page goes on', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.goto('/designs');
  await expect(designs(page)).toHaveCount(15);
  for (const { name, text, refused } of HOSTILE_SVGS) {
    await open(page, `${name}.svg`, text);
    const dialog = page.getByRole('dialog');
    if (refused) await expect(dialog.getByRole('alert'), name).toContainText(refused);
    else await expect(dialog.getByRole('heading', { name: 'Keep this design' }), name).toBeVisible();
    await page.getByRole('button', { name: refused ? 'Close' : 'Cancel' }).click();
    await expect(dialog).toHaveCount(0);
  }
  await open(page, 'huge.png', hugePng());
  await expect(page.getByRole('alert')).toContainText('20000 × 20000 pixels');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(designs(page)).toHaveCount(15);
  expect(await page.title()).toBe('Designs · Tint Ladder');
  expect(asked.filter((url) => url.includes('127.0.0.1:9/'))).toEqual([]);
});

test('a picture is outlined, its pale parts where they are meant, taken away and brought back', async ({
  page,
}) => {
  const leaf = OWN_DESIGNS.find(({ id }) => id === 'pressed-leaf');
  if (!leaf) throw new Error('no leaf');
  const png = await sharp(Buffer.from(writeDesignSvg(leaf)), { density: 150 })
    .flatten({ background: '#fff' })
    .png()
    .toBuffer();
  await page.goto('/designs');
  await open(page, 'leaf.png', png);
  const form = page.getByRole('dialog');
  const path = form.getByRole('img', { name: 'leaf' }).locator('path');
  const drawn = await path.getAttribute('d');
  await form.getByLabel('The pale parts are meant').check();
  await expect(path).not.toHaveAttribute('d', drawn ?? '');
  await form.getByLabel('The pale parts are meant').uncheck();
  await expect(path).toHaveAttribute('d', drawn ?? '');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(designs(page)).toHaveCount(16);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Keep leaf as an SVG file' }).click();
  expect((await download).suggestedFilename()).toBe('leaf.svg');
  await page.getByRole('button', { name: 'Take away leaf' }).click();
  await expect(designs(page)).toHaveCount(15);
  const told = page.getByRole('listitem').filter({ hasText: 'leaf is gone' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(designs(page)).toHaveCount(16);
  await resizeTo(page, 390, 844);
  await expectAccessible(page, 'designs, narrow');
  await expectNoSideScroll(page, 390);
});
