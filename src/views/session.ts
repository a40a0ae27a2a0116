import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext } from 'react';
import type { Card } from '../core/card/card';
import type { Ink } from '../core/ink/ink';
import type { Database } from '../data/database';
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

/** The maker's inks and cards; undefined until they are read. */
export interface Shelf {
  readonly inks: readonly Ink[];
  readonly cards: readonly Card[];
}

export function useShelf(): Shelf | undefined {
  const { db } = useSession();
  return useLiveQuery(async () => ({ inks: await db.inks.toArray(), cards: await db.cards.toArray() }), [db]);
}
