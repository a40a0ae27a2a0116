import { boolean, number, type ObjectSchema, object, string } from 'yup';
import { type Hex, isHex } from '../materials/colour/hex';
import { INK_DEPTHS, INK_LIMITS, type Ink } from '../materials/ink/ink';
import { INK_KIND_IDS } from '../materials/ink/kinds';
import { COLOUR_FAULT, colour, id, label, oneOf, unknownField } from './schemaParts';

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
  potency: number().strict().min(INK_LIMITS.potency.min).max(INK_LIMITS.potency.max),
  brush: string().strict().max(INK_LIMITS.brush),
}).noUnknown(unknownField) as ObjectSchema<Ink>;
