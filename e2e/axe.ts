import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing of WCAG 2.2 A and AA that axe can find; `where` names the state of the page in the failure. */
export async function expectAccessible(page: Page, where: string): Promise<void> {
  const builder = new AxeBuilder({ page })
    // Only what is wrong is written out, and in the page itself, which has no frames: a third of the time.
    .options({
      resultTypes: ['violations'],
      preload: false,
      // Who speaks to the machine says what stands on a button.
      rules: { 'label-content-name-mismatch': { enabled: true } },
    })
    .setLegacyMode()
    // A picture is read by its name: the greeting that practice asks about may be too faint to be read, as its question is.
    .exclude('[role="img"] > [aria-hidden="true"]')
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
  const { violations } = await builder.analyze();
  expect(violations.map(({ id, nodes }) => `${where}: ${id} ${nodes[0]?.html}`)).toEqual([]);
}

/** The page is no wider than the window. */
export async function expectNoSideScroll(page: Page, width: number): Promise<void> {
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
    .toBeLessThanOrEqual(width);
}
