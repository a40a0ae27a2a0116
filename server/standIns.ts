import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import sharp from 'sharp';
import { array } from 'yup';
import type { Pixels } from '../src/core/choose/photo/pixels';
import { cardSchema } from '../src/core/files/cardSchema';
import { writeCgats } from '../src/core/files/cgats';
import { FileError } from '../src/core/files/fileError';
import { inkSchema } from '../src/core/files/inkSchema';
import { isPlain } from '../src/core/files/plain';
import { readRecipeFile } from '../src/core/files/recipeFile';
import { validated } from '../src/core/files/validated';
import { readingPlaces } from '../src/core/keep/read/places';
import { fillPage } from '../src/core/keep/stand/filledPage';
import { photograph, photographPanel, type Shot } from '../src/core/keep/stand/photograph';
import { readBareCard, readPlaces } from '../src/core/keep/stand/reader';
import { asMade } from '../src/core/keep/stand/trueInks';
import { swatchPages } from '../src/core/keep/swatches/page';
import type { Card } from '../src/core/materials/card/card';
import { linearRgbOfHex } from '../src/core/materials/colour/hex';
import type { Ink } from '../src/core/materials/ink/ink';
import type { ResolvedRecipe } from '../src/core/recipe/resolved';

/** Which simulated desk this is: its inks are as they are, and nobody looks them up. */
export const DESK = 4711;
/** Pixels of a simulated photograph. */
const SIZE = { width: 1200, height: 1600 } as const;
const PAGE_SIZE = { width: 1300, height: 1800 } as const;
const MOST_INKS = 200;
const QUALITY = 90;
const MOST_BYTES = 5_000_000;
const MISHAPS: readonly (Shot['mishap'] & string)[] = ['glare', 'shadow', 'clipped'];

interface Asked {
  readonly resolved: ResolvedRecipe;
  /** Which evening it was made on: the same one makes the same panel. */
  readonly evening: number;
  readonly mishap: Shot['mishap'];
}

/** What a caller asks the simulated desk for. */
function askedOf(body: unknown): Asked {
  if (!isPlain(body) || !Number.isInteger(body.evening))
    throw new FileError([
      { place: 'evening', problem: 'must be a whole number: which evening the panel is made on' },
    ]);
  return {
    resolved: readRecipeFile(JSON.stringify(body.recipe)),
    evening: Number(body.evening),
    mishap: MISHAPS.find((one) => one === body.mishap),
  };
}

async function jpegOf({ width, height, data }: Pixels): Promise<Uint8Array<ArrayBuffer>> {
  const raw = { width, height, channels: 4 } as const;
  return new Uint8Array(await sharp(data, { raw }).jpeg({ quality: QUALITY }).toBuffer());
}

/**
 * Simulated stand-ins for what is outside the application: a desk that makes a panel of true inks and photographs it, and
 * a colour reader that reads it, in the format such readers write.
 */
export function standIns() {
  const app = new Hono();
  app.use(bodyLimit({ maxSize: MOST_BYTES, onError: (c) => c.text('That is too much at once.', 413) }));
  app.onError((error, c) =>
    error instanceof FileError || error instanceof SyntaxError
      ? c.text(error.message, 400)
      : c.text('The simulated desk failed.', 500),
  );
  app.post('/photograph', async (c) => {
    const { resolved, evening, mishap } = askedOf(await c.req.json());
    const made = asMade(resolved, DESK, evening);
    const { picture } = photographPanel(made, { seed: evening, ...SIZE, ...(mishap ? { mishap } : {}) });
    return c.body(await jpegOf(picture), 200, { 'Content-Type': 'image/jpeg' });
  });
  app.post('/swatches', async (c) => {
    const body: unknown = await c.req.json();
    if (!isPlain(body) || !Number.isInteger(body.page))
      throw new FileError([{ place: 'page', problem: 'must be a whole number, counted from 0' }]);
    const inks = array(inkSchema.required()).required().max(MOST_INKS);
    const asked = validated(inks, body.inks) as readonly Ink[];
    const card = validated(cardSchema, body.card) as Card;
    const page = swatchPages(asked)[Number(body.page)];
    if (!page) throw new FileError([{ place: 'page', problem: 'There is no such page.' }]);
    const flat = {
      picture: fillPage(page, asked, card, DESK),
      width: page.width,
      height: page.height,
      card: linearRgbOfHex(card.colour),
    };
    const { picture } = photograph(flat, { seed: DESK + Number(body.page), ...PAGE_SIZE });
    return c.body(await jpegOf(picture), 200, { 'Content-Type': 'image/jpeg' });
  });
  app.post('/reader', async (c) => {
    const { resolved, evening } = askedOf(await c.req.json());
    const made = asMade(resolved, DESK, evening);
    const samples = [...readPlaces(made, readingPlaces(resolved), evening), readBareCard(made.card, evening)];
    return c.text(writeCgats(samples, new Date()));
  });
  return app;
}
