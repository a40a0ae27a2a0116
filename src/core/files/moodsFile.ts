import { array, bool, number, type ObjectSchema, object } from 'yup';
import {
  MOOD_FIGURE_IDS,
  MOOD_FIGURES,
  MOOD_LIMITS,
  type Mood,
  type MoodFigure,
} from '../choose/search/moods/mood';
import { HUE_SECTORS } from '../choose/shelf/gaps';
import { FileError } from './fileError';
import { refuseLarger } from './limits';
import { isPlain } from './plain';
import { between, id, label, oneOf, unknownField } from './schemaParts';
import { parsedJson, validated } from './validated';

const FORMAT = 'tint-ladder-moods';
const VERSION = 1;
export const MOODS_FILE_LIMIT = { what: 'a list of moods', bytes: 200_000 } as const;

const hues = () => array(oneOf(HUE_SECTORS)).required().max(HUE_SECTORS.length);
const limit = (figure: MoodFigure) =>
  object({
    min: number().strict().min(MOOD_FIGURES[figure].min).max(MOOD_FIGURES[figure].max),
    max: number().strict().min(MOOD_FIGURES[figure].min).max(MOOD_FIGURES[figure].max),
  })
    .noUnknown(unknownField)
    .default(undefined)
    .optional()
    .test(
      'order',
      'must not end before it begins',
      (span) => span?.min === undefined || span.max === undefined || span.min <= span.max,
    );

/** A mood as it stands in files, and as a form may make it. */
export const moodSchema: ObjectSchema<Mood> = object({
  id: id(),
  name: label().max(MOOD_LIMITS.name),
  limits: object(Object.fromEntries(MOOD_FIGURE_IDS.map((figure) => [figure, limit(figure)])))
    .noUnknown(unknownField)
    .required(),
  hues: hues(),
  needs: array(
    object({
      hues: hues().min(1),
      chroma: between({ min: 0, max: MOOD_FIGURES.chroma.max }),
      count: between({ min: 1, max: 3 }).integer(),
    }).noUnknown(unknownField),
  )
    .required()
    .max(MOOD_LIMITS.needs),
  drab: bool().strict().required(),
}).noUnknown(unknownField) as unknown as ObjectSchema<Mood>;

export const writeMoodsFile = (moods: readonly Mood[]): string =>
  JSON.stringify({ format: FORMAT, version: VERSION, moods }, null, 2);

/**
 * The moods of a file.
 *
 * @throws FileError saying what is wrong, where, and what to do
 */
export function readMoodsFile(text: string): Mood[] {
  refuseLarger(text.length, MOODS_FILE_LIMIT);
  const value = parsedJson(text, 'a list of moods exported as JSON');
  if (!isPlain(value) || value.format !== FORMAT)
    throw new FileError([
      { place: 'format', problem: `is not ${FORMAT}: choose a list of moods exported from here` },
    ]);
  if (value.version !== VERSION)
    throw new FileError([
      { place: 'version', problem: `is ${JSON.stringify(value.version)}, and this program reads ${VERSION}` },
    ]);
  return validated(array(moodSchema).required().max(MOOD_LIMITS.moods), value.moods) as Mood[];
}
