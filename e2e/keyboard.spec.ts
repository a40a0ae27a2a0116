import { expect, type Page } from '@playwright/test';
import { openBench, word } from './bench';
import { expectPrinted, goOn, holdBack, nextFrames, test, watchPrinter } from './test';

/** Presses Tab until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < 90; i++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const at = document.activeElement;
      return at?.getAttribute('aria-label') ?? at?.textContent?.trim() ?? '';
    });
    if (name.test(focused)) return;
    passed.push(focused.slice(0, 40));
  }
  throw new Error(`Tab never came to ${name}; it came by ${passed.join(' | ')}`);
}

/** Finds something to do by its name and does it. */
async function command(page: Page, text: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder(/^Type what/)).toBeFocused();
  await page.keyboard.type(text);
  await expect(page.getByRole('dialog').getByRole('option', { selected: true })).toContainText(
    new RegExp(text, 'i'),
  );
  await page.keyboard.press('Enter');
}

test('a panel from its inks to its sheet by keyboard alone', async ({ page }) => {
  await openBench(page);
  await expect(page.getByRole('option').first()).toBeVisible();

  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Skip to the work' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();

  // A rung is chosen, the keys are on its dot at once, and an ink above it takes its place.
  await tabTo(page, /^Change Skerry Deep/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('option', { name: /^Skerry Deep/ })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  const readings = page.getByRole('region', { name: 'Readings' });
  await expect(readings).not.toContainText('Skerry Deep');

  // A mark, by arrow keys and typed.
  await tabTo(page, /solid to, .* faded out$/);
  const mark = page.locator(':focus');
  const before = await mark.getAttribute('aria-valuenow');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(mark).not.toHaveAttribute('aria-valuenow', before ?? '');
  await page.keyboard.type('98');
  await expect(page.locator(':focus')).toHaveValue('98');
  await page.keyboard.press('Enter');
  await expect(mark).toHaveAttribute('aria-valuenow', '98');
  await expect(mark).toBeFocused();

  // A resist and its coat, and whether it will be seen.
  await command(page, 'clear resist');
  const steps = page.getByRole('list', { name: 'Steps' });
  await expect(steps).toContainText('Emboss the resist');
  await command(page, 'will it be seen');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('button', { name: /^Coat with it: / }).first()).toBeVisible();
  await tabTo(page, /^Coat with it: /);
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('laid', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await expect(steps).toContainText('Top coat');
  await page.keyboard.press('Control+z');
  await expect(steps).not.toContainText('Top coat');
  await page.keyboard.press('Control+Shift+z');
  await expect(steps).toContainText('Top coat');

  await tabTo(page, /^Full sheet$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toContainText('Emboss the resist');
  await expect(page.getByRole('main')).toContainText('Top coat');
});

test('a key pressed before a view has read its commands is done once they are there, unless the hand went on', async ({
  page,
}) => {
  // What has a key is read when it is let through, long after the panel is painted.
  const benchKeys = /BenchCommands-.*\.js/;
  let letThrough = await holdBack(page, benchKeys);
  await watchPrinter(page);
  const shown = word(page, 'How the panel is shown');
  const painted = page.locator('main canvas[data-painted]').first();
  await page.goto('/bench/kiln-opening-2');
  await expect(painted).toBeVisible();
  await expect(shown).toHaveText('dried');
  await page.keyboard.press('w');
  letThrough();
  await expect(shown).toHaveText('wet');

  letThrough = await holdBack(page, benchKeys);
  await page.goto('/bench/kiln-mouth');
  await expect(painted).toBeVisible();
  await expect(shown).toHaveText('wet');
  await page.keyboard.press('w');
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  letThrough();
  // A key works now, and it is the only one that is done.
  await expect(async () => {
    await page.keyboard.press('l');
    await expect(page.getByRole('application', { name: /^Loupe/ })).toBeVisible({ timeout: 500 });
  }).toPass();
  await expect(shown).toHaveText('wet');

  // While the next view is on its way a key is meant for that one: p opens the sheet here, and prints it there.
  letThrough = await holdBack(page, /SheetView-.*\.js/);
  await page.keyboard.press('p');
  await expect(page).toHaveURL(/sheet/);
  await page.keyboard.press('p');
  letThrough();
  await expectPrinted(page);

  // Held on, it opens the sheet and is done.
  await page.goto('/bench/kiln-mouth');
  await expect(painted).toBeVisible();
  await page.keyboard.down('p');
  await page.keyboard.down('p');
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expect(painted).toBeVisible();
  await page.keyboard.down('p');
  await page.keyboard.up('p');
  await nextFrames(page);
  await expect(page.locator('html[data-printed]')).toHaveCount(0);
});

test('letters that an input method puts together keep its keys: Enter takes them, Escape leaves the dialog open', async ({
  page,
  context,
}) => {
  const method = await context.newCDPSession(page);
  const compose = (text: string) =>
    method.send('Input.imeSetComposition', { text, selectionStart: text.length, selectionEnd: text.length });
  await openBench(page);
  const name = page.getByLabel('Name of the recipe');
  await name.click();
  await compose('はる');
  await page.keyboard.press('Enter');
  await method.send('Input.insertText', { text: '春' });
  await expect(name).toHaveValue('春');
  await page.keyboard.press('Enter');
  await expect(name).toHaveAttribute('data-typing', 'false');
  await expect(name).toHaveValue('春');

  await goOn(page, '/inks?new');
  const ink = page.getByRole('dialog').getByLabel('Name', { exact: true });
  await ink.click();
  await compose('はる');
  await page.keyboard.press('Escape');
  await method.send('Input.insertText', { text: '春' });
  await expect(ink).toHaveValue('春');
});

test('a control that goes with what it took away leaves the keys to the next; the last one, to the view', async ({
  page,
}) => {
  await page.goto('/cards');
  await page.getByRole('button', { name: 'Take out black 300 g/m²' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Change smooth cream 300 g/m²' })).toBeFocused();

  await goOn(page, '/bench/kiln-mouth');
  await page.getByRole('radio', { name: /^Over the blend/ }).click();
  await page.getByRole('button', { name: 'Take Edge off' }).focus();
  // Held on, the key does not press the next.
  for (let i = 0; i < 4; i++) await page.keyboard.down('Enter');
  await page.keyboard.up('Enter');
  await expect(page.getByRole('button', { name: 'Take Edge off' })).toHaveCount(0);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('body')).not.toBeFocused();
});
