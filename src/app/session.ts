import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext } from 'react';
import type { Materials } from '../core/recipe/resolved';
import type { Database } from '../data/database';
import { listDesigns } from '../data/designs';
import { listGone } from '../data/gone';
import { isSoundCard, isSoundInk, soundOnes } from '../data/sound';
import type { Autosave } from '../store/autosave';

/** What every view of one tab works with. */
export interface Session {
  readonly db: Database;
  readonly autosave: Autosave;
}

const SessionContext = createContext<Session | null>(null);
export const SessionProvider = SessionContext.Provider;

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('there is no session around this view');
  return session;
}

/** The maker's inks, cards and designs. */
export type Shelf = Materials;

const ShelfContext = createContext<Shelf | undefined>(undefined);
export const ShelfProvider = ShelfContext.Provider;

/** The shelf; undefined until it is read. */
export const useShelf = (): Shelf | undefined => useContext(ShelfContext);

/** The shelf as it is stored, read once for all views and again when it changes. */
export function useStoredShelf(): Shelf | undefined {
  const { db } = useSession();
  return useLiveQuery(
    async () => ({
      inks: soundOnes(await db.inks.toArray(), isSoundInk).sound,
      cards: soundOnes(await db.cards.toArray(), isSoundCard).sound,
      designs: await listDesigns(db),
      gone: await listGone(db),
    }),
    [db],
  );
}
