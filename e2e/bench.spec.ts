import { readFile, writeFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { PDFDocument } from 'pdf-lib';
import { expectAccessible, expectNoSideScroll } from './axe';
import { arrange, choose, deskSetting, openBench, showNumbers, typeMark, unfoldMind, word } from './bench';
import { unevennessAt } from './picture';
import { dragBy, resizeTo, test } from './test';

test.use({ grain: true });

/** The colour of the panel in the middle of its width, at a part of its height from the top. */
const colourAt = (page: Page, part: number) =>
  page
    .locator('main canvas')
    .first()
    .evaluate((canvas, at) => {
      const { width, height } = canvas as HTMLCanvasElement;
      const data = (canvas as HTMLCanvasElement)
        .getContext('2d')
        ?.getImageData(width / 2, Math.floor(at * (height - 1)), 1, 1).data;
      return [...(data ?? [])].slice(0, 3);
    }, part);
const readings = (page: Page) => page.getByRole('region', { name: 'Readings' });
const rail = (page: Page) => page.getByRole('region', { name: 'Value rail' });
const mark = (page: Page, name: string) => page.getByRole('slider', { name });
const shareOf = (page: Page, ink: string) => page.getByLabel(`Share of ${ink}, per cent`);
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

test('the first visit opens a demo recipe: picture, rail, readings and order of work; axe finds nothing serious in any surround', async ({
  page,
}) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await openBench(page, '/');
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Kiln-opening invitation, run 2');
  await expect(rail(page).getByRole('option')).toHaveCount(72);
  await expect(rail(page).getByRole('option', { selected: true })).toHaveCount(3);
  await expect(readings(page)).toContainText('light yellow');
  await expect(readings(page)).toContainText('New colour: ');
  await expect(page.getByRole('list', { name: 'Steps' }).getByRole('listitem')).toHaveCount(9);
  const [red = 0, , blue = 0] = await colourAt(page, 0.02);
  expect(red - blue).toBeGreaterThan(60);
  for (const surround of ['Light', 'Middle', 'Dark']) {
    await deskSetting(page, surround);
    await expectAccessible(page, `bench, ${surround}`);
  }
  expect(errors).toEqual([]);
});

test('rungs are ordered light to dark, swapped and reversed; an ink from the rail goes on the nearest, a chosen or a new one, by keyboard too', async ({
  page,
}) => {
  await openBench(page);
  const first = () =>
    readings(page)
      .getByRole('button', { name: /^Change/ })
      .first();
  await arrange(page, 'Light to dark, pale at the foot');
  await expect(first()).toHaveAccessibleName(/Skerry Deep/);
  await arrange(page, 'Reverse');
  await expect(first()).toHaveAccessibleName(/Gorse Pale/);
  await page.getByRole('button', { name: 'More for Gorse Pale' }).click();
  await page.getByRole('menuitem', { name: 'Swap with the rung below' }).click();
  await expect(first()).toHaveAccessibleName(/Leat Mid/);
  await arrange(page, 'Light to dark, pale at the top');
  await expect(first()).toHaveAccessibleName(/Gorse Pale/);

  // A fingertip is wider than a dot: beside it is near enough, and what is meant is told before.
  const tarn = await rail(page)
    .getByRole('option', { name: /^Tarn Deep/ })
    .boundingBox();
  const beside = [(tarn?.x ?? 0) + 13, (tarn?.y ?? 0) - 8] as const;
  await page.mouse.move(...beside);
  await expect(page.locator('[aria-live]').filter({ hasText: 'Tarn Deep' })).toBeVisible();
  await page.mouse.click(...beside);
  await expect(readings(page)).toContainText('Tarn Deep');
  await expect(page.getByRole('button', { name: /^Change Skerry Deep/ })).toHaveCount(0);

  await page.getByRole('button', { name: /Change Gorse Pale/ }).click();
  const option = rail(page).getByRole('option', { name: /^Tarn Deep/ });
  await option.focus();
  await page.keyboard.press('ArrowUp');
  const above = await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
  expect(above).not.toContain('Tarn Deep');
  await page.keyboard.press('Enter');
  await expect(rail(page).getByRole('option', { name: above, exact: true })).toHaveAttribute(
    'aria-selected',
    'true',
  );
  await expect(page.getByRole('button', { name: /^Change Gorse Pale/ })).toHaveCount(0);

  await arrange(page, 'Add a rung: the next ink pressed');
  await rail(page)
    .getByRole('option', { name: /^Haar Pale/ })
    .click();
  await expect(rail(page).getByRole('option', { selected: true })).toHaveCount(4);
  await page.getByRole('button', { name: 'More for Haar Pale' }).click();
  await page.getByRole('menuitem', { name: 'Take this rung off' }).click();
  await expect(rail(page).getByRole('option', { selected: true })).toHaveCount(3);
});

test('marks are dragged, moved by arrow keys and typed; shares keep adding up and joints never cross', async ({
  page,
}) => {
  await openBench(page);
  const grip = mark(page, 'Gorse Pale solid to');
  // On a phone nothing moves from under the finger that makes the first change, though it can be undone from then on.
  await resizeTo(page, 390, 844);
  const top = async () => (await page.locator('main canvas').first().boundingBox())?.y;
  const first = await top();
  await grip.press('ArrowDown');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  expect(await top()).toBe(first);
  // Fingers are wide, but the middle of each mark is its own.
  const taken = await page.getByRole('slider').evaluateAll((all) =>
    all.filter((one) => {
      const { x, y, width, height } = one.getBoundingClientRect();
      return !one.contains(document.elementFromPoint(x + width / 2, y + height / 2));
    }),
  );
  expect(taken).toHaveLength(0);
  await resizeTo(page, 1280, 800);
  // Moved by a key and then dragged: each is undone by itself.
  await grip.press('ArrowDown');
  const before = Number(await grip.getAttribute('aria-valuenow'));
  // What is selected is not dragged in its stead.
  await page.evaluate(() => getSelection()?.selectAllChildren(document.body));
  await dragBy(grip, 0, 40);
  const dragged = Number(await grip.getAttribute('aria-valuenow'));
  expect(dragged).toBeLessThan(before - 5);
  // On a keyboard of other letters it is the key in the same place.
  for (const key of ['z', 'я']) {
    await grip.dispatchEvent('keydown', { key, code: 'KeyZ', ctrlKey: true, bubbles: true });
    await expect(grip).toHaveAttribute('aria-valuenow', String(before));
    await page.keyboard.press('Control+Shift+Z');
    await expect(grip).toHaveAttribute('aria-valuenow', String(dragged));
  }

  await grip.focus();
  await page.keyboard.press('ArrowUp');
  await expect(grip).toHaveAttribute('aria-valuenow', String(dragged + 0.5));

  // A measure is written where it stands, once that is pressed.
  await mark(page, 'Leat Mid solid to').locator('[data-measure]').click();
  await page.keyboard.type('500');
  await page.keyboard.press('Enter');
  const least = Number(await mark(page, 'Leat Mid solid from').getAttribute('aria-valuenow'));
  expect(Number(await mark(page, 'Leat Mid solid to').getAttribute('aria-valuenow'))).toBeCloseTo(
    least - 1,
    0,
  );

  await typeMark(page, 'Leat Mid solid to', 'wide');
  await expect(page.getByRole('alert')).toContainText('not a length');
  await page.keyboard.press('Escape');
  await expect(mark(page, 'Leat Mid solid to')).toBeFocused();
  await showNumbers(page);

  const shares = await Promise.all(
    ['Gorse Pale', 'Leat Mid', 'Skerry Deep'].map(async (ink) =>
      parseInt(await shareOf(page, ink).inputValue(), 10),
    ),
  );
  expect(Math.abs(shares.reduce((sum, share) => sum + share, 0) - 100)).toBeLessThanOrEqual(1);
});

/** Runs in the page: notes what the first mark says each time a picture as large as the panel is asked of a painter. */
function noteAsked(): void {
  const asked: unknown[] = [];
  Object.assign(window, { asked });
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (this: Worker, ...given: Parameters<typeof post>) {
    const { path, argumentList } = given[0] ?? {};
    if (path?.[0] === 'paint' && argumentList[1].value.width > 200)
      asked.push(document.querySelector('[role=slider]')?.getAttribute('aria-valuenow'));
    post.apply(this, given);
  } as typeof post;
}

test('the panel is asked for while its marks still stand where they were, and not again once they are drawn', async ({
  page,
}) => {
  await page.addInitScript(noteAsked);
  await openBench(page);
  const mark = page.getByRole('slider').first();
  const panel = page.locator('main canvas[data-painted]').first();
  const move = async (): Promise<unknown[]> => {
    const [stood, shown] = [
      await mark.getAttribute('aria-valuenow'),
      await panel.getAttribute('data-painted'),
    ];
    await page.evaluate(() => {
      (window as unknown as { asked: unknown[] }).asked.length = 0;
    });
    await mark.press('ArrowDown');
    await expect(mark).not.toHaveAttribute('aria-valuenow', stood ?? '');
    await expect(panel).not.toHaveAttribute('data-painted', shown ?? '');
    const asked = await page.evaluate(() => (window as unknown as { asked: unknown[] }).asked);
    return [...new Set(asked)].map((said) => said === stood);
  };
  // The first change starts the second painter, too.
  expect(await move()).toEqual([true]);
  expect(await move()).toEqual([true]);
});

test('everything follows the card: dyes vanish on black, and the steps follow the marks', async ({
  page,
}) => {
  await openBench(page);
  const pale = await colourAt(page, 0.4);
  await rail(page)
    .getByRole('option', { name: /^Thrift Pale/ })
    .click();
  await choose(page, 'Card', 'black 300 g/m²');
  await expect(await unfoldMind(page)).toContainText('Leat Mid, a dye, is lost on black');
  await expect(page.getByLabel('Order of work')).toContainText('black 300 g/m²');
  await expect
    .poll(async () => Math.max(...(await colourAt(page, 0.4))))
    .toBeLessThan(Math.max(...pale) - 60);

  // A second card is laid at the same time: both pictures, one sheet.
  const second = page.getByRole('img', { name: 'The panel on kraft 280 g/m²' });
  await word(page, 'Card').click();
  await page.getByLabel('Laid at the same time on').selectOption({ label: 'kraft 280 g/m²' });
  await expect(second).toBeVisible();
  await expect(word(page, 'Card')).toHaveText('black 300 g/m² and kraft 280 g/m²');
  await page.getByLabel('Laid at the same time on').selectOption({ label: 'no other card' });
  await page.keyboard.press('Escape');
  await expect(second).toHaveCount(0);

  await deskSetting(page, 'in');
  await expect(page.getByLabel('Order of work')).toContainText(/\d\/(16|8|4|2)\sin/);
  const wetBefore = await colourAt(page, 0.95);
  await choose(page, 'How the panel is shown', 'Wet');
  await expect.poll(() => colourAt(page, 0.95)).not.toEqual(wetBefore);
});

test('changes are undone and redone by key, and kept over a reload', async ({ page }) => {
  await openBench(page);
  await showNumbers(page);
  const share = shareOf(page, 'Gorse Pale');
  const before = await share.inputValue();
  await share.fill('50');
  await share.press('Enter');
  await expect(share).toHaveValue('50 %');
  await page.getByLabel('Name of the recipe').fill('Sunday panel');
  await page.getByLabel('Name of the recipe').press('Enter');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Kiln-opening invitation, run 2');
  await page.keyboard.press('Control+z');
  await expect(share).toHaveValue(before);
  await page.keyboard.press('Control+Shift+Z');
  await expect(share).toHaveValue('50 %');
  await saved(page);
  await page.reload();
  await expect(share).toHaveValue('50 %');
});

test('two tabs do not overwrite each other', async ({ page, context }) => {
  await openBench(page);
  await showNumbers(page);
  const other = await context.newPage();
  await openBench(other);
  await showNumbers(other);
  // A tab with nothing unsaved follows the other one.
  await shareOf(page, 'Gorse Pale').fill('50');
  await shareOf(page, 'Gorse Pale').press('Enter');
  await expect(shareOf(other, 'Gorse Pale')).toHaveValue('50 %');
  // The other tab's save reaches the database while this one is changing the recipe.
  await saved(page);
  await page.evaluate(saveAsAnotherTabWould);
  await arrange(page, 'Reverse');
  await expect(page.getByRole('alert')).toContainText('Changed in another tab');
  await page.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await expect(page).not.toHaveURL(/kiln-opening-2/);
  await page.getByRole('link', { name: 'Recipes' }).click();
  await expect(page.getByRole('link', { name: 'Open From the other tab on the bench' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Open Kiln-opening invitation, run 2/ })).toBeVisible();
});

test('changes in conflict are kept as a copy when another recipe is opened', async ({ page }) => {
  await openBench(page);
  await page.evaluate(saveAsAnotherTabWould);
  await arrange(page, 'Reverse');
  await expect(page.getByRole('alert')).toContainText('Changed in another tab');
  await page.getByRole('link', { name: 'Recipes' }).click();
  await page.getByRole('link', { name: 'Open Kiln mouth on the bench' }).click();
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Kiln mouth');
  await page.getByRole('link', { name: 'Recipes' }).click();
  await expect(page.getByRole('link', { name: /^Open/ })).toHaveCount(5);
  await expect(page.getByRole('link', { name: /^Open Kiln-opening invitation, run 2/ })).toBeVisible();
});

/** Writes to the recipe behind the page's back. */
function saveAsAnotherTabWould(): Promise<void> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open('tint-ladder');
    opening.onerror = () => reject(opening.error);
    opening.onsuccess = () => {
      const recipes = opening.result.transaction('recipes', 'readwrite').objectStore('recipes');
      const reading = recipes.get('kiln-opening-2');
      reading.onsuccess = () => {
        const record = reading.result;
        record.revision += 1;
        record.recipe.name = 'From the other tab';
        recipes.put(record).onsuccess = () => resolve();
      };
    };
  });
}

test('a recipe goes out as a file and comes back elsewhere, or is refused with the place; recipes are made, copied, renamed, deleted and brought back', async ({
  page,
  browser,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Recipe …' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('kiln-opening-invitation-run-2.json');
  const text = await readFile(await file.path(), 'utf8');

  // Another machine, whose shelf has never seen these inks.
  const strange = text
    .replaceAll('gorse-pale', 'own-yellow')
    .replaceAll('Gorse Pale', 'Own Yellow')
    .replaceAll('smooth-white', 'own-card');
  const elsewhere = await browser.newPage();
  await elsewhere.goto('/recipes');
  const bringIn = (name: string, contents: string) =>
    elsewhere
      .getByLabel('Recipe file to import')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(contents) });
  await bringIn('strange.json', strange);
  await expect(elsewhere.getByLabel('Name of the recipe')).toHaveValue('Kiln-opening invitation, run 2 (2)');
  await expect(readings(elsewhere)).toContainText('Own Yellow');

  await elsewhere.getByRole('link', { name: 'Recipes' }).click();
  await expect(elsewhere.getByRole('link', { name: /^Open/ })).toHaveCount(5);
  const refused = async (name: string, contents: string, told: RegExp) => {
    await bringIn(name, contents);
    await expect(elsewhere.getByRole('dialog')).toContainText(told);
    await expect(elsewhere.getByRole('dialog')).toContainText('Nothing was changed');
    await elsewhere.getByRole('button', { name: 'Close' }).click();
  };
  await refused('notes.txt.json', 'not a recipe', /not JSON/);
  await refused('later.json', text.replace('"version": 6', '"version": 7'), /version.*7/);
  await refused(
    'minus.json',
    text.replace(/"share": [\d.]+/, '"share": -3'),
    /recipe\.rungs\[0\]\.share.*-3/,
  );
  const huge = test.info().outputPath('huge.json');
  await writeFile(huge, Buffer.alloc(50_000_000, ' '));
  await elsewhere.getByLabel('Recipe file to import').setInputFiles(huge);
  await expect(elsewhere.getByRole('dialog')).toContainText(/50\.0 MB, and at most 4 MB/);
  await elsewhere.getByRole('button', { name: 'Close' }).click();
  await expect(elsewhere.getByRole('link', { name: /^Open/ })).toHaveCount(5);

  await page.getByRole('link', { name: 'Recipes' }).click();
  await expect(page.getByRole('link', { name: /^Open/ })).toHaveCount(4);
  await page.getByRole('button', { name: 'More for Kiln mouth', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Kiln mouth (2)');
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'New recipe' }).click();
  await page.getByRole('button', { name: 'Start from Skerry' }).click();
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Skerry in three depths');
  await page.getByRole('link', { name: 'Recipes' }).click();
  const name = page.getByLabel('Name of Kiln mouth (2)');
  await name.fill('Kiln door');
  await name.press('Enter');
  await expect(page.getByRole('link', { name: /^Open/ })).toHaveCount(6);
  await page.getByRole('button', { name: 'More for Kiln door' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: /^Open/ })).toHaveCount(5);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Open Kiln door on the bench' })).toBeVisible();
});

test('bench and full sheet have every step and print without the chrome around them; axe finds nothing serious, nor on a phone', async ({
  page,
}) => {
  await openBench(page);
  // What a tab, the history and a file that is printed to are called.
  await expect(page).toHaveTitle('Kiln-opening invitation, run 2 · Tint Ladder');
  // Printed from where one is: every step fits the page's width, and inks are not left out as grounds are.
  await page.emulateMedia({ media: 'print' });
  await resizeTo(page, 700, 1000);
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(steps).toHaveCount(9);
  for (const step of await steps.all()) {
    const box = await step.boundingBox();
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(700);
  }
  await expect(page.locator('[style*="background-color"]').first()).toHaveCSS('print-color-adjust', 'exact');
  await page.emulateMedia({ media: 'screen' });
  await resizeTo(page, 1280, 800);
  await page.getByRole('link', { name: 'Full sheet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Kiln-opening invitation, run 2');
  await expect(page).toHaveTitle('Kiln-opening invitation, run 2, the sheet · Tint Ladder');
  const sheet = page.getByRole('article');
  await expect(sheet.getByRole('heading', { level: 2 })).toHaveCount(9);
  // What lies ready is ticked, here and at the desk.
  const brush = sheet.getByRole('checkbox', { name: 'brush B, Leat' });
  await brush.check();
  await expect(sheet).toContainText('1 of 13 lie ready.');
  await page.getByRole('link', { name: 'Step by step' }).click();
  await expect(page.getByRole('checkbox', { name: 'brush B, Leat' })).toBeChecked();
  await expect(page).toHaveTitle('Kiln-opening invitation, run 2, step by step · Tint Ladder');
  await page.getByRole('link', { name: 'Whole sheet' }).click();
  await expect(brush).toBeChecked();
  await sheet.getByRole('button', { name: 'Clear the ticks' }).click();
  await expect(brush).not.toBeChecked();
  await expect(page.getByRole('article')).toContainText('hot air and hot card burn');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Views' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  for (const format of ['A4', 'Letter']) {
    const margin = { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' };
    const paper = await PDFDocument.load(await page.pdf({ format, margin }));
    expect(paper.getPageCount(), format).toBe(1);
  }
  await page.emulateMedia({ media: 'screen' });
  await expectAccessible(page, 'sheet');
  // Printed at once, paper waits for the pictures.
  await page.addInitScript(() => {
    window.print = () => {
      const unpainted = document.querySelectorAll('canvas:not([data-painted])').length;
      document.documentElement.dataset.printed = `${unpainted} pictures missing`;
    };
  });
  await page.goto('/sheet/running-glaze');
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-printed', '0 pictures missing');
  await resizeTo(page, 390, 844);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.locator('canvas[data-painted]').first()).toBeVisible();
  await expectAccessible(page, 'bench, narrow');
  await expectNoSideScroll(page, 390);
});

test('a panel is shown with the grain of card and ink; one switch turns it off, and it stays off', async ({
  page,
}) => {
  const grain = page.getByLabel('Panels show the grain of card and ink, and what stands up from them');
  const turn = async (on: boolean) => {
    await page.getByRole('button', { name: 'Desk settings' }).click();
    await grain.setChecked(on);
    await page.getByRole('button', { name: 'Done' }).click();
  };
  await openBench(page, '/');
  // The very first picture comes without it.
  await expect.poll(() => unevennessAt(page, 0.1)).toBeGreaterThan(0.9);
  await turn(false);
  await expect.poll(() => unevennessAt(page, 0.1)).toBeLessThan(0.6);
  await page.reload();
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await expect.poll(() => unevennessAt(page, 0.1)).toBeLessThan(0.6);
  await turn(true);
  await expect.poll(() => unevennessAt(page, 0.1)).toBeGreaterThan(0.9);
});
