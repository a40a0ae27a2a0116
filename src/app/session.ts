import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext } from 'react';
import type { Materials } from '../core/recipe/resolved';
import type { Database } from '../data/database';
import { readMaterials } from '../data/materials';
import type { Autosave } from '../store/autosave';

/** What every view of one tab works with. */
export interface Session {
  readonly db: Database;
  readonly autosave: Autosave;
  /** On a first visit, the inks, cards and designs that are about to be stored. */
  readonly coming: Shelf | undefined;
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

/** The shelf as it is stored, read once for all views and again when it changes; on a first visit, before it is stored. */
export function useStoredShelf(): Shelf | undefined {
  const { db, coming } = useSession();
  return useLiveQuery(() => readMaterials(db), [db]) ?? coming;
}
