import {
  type Schema,
  type SchemaDescription,
  type SchemaFieldDescription,
  type SchemaInnerTypeDescription,
  type SchemaObjectDescription,
  ValidationError,
} from 'yup';
import { memoOf } from '../base/memo';
import { type Fault, FileError } from './fileError';
import { isPlain } from './plain';
import { clip } from './schemaParts';

/**
 * A value from outside in the shape a schema asks for.
 *
 * @throws FileError naming each fault with its place
 */
export function validated<T>(schema: Schema<T>, value: unknown): T {
  refuseCrowds(shapeOf(schema as Schema), value, '');
  try {
    return schema.validateSync(value, { strict: true, abortEarly: false });
  } catch (error) {
    if (error instanceof ValidationError) throw new FileError(faultsOf(error));
    throw error;
  }
}

/** What a schema says of itself, asked once. */
const shapeOf = memoOf((schema: Schema): SchemaDescription => schema.describe());

/** Fields that a record of a file has at the most, by far. */
const MOST_FIELDS = 400;

/**
 * Counts before anything is looked at: a list longer than its schema lets it be is refused by its length alone, since each
 * of a hundred thousand items would be judged first otherwise.
 */
function refuseCrowds(shape: SchemaFieldDescription, value: unknown, place: string): void {
  if (Array.isArray(value)) {
    const { innerType, tests = [] } = shape as SchemaInnerTypeDescription;
    const most = tests.find(({ name }) => name === 'max')?.params?.max;
    if (typeof most === 'number' && value.length > most)
      throw new FileError([{ place, problem: `must have at most ${most} entries (it has ${value.length})` }]);
    if (innerType && !Array.isArray(innerType))
      value.forEach((item, i) => {
        refuseCrowds(innerType, item, `${place}[${i}]`);
      });
  } else if (isPlain(value)) {
    const keys = Object.keys(value);
    if (keys.length > MOST_FIELDS)
      throw new FileError([{ place, problem: `has ${keys.length} fields, far more than belong there` }]);
    const { fields = {} } = shape as Partial<SchemaObjectDescription>;
    for (const key of keys) {
      const inner = fields[key];
      if (inner) refuseCrowds(inner, value[key], place ? `${place}.${key}` : key);
    }
  }
}

/** How deep a JSON file may be nested. */
const DEEPEST = 64;

/** How deep brackets lie in each other; those in texts count for none. */
function depthOf(text: string): number {
  let [depth, deepest, isText] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (isText) {
      if (letter === BACKSLASH) i++;
      else if (letter === QUOTE) isText = false;
    } else if (letter === QUOTE) isText = true;
    else if (letter === BRACE || letter === BRACKET) deepest = Math.max(deepest, ++depth);
    else if (letter === BRACE + 2 || letter === BRACKET + 2) depth--;
  }
  return deepest;
}
const [QUOTE, BACKSLASH, BRACKET, BRACE] = [0x22, 0x5c, 0x5b, 0x7b] as const;

/**
 * A text as JSON; a byte order mark before it is no fault.
 *
 * @param kind  what it is meant to be, for the message: "a recipe exported as JSON"
 * @throws FileError when it is not
 */
export function parsedJson(text: string, kind: string): unknown {
  const bare = text.replace(/^\uFEFF/, '');
  if (depthOf(bare) > DEEPEST)
    throw new FileError([
      { place: '', problem: `The file is nested more than ${DEEPEST} deep. Choose ${kind}.` },
    ]);
  try {
    return JSON.parse(bare);
  } catch (error) {
    const where = error instanceof Error ? ` (${error.message})` : '';
    throw new FileError([{ place: '', problem: `The file is not JSON${where}. Choose ${kind}.` }]);
  }
}

/** What a schema found, each with its place; a short value is shown. */
export function faultsOf(error: ValidationError): Fault[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  const more = inner.length - TOLD;
  const told = inner.slice(0, TOLD).map(({ path = '', message, params }) => {
    const given = params?.originalValue ?? params?.value;
    const shown =
      typeof given === 'number' || typeof given === 'string' ? ` (it is ${clip(JSON.stringify(given))})` : '';
    return { place: path, problem: message.replace(path, '').trim() + shown };
  });
  return more > 0 ? [...told, { place: '', problem: `And ${more} more faults.` }] : told;
}

/** So many faults are told; the rest are counted. */
const TOLD = 20;
