import { type Card, groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import type { Hex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import { BLACK_GROUND, type Ink } from '../../materials/ink/ink';
import { dropTakes } from '../../recipe/passes/splash';
import type { Reading } from '../learn/evidence';
import { placeColour } from '../learn/tell';
import { coatsIn, FIELD_IDS, FIELDS, type FieldId } from './page';
import type { RowReading } from './readPage';

/** An ink's swatch on a card, as it was read: a line of the swatch book. */
export interface Swatch {
  /** The ink's and the card's ids. */
  readonly id: string;
  readonly inkId: string;
  readonly cardId: string;
  /** The day it was read, `2026-05-01`. */
  readonly date: string;
  readonly fields: Readonly<Record<FieldId, Lab>>;
  readonly overWhite: Hex;
  readonly overBlack: Hex;
  /** Part of a coat that a drop of water took, dabbed at once and after a minute, 0…1. */
  readonly lifts: { readonly atOnce: number; readonly waited: number };
}

export const swatchId = (inkId: string, cardId: string): string => `${inkId} ${cardId}`;

/** A trusted row as a line of the book. */
export const swatchOf = (row: RowReading, cardId: string, date: string): Swatch => ({
  id: swatchId(row.inkId, cardId),
  inkId: row.inkId,
  cardId,
  date,
  fields: row.fields,
  overWhite: row.overWhite,
  overBlack: row.overBlack,
  lifts: row.lifts,
});

/** What water can take of an ink, 0…1, from what both drops took of it: the least squares of the two. */
function liftsFrom({ atOnce, waited }: Swatch['lifts']): number {
  const [little, more] = [dropTakes('dabbed'), dropTakes('minute')];
  const found = (little * atOnce + more * waited) / (little ** 2 + more ** 2);
  return Number(Math.min(found, 1).toFixed(3));
}

/** An ink as its swatch says it is: colour, second ground and how far water lifts it. What panels taught was of another swatch. */
export function withSwatch(
  ink: Ink,
  { overWhite, overBlack, lifts }: Pick<Swatch, 'overWhite' | 'overBlack' | 'lifts'>,
): Ink {
  const { taught: _, ...rest } = ink;
  return { ...rest, overWhite, overBlack, lifts: liftsFrom(lifts) };
}

/** Coats that a swatch was laid in, whose colours say more than the full one alone. */
const STRIPS = ['half', 'quarter'] as const;

/** How each field of an ink's row is predicted to dry on a card. */
export function predictedFields(ink: Ink, card: Card): Readonly<Record<FieldId, Lab>> {
  const ground = groundOfCard(card);
  const fields = FIELD_IDS.map((id) => {
    const layers = [[{ ink, coats: coatsIn(id, ink) }]];
    return [id, placeColour({ layers, ground: id === 'black' ? BLACK_GROUND : ground })] as const;
  });
  return Object.fromEntries(fields) as Record<FieldId, Lab>;
}

/** The most that a row's full, half and quarter coat were read off what was predicted, ΔE00. */
export const farthestOff = (
  said: Readonly<Record<FieldId, Lab>>,
  { fields }: Pick<Swatch, 'fields'>,
): number => Math.max(...(['full', ...STRIPS] as const).map((id) => deltaE00(said[id], fields[id])));

/** Root mean square ΔE00 of a field of a photographed page. */
const FIELD_NOISE = 2;

/** What the swatch book's paler fields say of inks: as strong as the swatch itself, on the card they were laid on. */
export const stripsOf = (
  swatches: readonly Swatch[],
  shelf: readonly Ink[],
  cards: readonly Card[],
): readonly Reading[] =>
  swatches.flatMap(({ inkId, cardId, fields }) => {
    const ink = shelf.find(({ id }) => id === inkId);
    const card = cards.find(({ id }) => id === cardId);
    if (!ink || !card) return [];
    return STRIPS.map((field) => ({
      layers: [[{ ink, coats: FIELDS[field].coats }]],
      ground: groundOfCard(card),
      lab: fields[field],
      noise: FIELD_NOISE,
    }));
  });
