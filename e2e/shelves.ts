import type { Page } from '@playwright/test';
import type { Ink } from '../src/core/materials/ink/ink';

/** Puts other inks on the shelf in place of the demo's, as a maker who cleared it would have them. */
export async function replaceShelf(
  page: Page,
  inks: readonly Ink[],
  recipes: 'without recipes' | 'with the demo’s recipes' = 'without recipes',
): Promise<void> {
  await page.goto('/recipes');
  await page.getByRole('button', { name: 'New recipe' }).waitFor();
  const given = { all: inks, clears: recipes === 'without recipes' };
  await page.evaluate(async ({ all, clears }) => {
    await new Promise<void>((resolve, reject) => {
      const opening = indexedDB.open('tint-ladder');
      opening.onerror = () => reject(opening.error);
      opening.onsuccess = () => {
        const db = opening.result;
        const writing = db.transaction(['inks', 'recipes'], 'readwrite');
        if (clears) writing.objectStore('recipes').clear();
        writing.objectStore('inks').clear();
        for (const ink of all) writing.objectStore('inks').put(ink);
        writing.onerror = () => reject(writing.error);
        writing.oncomplete = () => {
          db.close();
          resolve();
        };
      };
    });
  }, given);
}
