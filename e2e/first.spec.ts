import { expect } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { deskSetting, openBench } from './bench';
import { expectPrinted, goOn, resizeTo, test, watchPrinter } from './test';

test('from the first screen to a named, tonal recipe of one’s own and its printed sheet in eight actions', async ({
  page,
}) => {
  await watchPrinter(page);
  await openBench(page, '/');
  // Translated by a browser its figures would stand still.
  await expect(page.locator('html')).toHaveAttribute('translate', 'no');
  let actions = 0;
  const press = async (role: 'button' | 'menuitem' | 'link', name: string | RegExp) => {
    actions++;
    await page.getByRole(role, { name }).click();
  };
  await press('button', 'Recipe …');
  await press('menuitem', /^New recipe/);
  await press('button', 'Start from Tarn');
  // Its name is there to be typed over.
  const name = page.getByLabel('Name of the recipe');
  await expect(name).toBeFocused();
  actions++;
  await page.keyboard.type('Evening cards');
  await page.keyboard.press('Enter');
  const readings = page.getByRole('region', { name: 'Readings' });
  await expect(readings.getByRole('button', { name: /^Change Tarn/ })).toHaveCount(3);
  const seen = await readings.getByText(/^\d+ % seen$/).allTextContents();
  expect(seen.map((text) => parseInt(text, 10)).filter((share) => share < 32 || share > 35)).toEqual([]);
  await press('link', 'Full sheet');
  await press('button', 'Print');
  await expectPrinted(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Evening cards');
  expect(actions).toBeLessThanOrEqual(8);
});

test('the same by keyboard alone, three inks of one’s own choosing by their names, in forty presses', async ({
  page,
}) => {
  await watchPrinter(page);
  await openBench(page, '/');
  await expect(page.getByRole('option').first()).toBeVisible();
  let presses = 0;
  const press = async (...keys: string[]) => {
    for (const key of keys) {
      presses++;
      await page.keyboard.press(key);
    }
  };
  await press('n');
  await expect(page.getByRole('dialog', { name: /^A new recipe/ })).toBeVisible();
  const first = page.getByRole('button', { name: /^Start from / }).first();
  for (let tabs = 0; tabs < 6 && !(await first.evaluate((at) => at === document.activeElement)); tabs++)
    await press('Tab');
  await press('Enter');
  await expect(page.getByLabel('Name of the recipe')).toBeFocused();
  await press('D', 'u', 's', 'k', 'Enter');
  await press('Control+k');
  await expect(page.getByPlaceholder(/^Type what/)).toBeFocused();
  await press('p', 'r', 'i', 'n', 't');
  await expect(page.getByRole('option', { selected: true })).toContainText('Print the order of work');
  await press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Dusk');
  await expect(page.getByRole('main')).toBeFocused();
  await press('p');
  await expectPrinted(page);
  expect(presses).toBeLessThanOrEqual(40);
});

test('the bench at rest asks for little; letters typed on its rail choose inks and are no commands; the keys never fall to the page', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Not now' }).click();
  await expect(page.getByRole('complementary', { name: 'First visit' })).toHaveCount(0);
  await expect(page.getByRole('slider')).toHaveCount(4);
  const controls = await page.evaluate(() =>
    [...document.querySelectorAll('a, button, input, select, textarea, [role=slider], [tabindex="0"]')]
      .filter((one) => {
        const { top, left, bottom, right, width } = one.getBoundingClientRect();
        const isSeen = width > 1 && top < innerHeight && left < innerWidth && bottom > 0 && right > 0;
        // What holds a row of choices is none itself.
        const isShown = getComputedStyle(one).visibility === 'visible';
        return (
          isSeen && isShown && !['option', 'group', 'radiogroup'].includes(one.getAttribute('role') ?? '')
        );
      })
      .map((one) => one.getAttribute('aria-label') ?? one.textContent ?? ''),
  );
  expect(controls.length, controls.join(' | ')).toBeLessThanOrEqual(40);

  await page.getByRole('option', { name: /^Leat Mid/ }).focus();
  await page.keyboard.type('tarn d');
  await expect(page.getByRole('option', { name: /^Tarn Deep/ })).toBeFocused();
  await page.keyboard.press('Enter');
  const readings = page.getByRole('region', { name: 'Readings' });
  await expect(readings.getByRole('button', { name: /^Change Tarn Deep/ })).toBeVisible();
  // "r" reverses the ladder elsewhere; here it is the beginning of a name.
  await expect(readings.getByRole('button', { name: /^Change/ }).first()).toHaveAccessibleName(/Gorse Pale/);
  await page.keyboard.press('Home');
  await expect(page.getByRole('option', { name: /^(bare card|Slip White)/ }).first()).toBeFocused();
  for (const view of ['Choose', 'Sittings', 'Inks', 'Cards', 'Designs', 'Recipes', 'Bench']) {
    await page.getByRole('link', { name: view, exact: true }).press('Enter');
    await expect(page.getByRole('main')).toBeVisible();
    await expect(page.locator('body')).not.toBeFocused();
  }
});

test('find anything finds what people call things, and says what can be looked for', async ({ page }) => {
  await openBench(page);
  const find = page.getByPlaceholder(/^Type what/);
  const first = page.getByRole('dialog').getByRole('option').first();
  await page.keyboard.press('Control+k');
  await find.fill('dusty pink');
  await expect(first).toContainText('ink');
  await find.fill('batch');
  await expect(first).toContainText('Cut a batch of cards');
  await find.fill('new rec');
  await expect(first).toContainText('New recipe');
  await find.fill('wxyz');
  await expect(page.getByRole('dialog')).toContainText('Nothing is called “wxyz”. Look for what to do');
  await expectAccessible(page, 'nothing found');
  // An ink that is found goes on the ladder in hand.
  await find.fill('sloe deep');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('Sloe Deep');
});

test('axe finds nothing in any view in the middle and the dark surround, and no view is wider than a phone', async ({
  page,
}) => {
  // Twelve views, each looked through whole: long on a machine that has others to serve.
  test.slow();
  await openBench(page);
  for (const surround of ['Middle', 'Dark']) {
    await deskSetting(page, surround);
    for (const view of ['Choose', 'Sittings', 'Inks', 'Cards', 'Designs', 'Recipes']) {
      await page.getByRole('link', { name: view, exact: true }).click();
      await expect(page.getByRole('main')).toBeVisible();
      await expectAccessible(page, `${view}, ${surround}`);
    }
  }
  await resizeTo(page, 390, 844);
  // Every way is in sight, or behind the last of them.
  const ways = page.getByRole('navigation', { name: 'Views' });
  await expect(ways.getByRole('button', { name: 'More' })).toBeVisible();
  await expect
    .poll(() => ways.evaluate(({ scrollWidth, clientWidth }) => scrollWidth - clientWidth))
    .toBeLessThanOrEqual(0);
  await ways.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Desk settings' }).click();
  await expect(page.getByRole('dialog', { name: 'Desk settings' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(ways.getByRole('button', { name: 'More' })).toBeFocused();
  for (const path of [
    '/choose',
    '/inks',
    '/cards',
    '/designs',
    '/recipes',
    '/sittings',
    '/sittings/invitations-1',
    '/sheet/kiln-mouth',
    '/desk/kiln-mouth',
  ]) {
    await goOn(page, path);
    await expect(page.getByRole('main')).toBeVisible();
    await expectNoSideScroll(page, 390);
  }
});
