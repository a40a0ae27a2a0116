import type { Card } from '../../materials/card/card';
import { type Assembly, blendedPanels, type Piece, piecesOf } from '../cutting/pieces';
import type { KnownLot, KnownSitting } from './known';
import type { CutFor, InkFor, Outlay } from './layOut';
import { bottleDoes, millilitres, type PanelUse, usedTogether } from './materials';
import { type SheetsOf, type SittingRecord, type Stand, standOf } from './record';

/** What is chosen of a batch of cards; how many, and the panel on them, are each lot's own. */
export type CardChoices = Omit<Assembly, 'cards' | 'panel' | 'panelCardId'>;

/** What an ink comes to over a sitting. */
export interface InkOutlay extends InkFor {
  readonly inkId: string;
  /** How many of the panels that take the most of it one bottle will do. */
  readonly bottle: number;
}

/** Everything a sitting takes, and what its sheets come to. */
export interface SittingOutlay extends Outlay {
  readonly inks: readonly InkOutlay[];
  readonly used: readonly SheetsOf[];
  /** Whose ink a coat is reckoned by: how many re-inkings of one's own, 0 where it is the usual. */
  readonly refills: number;
  readonly perCoat: number;
}

/** What one lot's cards are put together of; the panels alone where cards are not put together. */
const assemblyOf = (
  { lot, resolved: { recipe } }: KnownLot,
  choices: CardChoices,
  putsTogether: boolean,
): Assembly => {
  const panel = { cards: lot.count, panel: recipe.panel, panelCardId: recipe.cardId };
  return putsTogether
    ? { ...choices, ...panel }
    : { ...panel, oversize: choices.oversize, mats: [], base: undefined, greeting: undefined };
};

/** The pieces of all lots by their card; a panel is named by its recipe where there are several. */
export function piecesByCard(
  known: Pick<KnownSitting, 'lots' | 'record'>,
  choices: CardChoices,
): Map<string, Piece[]> {
  const byCard = new Map<string, Piece[]>();
  for (const lot of known.lots) {
    if (lot.lot.count === 0) continue;
    const pieces = piecesOf(assemblyOf(lot, choices, known.record.putsTogether));
    const { alsoOn, recipe } = lot.resolved;
    const twin = alsoOn && pieces.get(recipe.cardId)?.[0];
    for (const [cardId, own] of [...pieces, ...(alsoOn && twin ? [[alsoOn.id, [twin]] as const] : [])]) {
      const named =
        known.lots.length > 1
          ? own.map((piece) => ({ ...piece, name: `${piece.name} (${recipe.name})` }))
          : own;
      byCard.set(cardId, [...(byCard.get(cardId) ?? []), ...named]);
    }
  }
  return byCard;
}

const RESERVING: ReadonlySet<Stand> = new Set(['under way', 'to come']);

/** Whole sheets of a card that other sittings still to be worked have reserved; one that has gone by keeps none. */
export const reservedBy = (
  sittings: readonly SittingRecord[],
  own: string,
  cardId: string,
  today: string,
): number =>
  sittings
    .filter((one) => one.id !== own && RESERVING.has(standOf(one, today)))
    .flatMap(({ reserves = [] }) => reserves.filter((one) => one.cardId === cardId))
    .reduce((sum, { sheets }) => sum + sheets, 0);

/** What is known beside a sitting's own lots of what it takes. */
export interface OutlayGiven {
  /** What one panel of each lot takes, in the lots' order. */
  readonly uses: readonly PanelUse[];
  /** How the pieces of each card are cut; no plan where they cannot be. */
  readonly cuts: readonly {
    readonly card: Card;
    readonly pieces: readonly Piece[];
    readonly plan?: { readonly sheets: readonly { readonly cuts: readonly unknown[] }[] } | undefined;
  }[];
  readonly choices: CardChoices;
  /** All sittings, this one among them. */
  readonly sittings: readonly SittingRecord[];
  /** The day of the calendar, `2026-12-02`. */
  readonly today: string;
  /** What a coat takes here, ml a m², and how many re-inkings say so. */
  readonly ink: { readonly perCoat: number; readonly refills: number };
  /** Whether an ink's pad will want re-inking after so many more cm² of full coats. */
  readonly isDryAfter: (inkId: string, coated: number) => boolean;
}

/** What a sitting takes of card, ink and the rest. */
export function outlayOf(
  { record, lots }: Pick<KnownSitting, 'lots' | 'record'>,
  { uses, cuts, choices, sittings, today, ink, isDryAfter }: OutlayGiven,
): SittingOutlay {
  const together = usedTogether(
    lots.map((lot, i) => ({
      use: uses[i] ?? { inks: [], things: [] },
      count: lot.lot.count * blendedPanels(assemblyOf(lot, choices, record.putsTogether)),
    })),
  );
  const mostOnOne = (inkId: string): number =>
    Math.max(...uses.map((use) => use.inks.find((one) => one.inkId === inkId)?.coated ?? 0));
  const cutOf = ({ card, pieces, plan }: OutlayGiven['cuts'][number]): CutFor => ({
    name: card.name,
    pieces,
    ...(plan
      ? {
          sheets: plan.sheets.length,
          cuts: plan.sheets.reduce((sum, sheet) => sum + sheet.cuts.length, 0),
        }
      : {}),
    ...(card.stock === undefined
      ? {}
      : { left: Math.max(card.stock - reservedBy(sittings, record.id, card.id, today), 0) }),
  });
  return {
    cuts: cuts.map(cutOf),
    used: cuts.flatMap(({ card, plan }) => (plan ? [{ cardId: card.id, sheets: plan.sheets.length }] : [])),
    inks: together.inks
      .filter(({ coated }) => coated > 0)
      .map(({ inkId, name, coated }) => ({
        inkId,
        name,
        ml: millilitres(coated, ink.perCoat),
        isDry: isDryAfter(inkId, coated),
        bottle: bottleDoes(mostOnOne(inkId), ink.perCoat),
      })),
    things: together.things,
    tools: lots.flatMap(({ lot, group }) => (lot.count > 0 ? group.tools : [])),
    envelopes: record.putsTogether ? lots.reduce((sum, { lot }) => sum + lot.count, 0) : 0,
    ...ink,
  };
}
