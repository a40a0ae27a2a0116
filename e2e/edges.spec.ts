import { expect, type Locator } from '@playwright/test';
import type { Ink } from '../src/core/materials/ink/ink';
import { ink } from '../src/testing/resolvedRecipes';
import { expectAccessible } from './axe';
import { choose, openBench } from './bench';
import { addPass } from './passes';
import { replaceShelf } from './shelves';
import { goOn, resizeTo, stopUnderWay, test } from './test';

const greys = Array.from({ length: 5 }, (_, i) =>
  ink(`Slate ${i + 1}`, `#${'3579b'[i]?.repeat(6)}` as Ink['overWhite']),
);

test('an empty shelf, one ink and two inks say what to do next in every view', async ({ page }) => {
  await replaceShelf(page, []);
  await page.goto('/inks');
  await expect(page.locator('main')).toContainText('The shelf is empty');
  await page.getByText('Gaps', { exact: true }).click();
  await expect(page.getByRole('region', { name: 'Which ink next' })).toContainText(
    'It takes two inks of your own',
  );
  await goOn(page, '/choose');
  await expect(page.getByText('There is no ink to choose from')).toBeVisible();
  await goOn(page, '/recipes');
  await page.getByRole('button', { name: 'New recipe' }).click();
  await expect(page.getByText('No colour of yours is there in three depths yet')).toBeVisible();
  await page.getByRole('radio', { name: 'Two inks I love' }).click();
  await expect(page.getByRole('button', { name: 'Lay the two' })).toBeDisabled();

  await replaceShelf(page, greys.slice(0, 1));
  await page.goto('/choose');
  await expect(page.getByText('Slate 1 is the only ink')).toBeVisible();

  await replaceShelf(page, greys.slice(0, 2));
  await page.goto('/choose');
  await expect(page.getByText('Three inks make a trio, and there are two')).toBeVisible();
  await page.getByText('From two inks').click();
  await expect(page.getByRole('region', { name: 'Two inks' })).toContainText('Brewed from the two');
  await page.getByText('From a picture').click();
  await expect(page.getByText('The shelf has fewer inks than the reference has colours')).toBeVisible();
  await goOn(page, '/recipes');
  await page.getByRole('button', { name: 'New recipe' }).click();
  await page.getByRole('radio', { name: 'Two inks I love' }).click();
  await page.getByLabel('First ink').selectOption({ label: 'Slate 1' });
  await page.getByLabel('Second ink').selectOption({ label: 'Slate 2' });
  await page.getByRole('button', { name: 'Lay the two' }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('Slate 2');
  await addPass(page, 'White base', 'before the blend');
  await expect(page.getByText('White base needs a white or a pigment ink').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Passes' })).toContainText('Nothing but the blend yet');
});

test('an all-grey shelf has no tonal trio of a hue, and says so', async ({ page }) => {
  await replaceShelf(page, greys);
  await page.goto('/choose');
  await expect(page.getByRole('status').first()).toContainText('No trio meets all of this');
  await choose(page, 'Relation', 'Light three and one dark');
  await expect(page.getByRole('status').first()).toContainText('No trio meets all of this');
});

test('in a low window the panel ends above the order of work; larger text has its room, and colours of one’s own leave inks theirs', async ({
  page,
}) => {
  await resizeTo(page, 1366, 620);
  const panel = page.locator('main canvas[data-painted]').first();
  const endsAbove = async () => {
    const [above, below] = await Promise.all(
      [panel, page.getByRole('region', { name: 'Order of work' })].map((part) => part.boundingBox()),
    );
    return above && below && above.y + above.height - below.y;
  };
  await openBench(page, '/bench/kiln-mouth');
  await expect.poll(endsAbove).toBeLessThanOrEqual(0);

  // As where the browser's text is set a quarter larger.
  await page.addInitScript(() =>
    addEventListener('DOMContentLoaded', () => {
      document.documentElement.style.fontSize = '125%';
    }),
  );
  await page.reload();
  await expect(page.getByRole('slider').first()).toBeVisible();
  await expect.poll(endsAbove).toBeLessThanOrEqual(0);
  await expect(page.locator('body')).toHaveCSS('font-size', '16.25px');
  const labels = await page
    .locator('[data-measure]')
    .evaluateAll((all) => all.map((label) => label.getBoundingClientRect()).sort((p, q) => p.top - q.top));
  expect(labels.length).toBeGreaterThan(2);
  for (const [i, { top }] of labels.slice(1).entries())
    expect(top).toBeGreaterThanOrEqual(labels[i]?.bottom ?? 0);

  const dot = page.getByRole('option', { name: /^Kilnfire Mid/ });
  const groundOf = (part: Locator) => part.evaluate((one) => getComputedStyle(one).backgroundColor);
  const ink = await groundOf(dot);
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' });
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(0, 0, 0)');
  expect(await groundOf(dot)).toBe(ink);
  await expectAccessible(page, 'colours of one’s own');
});

test('a thousand inks are searched and listed', async ({ page }) => {
  const many = Array.from({ length: 1000 }, (_, i) =>
    ink(`Ink ${i}`, `#${((i * 7_919_317) % 0xffffff).toString(16).padStart(6, '0')}` as Ink['overWhite']),
  );
  await replaceShelf(page, many);
  await page.goto('/inks');
  await expect(page.locator('main').getByRole('status')).toHaveText('1000 of 1000');
  await page.getByRole('searchbox').fill('ink 999');
  await expect(page.locator('main').getByRole('status')).toHaveText('1 of 1000');
  const stopped = stopUnderWay(page);
  await goOn(page, '/choose');
  await stopped;
  await expect(page.getByRole('status').first()).toContainText('Stopped');
});

test('a recipe that is not here, says so, and what has moved is found; one whose inks are gone opens with stand-ins', async ({
  page,
}) => {
  for (const view of ['bench', 'sheet', 'desk']) {
    await page.goto(`/${view}/nothing`);
    await expect(page.getByRole('heading', { name: 'This recipe is not here' })).toBeVisible();
  }
  await expectAccessible(page, 'not here');
  await page.getByRole('link', { name: 'Go to all recipes' }).click();
  await expect(page).toHaveURL(/recipes$/);
  // Where inks and trios once were, what was kept as a bookmark still leads to them.
  await goOn(page, '/trios?way=bridge');
  await expect(page).toHaveURL(/choose\?way=bridge$/);
  await goOn(page, '/shelf?side=gaps');
  await expect(page).toHaveURL(/inks\?side=gaps$/);
  await replaceShelf(page, greys, 'with the demo’s recipes');
  // Something plain stands in for inks of which nothing is known: the recipe opens, and can be mended.
  await page.goto('/bench/kiln-mouth');
  await expect(page.getByRole('alert')).toContainText('Nothing is known any more of an ink that is gone');
  await page.getByRole('option', { name: /^Slate 3/ }).click();
  await expect(page.getByRole('region', { name: 'Readings' })).toContainText('Slate 3');
  for (const view of ['sheet', 'desk']) {
    await goOn(page, `/${view}/kiln-mouth`);
    await expect(page.getByRole('main')).toContainText('Kiln mouth');
  }
});

test('a worker that does not come is told at once, wherever it is wanted, and is asked for again', async ({
  page,
}) => {
  const without = async (worker: string, then: () => Promise<void>) => {
    const address = new RegExp(`/${worker}\\.worker`);
    await page.route(address, (route) => route.abort());
    await then();
    await page.unroute(address);
  };
  await without('picture', async () => {
    await page.goto('/bench');
    await expect(page.getByRole('alert')).toHaveText(/^The picture could not be painted/);
  });
  await page.getByRole('slider').first().press('ArrowDown');
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);

  await without('search', async () => {
    await goOn(page, '/choose');
    await expect(page.getByRole('status').first()).toHaveText(/^The search stopped because of a fault/);
  });
  // Without its second worker the search does all of it.
  await without('searchHelper', async () => {
    await choose(page, 'Relation', 'Light three and one dark');
    await expect(page.getByRole('status').first()).toContainText('trios fit');
  });

  await without('practice', async () => {
    await goOn(page, '/practice');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('alert')).toContainText('This view stopped because of a fault');
  });
  await page.getByRole('button', { name: 'Open it again' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('0 answers, 0 right.')).toBeVisible();

  const zip = { name: 'some.zip', mimeType: 'application/zip', buffer: Buffer.from('PK') };
  await without('files', async () => {
    await goOn(page, '/recipes');
    await page.getByLabel('Recipe file to import').setInputFiles(zip);
    await expect(page.getByRole('listitem').filter({ hasText: 'did not come, or broke down' })).toBeVisible();
  });
  await page.getByLabel('Recipe file to import').setInputFiles(zip);
  await expect(page.getByRole('dialog')).toContainText('some.zip could not be opened');
});
