import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { arrange, choose, chooseRun, openBench, runWord, showNumbers, unfoldMind, word } from './bench';
import { addPass, showReadings } from './passes';
import { lightAt } from './picture';
import { dragBy, goOn, holdBack, resizeTo, test } from './test';

/** A way to lie, among the choices of the sentence's word. */
const run = (page: Page, name: string) => page.getByRole('radio', { name, exact: true });
const steps = (page: Page) => page.getByRole('list', { name: 'Steps' });
test('each run by mouse: chosen, its handle dragged, picture and sheet follow', async ({ page }) => {
  await openBench(page);
  await chooseRun(page, 'Glow');
  // Both at once: the picture before it was a glow is paler at the corner.
  await expect
    .poll(async () => (await lightAt(page, 0.5, 0.45)) - (await lightAt(page, 0.02, 0.02)))
    .toBeGreaterThan(40);
  await expect(steps(page)).toContainText('ring 1');
  const centre = page.getByRole('button', { name: /^Centre of the glow/ });
  await dragBy(centre, -82, -102);
  await expect.poll(() => lightAt(page, 0.25, 0.2)).toBeGreaterThan(150);
  await page.keyboard.press('Control+z');
  await runWord(page).click();
  await expect(page.getByLabel('Glow: Centre, left, %')).toHaveValue('50');
  await page.keyboard.press('Escape');

  await chooseRun(page, 'Slant');
  const grip = page.getByRole('slider', { name: /^Gorse Pale solid to/ });
  const before = Number(await grip.getAttribute('aria-valuenow'));
  await dragBy(grip, -32, -42);
  expect(Number(await grip.getAttribute('aria-valuenow'))).toBeLessThan(before - 4);
  await expect(steps(page)).toContainText('line 1');
  await showNumbers(page);

  await chooseRun(page, 'Corners');
  const corner = page.getByRole('button', { name: /^Gorse Pale from the top left corner/ });
  const share = page.getByLabel('Share of Gorse Pale, per cent');
  const shareBefore = parseInt(await share.inputValue(), 10);
  await dragBy(corner, -37, -42);
  await expect.poll(async () => parseInt(await share.inputValue(), 10)).toBeLessThan(shareBefore);

  await chooseRun(page, 'Scatter');
  await expect(steps(page)).toContainText(/patch/);
  await runWord(page).click();
  const drawn = await page.getByLabel('Scatter: Seed').inputValue();
  await page.getByRole('button', { name: 'Scatter anew' }).click();
  await expect(page.getByLabel('Scatter: Seed')).not.toHaveValue(drawn);
});

test('each run by keyboard alone, with what lies over it', async ({ page }) => {
  await openBench(page);
  await runWord(page).focus();
  await page.keyboard.press('Enter');
  await expect(run(page, 'Straight')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(run(page, 'Slant')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(runWord(page)).toHaveText('slanting run');
  const angle = page.getByLabel('Slant: Angle, °');
  await angle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(angle).toHaveValue('40');
  await angle.fill('-20');
  await page.keyboard.press('Enter');
  await expect(steps(page)).toContainText('from the top right corner');
  // Upright bands are measured from the left by one figure each, whichever way the ladder goes.
  await angle.fill('-90');
  await page.keyboard.press('Enter');
  await expect(steps(page)).toContainText('Solid from the right edge to 87.5 mm');
  const marks = page.getByRole('slider', { name: /solid/ });
  await expect(marks.first()).toHaveAccessibleName(/^Skerry Deep solid from/);
  await expect(marks.first()).toHaveAttribute('aria-valuetext', /^17.mm from the left$/);
  await angle.fill('400');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('from -90 to 90');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  await page.getByRole('radio', { name: 'Readings', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  const overIt = page.getByRole('radio', { name: 'Over the blend', exact: true });
  await expect(overIt).toBeFocused();
  await expect(overIt).toBeChecked();
  await page.getByRole('button', { name: 'Add over it' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Edge', exact: true }).press('Enter');
  const depth = page.getByRole('button', { name: /^Edge: / });
  await depth.focus();
  const told = await depth.getAttribute('aria-label');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(depth).not.toHaveAttribute('aria-label', told ?? '');
  await page.getByLabel('Ink of edge').selectOption({ label: 'Tarn Deep' });
  await expect(steps(page)).toContainText('Edge: Tarn Deep');
  await showReadings(page);
  await expect(page.getByRole('region', { name: 'Also meeting' })).toContainText('Tarn Deep over Gorse Pale');
  await addPass(page, 'Horizon');
  await expect(steps(page)).toContainText('Mask above');
  await expect.poll(() => lightAt(page, 0.5, 0.97)).toBeLessThan(110);
  await page.getByRole('button', { name: 'Take Horizon off' }).click();
  await expect(steps(page)).not.toContainText('Mask above');
});

test('shares that are to be seen are laid by one press, and undone by one; a wanted width is laid, and one ink fades to bare card', async ({
  page,
}) => {
  await openBench(page);
  await showNumbers(page);
  const shares = page.getByRole('region', { name: 'True shares' });
  const laid = page.getByLabel('Share of Gorse Pale, per cent');
  const before = await laid.inputValue();
  const wanted = page.getByLabel('To see of Gorse Pale, per cent');
  await wanted.fill('50');
  await wanted.press('Enter');
  await shares.getByRole('button', { name: 'Make it so' }).click();
  await expect(shares).toContainText(/within 0\.\d % of what is wanted/);
  await expect(shares.getByRole('row', { name: /Gorse Pale/ })).toContainText('50 %');
  await page.keyboard.press('Control+z');
  await expect(laid).toHaveValue(before);

  const wide = page.getByLabel('Width of the new colour in joint 1, mm');
  await wide.fill('8');
  await wide.press('Enter');
  await expect(wide).toHaveValue('8');
  await page.getByRole('button', { name: 'More for Gorse Pale' }).click();
  await page.getByRole('menuitem', { name: 'Fade to bare card here' }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('bare card');
  await expect(page.getByLabel('Order of laying')).toContainText('Suggested: dark first');
  await expect.poll(() => lightAt(page, 0.5, 0.01)).toBeGreaterThan(240);
});

test('a rule of the trade is told as one goes, and mended by its press', async ({ page }) => {
  await openBench(page);
  await expect(page.getByRole('region', { name: 'Watch out' })).toHaveCount(0);
  await choose(page, 'Card', /^thin white/);
  const mind = await unfoldMind(page);
  await expect(mind).toContainText('curls once wetted');
  await mind.getByRole('button', { name: 'Take smooth white 350 g/m²' }).click();
  await expect(mind).toHaveCount(0);
  await expect(word(page, 'Card')).toHaveText('smooth white 350 g/m²');
  await page.getByRole('button', { name: /^Change Leat Mid/ }).click();
  await page.getByRole('option', { name: /^Hawberry Mid/ }).click();
  await page.getByRole('button', { name: /^Change Skerry Deep/ }).click();
  await page.getByRole('option', { name: /^Alder Mid/ }).click();
  await expect(mind).toContainText('where they meet');
  await mind.getByRole('button', { name: 'Put a middle ink between' }).click();
  await page.getByRole('menuitem', { name: 'Gorse Deep' }).click();
  const rungs = page.getByRole('region', { name: 'Value rail' }).getByRole('option', { selected: true });
  await expect(rungs).toHaveCount(4);
  await expect(mind).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(rungs).toHaveCount(3);
});

test('a school is chosen, and a note stays with its step, or in sight where its step is gone', async ({
  page,
}) => {
  await openBench(page);
  await page.getByLabel('Order of laying').selectOption('darkFirst');
  await expect(steps(page).getByRole('listitem').nth(1)).toContainText('Skerry Deep');
  await page.getByRole('link', { name: 'Full sheet' }).click();
  await page.getByRole('button', { name: 'Add a note to Leat Mid' }).click();
  await page.getByLabel('Note to Leat Mid').fill('lighter than last time');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add a note to Back with Skerry Deep' }).click();
  await page.getByLabel('Note to Back with Skerry Deep').fill('hardly any pressure');
  await page.keyboard.press('Enter');
  const stray = page.getByRole('region', { name: 'Notes to steps that are not in this order' });
  // The keys go back to what led to the writing, kept or given up.
  const change = page.getByRole('button', { name: 'Change the note to Back with Skerry Deep' });
  await expect(change).toBeFocused();
  await page.keyboard.press('Enter');
  await page.getByLabel('Note to Back with Skerry Deep').fill('hard');
  await page.keyboard.press('Escape');
  await expect(change).toBeFocused();
  await expect(page.getByText('hardly any pressure')).toBeVisible();
  await expect(stray).toHaveCount(0);
  await page.getByRole('link', { name: 'Back to the bench' }).click();
  await page.getByLabel('Order of laying').selectOption('paleFirst');
  await chooseRun(page, 'Glow');
  await expect(steps(page).getByRole('listitem').filter({ hasText: 'lighter than last time' })).toContainText(
    'Leat Mid',
  );
  await page.getByRole('link', { name: 'Full sheet' }).click();
  await expect(stray).toContainText('Skerry Deep over Leat Mid: hardly any pressure');
  await stray.getByRole('button', { name: 'Take off the note to Skerry Deep over Leat Mid' }).click();
  await expect(stray).toHaveCount(0);
  await expect(page.getByText('hardly any pressure')).toHaveCount(0);
});

test('step by step: next and back by key, a clock that pauses and sounds, and one’s own times afterwards', async ({
  page,
}) => {
  await page.addInitScript(soundWithinPresses);
  const tones = () => page.evaluate(() => (window as { tones?: number }).tones);
  const start = new Date('2026-01-05T10:00:00');
  await page.clock.install({ time: start });
  await page.goto('/desk/kiln-opening-2');
  const step = page.getByRole('region', { name: 'Step' });
  const clock = page.getByRole('timer');
  await expect(step).toContainText('Prepare');
  // From here on time passes only where the test lets it.
  await page.clock.pauseAt(new Date(start.getTime() + 600_000));
  await page.keyboard.press('Space');
  await expect(step).toContainText('Gorse Pale');
  await expect(clock).toHaveText('0:00');
  await page.clock.runFor(65_000);
  await expect(clock).toHaveText('1:05');
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.clock.runFor(30_000);
  await expect(clock).toHaveText('1:05');
  await page.getByRole('button', { name: 'Go on' }).click();
  expect(await tones()).toBe(0);
  await page.clock.runFor(55_000);
  await expect(clock).toHaveText('2:00');
  // Two minutes and some seconds, told as two.
  await page.clock.runFor(20_000);
  expect(await tones()).toBe(2);
  // Held, a key goes one step.
  for (let held = 0; held < 3; held++) await page.keyboard.down('PageDown');
  await page.keyboard.up('PageDown');
  await expect(step).toContainText('Leat Mid');
  await page.keyboard.press('PageUp');
  await expect(step).toContainText('Gorse Pale');
  await expect(step).not.toContainText('Take care');
  const next = page.getByRole('button', { name: /^(Next|Finish)$/ });
  for (let i = 0; i < 6; i++) await next.click();
  await expect(step).toContainText('Take care. Heat tool: hot air and hot card burn.');
  for (let i = 0; i < 2; i++) await next.click();
  await expect(page.getByRole('heading', { name: /Done in 1[12]:/ })).toBeVisible();
  const timings = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('tint-ladder');
        opening.onsuccess = () => {
          const counting = opening.result.transaction('timings').objectStore('timings').count();
          counting.onsuccess = () => resolve(counting.result);
        };
      }),
  );
  expect(timings).toBe(1);
});

test('a PDF and a picture go out, and the picture dropped on the bench opens the recipe again', async ({
  page,
}) => {
  await openBench(page);
  await chooseRun(page, 'Corners');
  const downloaded = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Export as a picture, 300 dpi' }).click();
  const png = await readFile(await (await downloaded).path());
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  await chooseRun(page, 'Straight');

  const drop = async (bytes: Buffer, name: string) => {
    const data = await page.evaluateHandle(
      ({ base64, fileName }) => {
        const transfer = new DataTransfer();
        const whole = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
        transfer.items.add(new File([whole], fileName, { type: 'image/png' }));
        return transfer;
      },
      { base64: bytes.toString('base64'), fileName: name },
    );
    await page.locator('main').dispatchEvent('drop', { dataTransfer: data });
  };
  await drop(png, 'panel.png');
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Kiln-opening invitation, run 2 (2)');
  await expect(runWord(page)).toHaveText('run from the corners');
  await drop(png.subarray(0, 5000), 'cut.png');
  await expect(page.getByRole('dialog')).toContainText('cut.png could not be opened');
  await page.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('link', { name: 'Full sheet' }).click();
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF, true size' }).click();
  expect((await readFile(await (await pdf).path())).subarray(0, 5).toString()).toBe('%PDF-');
});

test('versions are named, compared by a wipe line and gone back to', async ({ page }) => {
  await openBench(page);
  const open = async () => {
    await page.getByRole('button', { name: 'Recipe …' }).click();
    await page.getByRole('menuitem', { name: 'Versions' }).click();
  };
  await open();
  await page.getByLabel('Name for the recipe as it stands').fill('Before the glow');
  await page.getByRole('button', { name: 'Name this state' }).click();
  await expect(page.getByRole('list', { name: 'States' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Close' }).click();
  await chooseRun(page, 'Glow');
  await open();
  const boxes = page.getByRole('checkbox', { name: 'compare' });
  await expect(boxes).toHaveCount(2);
  for (const box of await boxes.all()) await box.check();
  const comparison = page.getByRole('region', { name: 'Comparison' });
  await expect(comparison).toContainText('Run: Glow → Straight');
  await comparison.getByText('Wipe line').click();
  await comparison.getByRole('slider').press('End');
  await expectAccessible(page, 'versions');
  await page.getByRole('button', { name: 'Go back to it' }).click();
  await expect(runWord(page)).toHaveText('straight run');
  await page.keyboard.press('Control+z');
  await expect(runWord(page)).toHaveText('glow');
});

test('the run and the shares of another recipe are taken over', async ({ page }) => {
  await openBench(page, '/bench/kiln-mouth');
  await showNumbers(page);
  const share = page.getByLabel('Share of Kilnfire Mid, per cent');
  await share.fill('60');
  await share.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await openBench(page);
  for (const what of ['Take the run of another recipe', 'Take the shares of another recipe']) {
    await arrange(page, what);
    await page
      .getByRole('dialog', { name: /^Take/ })
      .getByRole('button', { name: /^Kiln mouth/ })
      .click();
  }
  await expect(runWord(page)).toHaveText('glow');
  await expect(page.getByLabel('Share of Leat Mid, per cent')).toHaveValue('60 %');
});

test('what cannot be fetched says so and leaves the work as it is; a reload brings it', async ({ page }) => {
  let isDown = true;
  await page.route(/\/(Palette|RecipesView)-/, (route) => (isDown ? route.abort() : route.continue()));
  await openBench(page);
  await page.keyboard.press('Control+k');
  const failed = page.getByRole('alert').filter({ hasText: 'This did not open' });
  await expect(failed.getByRole('button', { name: 'Reload the page' })).toBeFocused();
  await expectAccessible(page, 'a dialog that did not come');
  await failed.getByRole('button', { name: 'Close' }).click();
  await expect(failed).toBeHidden();
  // Keys are the view's own again.
  await page.keyboard.press('w');
  await expect(word(page, 'How the panel is shown')).toHaveText('wet');
  await page.getByRole('link', { name: 'Recipes', exact: true }).click();
  await expect(page.getByText('This view stopped because of a fault')).toBeVisible();
  isDown = false;
  await page.getByRole('button', { name: 'Reload the page' }).click();
  await expect(page.getByRole('heading', { name: 'Recipes' })).toBeVisible();
});

test('the palette finds things to do and recipes; keys are listed and work; the loupe reads by keys; a panel seen closer is dragged', async ({
  page,
}) => {
  await openBench(page);
  // Typed at once: the palette is still being fetched.
  await page.keyboard.press('Control+k');
  await page.keyboard.type('run: glop');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('w');
  await expect(page.getByPlaceholder(/^Type what/)).toHaveValue('run: glow');
  await page.keyboard.press('Enter');
  await expect(runWord(page)).toHaveText('glow');
  // What the recipe's menu does is found by name, too.
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/^Type what/).fill('wrong');
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'What went wrong?' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/^Type what/).fill('raku');
  await expect(page.getByRole('option', { name: 'Raku dusk, tonal' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Raku dusk, tonal');
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('w');
  await expect(word(page, 'How the panel is shown')).toHaveText('wet');
  await page.keyboard.press('?');
  await page.getByRole('tab', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Help' })).toContainText('Loupe on or off');
  await expectAccessible(page, 'keys');
  await page.keyboard.press('Escape');
  const oneLetter = page.getByLabel('Keys of one letter or sign do something');
  await page.getByRole('button', { name: 'Desk settings' }).click();
  await oneLetter.uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('w');
  await expect(word(page, 'How the panel is shown')).toHaveText('wet');
  await page.getByRole('button', { name: 'Desk settings' }).click();
  await oneLetter.check();
  await page.keyboard.press('Escape');
  await page.keyboard.press('l');
  const loupe = page.getByRole('application', { name: /^Loupe/ });
  await loupe.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByRole('status', { name: 'Loupe reading' })).toContainText('Thrift Pale 100 %');
  for (let i = 0; i < 30; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('status', { name: 'Loupe reading' })).toContainText('Sloe Deep 100 %');
  const small = await page.locator('main canvas').first().boundingBox();
  await page.keyboard.press('+');
  await expect
    .poll(async () => (await page.locator('main canvas').first().boundingBox())?.width)
    .toBeGreaterThan((small?.width ?? 0) * 1.4);
  // Larger than its place, the panel is dragged about in it.
  await page.keyboard.press('l');
  await expect(loupe).toHaveCount(0);
  const [panel, place] = [page.locator('main canvas').first(), page.locator('[data-tour=panel]')];
  const [whole, seen] = [await panel.boundingBox(), await place.boundingBox()];
  const [x, y] = [(seen?.x ?? 0) + (seen?.width ?? 0) / 2, (seen?.y ?? 0) + (seen?.height ?? 0) / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 10, y - 60, { steps: 4 });
  await page.mouse.up();
  await page.mouse.move(x, y);
  expect((await panel.boundingBox())?.y).toBeCloseTo((whole?.y ?? 0) - 60, 0);
});

test('whether a greeting will be seen: the image that does best, its calmest place, and coats over a resist', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Will it be seen?' }).click();
  const images = page.getByRole('region', { name: 'Silhouette or greeting in' });
  await expect(images.getByRole('listitem').filter({ hasText: 'does best' })).toContainText('Black');
  const greeting = page.getByRole('region', { name: 'Greeting', exact: true });
  await expect(greeting.getByRole('status')).toContainText(
    /^Calmest .* from the foot: at least \d+\.\d : 1 on even ground/,
  );
  await images.getByLabel(/Its own palest/).check();
  await expect(greeting.getByRole('status')).toContainText('Nowhere does it read throughout');
  await images.getByLabel(/White/).check();
  await expect(greeting.getByRole('status')).toContainText('Calmest');
  await greeting.getByLabel('Greeting width, mm').fill('900');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Type a length');
  await expect(page.getByRole('region', { name: /^Top coat/ })).toContainText(
    'the design is lost over Skerry Deep',
  );
  await expectAccessible(page, 'seen');
  await resizeTo(page, 390, 844);
  const dialog = page.getByRole('dialog');
  // What it draws to its own width is drawn anew a moment after that has changed.
  await expect
    .poll(() => dialog.evaluate(({ scrollWidth, clientWidth }) => scrollWidth - clientWidth))
    .toBeLessThanOrEqual(0);
});

test('the tour leads round the real controls on a first visit, is left, and is found again', async ({
  page,
}) => {
  await openBench(page, '/');
  await page.getByRole('button', { name: /Show me round/ }).click();
  await expect(page.getByRole('dialog', { name: /^Tour, 1 of 5/ })).toBeVisible();
  for (let i = 2; i <= 5; i++) {
    await expect(page.getByRole('button', { name: 'Next', exact: true })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog', { name: new RegExp(`^Tour, ${i} of 5`) })).toBeVisible();
  }
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /Show me round/ })).toHaveCount(0);
  await expect(page.getByRole('main')).toBeFocused();
  await page.getByRole('button', { name: 'Desk settings' }).click();
  await page.getByRole('button', { name: /^Help/ }).click();
  // A phone has room for its words below a control, where none is beside it.
  await resizeTo(page, 390, 844);
  await page.getByRole('button', { name: 'Show me round the bench' }).click();
  await expect(page.getByRole('dialog', { name: /^Tour, 1 of 5/ })).toBeVisible();
  const next = page.getByRole('button', { name: 'Next', exact: true });
  await expect(next).toBeInViewport();
  // The dialog that led here is gone; the keys are not back where it was opened from.
  await expect(next).toBeFocused();
  // Scrolled under it, the control keeps its frame.
  const topOf = (part: string) =>
    page.locator(part).evaluate((one) => Math.round(one.getBoundingClientRect().top));
  const before = await topOf('[data-tour="rail"]');
  await page.mouse.wheel(0, -120);
  await expect.poll(() => topOf('[data-tour="rail"]')).not.toBe(before);
  await expect
    .poll(async () => (await topOf('[data-tour-frame]')) - (await topOf('[data-tour="rail"]')))
    .toBe(0);
});

test('nothing serious for axe on the runs and at the desk, wide or narrow', async ({ page }) => {
  await openBench(page);
  await chooseRun(page, 'Scatter');
  await addPass(page, 'Top coat');
  await expectAccessible(page, 'scatter with a coat');
  await chooseRun(page, 'Glow');
  await expectAccessible(page, 'glow');
  await page.goto('/desk/kiln-opening-2');
  await expect(page.locator('main canvas[data-painted]')).toBeVisible();
  await expectAccessible(page, 'desk');
  await resizeTo(page, 390, 844);
  await expectAccessible(page, 'desk, narrow');
  await expectNoSideScroll(page, 390);
  await goOn(page, '/bench/kiln-opening-2');
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await expectNoSideScroll(page, 390);
  // While a picture is painted there is room for how far it is, and for the way out.
  const letPaint = await holdBack(page, /paper\.worker/);
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Export as a picture, 300 dpi' }).click();
  const painting = page.getByRole('status').filter({ hasText: 'Painting the picture' });
  await expect(painting).toBeInViewport({ ratio: 1 });
  await expectNoSideScroll(page, 390);
  await painting.getByRole('button', { name: 'Cancel' }).click();
  await expect(painting).toHaveCount(0);
  letPaint();
});

/** In the page: a sound that is made ready from within a press alone, as WebKit has it; its tones are counted. */
function soundWithinPresses() {
  const told = Object.assign(window, { tones: 0 });
  const connects = { connect: () => connects };
  Object.assign(window, {
    AudioContext: class {
      state = 'suspended';
      currentTime = 0;
      async resume() {
        if (window.event?.isTrusted) this.state = 'running';
      }
      createOscillator = () => ({
        ...connects,
        frequency: {},
        start: () => {
          told.tones++;
        },
        stop: () => {},
      });
      createGain = () => ({
        ...connects,
        gain: { setValueAtTime: () => {}, exponentialRampToValueAtTime: () => {} },
      });
    },
  });
}
