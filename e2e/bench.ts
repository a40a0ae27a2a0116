import { expect, type Locator, type Page } from '@playwright/test';

/** Opens a recipe on the bench, with its panel painted and the parts there that load after it. */
export async function openBench(page: Page, address = '/bench/kiln-opening-2'): Promise<void> {
  await page.goto(address);
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('% seen');
  await expect(word(page, 'Card')).toBeVisible();
}

/** A word of the recipe's sentence, by what it stands for. */
export const word = (page: Page, label: string): Locator =>
  page.getByRole('button', { name: new RegExp(`^${label}: `) });
export const runWord = (page: Page): Locator => word(page, 'How the ladder lies');

/** Opens a word and chooses one of what it offers; what stays open is left open. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await word(page, label).click();
  const choices = page.getByRole('dialog', { name: label, exact: true });
  const name = typeof option === 'string' ? new RegExp(`^${option.replace(/[()²]/g, '.')}`) : option;
  await choices.getByRole('radio', { name }).first().click();
}

/** Lays the ladder another way, and closes the choices. */
export async function chooseRun(page: Page, run: string): Promise<void> {
  await choose(page, 'How the ladder lies', run);
  await page.keyboard.press('Escape');
}

/** Does something to the inks together. */
export async function arrange(page: Page, item: string): Promise<void> {
  await word(page, 'The inks together').click();
  await page.getByRole('dialog').getByRole('button', { name: item }).click();
}

/** Shows figures beside the words. */
export const showNumbers = (page: Page): Promise<void> => page.getByLabel('Numbers', { exact: true }).check();

/** Types a mark's measure, from the mark itself. */
export async function typeMark(page: Page, name: string, measure: string): Promise<void> {
  await page.getByRole('slider', { name }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type(measure);
  await page.keyboard.press('Enter');
}

/** What is to be minded, unfolded. */
export async function unfoldMind(page: Page): Promise<Locator> {
  const mind = page.getByRole('region', { name: 'Watch out' });
  const fold = mind.getByRole('button', { name: /^Watch out/ });
  await expect(fold).toBeVisible();
  if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
  return mind;
}

/** Chooses something of the desk settings. */
export async function deskSetting(page: Page, option: string): Promise<void> {
  await page.getByRole('button', { name: 'Desk settings' }).click();
  await page.getByRole('dialog').getByRole('radio', { name: option, exact: true }).click();
  await page.getByRole('button', { name: 'Done' }).click();
}
