import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo } from 'react';
import { type Cutting, useCutting } from '../../app/cutting';
import { today } from '../../app/log/useLogActions';
import { usePanels } from '../../app/log/usePanels';
import { useSession, useShelf } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import { DUE, drynessAfter, inkPerCoat, padStates } from '../../core/keep/pads/pad';
import { type Assembly, blendedPanels, type Piece, piecesOf } from '../../core/make/cutting/pieces';
import type { InkFor, Outlay } from '../../core/make/sitting/layOut';
import { bottleDoes, ML_A_COAT, millilitres, usedTogether } from '../../core/make/sitting/materials';
import type { SheetsOf } from '../../core/make/sitting/record';
import type { Card } from '../../core/materials/card/card';
import { changeSitting, listSittings } from '../../data/sittings';
import { useAppSelector } from '../../store/hooks';
import { sittingWorker } from '../../workers/client';
import type { KnownLot, KnownSitting } from './lots';

/** What an ink comes to over a sitting. */
export interface InkSeen extends InkFor {
  readonly inkId: string;
  /** How many of the panels that take the most of it one bottle will do. */
  readonly bottle: number;
}

/** Everything a sitting takes, and what its sheets come to. */
export interface OutlaySeen extends Outlay {
  readonly inks: readonly InkSeen[];
  readonly used: readonly SheetsOf[];
  /** Whose ink a coat is reckoned by: how many re-inkings of one's own, 0 where it is the usual. */
  readonly refills: number;
  readonly perCoat: number;
}

const assemblyOf = (
  { lot, resolved: { recipe } }: KnownLot,
  cutting: Cutting,
  putsTogether: boolean,
): Assembly => {
  const panel = { cards: lot.count, panel: recipe.panel, panelCardId: recipe.cardId };
  const { grain: _, ...choices } = cutting;
  return putsTogether
    ? { ...choices, ...panel }
    : { ...panel, oversize: cutting.oversize, mats: [], base: undefined, greeting: undefined };
};

/** The pieces of all lots by their card; a panel is named by its recipe where there are several. */
function piecesByCard(known: KnownSitting, cutting: Cutting): Map<string, Piece[]> {
  const byCard = new Map<string, Piece[]>();
  for (const lot of known.lots) {
    if (lot.lot.count === 0) continue;
    const pieces = piecesOf(assemblyOf(lot, cutting, known.record.putsTogether));
    const { alsoOn, recipe } = lot.resolved;
    const twin = alsoOn && pieces.get(recipe.cardId)?.[0];
    for (const [cardId, own] of [...pieces, ...(alsoOn && twin ? [[alsoOn.id, [twin]] as const] : [])]) {
      const named =
        known.lots.length > 1
          ? own.map((piece) => ({ ...piece, name: `${piece.name}, ${recipe.name}` }))
          : own;
      byCard.set(cardId, [...(byCard.get(cardId) ?? []), ...named]);
    }
  }
  return byCard;
}

/** What a sitting takes of card, ink and the rest; undefined until it is reckoned. */
export function useOutlay(known: KnownSitting | undefined): OutlaySeen | undefined {
  const { db } = useSession();
  const shelf = useShelf();
  const cutting = useCutting();
  const unit = useAppSelector(({ view }) => view.unit);
  const log = usePanels();
  const pads = useLiveQuery(() => db.pads.toArray(), [db]);
  const sittings = useLiveQuery(() => listSittings(db), [db]);
  const sheets = known?.sheets;
  const uses = useAnswer(
    useMemo(() => sheets && (() => sittingWorker().uses(sheets.map(({ resolved }) => resolved))), [sheets]),
    'nothing',
  );
  const cards = shelf?.cards;
  const cuts = useAnswer(
    useMemo(() => {
      if (!known || !cutting || !cards) return undefined;
      const lots = [...piecesByCard(known, cutting)].flatMap(([cardId, pieces]) => {
        const card = cards.find(({ id }) => id === cardId);
        return card ? [{ card, pieces }] : [];
      });
      return () => sittingWorker().cuts(lots, cutting.grain, unit);
    }, [known, cutting, cards, unit]),
    'nothing',
  );
  const outlay = useMemo((): OutlaySeen | undefined => {
    if (!known || !uses || !cuts || !cutting || !log || !pads || !shelf || !sittings) return undefined;
    if (uses.length !== known.lots.length) return undefined;
    const { record } = known;
    const lots = known.lots.map((lot, i) => ({
      use: uses[i] ?? { inks: [], things: [] },
      count: lot.lot.count * blendedPanels(assemblyOf(lot, cutting, record.putsTogether)),
    }));
    const together = usedTogether(lots);
    const own = inkPerCoat(shelf.inks, pads, log);
    const perCoat = own?.perCoat ?? ML_A_COAT;
    const states = padStates(shelf.inks, pads, log, today());
    const reserved = (cardId: string) =>
      sittings
        .filter((other) => other.id !== record.id && !other.pattern && other.run?.endedAt === undefined)
        .flatMap(({ reserves = [] }) => reserves.filter((one) => one.cardId === cardId))
        .reduce((sum, { sheets }) => sum + sheets, 0);
    const leftOf = ({ id, stock }: Card) =>
      stock === undefined ? {} : { left: Math.max(stock - reserved(id), 0) };
    return {
      cuts: cuts.map(({ card, pieces, plan }) => ({
        name: card.name,
        pieces,
        ...(plan
          ? {
              sheets: plan.sheets.length,
              cuts: plan.sheets.reduce((sum, sheet) => sum + sheet.cuts.length, 0),
            }
          : {}),
        ...leftOf(card),
      })),
      used: cuts.flatMap(({ card, plan }) => (plan ? [{ cardId: card.id, sheets: plan.sheets.length }] : [])),
      inks: together.inks
        .filter(({ coated }) => coated > 0)
        .map(({ inkId, name, coated }) => {
          const state = states.find(({ ink }) => ink.id === inkId);
          const most = Math.max(
            ...uses.map((use) => use.inks.find((ink) => ink.inkId === inkId)?.coated ?? 0),
          );
          return {
            inkId,
            name,
            ml: millilitres(coated, perCoat),
            isDry: state !== undefined && drynessAfter(state, coated) >= DUE,
            bottle: bottleDoes(most, perCoat),
          };
        }),
      things: together.things,
      tools: known.lots.flatMap(({ lot, group }) => (lot.count > 0 ? group.tools : [])),
      envelopes: record.putsTogether ? known.lots.reduce((sum, { lot }) => sum + lot.count, 0) : 0,
      refills: own?.refills ?? 0,
      perCoat,
    };
  }, [known, uses, cuts, cutting, log, pads, shelf, sittings]);
  // What it will cut is kept for it: another sitting is told so.
  const used = JSON.stringify(outlay?.used);
  const id = known?.record.id;
  useEffect(() => {
    if (!id || used === undefined) return;
    void changeSitting(db, id, (now) =>
      now.pattern || now.run?.endedAt !== undefined || JSON.stringify(now.reserves) === used
        ? now
        : { ...now, reserves: JSON.parse(used) as SheetsOf[] },
    );
  }, [db, id, used]);
  return outlay;
}
