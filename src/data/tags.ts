import { nameOrder } from '../core/base/names';
import type { Database } from './database';
import type { Drawer, TagRecord } from './records';

/** How long a tag may be, in letters, and how many a thing may have. */
export const TAG_LIMITS = { letters: 40, many: 20 } as const;

const keyOf = (of: Drawer, id: string): string => `${of} ${id}`;

/** What is written on the things of a drawer, by their ids. */
export const readTags = async (db: Database, of: Drawer): Promise<ReadonlyMap<string, TagRecord>> =>
  new Map((await db.tags.where('of').equals(of).toArray()).map((record) => [record.id, record]));

/** Changes what is written on some things of a drawer; returns each as it was and as it is. */
function changeTags(
  db: Database,
  of: Drawer,
  ids: readonly string[],
  change: (now: TagRecord) => Partial<Pick<TagRecord, 'tags' | 'isFavourite'>>,
): Promise<readonly { readonly before: TagRecord; readonly after: TagRecord }[]> {
  return db.transaction('rw', db.tags, async () => {
    const there = await db.tags.bulkGet(ids.map((id) => keyOf(of, id)));
    const changes = ids.map((id, i) => {
      const before: TagRecord = there[i] ?? { key: keyOf(of, id), of, id, tags: [], isFavourite: false };
      return { before, after: { ...before, ...change(before) } };
    });
    await db.tags.bulkPut(changes.map(({ after }) => after));
    return changes;
  });
}

/**
 * Writes a tag on things, or takes it off them. One that is too long is cut, one that is there already stays once, and a
 * thing that is full of tags gets no more.
 *
 * @returns the ids of those that it was written on, or taken off: the other way round they take the change back
 */
export async function setTag(
  db: Database,
  of: Drawer,
  ids: readonly string[],
  tag: string,
  on: boolean,
): Promise<readonly string[]> {
  const text = tag.trim().slice(0, TAG_LIMITS.letters);
  const changes = await changeTags(db, of, ids, ({ tags }) => {
    const others = tags.filter((one) => one !== text);
    return {
      tags: on && text !== '' && others.length < TAG_LIMITS.many ? [...others, text].sort(nameOrder) : others,
    };
  });
  return changes
    .filter(({ before, after }) => before.tags.includes(text) !== after.tags.includes(text))
    .map(({ after }) => after.id);
}

export const setFavourite = (db: Database, of: Drawer, ids: readonly string[], isFavourite: boolean) =>
  changeTags(db, of, ids, () => ({ isFavourite }));
