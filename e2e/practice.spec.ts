import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { goOn, resizeTo, test } from './test';

test.describe.configure({ timeout: 120_000 });

/** Lets only these exercises be asked. */
async function only(page: Page, ...labels: string[]): Promise<void> {
  await expect(page.getByRole('checkbox').first()).toBeVisible();
  for (const box of await page.getByRole('region', { name: 'Begin' }).getByRole('checkbox').all()) {
    const label = (await box.evaluate((input) => input.closest('label')?.textContent ?? '')).trim();
    if (!labels.includes(label)) await box.uncheck();
  }
}

/** Exercises that are answered by marks on a card, and show where they belong. */
const ON_A_CARD = ['Lay the marks', 'Equal thirds', 'Where the border falls'];

/** Answers so many questions by keys alone, rightly or wrongly; which ones were asked. */
async function answer(page: Page, many: number): Promise<Set<string>> {
  const asked = new Set<string>();
  const taught = page.getByRole('region', { name: 'What it teaches' });
  for (let i = 0; i < many; i++) {
    await expect(page.getByRole('region', { name: 'Question' })).toBeVisible({ timeout: 30_000 });
    const name = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
    asked.add(name);
    const set = page.getByRole('button', { name: 'That’s my answer' });
    if (await set.isVisible()) {
      await page.getByRole('slider').first().focus();
      await page.keyboard.press('ArrowRight');
      await set.press('Enter');
    } else
      for (const key of ['1', '2', '3', '4', '5'])
        if (!(await taught.isVisible())) await page.keyboard.press(key);
    await expect(taught.getByRole('status')).toHaveText(/Right|Not/);
    await expect(taught.getByText('With real ink:')).toBeVisible();
    if (ON_A_CARD.includes(name))
      await expect(taught.getByRole('figure', { name: /from the foot, yours / })).toBeVisible();
    await expect(taught.getByRole('button', { name: 'Next' })).toBeFocused();
    await page.keyboard.press('Enter');
  }
  return asked;
}

test('all exercises in turn by keys alone: each is asked, answered and taught, kept when stopped, and told as progress', async ({
  page,
}) => {
  await page.goto('/practice');
  await expect(page.getByText('Nothing is practised yet.')).toBeVisible();
  await expectAccessible(page, 'practice');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const asked = await answer(page, 13);
  expect([...asked].toSorted()).toHaveLength(13);
  await expect(page.getByRole('region', { name: 'Question' })).toBeVisible({ timeout: 30_000 });
  await expectAccessible(page, 'a question');
  // Stopped in the midst of a question: what was answered is kept.
  await page.keyboard.press('Escape');
  await expect(page.getByRole('status')).toContainText('13 answers');
  await page.reload();
  const progress = page.getByRole('region', { name: 'Progress' });
  await expect(progress).toContainText('13 answers');
  await expect(progress).toContainText('To practise next:');
});

test('an exercise follows the eye: after six answers it tells what is told apart; weak pairs are printed; all is forgotten with undo', async ({
  page,
}) => {
  await page.goto('/practice');
  await only(page, 'Which is darker', 'Which is stronger');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await answer(page, 14);
  await page.keyboard.press('Escape');
  const progress = page.getByRole('region', { name: 'Progress' });
  await expect(progress.getByText(/^You can tell \d+\.\d L\* apart\.$/)).toBeVisible();
  await expect(progress.getByRole('heading', { name: 'Your weak pairs' })).toBeVisible();
  const card = page.waitForEvent('download');
  await progress.getByRole('button', { name: 'Print a card of them, to blend on paper' }).click();
  expect(
    readFileSync(await (await card).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await expectAccessible(page, 'progress');
  await progress.getByRole('button', { name: 'Forget all practice' }).click();
  await expect(page.getByText('Nothing is practised yet.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(progress).toContainText('14 answers');
});

test('the screen is checked, a phone has room, and a shelf too small says so', async ({ page }) => {
  await resizeTo(page, 390, 844);
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Check your screen' }).click();
  await expect(page.getByRole('dialog', { name: 'Your screen' })).toContainText('Middle grey');
  await expectAccessible(page, 'the look at the screen');
  await page.keyboard.press('Escape');
  await expectNoSideScroll(page, 390);
  await only(page, 'Light to dark', 'Equal thirds', 'What went wrong here');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await answer(page, 2);
  await expectNoSideScroll(page, 390);

  await page.goto('/inks');
  await page.evaluate(async () => {
    const open = indexedDB.open('tint-ladder');
    await new Promise((resolve) => {
      open.onsuccess = resolve;
    });
    const clearing = open.result.transaction('inks', 'readwrite').objectStore('inks').clear();
    await new Promise((resolve) => {
      clearing.onsuccess = resolve;
    });
  });
  await page.goto('/practice');
  await only(page, 'Which is darker');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Your shelf has nothing to ask of this kind');
});

test('what a maker foresees of a join, and what came of it, is kept with the panel and counted', async ({
  page,
}) => {
  await page.goto('/log');
  await page.getByRole('button', { name: 'Look at the demo’s log' }).click();
  await page.getByRole('link', { name: /^No 30 / }).click({ timeout: 30_000 });
  const foresee = page.getByLabel(/^What you foresee of /).first();
  await foresee.selectOption('mud');
  await expect(page.getByText(/^The model says: /).first()).toBeVisible();
  const came = page.getByLabel(/^What came of /).first();
  await came.selectOption('mud');
  await expect(came).toHaveValue('mud');
  await goOn(page, '/practice');
  await expect(page.getByText(/of 1 join you foresaw 1, the model [01]\./)).toBeVisible();
});
