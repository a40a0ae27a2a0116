import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideScroll } from './axe';
import { choose, deskSetting, openBench, unfoldMind } from './bench';
import { addPass, showReadings } from './passes';
import { colourAt, lightAt, pixelsToOne } from './picture';
import { dragBy, resizeTo, test } from './test';

const steps = (page: Page) => page.getByRole('list', { name: 'Steps' });
const passes = (page: Page) => page.getByRole('region', { name: 'Passes' });
const mind = (page: Page) => page.getByRole('region', { name: 'Watch out' });
/** What is seldom changed is shown. */
const more = (page: Page) => passes(page).getByRole('button', { name: 'More', exact: true }).click();
const type = async (page: Page, label: string, value: string) => {
  await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByLabel(label, { exact: true }).press('Enter');
};
test('a clear resist under a dark coat: the design stays, what offends is told, and mended by one press', async ({
  page,
}) => {
  await openBench(page);
  // Three light inks, so that a dark coat can read.
  for (const [rung, ink] of [
    ['Leat Mid', 'Weir Pale'],
    ['Skerry Deep', 'Thrift Pale'],
  ] as const) {
    await page.getByRole('button', { name: `Change ${rung}:` }).click();
    await page.getByRole('option', { name: new RegExp(`^${ink}`) }).click();
  }
  await addPass(page, 'Clear resist');
  await page.getByLabel('Design of clear resist').selectOption({ label: 'Glaze drips' });
  await expect(await unfoldMind(page)).toContainText('Nothing dark lies over the clear resist yet');
  const before = await colourAt(page, 0.5, 0.3);
  await page.getByRole('button', { name: /^Coat it with / }).click();
  await expect(mind(page)).toHaveCount(0);
  await expect.poll(() => lightAt(page, 0.05, 0.5)).toBeLessThan(90);
  // Inside the bar from which the drips hang nothing has changed, but for the trace that a hybrid leaves.
  const after = await colourAt(page, 0.5, 0.3);
  after.forEach((value, i) => {
    expect(Math.abs(value - (before[i] ?? 0))).toBeLessThan(16);
  });
  await expect(steps(page)).toContainText('Emboss the resist');
  await expect(steps(page)).toContainText('Cool');
  await expect(passes(page)).toContainText(/\d+\.\d\s:\s1 at its worst place/);

  await page.getByRole('button', { name: /^Top coat/ }).click();
  await page.getByLabel('Ink of top coat').selectOption({ label: 'Saggar Deep' });
  await expect(await unfoldMind(page)).toContainText('clings to the resist');
  await page.getByRole('button', { name: /^Use / }).click();
  await expect(page.getByText('clings to the resist')).toHaveCount(0);
  await expect(steps(page)).toContainText('Buff the resist');

  await page.getByRole('button', { name: 'Will it be seen?' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What is looked at').selectOption({ label: 'Clear resist: Glaze drips' });
  await expect(dialog.getByRole('region', { name: 'The design' }).getByRole('status')).toContainText(
    /Reads (all over|on)/,
  );
  await expectAccessible(page, 'a resist, seen');
  const coats = dialog.getByRole('region', { name: 'Top coat over a clear resist' });
  await expect(coats).toContainText('none is on the shelf');
  await coats.getByRole('button', { name: 'Coat with it: Sloe Deep' }).click();
  await expect(coats.getByRole('listitem').filter({ hasText: 'laid' })).toContainText('Sloe Deep');
  await page.keyboard.press('Escape');

  await page.reload();
  await expect(page.locator('main canvas[data-painted]').first()).toBeVisible();
  await page.getByRole('radio', { name: 'Over the blend, 2' }).click();
  await expect(passes(page).getByRole('listitem')).toHaveCount(3);
});

test('the other resists: on dark card over a white base, with paste, and masks before and over the blend', async ({
  page,
}) => {
  await openBench(page);
  const onWhite = await lightAt(page, 0.5, 0.1);
  await choose(page, 'Card', 'black 300 g/m²');
  await expect(await unfoldMind(page)).toContainText('Over a white base');
  // What is to be minded may be told a moment before the picture is there.
  await expect.poll(() => lightAt(page, 0.5, 0.1)).toBeLessThan(onWhite - 40);
  const dull = await lightAt(page, 0.5, 0.1);
  await page.getByRole('button', { name: 'Lay a white base' }).click();
  await expect.poll(() => lightAt(page, 0.5, 0.1)).toBeGreaterThan(dull + 25);
  await page.getByRole('radio', { name: /^Over the blend/ }).click();
  await page.getByRole('button', { name: /^White base/ }).click();
  await page.getByLabel('White base: Before the blend').selectOption('left wet');
  await page.getByRole('button', { name: 'Dry the white first' }).click();
  await expect(steps(page)).toContainText('Dry the white');
  await page.getByRole('button', { name: 'With and without' }).click();
  const pair = page.getByRole('dialog', { name: 'With and without the white base' });
  await expect(pair.locator('canvas[data-painted]')).toHaveCount(2);
  await expectAccessible(page, 'side by side');
  await page.keyboard.press('Escape');
  await addPass(page, 'Second coat');
  await expect(steps(page)).toContainText('Second coat');
  await page.getByRole('button', { name: 'Take White base off' }).click();
  await page.getByRole('button', { name: 'Take Second coat off' }).click();

  await addPass(page, 'Tone resist', 'before the blend');
  await page.getByLabel('Design of tone resist').selectOption({ label: 'Bottle kiln' });
  // The card's own black in the middle of the kiln.
  await expect.poll(() => lightAt(page, 0.4, 0.62)).toBeLessThan(55);
  await choose(page, 'Card', 'smooth white 350 g/m²');
  await addPass(page, 'Mask on the card', 'before the blend');
  await page.getByLabel('Design of mask on the card').selectOption({ label: 'Bottle kiln' });
  await page.getByRole('checkbox', { name: 'Tone resist on' }).uncheck();
  await expect.poll(() => lightAt(page, 0.4, 0.62)).toBeGreaterThan(240);
  await page.getByRole('checkbox', { name: 'Mask on the card on' }).uncheck();
  await addPass(page, 'Texture paste', 'before the blend');
  await expect(steps(page)).toContainText('Dry the paste');
  await addPass(page, 'Mask on the blend');
  await addPass(page, 'Top coat');
  await expect(steps(page)).toContainText('Lift the mask');
});

test('an edge stencil is placed three times, by numbers, by its handles and by keys, and undone', async ({
  page,
}) => {
  await openBench(page);
  await addPass(page, 'Edge stencil');
  await page.getByRole('button', { name: 'One more placing' }).click();
  await page.getByRole('button', { name: 'One more placing' }).click();
  await expect(passes(page).getByRole('rowheader', { name: '3' })).toBeVisible();
  await more(page);
  await type(page, 'Edge stencil, placing 1: From the foot, mm', '79.5');
  await type(page, 'Edge stencil, placing 1: Turned, °', '8');
  await page.getByLabel('Ink of edge stencil, placing 2').selectOption({ label: 'Sloe Deep' });
  await page.getByLabel('Edge stencil, placing 2: Flipped').selectOption('yes');
  const second = page.getByRole('button', { name: /^Edge stencil, placing 2: / });
  const told = await second.getAttribute('aria-label');
  await dragBy(second, 0, 48);
  await expect(second).not.toHaveAttribute('aria-label', told ?? '');
  const third = page.getByRole('button', { name: /^Edge stencil, placing 3: / });
  await third.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  const turn = page.getByRole('button', { name: /^Edge stencil, placing 3, turn: / });
  await turn.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(turn).not.toHaveAttribute('aria-label', /: 0°/);
  await expect(steps(page)).toContainText('Edge stencil, placing 3');
  await page.getByLabel('Edge stencil, placing 1: Held').selectOption('with spray');
  await expect(await unfoldMind(page)).toContainText('Tack spray');
  await page.getByRole('button', { name: 'Hold it by hand' }).click();
  await expect(mind(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'Take placing 2 off' }).click();
  await expect(passes(page).getByRole('rowheader', { name: '3' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(passes(page).getByRole('rowheader', { name: '3' })).toBeVisible();
  await type(page, 'Edge stencil, placing 1: Fades over, mm', '900');
  await expect(page.getByRole('alert')).toContainText('from 2 to 40');
});

test('passes are put in order by drag and by keys, left out and taken off; the sheet follows', async ({
  page,
}) => {
  await openBench(page);
  for (const name of ['Splashes', 'Silhouette', 'Pen dots']) await addPass(page, name);
  const labels = () =>
    passes(page)
      .getByRole('checkbox')
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  await expect.poll(labels).toEqual(['Splashes on', 'Silhouette on', 'Pen dots on']);
  const row = page.getByRole('button', { name: /^Splashes/ });
  await row.focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(labels).toEqual(['Silhouette on', 'Splashes on', 'Pen dots on']);
  await page.getByRole('button', { name: /^Silhouette ·/ }).click();
  await expect(steps(page)).toContainText('Heat-set the image');
  await page.getByLabel('Silhouette: Set').selectOption('left to dry');
  await expect(await unfoldMind(page)).toContainText('Splashes rubs over the fresh silhouette');
  await page.getByRole('button', { name: 'Heat-set it first' }).click();
  await expect(page.getByLabel('Silhouette: Set')).toHaveValue('heat');
  // Closed, so that all of the list is in sight.
  await page.getByRole('button', { name: /^Silhouette ·/ }).click();
  const grip = page.getByRole('button', { name: 'Move Pen dots' });
  // The list may still be closing up when its places are first looked at: then they are looked at again.
  await expect(async () => {
    const [from, to] = [
      await grip.boundingBox(),
      await page.getByRole('button', { name: 'Move Silhouette' }).boundingBox(),
    ];
    await page.mouse.move((from?.x ?? 0) + 10, (from?.y ?? 0) + 10);
    await page.mouse.down();
    await page.mouse.move((from?.x ?? 0) + 10, (from?.y ?? 0) - 20, { steps: 4 });
    await page.mouse.move((to?.x ?? 0) + 10, (to?.y ?? 0) + 4, { steps: 8 });
    await page.mouse.up();
    await expect.poll(labels, { timeout: 3000 }).toEqual(['Pen dots on', 'Silhouette on', 'Splashes on']);
  }).toPass({ timeout: 15_000 });
  await grip.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Pen dots (taken up|is over Pen dots)/)).toBeAttached();
  // The list listens for arrows, and has measured its rows, a moment after it says so.
  await page.waitForTimeout(200);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Pen dots is over Silhouette.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(labels).toEqual(['Silhouette on', 'Pen dots on', 'Splashes on']);
  await page.getByRole('checkbox', { name: 'Silhouette on' }).uncheck();
  await expect(steps(page)).not.toContainText('Silhouette');
  await expectAccessible(page, 'a pass left out');
  await addPass(page, 'Silhouette');
  await expect(page.getByRole('checkbox', { name: 'Silhouette 2 on' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('checkbox', { name: 'Silhouette on' }).check();
  await page.getByRole('link', { name: 'Full sheet' }).click();
  await expect(page.getByRole('main')).toContainText('Silhouette');
  await expect(page.getByRole('main')).toContainText('Heat tool: hot air and hot card burn');
  await page.getByRole('link', { name: 'Step by step' }).click();
  await expect(page.getByText(/^1 of /)).toBeVisible();
  const silhouette = page.getByRole('heading', { name: /^Silhouette/ });
  for (let step = 2; !(await silhouette.isVisible()); step++) {
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByText(new RegExp(`^${step} of `))).toBeVisible();
  }
  await expect(page.getByRole('img', { name: 'Where it goes' })).toBeVisible();
});

test.describe('with grain, gloss and shadows', () => {
  test.use({ grain: true });
  test('everything that goes over the blend is laid by its name, and nothing serious for axe, wide or narrow', async ({
    page,
  }) => {
    await openBench(page);
    for (const name of [
      'Pattern stencil',
      'Water stamp',
      'Lift with a damp cloth',
      'Tone on tone',
      'Greeting strip',
    ])
      await addPass(page, name);
    await expect(passes(page)).toContainText(/Greeting strip/);
    await expectAccessible(page, 'passes');
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder(/Type/).fill('horizon');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('checkbox', { name: 'Horizon on' })).toBeVisible();
    await showReadings(page);
    await resizeTo(page, 390, 844);
    await page.getByRole('radio', { name: /^Over the blend/ }).click();
    await expectAccessible(page, 'passes, narrow');
    await expectNoSideScroll(page, 390);
    // What is wrong with a number is told where it can be read.
    await type(page, 'Horizon: Height, mm', 'abc');
    const told = page.getByRole('alert').filter({ hasText: 'Type a number from' });
    await expect(told).toBeVisible();
    expect((await told.boundingBox())?.x).toBeGreaterThanOrEqual(0);
    // A long menu in the middle of the screen has room above it or below, not for all of it.
    const adds = page.getByRole('button', { name: 'Add over it' });
    await adds.evaluate((button) => button.scrollIntoView({ block: 'center' }));
    await adds.click();
    await expect(page.getByRole('menu')).toBeInViewport({ ratio: 1 });
    await page.keyboard.press('End');
    await expect(page.getByRole('menuitem').last()).toBeInViewport({ ratio: 1 });
    await page.keyboard.press('Escape');
  });

  test.describe('on a fine screen', () => {
    test.use({ deviceScaleFactor: 2 });

    test('a panel that takes long is coarse while a stencil is moved, and every pixel is painted once the hand rests', async ({
      page,
    }) => {
      await openBench(page);
      await addPass(page, 'Pattern stencil');
      await expect.poll(() => pixelsToOne(page)).toBeCloseTo(1, 1);
      const moved = page.getByRole('button', { name: /^Pattern stencil: / });
      const isSeenCoarse = await moved.evaluate(async (handle) => {
        const canvas = document.querySelector('main canvas') as HTMLCanvasElement;
        const [fine, begun] = [canvas.width, performance.now()];
        let least = fine;
        const watch = new MutationObserver(() => {
          least = Math.min(least, canvas.width);
        });
        watch.observe(canvas, { attributeFilter: ['data-painted'] });
        for (let i = 0; least === fine && performance.now() - begun < 20_000; i++) {
          // Two at once, however busy the machine is: the hand moves.
          for (let step = 0; step < 2; step++) {
            const key = i % 20 < 10 ? 'ArrowDown' : 'ArrowUp';
            handle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
          }
          await new Promise((resolve) => setTimeout(resolve, 20));
        }
        watch.disconnect();
        return least < fine;
      });
      expect(isSeenCoarse).toBe(true);
      await expect.poll(() => pixelsToOne(page)).toBeCloseTo(1, 1);
    });
  });
});

test('the loupe reads under a resist and beside it; states with other passes are told apart by name', async ({
  page,
}) => {
  await openBench(page, '/bench/running-glaze');
  await page.keyboard.press('l');
  const loupe = page.getByRole('application', { name: /^Loupe/ });
  const reading = page.getByRole('status', { name: 'Loupe reading' });
  await loupe.focus();
  // From the middle up into the bar the drips hang from, which the resist kept as it was.
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(reading).toContainText('Thrift Pale 100 %');
  // Hybrid leaves a trace on it after buffing.
  await expect(reading).toContainText(/Sloe Deep [1-5]\s%/);
  // Above it the coat lies over the same ink.
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(reading).toContainText(/Sloe Deep 100\s%/);
  await expect(reading).toContainText('Thrift Pale 100 %');
  await page.keyboard.press('l');

  const versions = async () => {
    await page.getByRole('button', { name: 'Recipe …' }).click();
    await page.getByRole('menuitem', { name: 'Versions' }).click();
  };
  await versions();
  await page.getByLabel('Name for the recipe as it stands').fill('With the drips');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'States' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('radio', { name: /^Over the blend/ }).click();
  await page.getByRole('button', { name: /^Clear resist/ }).click();
  await page.getByLabel('Design of clear resist').selectOption({ label: 'Reeds' });
  await page.getByRole('checkbox', { name: 'Greeting strip on' }).uncheck();
  await choose(page, 'Card', 'mist grey 270 g/m²');
  await versions();
  const boxes = page.getByRole('checkbox', { name: 'compare' });
  await expect(boxes).toHaveCount(2);
  for (const box of await boxes.all()) await box.check();
  const comparison = page.getByRole('region', { name: 'Comparison' });
  await expect(comparison).toContainText('Clear resist: Design: Reeds → Glaze drips');
  await expect(comparison).toContainText('Greeting strip: off → laid');
  await expect(comparison).toContainText('Card: mist grey 270 g/m² → smooth white 350 g/m²');
});

test('what lies over the blend is measured in inches, by the panel’s handles and by numbers', async ({
  page,
}) => {
  await openBench(page);
  await deskSetting(page, 'in');
  await addPass(page, 'Horizon');
  const high = page.getByLabel('Horizon: Height, in', { exact: true });
  // An arrow takes what is being typed, and the next one steps from it.
  await high.fill('1 1/2');
  await high.press('ArrowUp');
  await expect(steps(page)).toContainText('Mask above 1 1/2 in from the foot');
  await high.press('ArrowUp');
  await expect(steps(page)).not.toContainText('Mask above 1 1/2 in from the foot');
  await type(page, 'Horizon: Height, in', '1 1/4');
  await expect(high).toHaveValue('1 1/4');
  await expect(steps(page)).toContainText('Mask above 1 1/4 in from the foot');
  const line = page.getByRole('button', { name: /^Horizon: / });
  await dragBy(line, 0, -72);
  await expect(high).not.toHaveValue('1 1/4');
  await page.keyboard.press('Control+z');
  await expect(high).toHaveValue('1 1/4');
  // By keys the handle goes by what is shown, too.
  await line.press('ArrowUp');
  await expect(high).toHaveValue('1 5/16');
  await page.keyboard.press('Control+z');
  await expect(high).toHaveValue('1 1/4');

  // Found in its menu by its first letters, which are no commands there.
  await page.getByRole('button', { name: 'Add over it' }).press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Torn edge' })).toBeVisible();
  await page.keyboard.type('torn');
  await expect(page.getByRole('menuitem', { name: 'Torn edge' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('checkbox', { name: 'Torn edge on' })).toBeChecked();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // A second torn line lies below the first; each is taken hold of by itself, and told from the foot.
  await page.getByRole('button', { name: 'One more line' }).click();
  const tears = page.getByRole('button', { name: /^Torn edge, line [12]: / });
  await expect(tears).toHaveCount(2);
  const foot = (i: number) => page.getByLabel(`Torn edge, line ${i}: From the foot, in`, { exact: true });
  const [upper, lower] = [await foot(1).inputValue(), await foot(2).inputValue()];
  await tears.nth(1).focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(foot(2)).not.toHaveValue(lower);
  await expect(foot(1)).toHaveValue(upper);
  await expect(steps(page)).toContainText(`its edge ${upper} in from the foot`);

  await addPass(page, 'Greeting strip');
  await type(page, 'Greeting strip: Width, in', '3');
  await type(page, 'Greeting strip: Height, in', '5/8');
  await page.getByLabel('Greeting strip: Offset shadow').selectOption('in black');
  await expect(steps(page)).toContainText('To its die, 3 × 5/8 in');
  await expect(steps(page)).toContainText('over the black one');

  // The same drops fall again from the same number, others from another.
  await addPass(page, 'Splashes');
  const seed = page.getByLabel('Splashes: Lie', { exact: true });
  await expect(seed).toHaveValue('1');
  const picture = () => page.locator('main canvas').first().screenshot();
  await page.waitForTimeout(1500);
  const first = await picture();
  await seed.fill('2');
  await seed.press('Enter');
  await expect.poll(async () => (await picture()).equals(first)).toBe(false);
  await seed.fill('1');
  await seed.press('Enter');
  await expect.poll(async () => (await picture()).equals(first)).toBe(true);
});
