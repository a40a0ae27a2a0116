import { writeRecipeFile } from '../../core/files/recipeFile';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import type { ResolvedRecipe } from '../../core/recipe/resolved';

/** The simulated desk is not there, or did not do what it was asked. */
export class NoDesk extends Error {}

async function post(path: string, what: unknown): Promise<Response> {
  const body = JSON.stringify(what);
  const answer = await fetch(`/stand-in/${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  }).catch(() => undefined);
  if (!answer)
    throw new NoDesk(
      'The simulated desk is part of the server, which does not answer. Start it with npm start.',
    );
  if (!answer.ok) throw new NoDesk(await answer.text());
  return answer;
}

const ask = (path: string, resolved: ResolvedRecipe, evening: number) =>
  post(path, { recipe: JSON.parse(writeRecipeFile(resolved)), evening });

/** A photograph of a swatch page as the simulated desk fills it. */
export const swatchesAtDesk = async (inks: readonly Ink[], card: Card, page: number): Promise<File> =>
  new File([await (await post('swatches', { inks, card, page })).blob()], 'swatches.jpg', {
    type: 'image/jpeg',
  });

/** A photograph of the recipe as the simulated desk makes it on one evening. */
export const photographAtDesk = async (resolved: ResolvedRecipe, evening: number): Promise<File> =>
  new File([await (await ask('photograph', resolved, evening)).blob()], 'simulated.jpg', {
    type: 'image/jpeg',
  });

/** What the simulated reader tells of that panel, as CGATS text. */
export const readAtDesk = async (resolved: ResolvedRecipe, evening: number): Promise<string> =>
  (await ask('reader', resolved, evening)).text();
