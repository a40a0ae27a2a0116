import type { Page } from '@playwright/test';

/** Shows the passes beside the panel, and adds one by the name of its kind. */
export async function addPass(page: Page, name: string, when: 'over it' | 'before the blend' = 'over it') {
  await page.getByRole('radio', { name: /^Over the blend/ }).click();
  await page.getByRole('button', { name: `Add ${when}` }).click();
  await page.getByRole('menuitem', { name, exact: true }).click();
}

export const showReadings = (page: Page) =>
  page.getByRole('radio', { name: 'Readings', exact: true }).click();
