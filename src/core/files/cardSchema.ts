import { number, type ObjectSchema, object, string } from 'yup';
import { CARD_LIMITS, type Card } from '../materials/card/card';
import { FINISH_IDS } from '../materials/card/finishes';
import { between, colour, id, label, oneOf, unknownField } from './schemaParts';

/** A card as it stands in files. */
export const cardSchema: ObjectSchema<Card> = object({
  id: id(),
  name: label(),
  colour: colour(),
  finish: oneOf(FINISH_IDS),
  grammage: between(CARD_LIMITS.grammage),
  sheet: object({ width: between(CARD_LIMITS.sheet), height: between(CARD_LIMITS.sheet) })
    .noUnknown(unknownField)
    .default(undefined)
    .optional(),
  stock: number().strict().integer().min(CARD_LIMITS.stock.min).max(CARD_LIMITS.stock.max),
  note: string().strict().max(CARD_LIMITS.note),
}).noUnknown(unknownField) as ObjectSchema<Card>;
