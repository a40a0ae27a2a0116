import { array, boolean, number, type ObjectSchema, object, string } from 'yup';
import { type Hex, isHex } from '../materials/colour/hex';
import { INK_DEPTHS, INK_LIMITS, type Ink } from '../materials/ink/ink';
import { INK_KIND_IDS } from '../materials/ink/kinds';
import { MODES } from '../materials/ink/modes';
import { DOUBTS, TAUGHT_LIMITS } from '../materials/ink/taught';
import { between, COLOUR_FAULT, colour, id, label, oneOf, unknownField } from './schemaParts';

/** What panels taught of an ink, as it stands in files. */
const taughtSchema = object({
  strength: between(TAUGHT_LIMITS.strength),
  scattering: between(TAUGHT_LIMITS.scattering),
  slope: between(TAUGHT_LIMITS.slope),
  modes: array().strict().required().length(MODES).max(MODES).of(between(TAUGHT_LIMITS.mode)),
  doubt: array().strict().required().length(DOUBTS).max(DOUBTS).of(between(TAUGHT_LIMITS.doubt)),
  panels: between(TAUGHT_LIMITS.panels).integer(),
  at: string().strict().required().max(40),
  off: boolean().strict(),
}).noUnknown(unknownField);

/** An ink as it stands in files. */
export const inkSchema: ObjectSchema<Ink> = object({
  id: id(),
  name: label(),
  family: label(),
  depth: oneOf(INK_DEPTHS),
  kind: oneOf(INK_KIND_IDS),
  overWhite: colour(),
  overBlack: string<Hex>()
    .strict()
    .test('hex', COLOUR_FAULT, (value) => value === undefined || isHex(value)),
  line: string().strict().max(INK_LIMITS.line),
  note: string().strict().max(INK_LIMITS.note),
  wished: boolean().strict(),
  dryBack: number().strict().min(INK_LIMITS.dryBack.min).max(INK_LIMITS.dryBack.max),
  strength: number().strict().min(INK_LIMITS.strength.min).max(INK_LIMITS.strength.max),
  lifts: number().strict().min(INK_LIMITS.lifts.min).max(INK_LIMITS.lifts.max),
  taught: taughtSchema.default(undefined).optional(),
  brush: string().strict().max(INK_LIMITS.brush),
}).noUnknown(unknownField) as ObjectSchema<Ink>;
