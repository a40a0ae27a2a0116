import { useLiveQuery } from 'dexie-react-hooks';
import type { MadePanel } from '../../core/keep/log/made';
import { listPanels } from '../../data/panels';
import { useDatabase } from '../session';

/** Panels that were made, the last one first; undefined until they are read. */
export function usePanels(): readonly MadePanel[] | undefined {
  const db = useDatabase();
  return useLiveQuery(() => listPanels(db), [db]);
}
