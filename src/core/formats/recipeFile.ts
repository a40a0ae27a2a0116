import { array, boolean, number, type ObjectSchema, object, string, ValidationError } from 'yup';
import type { Card } from '../card/card';
import { FINISH_IDS } from '../card/finishes';
import { type Hex, isHex } from '../colour/hex';
import { type Ink, type InkDepth, POTENCY_LIMITS } from '../ink/ink';
import { INK_KIND_IDS, INK_KINDS } from '../ink/kinds';
import { settle } from '../ladder/edit';
import { type Kit, type Recipe, RUNG_LIMITS } from '../ladder/recipe';
import { PANEL_LIMITS } from '../panel/panel';
import { RUNS, type RunId } from '../run/run';
import { SCHOOLS, type SchoolId } from '../sheet/schools';
import { type Fault, FileError } from './fileError';

/** What stands under `format` and `version` in a recipe file. docs/formats/recipe-1.schema.json describes it. */
export const RECIPE_FORMAT = 'tint-ladder/recipe';
export const RECIPE_VERSION = 1;

/** A recipe file is a few kilobytes; anything over this, in bytes, is refused unread. */
export const RECIPE_FILE_LIMIT = 1_000_000;

/** A recipe with the inks and the card it needs, so that it opens where neither is on the shelf. */
export interface RecipeFile {
  readonly format: typeof RECIPE_FORMAT;
  readonly version: typeof RECIPE_VERSION;
  readonly recipe: Recipe;
  readonly card: Card;
  /** Each ink once. */
  readonly inks: readonly Ink[];
}

/** The text of a recipe file. */
export function writeRecipeFile({ recipe, card, inks }: Kit): string {
  const once = [...new Map(inks.map((ink) => [ink.id, ink])).values()];
  const file: RecipeFile = { format: RECIPE_FORMAT, version: RECIPE_VERSION, recipe, card, inks: once };
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
  const { recipe, card, inks } = shaped(parsed(text));
  const byId = new Map(inks.map((ink) => [ink.id, ink]));
  refuseIf(consistencyFaults(recipe, card, inks));
  const sum = recipe.rungs.reduce((total, { share }) => total + share, 0);
  const exact = { ...recipe, rungs: recipe.rungs.map((rung) => ({ ...rung, share: rung.share / sum })) };
  return { recipe: settle(exact), card, inks: recipe.rungs.map(({ inkId }) => byId.get(inkId) as Ink) };
}

function refuseIf(faults: readonly Fault[]): void {
  if (faults.length > 0) throw new FileError(faults);
}

function parsed(text: string): unknown {
  if (text.length > RECIPE_FILE_LIMIT)
    throw new FileError([
      { place: '', problem: 'The file is too large for a recipe: a recipe file is under 1 MB.' },
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

const id = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _')
    .required();
const label = () => string().strict().trim('must not begin or end with a space').min(1).max(120).required();
const COLOUR_FAULT = 'must be a colour as # and six hexadecimal digits';
const colour = () =>
  string<Hex>()
    .strict()
    .required()
    .test('hex', COLOUR_FAULT, (value) => isHex(value ?? ''));
const oneOf = <T extends string>(values: readonly T[]) =>
  string<T>()
    .strict()
    .required()
    .oneOf([...values], `must be one of ${values.join(', ')}`);
const real = () => number().strict().typeError('must be a number').required();
const side = () => real().min(PANEL_LIMITS.least).max(PANEL_LIMITS.most);

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
  grammage: real().min(40).max(1200),
}).noUnknown(unknownField);

const recipeSchema = object({
  id: id(),
  name: label(),
  cardId: id(),
  panel: object({ width: side(), height: side() }).noUnknown(unknownField).required(),
  run: oneOf(Object.keys(RUNS) as RunId[]),
  school: oneOf(Object.keys(SCHOOLS) as SchoolId[]),
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
      object({ width: real().moreThan(0).max(PANEL_LIMITS.most) })
        .noUnknown(unknownField)
        .required(),
    ),
}).noUnknown(unknownField);

const fileSchema = object({
  format: string().strict().required(),
  version: real(),
  recipe: recipeSchema.required(),
  card: cardSchema.required(),
  inks: array().strict().required().min(1).max(RUNG_LIMITS.most).of(inkSchema.required()),
}).noUnknown(unknownField);

function unknownField({ unknown }: { unknown: string }): string {
  return `has a field that does not belong there: ${unknown}`;
}

function shaped(value: unknown): RecipeFile {
  const head = value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== RECIPE_FORMAT)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a recipe: expected "${RECIPE_FORMAT}". Choose an exported recipe.`,
      },
    ]);
  if (head.version !== RECIPE_VERSION)
    throw new FileError([
      {
        place: 'version',
        problem: `Version ${JSON.stringify(head.version)} is unknown here; this program reads version ${RECIPE_VERSION}. Update it, or export again from the older one.`,
      },
    ]);
  try {
    return fileSchema.validateSync(value, { strict: true, abortEarly: false }) as RecipeFile;
  } catch (error) {
    if (error instanceof ValidationError) throw new FileError(faultsOf(error));
    throw error;
  }
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

const clip = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);

function consistencyFaults(recipe: Recipe, card: Card, inks: readonly Ink[]): Fault[] {
  const faults: Fault[] = [];
  const byId = new Map(inks.map((ink) => [ink.id, ink]));
  if (recipe.cardId !== card.id)
    faults.push({
      place: 'recipe.cardId',
      problem: `is "${recipe.cardId}", but the card in the file is "${card.id}"`,
    });
  if (byId.size < inks.length) faults.push({ place: 'inks', problem: 'has two inks with one id' });
  recipe.rungs.forEach(({ inkId }, i) => {
    const ink = byId.get(inkId);
    const place = `recipe.rungs[${i}].inkId`;
    if (!ink) faults.push({ place, problem: `no ink "${inkId}" is in the file` });
    else if (!INK_KINDS[ink.kind].blends)
      faults.push({
        place,
        problem: `${ink.name} is ${INK_KINDS[ink.kind].label}, which is stamped, not blended`,
      });
  });
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
