import { createContext, use, useContext, useEffect, useState } from 'react';
import type { Materials } from '../core/recipe/resolved';
import type { Database } from '../data/database';
import { readMaterials } from '../data/materials';
import type { Autosave } from '../store/autosave';

/** What every view of one tab works with. */
export interface Session {
  /** Everything the maker has saved; rejected where the script that keeps it does not come. */
  readonly data: Promise<Database>;
  /** The same, once it is there: on a first visit the panel stands before it. */
  readonly db: Database | undefined;
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

/** Everything the maker has saved. What asks for it is drawn once it is there; what a first look shows does without. */
export function useDatabase(): Database {
  const { data, db } = useSession();
  return db ?? use(data);
}

/**
 * What the database answers now, and whenever the answer changes; undefined until it is there. It is for what a first look
 * shows: the package's own hook comes with the database.
 *
 * @param query  the same function as long as it asks the same
 */
export function useStored<Answer>(query: (db: Database) => Promise<Answer>): Answer | undefined {
  const { db } = useSession();
  const [answer, setAnswer] = useState<{ readonly to: typeof query; readonly value: Answer }>();
  useEffect(() => {
    if (!db) return;
    const asking = db
      .watch(() => query(db))
      .subscribe({
        next: (value) => setAnswer({ to: query, value }),
        // Where a view draws, its failure is told.
        error: (error) =>
          setAnswer(() => {
            throw error;
          }),
      });
    return () => asking.unsubscribe();
  }, [db, query]);
  return answer?.to === query ? answer.value : undefined;
}

/** The maker's inks, cards and designs. */
export type Shelf = Materials;

const ShelfContext = createContext<Shelf | undefined>(undefined);
export const ShelfProvider = ShelfContext.Provider;

/** The shelf; undefined until it is read. */
export const useShelf = (): Shelf | undefined => useContext(ShelfContext);

/** The shelf as it is stored, read once for all views and again when it changes; on a first visit, before it is stored. */
export function useStoredShelf(): Shelf | undefined {
  const { coming } = useSession();
  return useStored(readMaterials) ?? coming;
}
