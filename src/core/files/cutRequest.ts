import { array, boolean, number, object, string, ValidationError } from 'yup';
import type { Piece } from '../make/cutting/pieces';
import { SHEET_LIMITS } from '../materials/card/card';
import { FileError } from './fileError';

/** What a cut plan is asked for with, as a file. docs/formats/cut-plan.md describes it. */
export interface CutRequest {
  readonly sheet: { readonly width: number; readonly height: number };
  readonly pieces: readonly Piece[];
  readonly grain: boolean;
}

const side = () =>
  number().strict().typeError('must be a number').required().moreThan(0).max(SHEET_LIMITS.most);
const requestSchema = object({
  sheet: object({ width: side(), height: side() }).noUnknown().required(),
  pieces: array()
    .strict()
    .required()
    .min(1)
    .max(60)
    .of(
      object({
        name: string().strict().trim().min(1).max(80).required(),
        width: side(),
        height: side(),
        count: number().strict().integer().min(1).max(400).required(),
      })
        .noUnknown()
        .required(),
    ),
  grain: boolean().strict(),
}).noUnknown();

/**
 * Reads what is to be cut.
 *
 * @throws FileError naming what is wrong, and where
 */
export function readCutRequest(text: string): CutRequest {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new FileError([{ place: '', problem: 'The file is not JSON.' }]);
  }
  try {
    const read = requestSchema.validateSync(value, { strict: true, abortEarly: false });
    return { ...(read as CutRequest), grain: read.grain ?? false };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    throw new FileError(
      inner.map(({ path = '', message }) => ({ place: path, problem: message.replace(path, '').trim() })),
    );
  }
}
