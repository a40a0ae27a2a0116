import { array, object, string } from 'yup';
import type { Ink } from '../materials/ink/ink';
import { FileError } from './fileError';
import { inkSchema } from './inkSchema';
import { type FileLimit, refuseLarger } from './limits';
import { isPlain } from './plain';
import { real, unknownField } from './schemaParts';
import { parsedJson, validated } from './validated';

/** What stands under `format` in a shelf's file: inks with all that is known of them, what panels taught too. */
const SHELF_FORMAT = 'tint-ladder/shelf';
const SHELF_VERSION = 1;
const SHELF_FILE_LIMIT: FileLimit = { what: 'a shelf', bytes: 40_000_000 };
const MOST_INKS = 20_000;

export const writeShelfFile = (inks: readonly Ink[]): string =>
  `${JSON.stringify({ format: SHELF_FORMAT, version: SHELF_VERSION, inks }, null, 2)}\n`;

const schema = object({
  format: string().strict().required(),
  version: real(),
  inks: array().strict().required().max(MOST_INKS).of(inkSchema.required()),
}).noUnknown(unknownField);

/**
 * The inks of a shelf's file.
 *
 * @throws FileError naming what is wrong, where
 */
export function readShelfFile(text: string): readonly Ink[] {
  refuseLarger(text.length, SHELF_FILE_LIMIT);
  const value = parsedJson(text, 'a shelf exported as JSON');
  if (!isPlain(value) || value.format !== SHELF_FORMAT || value.version !== SHELF_VERSION)
    throw new FileError([
      {
        place: 'format',
        problem: `This is JSON, but not a shelf of version ${SHELF_VERSION}: expected "${SHELF_FORMAT}".`,
      },
    ]);
  return validated(schema, value).inks as readonly Ink[];
}
