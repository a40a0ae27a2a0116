import { array, boolean, mixed, number, object, string } from 'yup';
import { finder, placeOf } from '../keep/learn/fromLog';
import type { Place } from '../keep/learn/tell';
import {
  type LoggedReading,
  MADE_LIMITS,
  type MadePanel,
  madeOf,
  type NamedCoats,
  resolveMade,
} from '../keep/log/made';
import { USUAL_NOISE } from '../keep/log/source';
import { type Hex, isHex } from '../materials/colour/hex';
import { labOfSpectrum } from '../materials/colour/lab';
import { inBands } from '../materials/colour/resample';
import type { Ink } from '../materials/ink/ink';
import { type Fault, FileError } from './fileError';
import { LOG_FILE_LIMIT, refuseLarger } from './limits';
import { layerSchema, MADE_FIELDS, placeSchema } from './madeSchema';
import { isPlain } from './plain';
import { readRecipeFile, writeRecipeFile } from './recipeFile';
import { between, COLOUR_FAULT, label, oneOf, unknownField } from './schemaParts';
import { parsedJson, validated } from './validated';

/** What stands under `format` in a log; docs/formats/log-1.schema.json describes it. */
export const LOG_FORMAT = 'tint-ladder/log';
export const LOG_VERSION = 1;
export const LOG_LIMITS = { panels: 20_000 } as const;
const L = MADE_LIMITS;

const lab = mixed<readonly [number, number, number]>().test(
  'lab',
  'must be three numbers: L* from 0 to 100, a* and b* from -150 to 150',
  (value) =>
    value === undefined ||
    (Array.isArray(value) &&
      value.length === 3 &&
      value.every(Number.isFinite) &&
      value[0] >= 0 &&
      value[0] <= 100 &&
      Math.abs(value[1]) <= 150 &&
      Math.abs(value[2]) <= 150),
);
const spectrum = object({
  nm: array()
    .strict()
    .required()
    .min(2)
    .max(500)
    .of(between({ min: 300, max: 900 })),
  values: array()
    .strict()
    .required()
    .min(2)
    .max(500)
    .of(between({ min: 0, max: 2 })),
})
  .noUnknown(unknownField)
  .test(
    'pairs',
    'must have as many values as wavelengths, which rise',
    (value: { nm?: (number | undefined)[]; values?: unknown[] } | undefined) =>
      value === undefined ||
      (value.nm?.length === value.values?.length &&
        (value.nm ?? []).every((one, i) => i === 0 || (one ?? 0) > (value.nm?.[i - 1] ?? 0))),
  )
  .default(undefined)
  .optional();

const readingSchema = object({
  coats: layerSchema().default(undefined),
  layers: array().strict().max(L.layers).of(layerSchema().required()).default(undefined),
  at: placeSchema,
  card: string<Hex>()
    .strict()
    .test('hex', COLOUR_FAULT, (value) => value === undefined || isHex(value)),
  lab,
  spectrum,
  source: oneOf(['reader', 'photograph']).optional(),
  noise: number().strict().min(L.noise.min).max(L.noise.max),
  wet: boolean().strict(),
})
  .noUnknown(unknownField)
  .test(
    'place',
    'must say what lies there (coats, layers) or where it is (at), one of them',
    (value) => [value.coats, value.layers, value.at].filter((one) => one !== undefined).length === 1,
  );

const readSchema = readingSchema.test(
  'colour',
  'must have lab or spectrum, one of them',
  (value) => (value.lab === undefined) !== (value.spectrum === undefined),
);

const panelSchema = object({
  ...MADE_FIELDS,
  name: string().strict().max(L.name),
  inks: array().strict().max(L.inks).of(label()),
  recipe: mixed(),
  readings: array().strict().required().max(L.readings).of(readSchema.required()),
}).noUnknown(unknownField);

interface FileReading {
  readonly coats?: readonly NamedCoats[];
  readonly layers?: readonly (readonly NamedCoats[])[];
  readonly at?: LoggedReading['at'];
  readonly card?: Hex;
  readonly lab?: readonly [number, number, number];
  readonly spectrum?: { readonly nm: readonly number[]; readonly values: readonly number[] };
  readonly source?: LoggedReading['source'];
  readonly noise?: number;
  readonly wet?: boolean;
}

/**
 * Reads a log, trusting nothing in it.
 *
 * @throws FileError naming what is wrong, where, and what was expected
 */
export function readLogFile(text: string): MadePanel[] {
  refuseLarger(text.length, LOG_FILE_LIMIT);
  const value = parsedJson(text, 'a log exported as JSON');
  if (!isPlain(value) || value.format !== LOG_FORMAT)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a log: expected "${LOG_FORMAT}". Choose an exported log.`,
      },
    ]);
  if (value.version !== LOG_VERSION)
    throw new FileError([
      {
        place: 'version',
        problem: `Version ${JSON.stringify(value.version)} is unknown here; this program reads version ${LOG_VERSION}.`,
      },
    ]);
  const { panels } = value;
  if (!Array.isArray(panels) || panels.length > LOG_LIMITS.panels)
    throw new FileError([
      { place: 'panels', problem: `must be a list of at most ${LOG_LIMITS.panels} panels` },
    ]);
  const faults: Fault[] = [];
  const read = panels.flatMap((panel: unknown, i): MadePanel[] => {
    try {
      return [panelOf(validated(panelSchema, panel) as unknown as FilePanel)];
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      faults.push(
        ...error.faults.map(({ place, problem }) => ({ place: under(`panels[${i}]`, place), problem })),
      );
      return [];
    }
  });
  if (faults.length > 0) throw new FileError(faults.slice(0, FAULTS_TOLD));
  return read;
}
const FAULTS_TOLD = 20;
const under = (place: string, inner: string): string =>
  inner === '' ? place : inner.startsWith('[') ? `${place}${inner}` : `${place}.${inner}`;

interface FilePanel extends Omit<MadePanel, 'readings' | 'made' | 'inkNames' | 'id' | 'name'> {
  readonly name?: string;
  readonly inks?: readonly string[];
  readonly recipe?: unknown;
  readonly readings: readonly FileReading[];
}

function panelOf({ inks, recipe, readings, name, ...rest }: FilePanel): MadePanel {
  const made = recipe === undefined ? undefined : madeOf(recipeIn(recipe));
  return {
    ...rest,
    id: `panel-${rest.number}`,
    name: name ?? made?.recipe.name ?? `Panel ${rest.number}`,
    ...(made ? { made } : {}),
    ...(inks ? { inkNames: inks } : {}),
    readings: readings.map(loggedReading),
  };
}

function recipeIn(recipe: unknown) {
  try {
    return readRecipeFile(JSON.stringify(recipe));
  } catch (error) {
    if (!(error instanceof FileError)) throw error;
    throw new FileError(
      error.faults.map(({ place, problem }) => ({ place: under('recipe', place), problem })),
    );
  }
}

function loggedReading(reading: FileReading): LoggedReading {
  const { coats: laid, layers, at, card, spectrum: bands, source = 'reader', wet } = reading;
  const [l, a, b] = reading.lab ?? [0, 0, 0];
  return {
    ...(laid ? { layers: [laid] } : layers ? { layers } : {}),
    ...(at ? { at } : {}),
    ...(card ? { card } : {}),
    lab: bands ? labOfSpectrum(inBands(bands)) : { l, a, b },
    source,
    noise: reading.noise ?? USUAL_NOISE[source],
    ...(wet ? { wet } : {}),
  };
}

/** The text of a log. Photographs are not in it: a backup has them. */
export function writeLogFile(panels: readonly MadePanel[]): string {
  const file = {
    format: LOG_FORMAT,
    version: LOG_VERSION,
    panels: panels.map(({ id: _, made, inkNames, photos: __, after: ___, readings, ...rest }) => ({
      ...rest,
      ...(inkNames ? { inks: inkNames } : {}),
      ...(made ? { recipe: JSON.parse(writeRecipeFile(resolveMade(made))) } : {}),
      readings: readings.map(({ layers, lab: { l, a, b }, ...reading }) => ({
        ...reading,
        ...(layers?.length === 1 ? { coats: layers[0] } : layers ? { layers } : {}),
        lab: [l, a, b].map((value) => Number(value.toFixed(4))),
      })),
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

const placesSchema = object({
  readings: array().strict().required().max(10_000).of(readingSchema.required()),
}).noUnknown(unknownField);

/**
 * Places to be predicted, each by what lies there.
 *
 * @throws FileError naming what is wrong, where
 */
export function readPlaces(text: string, shelf: readonly Ink[]): Place[] {
  refuseLarger(text.length, LOG_FILE_LIMIT);
  const value = parsedJson(text, 'places to be predicted, as JSON');
  const file = validated(placesSchema, value) as unknown as { readonly readings: readonly FileReading[] };
  const find = finder(shelf);
  return file.readings.map(({ coats: laid, layers, card, at }, i) => {
    const place = placeOf(
      {
        ...(laid ? { layers: [laid] } : layers ? { layers } : {}),
        ...(card ? { card } : {}),
        ...(at ? { at } : {}),
      },
      undefined,
      find,
    );
    if (typeof place === 'string') throw new FileError([{ place: `readings[${i}]`, problem: place }]);
    return place;
  });
}
