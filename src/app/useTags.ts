import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { nameOrder } from '../core/base/names';
import type { Drawer, TagRecord } from '../data/records';
import { readTags, setFavourite, setTag } from '../data/tags';
import { useNotify } from '../ui/Notices';
import { useDatabase } from './session';

const NONE: ReadonlyMap<string, TagRecord> = new Map();

/** What is written on the things of a drawer, and writing on them. */
export function useTags(of: Drawer) {
  const db = useDatabase();
  const notify = useNotify();
  const byId = useLiveQuery(() => readTags(db, of), [db, of]) ?? NONE;
  return useMemo(() => {
    const told = (count: number) => `${count} ${count === 1 ? of : `${of}s`}`;
    return {
      tagsOf: (id: string): readonly string[] => byId.get(id)?.tags ?? [],
      isFavourite: (id: string): boolean => byId.get(id)?.isFavourite ?? false,
      /** Every tag written on one of these, by the alphabet. */
      among: (ids: readonly string[]): readonly string[] =>
        [...new Set(ids.flatMap((id) => byId.get(id)?.tags ?? []))].sort(nameOrder),
      async tag(ids: readonly string[], tag: string, on: boolean) {
        const changed = await setTag(db, of, ids, tag, on);
        notify({
          text: on ? `${told(ids.length)} tagged “${tag}”.` : `“${tag}” is off ${told(ids.length)}.`,
          undo: () => void setTag(db, of, changed, tag, !on),
        });
      },
      favour: (ids: readonly string[], isFavourite: boolean) => void setFavourite(db, of, ids, isFavourite),
    };
  }, [byId, db, of, notify]);
}

export type Tags = ReturnType<typeof useTags>;
