import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { choose, openBench, word } from './bench';
import { goOn, resizeTo, test } from './test';

const found = (page: Page) => page.getByRole('region', { name: 'Found' });
const told = (page: Page) => found(page).getByRole('status');
/** How many trios fit, as told. */
const count = async (page: Page) =>
  Number((await told(page).textContent())?.split(' of ')[0]?.replaceAll(',', ''));

const inHand = (page: Page) => page.getByRole('region', { name: 'The trio in hand' });
/** Adds a word to the sentence. */
async function add(page: Page, item: string | RegExp) {
  await page.getByRole('button', { name: 'and …' }).click();
  await page.getByRole('menuitem', { name: item }).click();
}
/** The name of the trio in hand, as its way to the bench says it. */
const firstName = (page: Page) =>
  inHand(page)
    .getByRole('button', { name: /^Open / })
    .getAttribute('aria-label');

async function openTrios(page: Page) {
  await page.goto('/choose');
  await expect(told(page)).toContainText('trios fit');
  await expect(page.locator('canvas[data-painted]').first()).toBeVisible();
}

test('while the hand rests on the bench the shelf is made ready, with the vectors, and the search finds what it finds', async ({
  page,
}) => {
  const searching = page.waitForEvent('worker', (worker) => worker.url().includes('search.worker'));
  await openBench(page);
  const worker = await searching;
  // The policy lets this worker and the painter compile, and the page not; without, the plain loops would serve, slower.
  const compile = async () => {
    await WebAssembly.compile(new Uint8Array([0, 97, 115, 109, 1, 0, 0, 0]));
    return 'compiled';
  };
  expect(await worker.evaluate(compile)).toBe('compiled');
  const painter = page.workers().find((one) => one.url().includes('picture.worker'));
  expect(await painter?.evaluate(compile)).toBe('compiled');
  await expect(page.evaluate(compile)).rejects.toThrow(/Content Security Policy/);
  await page.getByRole('link', { name: 'Choose' }).click();
  await expect(told(page)).toContainText('of 57,155 trios');
  const ahead = await firstName(page);
  await openTrios(page);
  expect(await firstName(page)).toBe(ahead);
});

test('a trio is compared wet and dried, cut to two inks, and opened; one is kept, told as kept, narrows the next search, and is taken off with undo', async ({
  page,
}) => {
  await openTrios(page);
  await inHand(page)
    .getByRole('button', { name: /^Compare / })
    .click();
  await found(page)
    .getByRole('listitem')
    .filter({ has: page.locator('canvas') })
    .nth(4)
    .getByRole('button')
    .click();
  await inHand(page)
    .getByRole('button', { name: /^Compare / })
    .click();
  const tray = page.getByRole('region', { name: 'Compared' });
  await expect(tray.locator('canvas')).toHaveCount(2);
  await expectAccessible(page, 'trios compared');
  await tray.getByText('Wet', { exact: true }).click();
  await tray
    .getByRole('button', { name: /^Put away / })
    .first()
    .click();
  await expect(tray.locator('canvas')).toHaveCount(1);
  const cut = tray.getByRole('button', { name: /^only / }).first();
  const names = ((await cut.textContent()) ?? '').replace('only ', '').split(' and ');
  await cut.click();
  await expect(
    page.getByRole('region', { name: 'Readings' }).getByRole('button', { name: /^Change/ }),
  ).toHaveCount(2);
  for (const name of names) await expect(page.getByRole('region', { name: 'Readings' })).toContainText(name);

  await goOn(page, '/choose');
  await expect(told(page)).toContainText('trios fit');
  const all = await count(page);
  const took = () => page.locator('[data-took]').getAttribute('data-took');
  const before = await took();
  const keep = inHand(page).getByRole('button', { name: /^Ke(ep|pt) / });
  await keep.click();
  await expect(keep).toHaveText('Kept');
  // Nothing shall happen: keeping asks for no new search, and one would take less than this.
  await page.waitForTimeout(1000);
  expect(await took()).toBe(before);
  await add(page, /^unlike those/);
  await page.getByLabel('From kept trios at least, ΔE00').fill('20');
  await page.getByLabel('From kept trios at least, ΔE00').press('Enter');
  await expect.poll(() => count(page)).toBeLessThan(all);
  await page.keyboard.press('Escape');
  await page.getByText('Kept, 1').click();
  const kept = page.getByRole('region', { name: 'Kept trios' });
  await expect(kept.getByRole('listitem')).toHaveCount(1);
  await expectAccessible(page, 'kept');
  await kept.getByRole('button', { name: /^Take off/ }).click();
  await expect(page.getByText('Nothing is kept yet')).toBeVisible();
  const gone = page.getByRole('listitem').filter({ hasText: 'is no longer kept' });
  await gone.getByRole('button', { name: 'Undo' }).click();
  await expect(kept.getByRole('listitem')).toHaveCount(1);
});

test('a draw shows its seed, and the same seed draws the same again; all trios are searched, and every constraint narrows what is found', async ({
  page,
}) => {
  await openTrios(page);
  const first = () => firstName(page);
  const best = await first();
  await page.getByRole('button', { name: 'Draw for me' }).click();
  await expect.poll(first).not.toBe(best);
  const byChance = await first();
  await word(page, 'Rank by').click();
  const seed = page.getByLabel('Seed');
  await expect(seed).toHaveValue(/^\d+$/);
  await seed.fill('41');
  await seed.press('Enter');
  await expect.poll(first).not.toBe(byChance);
  const drawn = await first();
  await seed.fill('42');
  await seed.press('Enter');
  await expect.poll(first).not.toBe(drawn);
  await seed.fill('41');
  await seed.press('Enter');
  await expect.poll(first).toBe(drawn);

  await page.keyboard.press('Escape');
  await expect(told(page)).toContainText('of 57,155 trios');
  const tonal = await count(page);
  await choose(page, 'Relation', 'Contrast with a new colour');
  await expect.poll(() => count(page)).toBeGreaterThan(tonal);
  const all = await count(page);
  await add(page, /^with an ink/);
  await page.getByLabel('Must contain', { exact: true }).last().selectOption({ label: 'Gorse Pale' });
  await expect.poll(() => count(page)).toBeLessThan(all);
  await page.keyboard.press('Escape');
  await expect(word(page, 'Must contain')).toHaveText('Gorse Pale');
  for (const trio of await found(page).getByRole('button', { pressed: false }).allTextContents())
    if (trio !== 'Draw for me' && !trio.startsWith('Show more')) expect(trio).toContain('Gorse Pale');
  const withGorse = await count(page);
  await add(page, 'without dull joins');
  await add(page, /^by how light/);
  await page.getByLabel('Steps at least, L*').fill('15');
  await page.getByLabel('Steps at least, L*').press('Enter');
  await expect.poll(() => count(page)).toBeLessThan(withGorse);
  await page.getByLabel('Palest at least, L*').fill('100');
  await page.getByLabel('Palest at least, L*').press('Enter');
  await expect(told(page)).toContainText('No trio meets all of this');
  await page.getByRole('button', { name: 'Take this out' }).click();
  await expect(told(page)).toContainText('trios fit');
  // What was asked is there again after a look at another view.
  await page.getByRole('link', { name: 'Cards' }).click();
  await page.getByRole('link', { name: 'Choose' }).click();
  await expect(word(page, 'Must contain')).toHaveText('Gorse Pale');
});

test('from red and green a yellow is offered between, and greys and browns to quiet them; nothing serious for axe', async ({
  page,
}) => {
  await page.goto('/choose');
  await page.getByText('From two inks').click();
  await expect(page.getByRole('region', { name: 'Two inks' })).toContainText('Mud');
  await expect(page.getByRole('region', { name: 'Two inks' })).toContainText('Brewed from the two');
  const between = page.getByRole('region', { name: 'Between them' });
  await expect(between.getByRole('listitem').first()).toContainText('Gorse');
  await expectAccessible(page, 'two inks');
  await resizeTo(page, 390, 844);
  await expectAccessible(page, 'two inks, narrow');
  await expectNoSideScroll(page, 390);
  await between
    .getByRole('button', { name: /^Open with Gorse/ })
    .first()
    .click();
  await expect(page.getByLabel('Name of the recipe')).toHaveValue(/Hawberry Mid, Gorse .*, Alder Mid/);
});

test('light three open under their resist and dark; two inks open with nothing between', async ({ page }) => {
  await openTrios(page);
  await choose(page, 'Relation', 'Light three and one dark');
  const chosen = inHand(page);
  await expect(chosen).toContainText('Three pale inks');
  const dark = (await chosen.getByText(/^under /).textContent())?.match(/^under (.*), reads/)?.[1] ?? '';
  expect(dark).not.toBe('');
  await chosen.getByRole('button', { name: /^Open / }).click();
  await page.getByText('Over the blend, 2').click();
  const passes = page.getByRole('region', { name: 'Passes' });
  await expect(passes).toContainText('Clear resist');
  await expect(page.getByRole('region', { name: 'Order of work' })).toContainText(dark);
  await page.goto('/choose');
  await page.getByText('From two inks').click();
  await page.getByRole('button', { name: 'Open just these two' }).click();
  const readings = page.getByRole('region', { name: 'Readings' });
  await expect(readings.getByRole('button', { name: /^Change/ })).toHaveCount(2);
});

test('a mood narrows what is found, is read, changed into one of one’s own, passed on as a file and taken away', async ({
  page,
}) => {
  await openTrios(page);
  await choose(page, 'Relation', 'Neighbour run');
  await expect.poll(() => count(page)).toBeGreaterThan(1000);
  const all = await count(page);
  await add(page, /^in a mood/);
  const mood = page.getByLabel('Mood or occasion', { exact: true });
  await mood.selectOption({ label: 'Autumn' });
  await expect.poll(() => count(page)).toBeLessThan(all);
  const wanted = page.getByRole('dialog', { name: 'Mood or occasion of the trio' });
  await expect(wanted).toContainText('every ink of red, orange, yellow, yellow green, or a grey');
  const autumn = await count(page);
  const more = page.getByLabel('More with moods');
  await more.click();
  await page.getByRole('menuitem', { name: 'Make one like “Autumn”' }).click();
  const form = page.getByRole('dialog', { name: 'A mood or an occasion' });
  await form.getByLabel('Name of the mood').fill('Harvest fair');
  await form.getByLabel('Name of the mood').press('Tab');
  await form.getByLabel('Warmth, at least').fill('200');
  await form.getByLabel('Warmth, at least').press('Tab');
  await expect(form).toContainText('Type a number from -100 to 100, or nothing.');
  await form.getByLabel('Warmth, at least').fill('90');
  await form.getByLabel('Warmth, at least').press('Tab');
  await expect(form).toContainText('warmth at least 90');
  await expectAccessible(page, 'the form of a mood');
  await form.getByLabel('Name of the mood').fill('');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form).toContainText('Type a name of 1 to 60 letters.');
  await form.getByLabel('Name of the mood').fill('Harvest fair');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form).toHaveCount(0);
  await expect(more).toBeFocused();
  await expect(mood.locator('option:checked')).toHaveText('Harvest fair');
  await expect.poll(() => count(page)).toBeLessThan(autumn);

  await more.click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Moods as a file' }).click();
  const file = await (await download).path();
  await more.click();
  await page.getByRole('menuitem', { name: 'Take “Harvest fair” away' }).click();
  await expect(mood.locator('option:checked')).toHaveText('any');
  await page.getByLabel('Moods file').setInputFiles(file);
  await expect(page.getByText('7 moods brought in.', { exact: true })).toBeVisible();
  await mood.selectOption({ label: 'Harvest fair' });
  await page
    .getByLabel('Moods file')
    .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"}') });
  await expect(page.getByRole('dialog')).toContainText('choose a list of moods exported from here');
});
