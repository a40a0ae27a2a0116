import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext } from 'react';
import type { Materials } from '../core/recipe/resolved';
import type { Database } from '../data/database';
import { listDesigns } from '../data/designs';
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

/** The shelf; undefined until it is read. */
export function useShelf(): Shelf | undefined {
  const { db } = useSession();
  return useLiveQuery(
    async () => ({
      inks: await db.inks.toArray(),
      cards: await db.cards.toArray(),
      designs: await listDesigns(db),
    }),
    [db],
  );
}
