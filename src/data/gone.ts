import type { Card } from '../core/materials/card/card';
import type { Design } from '../core/materials/design/design';
import type { Ink } from '../core/materials/ink/ink';
import type { Materials, MissingPart } from '../core/recipe/resolved';
import type { Database } from './database';
import type { GoneRecord } from './records';

const keyOf = (of: MissingPart['of'], id: string): string => `${of} ${id}`;

/** Remembers what is taken off, in the transaction that takes it off. */
export const rememberGone = async (
  db: Pick<Database, 'gone'>,
  of: MissingPart['of'],
  values: readonly (Ink | Card | Design)[],
): Promise<void> => {
  const at = Date.now();
  await db.gone.bulkPut(values.map((value) => ({ key: keyOf(of, value.id), at, of, value }) as GoneRecord));
};

/** Everything that was taken off, as it was. */
export async function listGone(db: Database): Promise<NonNullable<Materials['gone']>> {
  const all = await db.gone.toArray();
  return {
    inks: all.flatMap((one) => (one.of === 'ink' ? [one.value] : [])),
    cards: all.flatMap((one) => (one.of === 'card' ? [one.value] : [])),
    designs: all.flatMap((one) => (one.of === 'design' ? [one.value] : [])),
  };
}

/** Puts what was taken off back where it was; what is there under its id by now stays. */
export const putBack = (db: Database, parts: readonly Pick<MissingPart, 'of' | 'id'>[]): Promise<void> =>
  db.transaction('rw', db.gone, db.inks, db.cards, db.designs, async () => {
    for (const { of, id } of parts) {
      const gone = await db.gone.get(keyOf(of, id));
      if (gone?.of === 'ink' && !(await db.inks.get(id))) await db.inks.put(gone.value);
      if (gone?.of === 'card' && !(await db.cards.get(id))) await db.cards.put(gone.value);
      if (gone?.of === 'design' && !(await db.designs.get(id))) await db.designs.put(gone.value);
    }
  });
