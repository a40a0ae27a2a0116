import { expect, type Locator, type Page, test as plain } from '@playwright/test';

/**
 * A page of a fresh profile. Panels begin without the grain of card and ink, which takes a third of a test's time where
 * three browsers share two cores; tests of pictures, and of what is there at first, ask for it.
 */
export const test = plain.extend<{ readonly grain: boolean }>({
  grain: [false, { option: true }],
  context: async ({ context, grain }, use) => {
    if (!grain)
      await context.addInitScript(() => {
        // What a test chooses itself stays; a page that has no storage goes without.
        try {
          if (!localStorage.getItem('tint-ladder view'))
            localStorage.setItem('tint-ladder view', '{"grain":false}');
        } catch {}
      });
    await use(context);
  },
});

/**
 * Goes on to another view as the page's own links do: what is loaded stays loaded. Until the other view has come the one
 * before it stands there.
 */
export async function goOn(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    document.querySelector('main')?.setAttribute('data-left', '');
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, address);
  await expect(page.locator('main[data-left]')).toHaveCount(0);
}

/** Waits until the page has been drawn twice: what was asked of it has come, or does not come. */
export const nextFrames = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    for (let frame = 0; frame < 2; frame++)
      await new Promise((shown) => requestAnimationFrame(() => setTimeout(shown)));
  });

/**
 * Gives the window another size, px, and waits until the page is laid out for it: what is drawn to its own width is drawn
 * anew only in the frame after, which a machine of few cores may be late with.
 */
export async function resizeTo(page: Page, width: number, height: number): Promise<void> {
  await page.setViewportSize({ width, height });
  await page.waitForFunction((wanted) => window.innerWidth === wanted, width);
  await nextFrames(page);
}

/**
 * Drags something by its middle so far right and down, px, once it has come to rest: where it lies is asked no sooner, or
 * the hand comes down beside it while the page is still being laid out.
 */
export async function dragBy(grip: Locator, right: number, down: number): Promise<void> {
  const { mouse } = grip.page();
  await grip.hover();
  const { x, y, width, height } = (await grip.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await mouse.down();
  await mouse.move(x + width / 2 + right, y + height / 2 + down, { steps: 6 });
  await mouse.up();
}

/** Presses a button by a double tap: the second press comes before anything has followed from the first. */
export const pressTwice = (button: Locator): Promise<void> =>
  button.evaluate((element: HTMLElement) => {
    element.click();
    element.click();
  });

/** Holds back what the page asks for by an address that matches, until the function that is returned is called. */
export async function holdBack(page: Page, address: RegExp): Promise<() => void> {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await page.route(address, async (route) => {
    await held;
    await route.continue();
  });
  return letGo;
}

/** Stands in for the printer. */
export const watchPrinter = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    window.print = () => {
      document.documentElement.dataset.printed = 'yes';
    };
  });

export const expectPrinted = (page: Page): Promise<void> =>
  expect(page.locator('html')).toHaveAttribute('data-printed', 'yes');

/**
 * Presses Stop in the page as soon as it is there and the work has got somewhere: what a quick machine has done before a
 * test has looked is met under way, too. Called before the work begins.
 *
 * @returns what was under way, as its bar says, where it has one
 */
export const stopUnderWay = (page: Page): Promise<string | null | undefined> =>
  page.evaluate(
    () =>
      new Promise<string | null | undefined>((stopped) => {
        const watch = new MutationObserver(() => {
          const stop = [...document.querySelectorAll('button')].find(
            ({ textContent }) => textContent === 'Stop',
          );
          const bar = document.querySelector('progress');
          if (!stop || bar?.value === 0) return;
          watch.disconnect();
          stop.click();
          stopped(bar?.ariaLabel);
        });
        watch.observe(document.body, { subtree: true, childList: true, attributes: true });
      }),
  );

/** Drops files of the disk on the middle of something, as a hand does that drags them out of a folder. */
export async function dropOn(target: Locator, files: readonly string[]): Promise<void> {
  const page = target.page();
  const { x, y, width, height } = (await target.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const session = await page.context().newCDPSession(page);
  const at = { x: x + width / 2, y: y + height / 2 };
  const data = { items: [], files: [...files], dragOperationsMask: 1 };
  for (const type of ['dragEnter', 'dragOver', 'drop'] as const)
    await session.send('Input.dispatchDragEvent', { type, ...at, data });
  await session.detach();
}

/** Pastes a JPEG into the page, as one that was copied elsewhere. */
export const pastePicture = (page: Page, picture: Uint8Array): Promise<unknown> =>
  page.evaluate(
    (bytes) => {
      const clipboardData = new DataTransfer();
      clipboardData.items.add(new File([Uint8Array.from(bytes)], 'image.jpg', { type: 'image/jpeg' }));
      window.dispatchEvent(new ClipboardEvent('paste', { clipboardData }));
    },
    [...picture],
  );
