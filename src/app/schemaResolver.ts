import type { FieldErrors, FieldValues, Path, Resolver } from 'react-hook-form';
import { type Schema, ValidationError } from 'yup';
import { faultsOf } from '../core/files/validated';

/**
 * Holds a form to the schema of files: what is typed is taken for the value it would be, and what the schema has against
 * that stands at its field.
 *
 * @param typedValue  what is typed, as the value; what cannot be read is left for the schema to refuse
 * @param help  what to type, by field: a schema speaks of files
 */
export const schemaResolver =
  <Fields extends FieldValues>(
    schema: Schema,
    typedValue: (fields: Fields) => unknown,
    help: Partial<Record<Path<Fields>, string>>,
  ): Resolver<Fields> =>
  (fields) => {
    try {
      schema.validateSync(typedValue(fields), { strict: true, abortEarly: false });
      return { values: fields, errors: {} };
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      const problems = faultsOf(error).map(({ place, problem }) => {
        const field = fieldOf(place, fields);
        return [field, { type: 'schema', message: help[field] ?? problem }] as const;
      });
      return { values: {}, errors: Object.fromEntries(problems) as FieldErrors<Fields> };
    }
  };

/** The field a place of the value is typed in: the innermost part of the place that is one, as `width` of `sheet.width`. */
function fieldOf<Fields extends FieldValues>(place: string, fields: Fields): Path<Fields> {
  const parts = place.split(/[.[]/);
  const field = parts.findLast((part) => part in fields) ?? parts[0];
  return field as Path<Fields>;
}
