import { type Schema, ValidationError } from 'yup';
import { type Fault, FileError } from './fileError';
import { clip } from './schemaParts';

/**
 * A value from outside in the shape a schema asks for.
 *
 * @throws FileError naming each fault with its place
 */
export function validated<T>(schema: Schema<T>, value: unknown): T {
  try {
    return schema.validateSync(value, { strict: true, abortEarly: false });
  } catch (error) {
    if (error instanceof ValidationError) throw new FileError(faultsOf(error));
    throw error;
  }
}

/**
 * A text as JSON.
 *
 * @param kind  what it is meant to be, for the message: "a recipe exported as JSON"
 * @throws FileError when it is not
 */
export function parsedJson(text: string, kind: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    const where = error instanceof Error ? ` (${error.message})` : '';
    throw new FileError([{ place: '', problem: `The file is not JSON${where}. Choose ${kind}.` }]);
  }
}

/** What a schema found, each with its place; a short value is shown. */
export function faultsOf(error: ValidationError): Fault[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  return inner.map(({ path = '', message, params }) => {
    const given = params?.originalValue ?? params?.value;
    const shown =
      typeof given === 'number' || typeof given === 'string' ? ` (it is ${clip(JSON.stringify(given))})` : '';
    return { place: path, problem: message.replace(path, '').trim() + shown };
  });
}
