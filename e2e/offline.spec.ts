import { expect } from '@playwright/test';
import { openBench } from './bench';
import { test } from './test';

test.use({ serviceWorkers: 'allow' });

test('after the first visit it works without its server: a reload, every view, the PDF', async ({
  page,
  context,
}) => {
  await openBench(page, '/');
  // Fetched ahead once the first view stands.
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await context.setOffline(true);
  await page.reload();
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  for (const view of ['Choose', 'Inks', 'Cards', 'Designs', 'Recipes']) {
    await page.getByRole('link', { name: view, exact: true }).click();
    await expect(page.getByRole('main')).toBeVisible();
    await expect(page.getByText('This view stopped because of a fault')).toHaveCount(0);
  }
  await page.goto('/sheet/kiln-mouth');
  const pdf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF, true size' }).click();
  expect((await pdf).suggestedFilename()).toBe('kiln-mouth.pdf');
});
