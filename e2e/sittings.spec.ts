import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { goOn, resizeTo, test } from './test';

test.describe.configure({ timeout: 300_000 });

declare global {
  interface Window {
    /** How far the page's clock is put forward, ms. */
    ahead?: number;
    /** Whether the desk has said what can hurt at a piece of work. */
    hasCautioned?: boolean;
  }
}

/** Lets a test put the page's clock forward; its timers run as they do. */
const withClock = (page: Page) =>
  page.addInitScript(() => {
    const now = Date.now.bind(Date);
    Date.now = () => now() + (window.ahead ?? 0);
  });

const putForward = (page: Page, minutes: number) =>
  page.evaluate((by) => {
    window.ahead = (window.ahead ?? 0) + by * 60_000;
  }, minutes);

async function typeCount(page: Page, recipe: string, count: string): Promise<void> {
  const field = page.getByLabel(`How many of ${recipe}`);
  await field.fill(count);
  await field.press('Enter');
}

/** Has the plan as it is by now: most of what follows does not hang on how good it is, and better ones take a core. */
const takePlan = (page: Page) =>
  page
    .getByRole('button', { name: 'stop improving' })
    .or(page.getByText('at most, from the best there is'))
    .click({ timeout: 60_000 });

/** Presses the key for “done” so often, each time after so many minutes by the page's clock. */
const work = (page: Page, presses: number, minutes: number): Promise<number> =>
  page.evaluate(
    async ([most, each]) => {
      const desk = document.querySelector('main[data-pieces]') as HTMLElement;
      const change = () =>
        new Promise<void>((resolve) => {
          const seen = new MutationObserver(() => {
            seen.disconnect();
            resolve();
          });
          seen.observe(desk, { subtree: true, childList: true, attributes: true, characterData: true });
        });
      const pieces = () => Number(desk.dataset.pieces);
      const next = () => desk.querySelector<HTMLButtonElement>('nav button:last-child');
      const from = pieces();
      while (pieces() - from < most && next()?.disabled === false) {
        // What has to dry is waited for, with the page behind another window meanwhile.
        if (next()?.textContent !== 'Done') {
          window.ahead = (window.ahead ?? 0) + 60_000;
          const changed = change();
          document.dispatchEvent(new Event('visibilitychange'));
          await changed;
          continue;
        }
        window.ahead = (window.ahead ?? 0) + each * 60_000;
        const before = pieces();
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', cancelable: true }));
        while (pieces() === before) await change();
        window.hasCautioned ||= desk.textContent.includes('Take care. Heat tool: ');
      }
      return pieces() - from;
    },
    [presses, minutes] as const,
  );

test('two dozen invitations in three recipes are planned, worked through, late, logged, and the stock is right', async ({
  page,
}) => {
  // Every piece of work is done: long on a machine that has others to serve.
  test.slow();
  await withClock(page);
  await page.goto('/sittings/invitations-1');
  await page.getByRole('button', { name: /^Panels: / }).click();
  await typeCount(page, 'Kiln-opening invitation, run 2', '10');
  await typeCount(page, 'Raku dusk, tonal', '12');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Panels: 24 panels' })).toBeVisible();
  await takePlan(page);
  await expect(page.getByText(/can be dry by then/)).toBeVisible({ timeout: 150_000 });
  await expect(page.getByText(/^All of them take \d evenings:$/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'By hand it would be' })).toContainText('Four at a time');
  const outlay = page.getByRole('region', { name: 'To lay out' });
  await expect(outlay).toContainText(/\d+ sheets of smooth white/);
  const sheets = Number(/(\d+) sheets of smooth white/.exec((await outlay.textContent()) ?? '')?.[1]);
  expect(sheets).toBeGreaterThan(4);
  // What is to come is told as such.
  await expect(page.getByText(/^By \d\d:\d\d: 24 of 24 panels done\.$/)).toBeVisible();

  await page.getByRole('link', { name: 'Work at the desk' }).click();
  await page.getByRole('button', { name: 'Begin now' }).click();
  await expect(page.getByText(/^Panel \d+ of 24, /)).toBeVisible();
  expect(await work(page, 8, 1)).toBe(8);
  // Well over half an hour late: it is told, and goes on from now.
  await putForward(page, 40);
  await work(page, 1, 1);
  await expect(page.getByRole('status').filter({ hasText: /min late\..*all dry at/ })).toBeVisible({
    timeout: 30_000,
  });
  // A panel is spoiled and begun again; another is taken back.
  await page.getByRole('button', { name: /^Panel \d+ is spoiled/ }).click();
  await page.getByRole('menuitem', { name: 'Begin it again from bare card' }).click();
  await expect(page.getByText(/is begun again from its bare card/).first()).toBeVisible();
  await page.keyboard.press('PageUp');
  await expect(page.locator('main[data-pieces="8"]')).toBeVisible();

  await work(page, 5000, 1);
  expect(await page.evaluate(() => window.hasCautioned)).toBe(true);
  const end = page.getByRole('region', { name: 'The end' });
  await expect(end.getByRole('heading', { name: /^24 panels made/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByLabel(/^Sheets of smooth white .* used$/)).toHaveValue(String(sheets));
  await page.getByRole('button', { name: 'End the sitting' }).click();
  await expect(
    page.getByText('The sitting is ended, and its sheets are taken off the stock.').first(),
  ).toBeVisible({
    timeout: 60_000,
  });
  await goOn(page, '/log');
  await expect(page.getByRole('link', { name: /^No 24 / })).toBeVisible();
  await goOn(page, '/cards');
  await expect(page.getByText(`${24 - Math.min(sheets, 24)} left`).first()).toBeVisible();
});

test('what cannot be worked is told with what to change, and nothing is lost', async ({ page }) => {
  await page.goto('/sittings/invitations-2');
  await page.getByRole('button', { name: /^Panels: / }).click();
  await typeCount(page, 'Raku dusk, tonal', '10000');
  await expect(page.getByText('Type a number from 0 to 200.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Panels: 16 panels' })).toBeVisible();
  await page.getByRole('button', { name: /^Brushes: / }).click();
  const brushes = page.getByRole('textbox', { name: 'Brushes for dye and hybrid' });
  await brushes.fill('0');
  await brushes.press('Enter');
  await page.keyboard.press('Escape');
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /brushes for dye and hybrid at once, and none is at hand: set out \d more/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Brushes: / }).click();
  await brushes.fill('5');
  await brushes.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'The evening' })).toBeVisible();
  // A recipe that goes is told; it comes back with it.
  await goOn(page, '/recipes');
  await page
    .getByRole('button', { name: /More .*Raku dusk|Raku dusk.*…/ })
    .first()
    .click();
  await page.getByRole('menuitem', { name: /Delete/ }).click();
  // Left at once, the page would take the deleting with it.
  await expect(page.getByRole('button', { name: 'More for Raku dusk, tonal' })).toHaveCount(0);
  await goOn(page, '/sittings/invitations-2');
  await expect(page.getByRole('alert').filter({ hasText: 'no longer here' })).toBeVisible();
  await page.goto('/sittings/none-such');
  await expect(page.getByRole('heading', { name: 'This sitting is not here' })).toBeVisible();
});

test('a sitting goes out as PDF, table, calendar and file, comes back, is kept as a pattern and split', async ({
  page,
}) => {
  await page.goto('/sittings/invitations-3');
  await takePlan(page);
  await expect(page.getByRole('region', { name: 'To lay out' })).toBeVisible({ timeout: 60_000 });
  const out = async (item: string): Promise<Buffer> => {
    const download = page.waitForEvent('download', { timeout: 90_000 });
    await page.getByRole('button', { name: 'Sitting …' }).click();
    await page.getByRole('menuitem', { name: item }).click();
    return readFileSync(await (await download).path());
  };
  const table = (await out('Table (CSV)')).toString();
  expect(table.split('\r\n')[0]).toBe('\uFEFFfrom,to,minutes,hands,panel,recipe,work,brush,mat,dry_at');
  expect(table.split('\r\n').length).toBeGreaterThan(100);
  const calendar = (await out('Calendar (iCalendar)')).toString();
  expect(calendar).toContain('SUMMARY:Kiln-opening invitations\\, third evening');
  expect(calendar).toContain('BEGIN:VALARM');
  const file = await out('File (JSON)');
  // One recipe, and its one sheet.
  await page.getByRole('button', { name: /^Panels: / }).click();
  await typeCount(page, 'Raku dusk, tonal', '0');
  await typeCount(page, 'Running glaze, a resist', '0');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Panels: 4 panels' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'To lay out' })).not.toContainText('clear embossing powder');
  expect((await out('PDF with its sheets')).subarray(0, 5).toString()).toBe('%PDF-');

  await page.getByRole('button', { name: 'Sitting …' }).click();
  await page.getByRole('menuitem', { name: 'Keep as a pattern' }).click();
  await expect(page.getByRole('button', { name: /^When:/ })).toContainText('any evening from 18:30');
  await page.getByRole('button', { name: 'Sitting …' }).click();
  await page.getByRole('menuitem', { name: 'Begin it today' }).click();
  await expect(page.getByText('It stands in your sittings for today.').first()).toBeVisible();

  await goOn(page, '/sittings');
  await expect(page.getByRole('region', { name: 'Patterns' }).getByRole('link')).toHaveCount(1);
  await expectAccessible(page, 'sittings');
  await page
    .getByLabel('Sitting to import')
    .setInputFiles({ name: 'evening.json', mimeType: 'application/json', buffer: file });
  await expect(page.getByText(/is brought in\.$/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Panels: 16 panels' })).toBeVisible();
  await goOn(page, '/sittings');
  await page
    .getByLabel('Sitting to import')
    .setInputFiles({ name: 'no.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"}') });
  await expect(page.getByRole('dialog')).toContainText('not a sitting');
  await page.keyboard.press('Escape');

  await goOn(page, '/sittings/invitations-2');
  await takePlan(page);
  await page.getByRole('button', { name: /^Make \d evenings of it$/ }).click({ timeout: 60_000 });
  await expect(page.getByRole('link', { name: /second evening, evening 2 of/ })).toBeVisible();
});

test('the evening is read by keys, left for days and taken up again, ended early, fits a phone, and axe finds nothing', async ({
  page,
}) => {
  await withClock(page);
  await page.goto('/sittings/invitations-1');
  await expect(page.getByRole('region', { name: 'To lay out' })).toBeVisible({ timeout: 60_000 });
  const pieces = page.getByRole('slider', { name: 'Piece of work' });
  await pieces.focus();
  await page.keyboard.press('ArrowRight');
  await expect(pieces).toHaveAttribute('aria-valuetext', /^18:30 to 18:3\d\. Panel \d+, .*brush A/);
  await page.keyboard.press('End');
  await expect(pieces).toHaveAttribute('aria-valuetext', /The end depends on it\./);
  await expectAccessible(page, 'a sitting');
  await page.getByText(/^The order of work, \d+ pieces$/).click();
  await expect(page.getByRole('row').filter({ hasText: 'Wash brush' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Work at the desk' }).click();
  await page.getByRole('button', { name: 'Begin now' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await expectAccessible(page, 'a sitting at the desk');
  await work(page, 3, 1);
  await resizeTo(page, 390, 844);
  await expectNoSideScroll(page, 390);
  // Three days away are no piece's time, and no hours of the evening's picture.
  await putForward(page, 3 * 24 * 60);
  await expect(page.getByRole('heading', { name: /^Nothing has been done since / })).toBeVisible();
  await expectAccessible(page, 'a desk that was left');
  await expectNoSideScroll(page, 390);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('timer')).toHaveText(/^0:/);
  await expect(page.getByRole('status').filter({ hasText: /^Taken up again\..*all dry at/ })).toBeVisible();
  await page.getByRole('link', { name: 'Whole plan' }).click();
  await expect(page.getByRole('region', { name: 'The evening' })).toContainText('away 3 days');
  await expect(page.getByText(/^Now: 0 of 16 panels done, \d begun\.$/)).toBeVisible();
  await expect(page.getByText(/, begun on \d+ \w+( \d{4})? at \d\d:\d\d, /)).toBeVisible();
  await expectNoSideScroll(page, 390);

  await page.getByRole('link', { name: 'Go on at the desk' }).click();
  // A clock that is put back does not hold the evening still.
  await putForward(page, -2 * 24 * 60);
  await expect(async () => {
    await putForward(page, 1);
    await expect(page.getByRole('timer')).toHaveText(/^[1-9]/, { timeout: 1500 });
  }).toPass({ timeout: 30_000 });
  const stop = page.getByRole('button', { name: 'Stop …' });
  await stop.press('Enter');
  await page.getByRole('menuitem', { name: 'Leave it for a while' }).press('Enter');
  await expect(page.getByRole('heading', { name: /^Left at / })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('timer')).toBeVisible();
  await stop.click();
  await page.getByRole('menuitem', { name: /^End here: 1\d panels for tomorrow/ }).click();
  await expect(page.getByRole('region', { name: 'The end' })).toBeVisible();
  await goOn(page, '/sittings');
  await expect(page.getByRole('region', { name: 'Under way' }).getByRole('link')).toHaveCount(1);
  const toCome = page.getByRole('region', { name: 'To come' });
  await expect(toCome.getByRole('link', { name: /first evening, the rest/ })).toBeVisible();
  // An evening that passes without being begun says so, until it has another day.
  await toCome.getByRole('link', { name: /second evening/ }).click();
  await page.getByRole('button', { name: /^When: / }).click();
  await page.getByLabel('Day').fill('2026-01-05');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Its evening has gone by without it.')).toBeVisible();
  await page.getByRole('button', { name: 'Move it to today' }).click();
  await expect(page.getByText('Its evening has gone by without it.')).toBeHidden();
});
