import { array, boolean, mixed, number, type ObjectSchema, object, string, ValidationError } from 'yup';
import { type Card, GRAMMAGE_LIMITS, SHEET_LIMITS } from '../materials/card/card';
import { FINISH_IDS } from '../materials/card/finishes';
import { type Hex, isHex } from '../materials/colour/hex';
import type { Design } from '../materials/design/design';
import { isOwnDesign, OWN_DESIGNS } from '../materials/design/own';
import { BARE, type Ink, type InkDepth, isBare, POTENCY_LIMITS } from '../materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS } from '../materials/ink/kinds';
import { settle } from '../recipe/editLadder';
import { PANEL_LIMITS } from '../recipe/panel';
import { PASS_LIMITS } from '../recipe/passes/passes';
import { type Kit, type Recipe, RUNG_LIMITS } from '../recipe/recipe';
import { RUN_IDS, RUNS } from '../recipe/runs/runs';
import { SCHOOL_IDS } from '../recipe/schools/schools';
import { TOOL_IDS } from '../recipe/tools/tools';
import { type Fault, FileError } from './fileError';
import { DESIGNS_LIMIT, designSchema, passFaults, passSchema } from './passSchema';
import { isPlain } from './plain';
import { migrateRecipe } from './recipeMigrations';
import {
  COLOUR_FAULT,
  clip,
  colour,
  id,
  label,
  numbers,
  oneOf,
  paramFaults,
  real,
  unknownField,
} from './schemaParts';

/** What stands under `format` and `version` in a recipe file. docs/formats/recipe-3.schema.json describes it. */
export const RECIPE_FORMAT = 'tint-ladder/recipe';
export const RECIPE_VERSION = 3;

/** A recipe file is a few kilobytes, or more with designs; anything over this, in bytes, is refused unread. */
export const RECIPE_FILE_LIMIT = 4_000_000;

/** A recipe with the inks and the card it needs, so that it opens where neither is on the shelf. */
export interface RecipeFile {
  readonly format: typeof RECIPE_FORMAT;
  readonly version: typeof RECIPE_VERSION;
  readonly recipe: Recipe;
  readonly card: Card;
  /** Each ink once. */
  readonly inks: readonly Ink[];
  /** Each design once, those that ship with the application left out. */
  readonly designs: readonly Design[];
}

/** The text of a recipe file. */
export function writeRecipeFile({ recipe, card, inks, passInks, designs }: Kit): string {
  const laid = [...inks, ...passInks].filter((ink) => !isBare(ink));
  const once = [...new Map(laid.map((ink) => [ink.id, ink])).values()];
  const file: RecipeFile = {
    format: RECIPE_FORMAT,
    version: RECIPE_VERSION,
    recipe,
    card,
    inks: once,
    designs: designs.filter(({ id }) => !isOwnDesign(id)),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** How far shares may miss 1 in sum and joints may touch, to allow for rounding by hand. */
const SLACK = 1e-3;

/**
 * Reads a recipe file, trusting nothing in it.
 *
 * @throws FileError naming what is wrong, where, and what was expected
 */
export function readRecipeFile(text: string): Kit {
  const file = shaped(parsed(text));
  const { recipe, card, inks } = file;
  const byId = new Map([BARE, ...inks].map((ink) => [ink.id, ink]));
  const designs = [...OWN_DESIGNS, ...file.designs];
  refuseIf(consistencyFaults(file, designs));
  const sum = recipe.rungs.reduce((total, { share }) => total + share, 0);
  const exact = { ...recipe, rungs: recipe.rungs.map((rung) => ({ ...rung, share: rung.share / sum })) };
  const inkOf = ({ inkId }: { inkId: string }): Ink => byId.get(inkId) as Ink;
  return {
    recipe: settle(exact),
    card,
    inks: recipe.rungs.map(inkOf),
    passInks: inks.filter(({ id }) =>
      recipe.passes.some(({ placements }) => placements.some(({ inkId }) => inkId === id)),
    ),
    designs: designs.filter(({ id }) => recipe.passes.some(({ designId }) => designId === id)),
  };
}

function refuseIf(faults: readonly Fault[]): void {
  if (faults.length > 0) throw new FileError(faults);
}

function parsed(text: string): unknown {
  if (text.length > RECIPE_FILE_LIMIT)
    throw new FileError([
      { place: '', problem: 'The file is too large for a recipe: a recipe file is under 4 MB.' },
    ]);
  try {
    return JSON.parse(text);
  } catch (error) {
    const where = error instanceof Error ? ` (${error.message})` : '';
    throw new FileError([
      { place: '', problem: `The file is not JSON${where}. Choose a recipe exported as JSON.` },
    ]);
  }
}

const side = () => real().min(PANEL_LIMITS.least).max(PANEL_LIMITS.most);

const sheetSide = () => real().min(SHEET_LIMITS.least).max(SHEET_LIMITS.most);

/** An ink as it stands in files. */
export const inkSchema: ObjectSchema<Ink> = object({
  id: id(),
  name: label(),
  family: label(),
  depth: oneOf<InkDepth>(['deep', 'mid', 'pale']),
  kind: oneOf(INK_KIND_IDS),
  overWhite: colour(),
  overBlack: string<Hex>()
    .strict()
    .test('hex', COLOUR_FAULT, (value) => value === undefined || isHex(value)),
  line: string().strict().max(120),
  note: string().strict().max(2000),
  wished: boolean().strict(),
  dryBack: number().strict().min(0).max(0.9),
  potency: number().strict().min(POTENCY_LIMITS.least).max(POTENCY_LIMITS.most),
  brush: string().strict().max(60),
}).noUnknown(unknownField) as ObjectSchema<Ink>;

/** A card as it stands in files. */
export const cardSchema: ObjectSchema<Card> = object({
  id: id(),
  name: label(),
  colour: colour(),
  finish: oneOf(FINISH_IDS),
  grammage: real().min(GRAMMAGE_LIMITS.least).max(GRAMMAGE_LIMITS.most),
  sheet: object({ width: sheetSide(), height: sheetSide() })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
  stock: number().strict().integer().min(0).max(100_000),
  note: string().strict().max(2000),
}).noUnknown(unknownField) as ObjectSchema<Card>;

/** No run is longer than this, mm: the diagonal of the largest panel. */
const LONGEST_RUN = 600;

const recipeSchema = object({
  id: id(),
  name: label(),
  cardId: id(),
  panel: object({ width: side(), height: side() }).noUnknown(unknownField).required(),
  run: object({ id: oneOf(RUN_IDS), params: numbers() })
    .noUnknown(unknownField)
    .required(),
  passes: array()
    .strict()
    .required()
    .max(PASS_LIMITS.passes, `must have at most ${PASS_LIMITS.passes} passes`)
    .of(passSchema.required()),
  tool: oneOf(TOOL_IDS),
  school: oneOf([...SCHOOL_IDS, 'suggested'] as const),
  wanted: array().strict().max(RUNG_LIMITS.most).of(real().moreThan(0).lessThan(1)),
  notes: mixed<Readonly<Record<string, string>>>().test(
    'notes',
    'must be texts of at most 1000 letters, each under the key of its step',
    (value) =>
      value === undefined ||
      (isPlain(value) &&
        Object.keys(value).length <= 100 &&
        Object.entries(value).every(
          ([key, note]) => key.length <= 80 && typeof note === 'string' && note.length <= 1000,
        )),
  ),
  rungs: array()
    .strict()
    .required()
    .min(RUNG_LIMITS.least, `must have at least ${RUNG_LIMITS.least} rungs`)
    .max(RUNG_LIMITS.most, `must have at most ${RUNG_LIMITS.most} rungs`)
    .of(
      object({ inkId: id(), share: real().moreThan(0).max(1) })
        .noUnknown(unknownField)
        .required(),
    ),
  joints: array()
    .strict()
    .required()
    .max(RUNG_LIMITS.most - 1)
    .of(
      object({ width: real().moreThan(0).max(LONGEST_RUN) })
        .noUnknown(unknownField)
        .required(),
    ),
}).noUnknown(unknownField);

const fileSchema = object({
  format: string().strict().required(),
  version: real(),
  recipe: recipeSchema.required(),
  card: cardSchema.required(),
  inks: array()
    .strict()
    .required()
    .min(1)
    .max(RUNG_LIMITS.most + PASS_LIMITS.placements)
    .of(inkSchema.required()),
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
  const head = value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== RECIPE_FORMAT)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a recipe: expected "${RECIPE_FORMAT}". Choose an exported recipe.`,
      },
    ]);
  if (!(typeof head.version === 'number' && head.version >= 1 && head.version <= RECIPE_VERSION))
    throw new FileError([
      {
        place: 'version',
        problem: `Version ${JSON.stringify(head.version)} is unknown here; this program reads versions 1 to ${RECIPE_VERSION}. Update it, or export again from the older one.`,
      },
    ]);
  try {
    return fileSchema.validateSync(inTodaysShape(head), { strict: true, abortEarly: false }) as RecipeFile;
  } catch (error) {
    if (error instanceof ValidationError) throw new FileError(faultsOf(error));
    throw error;
  }
}

/** A file of an earlier version as today's program writes it. */
function inTodaysShape(file: { recipe?: unknown; version?: unknown }): unknown {
  const { recipe, version } = file;
  if (!isPlain(recipe) || version === RECIPE_VERSION) return file;
  return {
    ...file,
    version: RECIPE_VERSION,
    recipe: migrateRecipe(recipe, version as number),
    // No earlier version knew of any.
    designs: [],
  };
}

function faultsOf(error: ValidationError): Fault[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  return inner.map(({ path = '', message, params }) => {
    const given = params?.originalValue ?? params?.value;
    const shown =
      typeof given === 'number' || typeof given === 'string' ? ` (it is ${clip(JSON.stringify(given))})` : '';
    return { place: path, problem: message.replace(path, '').trim() + shown };
  });
}

function consistencyFaults(
  { recipe, card, inks, designs: brought }: RecipeFile,
  designs: readonly Design[],
): Fault[] {
  const faults: Fault[] = [];
  const byId = new Map(inks.map((ink) => [ink.id, ink]));
  if (recipe.cardId !== card.id)
    faults.push({
      place: 'recipe.cardId',
      problem: `is "${recipe.cardId}", but the card in the file is "${card.id}"`,
    });
  if (byId.size < inks.length) faults.push({ place: 'inks', problem: 'has two inks with one id' });
  if (byId.has(BARE.id)) faults.push({ place: 'inks', problem: `"${BARE.id}" stands for no ink` });
  const laid = recipe.rungs.map(({ inkId }, i) => ({ inkId, place: `recipe.rungs[${i}].inkId` }));
  laid.forEach(({ inkId, place }) => {
    const ink = byId.get(inkId);
    if (inkId === BARE.id) return;
    if (!ink) faults.push({ place, problem: `no ink "${inkId}" is in the file` });
    else if (!INK_KINDS[ink.kind].blends)
      faults.push({
        place,
        problem: `${ink.name} is ${INK_KINDS[ink.kind].label}, which is stamped, not blended`,
      });
  });
  if (recipe.rungs.every(({ inkId }) => inkId === BARE.id))
    faults.push({ place: 'recipe.rungs', problem: 'have no ink at all' });
  faults.push(...paramFaults('recipe.run.params', RUNS[recipe.run.id].params, recipe.run.params));
  faults.push(...passFaults(recipe.passes, byId, designs));
  brought.forEach(({ id, name }, i) => {
    if (isOwnDesign(id))
      faults.push({
        place: `designs[${i}].id`,
        problem: `"${id}" is a design that ships with the program; ${name} needs another`,
      });
  });
  if (new Set(designs.map(({ id }) => id)).size < designs.length)
    faults.push({ place: 'designs', problem: 'has two designs with one id' });
  if (recipe.wanted && recipe.wanted.length !== recipe.rungs.length)
    faults.push({ place: 'recipe.wanted', problem: 'must have one share a rung' });
  const sum = recipe.rungs.reduce((total, { share }) => total + share, 0);
  if (Math.abs(sum - 1) > SLACK)
    faults.push({
      place: 'recipe.rungs',
      problem: `shares must add up to 1 (they add up to ${Number(sum.toFixed(4))})`,
    });
  if (recipe.joints.length !== recipe.rungs.length - 1)
    faults.push({
      place: 'recipe.joints',
      problem: `${recipe.rungs.length} rungs have ${recipe.rungs.length - 1} joints (there are ${recipe.joints.length})`,
    });
  if (faults.length > 0) return faults;
  settle(recipe).joints.forEach(({ width }, i) => {
    const given = recipe.joints[i]?.width ?? 0;
    if (Math.abs(width - given) > SLACK)
      faults.push({
        place: `recipe.joints[${i}].width`,
        problem: `does not fit between its neighbours (it is ${given} mm)`,
      });
  });
  return faults;
}
