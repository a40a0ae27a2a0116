import { array, object, string } from 'yup';
import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import { isOwnDesign, OWN_DESIGNS } from '../materials/design/own';
import { BARE, type Ink, isBare } from '../materials/ink/ink';
import { settle } from '../recipe/editLadder';
import { PASS_LIMITS } from '../recipe/passes/passes';
import { type Recipe, RUNG_LIMITS } from '../recipe/recipe';
import { type ResolvedRecipe, resolve } from '../recipe/resolved';
import { cardSchema } from './cardSchema';
import { DESIGNS_LIMIT, designSchema } from './designSchema';
import { FileError } from './fileError';
import { inkSchema } from './inkSchema';
import { type FileLimit, refuseLarger } from './limits';
import { isPlain } from './plain';
import { recipeFaults } from './recipeFaults';
import { inkAt, migrateRecipe, RECIPE_VERSION } from './recipeMigrations';
import { recipeSchema } from './recipeSchema';
import { real, unknownField } from './schemaParts';
import { parsedJson, validated } from './validated';

/** What stands under `format` in a recipe file; recipeJsonSchema.ts describes today's version of it. */
export const RECIPE_FORMAT = 'tint-ladder/recipe';

/** A recipe file is a few kilobytes, or more with designs; anything larger is refused unread. */
export const RECIPE_FILE_LIMIT: FileLimit = { what: 'a recipe', bytes: 4_000_000 };
/** The most inks in a file: one a rung and one a placement. */
export const MAX_INKS = RUNG_LIMITS.max + PASS_LIMITS.placements;

/** A recipe with the inks and the card it needs, so that it opens where neither is on the shelf. */
export interface RecipeFile {
  readonly format: typeof RECIPE_FORMAT;
  readonly version: typeof RECIPE_VERSION;
  readonly recipe: Recipe;
  readonly card: Card;
  /** The second card, where two are laid at once. */
  readonly alsoOn?: Card;
  /** Each ink once. */
  readonly inks: readonly Ink[];
  /** Each design once, those that ship with the application left out. */
  readonly designs: readonly Design[];
}

/** The text of a recipe file. */
export function writeRecipeFile({ recipe, card, alsoOn, inks, passInks, designs }: ResolvedRecipe): string {
  const laid = [...inks, ...passInks].filter((ink) => !isBare(ink));
  const once = [...new Map(laid.map((ink) => [ink.id, ink])).values()];
  const file: RecipeFile = {
    format: RECIPE_FORMAT,
    version: RECIPE_VERSION,
    recipe,
    card,
    ...(alsoOn ? { alsoOn } : {}),
    inks: once,
    designs: designs.filter(({ id }) => !isOwnDesign(id)),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * Reads a recipe file, trusting nothing in it.
 *
 * @throws FileError naming what is wrong, where, and what was expected
 */
export function readRecipeFile(text: string): ResolvedRecipe {
  refuseLarger(text.length, RECIPE_FILE_LIMIT);
  const file = shaped(parsedJson(text, 'a recipe exported as JSON'));
  const { recipe, card, alsoOn, inks } = file;
  const designs = [...OWN_DESIGNS, ...file.designs];
  const faults = recipeFaults(file, designs);
  if (faults.length > 0) throw new FileError(faults);
  const sum = recipe.rungs.reduce((total, { share }) => total + share, 0);
  const exact = { ...recipe, rungs: recipe.rungs.map((rung) => ({ ...rung, share: rung.share / sum })) };
  const resolved = resolve(settle(exact), {
    inks: [BARE, ...inks],
    cards: alsoOn ? [card, alsoOn] : [card],
    designs,
  });
  if (!resolved)
    throw new FileError([{ place: '', problem: 'The recipe lacks an ink, a design or its card.' }]);
  return resolved;
}

const fileSchema = object({
  format: string().strict().required(),
  version: real(),
  recipe: recipeSchema.required(),
  card: cardSchema.required(),
  alsoOn: cardSchema.default(undefined).optional(),
  inks: array().strict().required().min(1).max(MAX_INKS).of(inkSchema.required()),
  designs: array()
    .strict()
    .required()
    .max(PASS_LIMITS.passes)
    .of(designSchema.required())
    .test('designs', `must hold less than ${DESIGNS_LIMIT / 1e6} MB of paths`, (designs) =>
      (designs ?? []).every(
        ({ shapes }) => shapes.reduce((sum, { d }) => sum + d.length, 0) <= DESIGNS_LIMIT,
      ),
    ),
}).noUnknown(unknownField);

function shaped(value: unknown): RecipeFile {
  if (!isPlain(value) || value.format !== RECIPE_FORMAT)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a recipe: expected "${RECIPE_FORMAT}". Choose an exported recipe.`,
      },
    ]);
  const { version } = value;
  if (!(typeof version === 'number' && version >= 1 && version <= RECIPE_VERSION))
    throw new FileError([
      {
        place: 'version',
        problem: `Version ${JSON.stringify(version)} is unknown here; this program reads versions 1 to ${RECIPE_VERSION}. Update it, or export again from the older one.`,
      },
    ]);
  // What the parts of each pass must be its kind says: `recipeFaults` asks it.
  return validated(fileSchema, inTodaysShape(value, version)) as unknown as RecipeFile;
}

/** Before this version a file knew of no designs. */
const DESIGNS_FROM = 3;

/** A file of an earlier version as today's program writes it. */
function inTodaysShape(file: Readonly<Record<string, unknown>>, version: number): unknown {
  const { recipe, inks } = file;
  if (!isPlain(recipe) || version === RECIPE_VERSION) return file;
  return {
    ...file,
    version: RECIPE_VERSION,
    recipe: migrateRecipe(recipe, version),
    inks: Array.isArray(inks) ? inks.map((ink) => (isPlain(ink) ? inkAt(ink, version) : ink)) : inks,
    ...(version < DESIGNS_FROM ? { designs: [] } : {}),
  };
}
