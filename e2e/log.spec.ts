import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { openBench } from './bench';
import { goOn, pastePicture, pressTwice, resizeTo, test } from './test';

test.describe.configure({ timeout: 120_000 });

// The simulated desk makes another panel each evening, and an evening goes by the panel's id: here the same ones each run.
test.beforeEach(({ page }) =>
  page.addInitScript(() => {
    crypto.randomUUID = () => {
      const nth = Number(sessionStorage.getItem('ids') ?? 0) + 1;
      sessionStorage.setItem('ids', String(nth));
      return `00000000-0000-4000-8000-${String(nth).padStart(12, '0')}`;
    };
  }),
);

/** Logs the recipe on the bench, has it made and photographed at the simulated desk, and reads it. */
async function makeAndRead(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Log it as made today' }).click();
  await expect(page).toHaveURL(/\/log\/.+/);
  await page.getByRole('button', { name: 'Without a desk at hand' }).click();
  await page.getByRole('menuitem', { name: 'Make and photograph it at the simulated desk' }).click();
  const reader = page.getByRole('dialog', { name: /Read No \d+ off its photograph/ });
  await expect(reader.getByText('The corners were found.')).toBeVisible({ timeout: 30_000 });
  await reader.getByRole('button', { name: /Keep \d+ readings and learn/ }).click({ timeout: 30_000 });
  await expect(page.getByText(/learned from \d+ readings?\./).first()).toBeVisible({ timeout: 30_000 });
}

/** What a panel's readings lay off, ΔE00: from what was said when it was made, and from what is told now. */
async function offsOf(page: Page): Promise<readonly [number, number]> {
  const told = (await page.getByText(/ΔE00 at the median/).textContent()) ?? '';
  const [, then, now] = /: ([\d.]+) from its prediction, ([\d.]+) from/.exec(told) ?? [];
  return [Number(then), Number(now)];
}

test('from an empty log: a panel is made, photographed, read and learned from, and the next one is told better', async ({
  page,
}) => {
  await page.goto('/log');
  await expect(page.getByText('Nothing is logged yet.')).toBeVisible();
  await openBench(page);
  await makeAndRead(page);
  const [then, now] = await offsOf(page);
  expect(then).toBeGreaterThan(3);
  expect(now).toBeLessThan(then / 2);

  await openBench(page);
  await makeAndRead(page);
  const [next] = await offsOf(page);
  expect(next).toBeLessThan(then / 2);
  await expect(page.getByRole('region', { name: 'Tries of it' })).toContainText('No 1');

  await page.goto('/log?side=lessons');
  await expect(page.getByText(/^Leat Mid lays .* its swatch says.*from 2 panels\./)).toBeVisible();
  const reckon = page.getByRole('checkbox', { name: 'Use what is learned of Leat Mid' });
  await reckon.click();
  await expect(reckon).not.toBeChecked();
  await page.reload();
  await expect(reckon).not.toBeChecked();
  await page.goto('/log?side=figures');
  await expect(page.getByRole('img', { name: /^Median difference of each panel/ })).toBeVisible();
});

test('a panel’s page: rated, noted, its trouble found by what is seen, and made again with the change', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Log it as made today' }).click();
  await page.getByRole('radio', { name: '3 of 5' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: '3 of 5' })).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await page.getByLabel('Who it was for, or where it went').fill('the neighbours');
  await page.getByRole('button', { name: 'Find the cause by what is seen' }).click();
  const finder = page.getByRole('dialog', { name: 'What went wrong?' });
  await finder.getByRole('button', { name: 'a brown or grey band' }).click();
  await expect(finder.getByText('Opposite hues overlap where they meet.')).toBeVisible();
  await expectAccessible(page, 'the trouble finder');
  await finder.getByRole('button', { name: 'Note it in the log: narrower joints' }).click();
  await expect(page.getByRole('checkbox', { name: 'a brown or grey band' })).toBeChecked();
  await page.reload();
  await expect(page.getByLabel('Who it was for, or where it went')).toHaveValue('the neighbours');
  await expect(page.getByRole('radio', { name: '4 of 5' })).toBeChecked();
  await expectAccessible(page, 'a panel’s page');
  await page.getByRole('button', { name: 'Again, with the change' }).click();
  await expect(page).toHaveURL(/\/bench\//);

  await page.goto('/log');
  await page.getByRole('searchbox', { name: 'Search the log' }).fill('neighbours');
  await expect(page.getByRole('status').filter({ hasText: '1 of 1' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search the log' }).fill('nobody at all');
  await expect(page.getByText('No panel matches.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('link', { name: /^No 1 / }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Take out of the log' }).click();
  await expect(page.getByText('Nothing is logged yet.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('link', { name: /^No 1 / })).toBeVisible();
});

test('at the desk the last step logs one panel, pressed once or twice, with the time each step took', async ({
  page,
}) => {
  await page.goto('/desk/kiln-opening-2');
  const next = page.getByRole('button', { name: 'Next', exact: true });
  await expect(next).toBeVisible();
  for (let step = 0; step < 40 && (await next.isVisible()); step++) await next.click();
  await page.getByRole('button', { name: 'Finish' }).click();
  await pressTwice(page.getByRole('button', { name: 'Log this panel' }));
  await expect(page.getByRole('heading', { name: /No 1/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Times' }).getByRole('listitem').first()).toBeVisible();
  await goOn(page, '/log');
  await expect(page.getByRole('link', { name: /^No \d/ })).toHaveCount(1);
});

test('corners are moved by keys and by hand, a picture that is none is refused, and readings of a reader are taken from CGATS', async ({
  page,
}) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Recipe …' }).click();
  await page.getByRole('menuitem', { name: 'Log it as made today' }).click();
  const files = page.getByLabel('Photograph or readings of the panel');
  await files.setInputFiles({
    name: 'no.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('this is no picture'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'not a PNG, JPEG or WebP' })).toBeVisible();
  await files.setInputFiles({ name: 'no.txt', mimeType: 'text/plain', buffer: Buffer.from('BEGIN_DATA\n') });
  await expect(page.getByRole('alert').filter({ hasText: 'BEGIN_DATA_FORMAT' })).toBeVisible();
  await pastePicture(page, Buffer.from('nor is this'));
  await expect(page.getByRole('alert').filter({ hasText: 'not a PNG, JPEG or WebP' })).toBeVisible();

  await page.getByRole('button', { name: 'Without a desk at hand' }).click();
  await page.getByRole('menuitem', { name: 'Read it with the simulated colour reader' }).click();
  await expect(page.getByText(/learned from \d+ readings\./).first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('colour reader').first()).toBeVisible();

  await page.getByRole('button', { name: 'Without a desk at hand' }).click();
  await page.getByRole('menuitem', { name: 'Make and photograph it at the simulated desk' }).click();
  const corner = page.getByRole('slider', { name: 'Top left corner' });
  await corner.focus();
  const at = Number(await corner.getAttribute('aria-valuenow'));
  await corner.press('ArrowRight');
  await corner.press('Shift+ArrowRight');
  await expect(corner).toHaveAttribute('aria-valuenow', String(at + 11));
  // By hand it goes where the pointer does, though the photograph is higher than its place is wide; no other button moves it.
  const middle = async () => {
    const { x, y, width, height } = (await corner.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
    return { x: x + width / 2, y: y + height / 2 };
  };
  const before = await middle();
  const to = { x: before.x + 24, y: before.y - 12 };
  for (const button of ['right', 'left'] as const) {
    // It is taken hold of beside its middle.
    await page.mouse.move(before.x + 6, before.y + 4);
    await page.mouse.down({ button });
    await page.mouse.move(to.x + 6, to.y + 4, { steps: 3 });
    await page.mouse.up({ button });
    const goal = button === 'left' ? to : before;
    expect(Math.hypot((await middle()).x - goal.x, (await middle()).y - goal.y)).toBeLessThan(2);
  }
  for (let press = 0; press < 80; press++) await corner.press('Shift+ArrowRight');
  await expect(page.getByRole('alert').filter({ hasText: /corners|bare card/ })).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByRole('button', { name: /Keep 0 readings/ })).toBeDisabled();
  await page.keyboard.press('Escape');
  // One is taken out, however often it is pressed, and comes back.
  const readings = page.getByRole('region', { name: 'Readings', exact: true });
  const count = await readings.getByRole('button', { name: /^Take out the reading/ }).count();
  await pressTwice(readings.getByRole('button', { name: /^Take out the reading/ }).first());
  await expect(readings.getByRole('button', { name: /^Take out the reading/ })).toHaveCount(count - 1);
  await page
    .getByRole('listitem')
    .filter({ hasText: '1 reading taken out.' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(readings.getByRole('button', { name: /^Take out the reading/ })).toHaveCount(count);
});

test('a swatch page is printed, filled at the simulated desk, read back at once and undone', async ({
  page,
}) => {
  await page.goto('/log?side=swatches');
  const print = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Print the pages' }).click();
  expect(
    readFileSync(await (await print).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await page.getByRole('button', { name: 'Without a desk at hand' }).click();
  await page.getByRole('menuitem', { name: /Fill and photograph it/ }).click();
  await expect(page.getByRole('region', { name: 'What was read' })).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: /^Take \d+ inks$/ }).click();
  await expect(page.getByRole('row').filter({ hasText: 'not yet' })).toHaveCount(0);
  await expectAccessible(page, 'the swatch book');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('row').filter({ hasText: 'not yet' })).not.toHaveCount(0);
});

test('pads are re-inked and reminded of by calendar, brushes are washed, labels are printed', async ({
  page,
}) => {
  await page.goto('/log?side=pads');
  await page.getByRole('button', { name: 'Gorse Pale is re-inked today' }).click();
  await expect(page.getByText('last re-inked today, unused since')).toBeVisible();
  const calendar = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Remind me by calendar' }).click();
  expect(readFileSync(await (await calendar).path(), 'utf8')).toMatch(
    /BEGIN:VCALENDAR[\s\S]*SUMMARY:Re-ink Gorse Pale/,
  );
  await page.getByLabel('What is written on it').fill('Yellows');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByLabel('What Yellows holds').selectOption('Gorse Pale');
  await page.getByRole('button', { name: 'Yellows is washed today' }).click();
  await expect(page.getByLabel('What Yellows holds')).toHaveValue('');
  const labels = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Labels to print' }).click();
  expect(
    readFileSync(await (await labels).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await expectAccessible(page, 'pads and brushes');
});

test('the demo’s log fills the wall, is filtered and sorted, teaches, fits a phone, and goes again', async ({
  page,
}) => {
  await page.goto('/log');
  await page.getByRole('button', { name: 'Look at the demo’s log' }).click();
  await expect(page.getByRole('link', { name: /^No 30 / })).toBeVisible({ timeout: 30_000 });
  await page.getByLabel('With the ink').selectOption('Betony Mid');
  await expect(page.getByRole('status').filter({ hasText: /^[1-9]\d* of 30$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Drop Betony Mid' }).click();
  await page.getByLabel('Sorted by').selectOption('unlike');
  await expect(page.getByRole('link', { name: /^No / }).first()).toBeVisible();
  await expectAccessible(page, 'the wall');
  // Whoever comes back from a panel finds the wall as it was left.
  const wall = page.getByRole('list', { name: 'Panels made' }).locator('..');
  await wall.evaluate((box) => {
    box.scrollTop = 500;
  });
  await page.getByRole('link', { name: /^No / }).nth(12).click();
  await expect(page.getByRole('heading', { name: /^No / })).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Log' }).click();
  await expect(page.getByLabel('Sorted by')).toHaveValue('unlike');
  await expect.poll(() => wall.evaluate((box) => box.scrollTop)).toBe(500);
  await resizeTo(page, 390, 844);
  for (const side of ['panels', 'lessons', 'swatches', 'pads', 'figures']) {
    await page.goto(`/log?side=${side}`);
    await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();
    await expectNoSideScroll(page, 390);
  }

  // One that was made without it is logged by keys; what cannot be is told at its field, and nothing is lost.
  await page.getByRole('button', { name: 'Log a panel by hand' }).press('Enter');
  const [name, inks] = [page.getByLabel('What it is called'), page.getByLabel(/^Inks in order/)];
  await inks.fill(`Gorse Pale, ${'Leat '.repeat(30)}`);
  await inks.press('Enter');
  await expect(page.getByRole('alert')).toHaveText([
    'A name has 1 to 120 letters.',
    'At most 12 names of up to 120 letters, with commas between.',
  ]);
  await expect(name).toBeFocused();
  await expectAccessible(page, 'a form at fault, narrow');
  await page.keyboard.type('Made at the fair');
  await inks.fill('Gorse Pale, Leat Mid');
  await inks.press('Enter');
  await expect(page.getByRole('heading', { name: /^No 31/ })).toBeVisible();
});
