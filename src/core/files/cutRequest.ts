import { array, boolean, mixed, number, object, string } from 'yup';
import { FOLDS, type Fold, type Piece } from '../make/cutting/pieces';
import { CARD_LIMITS } from '../materials/card/card';
import { parsedJson, validated } from './validated';

/** What a cut plan is asked for with, as a file. docs/formats/cut-plan.md describes it. */
export interface CutRequest {
  readonly sheet: { readonly width: number; readonly height: number };
  readonly pieces: readonly Piece[];
  readonly grain: boolean;
}

/** No blade cuts anything smaller, mm. */
const LEAST_SIDE = 1;

const side = () =>
  number().strict().typeError('must be a number').required().min(LEAST_SIDE).max(CARD_LIMITS.sheet.max);
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
        fold: mixed<Fold>().oneOf(FOLDS),
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
  const read = validated(
    requestSchema,
    parsedJson(text, 'a cut request; docs/formats/cut-plan.md describes one'),
  );
  return { ...read, grain: read.grain ?? false };
}
