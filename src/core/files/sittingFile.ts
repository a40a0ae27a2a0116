import { array, boolean, mixed, number, object, string } from 'yup';
import { groupOf } from '../make/sitting/fromSheet';
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
import { FileError } from './fileError';
import { type FileLimit, refuseLarger } from './limits';
import { isPlain } from './plain';
import { readRecipeFile } from './recipeFile';
import { between, label, unknownField } from './schemaParts';
import { parsedJson, validated } from './validated';

const FORMAT = 'tint-ladder/sitting';
const VERSION = 1;
const SITTING_FILE_LIMIT: FileLimit = { what: 'a sitting', bytes: 20_000_000 };
const MINUTES = { min: 0, max: 24 * 60 } as const;
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
const isCounts = (value: unknown): boolean =>
  value === undefined ||
  (isPlain(value) &&
    Object.values(value).every(
      (count) => Number.isInteger(count) && Number(count) >= 0 && Number(count) <= L.brushes,
    ));
const schema = object({
  format: string().strict().required(),
  version: number().strict().required(),
  start: string()
    .strict()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time as 18:30'),
  finish: string()
    .strict()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time as 21:00'),
  atHand: object({
    hands: whole(1, L.hands),
    mats: whole(0, L.mats),
    heatTools: whole(0, L.heatTools),
    places: whole(0, L.places),
    brushes: mixed().test('counts', `must give a whole number from 0 to ${L.brushes} a set`, isCounts),
    wipeMinutes: number().strict().min(0).max(30),
    washMinutes: number().strict().min(0).max(30),
    dampMinutes: number().strict().min(0).max(240),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
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

interface FileGroup {
  readonly name?: string;
  readonly count: number;
  readonly recipe?: unknown;
  readonly operations?: readonly Operation[];
}

/**
 * Reads a sitting: panels by their recipe or by their operations, and what is at hand.
 *
 * @throws FileError naming what is wrong, where, and what to change
 */
export function readSittingFile(text: string): SittingFile {
  refuseLarger(text.length, SITTING_FILE_LIMIT);
  const value = parsedJson(text, 'a sitting as JSON');
  if (!isPlain(value) || value.format !== FORMAT || value.version !== VERSION)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a sitting of version ${VERSION}: expected "${FORMAT}".`,
      },
    ]);
  const file = validated(schema, value) as unknown as {
    readonly start?: string;
    readonly finish?: string;
    readonly atHand?: Partial<AtHand>;
    readonly wants?: Wants;
    readonly breaks?: readonly Break[];
    readonly panels: readonly FileGroup[];
  };
  const all = file.panels.reduce((sum, { count }) => sum + count, 0);
  if (all > L.panels)
    throw new FileError([
      {
        place: 'panels',
        problem: `They are ${all} panels; at most ${L.panels} are planned at once. Split them into evenings.`,
      },
    ]);
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

function panelGroup({ name, count, recipe, operations }: FileGroup, i: number): PanelGroup {
  if (operations) return { name: name ?? `Panels ${i + 1}`, count, operations };
  try {
    const group = groupOf(readRecipeFile(JSON.stringify(recipe)), count);
    return { ...group, name: name ?? group.name };
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
