import { array, boolean, mixed, number, object, string } from 'yup';
import { groupOf } from '../make/sitting/fromSheet';
import { clockAfter, newSitting, type SittingRecord, sittingOf } from '../make/sitting/record';
import {
  type AtHand,
  type Break,
  SITTING_LIMITS as L,
  type Operation,
  type PanelGroup,
  type Sitting,
  USUAL_TABLE,
  type Wants,
} from '../make/sitting/sitting';
import type { ResolvedRecipe } from '../recipe/resolved';
import { FileError } from './fileError';
import { refuseLarger, SITTING_FILE_LIMIT } from './limits';
import { isPlain } from './plain';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { between, label, unknownField } from './schemaParts';
import { atHandSchema, hour, MINUTES } from './sittingSchema';
import { parsedJson, validated } from './validated';

const FORMAT = 'tint-ladder/sitting';
const VERSION = 1;
const GROUPS = 50;

const whole = (min: number, max: number) =>
  number().strict().integer('must be a whole number').min(min).max(max);
const operation = object({
  name: label(),
  minutes: between(MINUTES),
  ink: string().strict().min(1).max(120),
  brush: object({
    holds: string().strict().required().min(1).max(120),
    set: string().strict().required().min(1).max(60),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
  heat: boolean().strict(),
  rest: object({
    min: number().strict().min(0).max(MINUTES.max),
    max: number().strict().min(0).max(MINUTES.max),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
}).noUnknown(unknownField);
const schema = object({
  format: string().strict().required(),
  version: number().strict().required(),
  name: string().strict().max(120),
  start: hour(),
  finish: hour(),
  atHand: atHandSchema().default(undefined).optional(),
  wants: string().strict().oneOf(['early', 'clean']),
  breaks: array()
    .strict()
    .max(10)
    .of(
      object({ start: between(MINUTES), minutes: between(MINUTES) })
        .noUnknown(unknownField)
        .required(),
    )
    .default(undefined),
  panels: array()
    .strict()
    .required()
    .min(1)
    .max(GROUPS)
    .of(
      object({
        name: string().strict().max(120),
        count: whole(1, L.panels).required(),
        recipe: mixed(),
        operations: array().strict().max(L.operations).of(operation.required()).default(undefined),
      })
        .noUnknown(unknownField)
        .test(
          'work',
          'must have recipe or operations, one of them',
          (value) => (value.recipe === undefined) !== (value.operations === undefined),
        )
        .required(),
    ),
}).noUnknown(unknownField);

/** A sitting as a file says it. */
export interface SittingFile {
  readonly sitting: Sitting;
  /** `18:30`. */
  readonly start: string;
  /** The hour it is wished to be done by. */
  readonly finish?: string;
}

interface RawFile {
  readonly name?: string;
  readonly start?: string;
  readonly finish?: string;
  readonly atHand?: Partial<AtHand>;
  readonly wants?: Wants;
  readonly breaks?: readonly Break[];
  readonly panels: readonly FileGroup[];
}

interface FileGroup {
  readonly name?: string;
  readonly count: number;
  readonly recipe?: unknown;
  readonly operations?: readonly Operation[];
}

/** The file as it is written, held to its schema; nothing of its recipes is read yet. */
function rawFile(text: string): RawFile {
  refuseLarger(text.length, SITTING_FILE_LIMIT);
  const value = parsedJson(text, 'a sitting as JSON');
  if (!isPlain(value) || value.format !== FORMAT || value.version !== VERSION)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a sitting of version ${VERSION}: expected "${FORMAT}".`,
      },
    ]);
  const file = validated(schema, value) as unknown as RawFile;
  const all = file.panels.reduce((sum, { count }) => sum + count, 0);
  if (all > L.panels)
    throw new FileError([
      {
        place: 'panels',
        problem: `They are ${all} panels; at most ${L.panels} are planned at once. Split them into evenings.`,
      },
    ]);
  return file;
}

/**
 * Reads a sitting: panels by their recipe or by their operations, and what is at hand.
 *
 * @throws FileError naming what is wrong, where, and what to change
 */
export function readSittingFile(text: string): SittingFile {
  const file = rawFile(text);
  return {
    sitting: {
      groups: file.panels.map(panelGroup),
      atHand: { ...USUAL_TABLE, ...file.atHand },
      ...(file.breaks ? { breaks: file.breaks.toSorted((p, q) => p.start - q.start) } : {}),
      ...(file.wants ? { wants: file.wants } : {}),
    },
    start: file.start ?? '18:00',
    ...(file.finish === undefined ? {} : { finish: file.finish }),
  };
}

/** A sitting out of a file, to be kept: its lots are in the order of their recipes, and have their ids. */
export interface ReadSitting {
  readonly record: SittingRecord;
  readonly recipes: readonly ResolvedRecipe[];
}

/**
 * Reads a sitting to be kept: every panel by its recipe.
 *
 * @throws FileError naming what is wrong, where, and what to change
 */
export function readKeptSitting(text: string): ReadSitting {
  const file = rawFile(text);
  const { name = 'Sitting', start = '19:00', finish, wants, breaks = [], atHand, panels } = file;
  const recipes = panels.map(({ recipe }, i) => {
    if (recipe !== undefined) return recipeAt(recipe, i);
    throw new FileError([
      {
        place: `panels[${i}]`,
        problem:
          'It is told by its operations. Here panels are planned by their recipes; the command line plans both.',
      },
    ]);
  });
  const blank = newSitting('', name, '2000-01-01');
  return {
    recipes,
    record: {
      ...blank,
      start,
      ...(finish === undefined ? {} : { finish }),
      ...(wants ? { wants } : {}),
      breaks: breaks.map(({ start: from, minutes }, i) => ({
        id: `b${i + 1}`,
        at: clockAfter(start, from),
        minutes,
      })),
      atHand: { ...blank.atHand, ...atHand },
      lots: recipes.map(({ recipe }, i) => ({
        id: `l${i + 1}`,
        recipeId: recipe.id,
        count: panels[i]?.count ?? 1,
      })),
    },
  };
}

/** A sitting as a file, its panels by their recipes. */
export function writeSittingFile(
  { start, finish, wants, atHand, ...record }: SittingRecord,
  lots: readonly { readonly resolved: ResolvedRecipe; readonly count: number }[],
): string {
  const { breaks = [] } = sittingOf({ start, wants, atHand, ...record }, []);
  const file = {
    format: FORMAT,
    version: VERSION,
    name: record.name,
    start,
    ...(finish === undefined ? {} : { finish }),
    atHand,
    wants,
    ...(breaks.length > 0 ? { breaks } : {}),
    panels: lots.map(({ resolved, count }) => ({
      name: resolved.recipe.name,
      count,
      recipe: JSON.parse(writeRecipeFile(resolved)) as unknown,
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

function panelGroup({ name, count, recipe, operations }: FileGroup, i: number): PanelGroup {
  if (operations) return { name: name ?? `Panels ${i + 1}`, count, operations };
  const group = groupOf(recipeAt(recipe, i), count);
  return { ...group, name: name ?? group.name };
}

function recipeAt(recipe: unknown, i: number): ResolvedRecipe {
  try {
    return readRecipeFile(JSON.stringify(recipe));
  } catch (error) {
    if (!(error instanceof FileError)) throw error;
    throw new FileError(
      error.faults.map(({ place, problem }) => ({
        place: `panels[${i}].recipe${place ? `.${place}` : ''}`,
        problem,
      })),
    );
  }
}
