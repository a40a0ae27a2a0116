import { expect, type Page, test as plain } from '@playwright/test';

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
