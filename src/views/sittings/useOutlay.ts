import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo } from 'react';
import { type Cutting, useCutting } from '../../app/cutting';
import { today } from '../../app/log/useLogActions';
import { usePanels } from '../../app/log/usePanels';
import { useDatabase, useShelf } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import type { Unit } from '../../core/base/length';
import { DUE, drynessAfter, inkPerCoat, padStates } from '../../core/keep/pads/pad';
import type { Piece } from '../../core/make/cutting/pieces';
import type { KnownSitting } from '../../core/make/sitting/known';
import { ML_A_COAT } from '../../core/make/sitting/materials';
import { type CardChoices, outlayOf, piecesByCard, type SittingOutlay } from '../../core/make/sitting/outlay';
import type { SheetsOf } from '../../core/make/sitting/record';
import type { Card } from '../../core/materials/card/card';
import { changeSitting, listSittings } from '../../data/sittings';
import { useAppSelector } from '../../store/hooks';
import { shelfWorker } from '../../workers/client';

const choicesOf = ({ cards: _, grain: _grain, ...choices }: Cutting): CardChoices => choices;

/** The pieces of one card on its sheets, where it has any and they can be cut. */
async function cut(
  lot: { readonly card: Card; readonly pieces: readonly Piece[] },
  grain: boolean,
  unit: Unit,
) {
  if (!lot.card.sheet) return lot;
  const plan = await shelfWorker().planCuts(lot.card.sheet, lot.pieces, grain, unit);
  return 'refused' in plan ? { ...lot, refused: plan.refused } : { ...lot, plan };
}

/** What a sitting takes of card, ink and the rest; undefined until it is reckoned. */
export function useOutlay(known: KnownSitting | undefined): SittingOutlay | undefined {
  const db = useDatabase();
  const shelf = useShelf();
  const cutting = useCutting();
  const unit = useAppSelector(({ view }) => view.unit);
  const log = usePanels();
  const pads = useLiveQuery(() => db.pads.toArray(), [db]);
  const sittings = useLiveQuery(() => listSittings(db), [db]);
  const sheets = known?.sheets;
  const uses = useAnswer(
    useMemo(
      () => sheets && (() => Promise.all(sheets.map(({ resolved }) => shelfWorker().panelUse(resolved)))),
      [sheets],
    ),
    'nothing',
  );
  const cards = shelf?.cards;
  // What is written into the record meanwhile leaves the pieces as they are: they are not cut again.
  const wanted = known && cutting ? JSON.stringify([...piecesByCard(known, choicesOf(cutting))]) : undefined;
  const grain = cutting?.grain;
  const cuts = useAnswer(
    useMemo(() => {
      if (wanted === undefined || grain === undefined || !cards) return undefined;
      const lots = (JSON.parse(wanted) as [string, Piece[]][]).flatMap(([cardId, pieces]) => {
        const card = cards.find(({ id }) => id === cardId);
        return card ? [{ card, pieces }] : [];
      });
      return () => Promise.all(lots.map((lot) => cut(lot, grain, unit)));
    }, [wanted, grain, cards, unit]),
    'nothing',
  );
  const outlay = useMemo((): SittingOutlay | undefined => {
    if (!known || !uses || !cuts || !cutting || !log || !pads || !shelf || !sittings) return undefined;
    if (uses.length !== known.lots.length) return undefined;
    const states = padStates(shelf.inks, pads, log, today());
    return outlayOf(known, {
      uses,
      cuts,
      choices: choicesOf(cutting),
      sittings,
      today: today(),
      ink: inkPerCoat(shelf.inks, pads, log) ?? { perCoat: ML_A_COAT, refills: 0 },
      isDryAfter: (inkId, coated) => {
        const state = states.find(({ ink }) => ink.id === inkId);
        return state !== undefined && drynessAfter(state, coated) >= DUE;
      },
    });
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
