import { formatToKeep, parseLength, type Unit } from '../../base/length';
import { readNumber } from '../../base/typed';
import { type Hex, parseColour } from '../colour/hex';
import type { Card } from './card';
import type { FinishId } from './finishes';
import { parseGrammage } from './paper';

/** A card as it is typed into a form: texts, until they are known to be one. */
export interface CardFields {
  readonly name: string;
  readonly colour: string;
  readonly finish: FinishId;
  /** In g/m², or in pounds of cover or text. */
  readonly grammage: string;
  /** Of a whole sheet, in the unit shown; both or neither. */
  readonly width: string;
  readonly height: string;
  readonly stock: string;
  readonly note: string;
}

/** What a form begins with: a card that is known, or a new one. */
export const cardFields = (card: Card | undefined, unit: Unit): CardFields => ({
  name: card?.name ?? '',
  colour: card?.colour ?? '',
  finish: card?.finish ?? 'smooth',
  grammage: card ? String(Math.round(card.grammage)) : '',
  width: card?.sheet ? formatToKeep(card.sheet.width, unit) : '',
  height: card?.sheet ? formatToKeep(card.sheet.height, unit) : '',
  stock: card?.stock === undefined ? '' : String(card.stock),
  note: card?.note ?? '',
});

/** What is typed as a card; what cannot be read is not a number, for the schema of files to refuse. */
export function cardOfFields(fields: CardFields, id: string, unit: Unit): Card {
  const typed = (text: string) => text.trim() !== '';
  const side = (text: string) => parseLength(text, unit) ?? Number.NaN;
  const hasSheet = typed(fields.width) || typed(fields.height);
  return {
    id,
    name: fields.name.trim(),
    colour: parseColour(fields.colour) ?? (fields.colour as Hex),
    finish: fields.finish,
    grammage: Math.round(parseGrammage(fields.grammage) ?? Number.NaN),
    ...(hasSheet ? { sheet: { width: side(fields.width), height: side(fields.height) } } : {}),
    ...(typed(fields.stock) ? { stock: readNumber(fields.stock) ?? Number.NaN } : {}),
    ...(typed(fields.note) ? { note: fields.note.trim() } : {}),
  };
}
