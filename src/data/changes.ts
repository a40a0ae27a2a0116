import { dequal } from 'dequal/lite';
import type { Table } from 'dexie';
import { withCleanName } from '../core/base/names';

/**
 * Does to a row as it stands now what changed between two states of it: fields that did not differ between them stay as
 * they are now.
 *
 * @param untouched  whether fields that were changed since `from` stay, too, as what is taken back should leave them
 */
export function carried<Row extends object>(now: Row, from: Row, to: Row, untouched = false): Row {
  const fields = Object.keys({ ...from, ...to }) as (keyof Row)[];
  const changed = fields.filter(
    (field) => !dequal(from[field], to[field]) && !(untouched && !dequal(now[field], from[field])),
  );
  const left = Object.entries(now).filter(([field]) => !changed.includes(field as keyof Row));
  const taken = changed.flatMap((field) => (field in to ? [[field, to[field]] as const] : []));
  return { ...Object.fromEntries(left), ...Object.fromEntries(taken) } as Row;
}

/** What was changed, and the way back: it leaves what was changed since, and what is gone stays gone. */
export interface Changed {
  readonly count: number;
  readonly undo: () => Promise<void>;
}

/** Changes rows as they stand by now, all of them or none; nothing happens to those that are gone. */
export const changeRows = <Row extends { readonly id: string }>(
  table: Table<Row, string>,
  ids: readonly string[],
  change: (row: Row) => Row,
): Promise<Changed> =>
  table.db.transaction('rw', table.name, async () => {
    const before = await rowsOf(table, ids);
    const after = before.map(change);
    await table.bulkPut(after);
    const undo = () =>
      table.db.transaction('rw', table.name, async () => {
        const now = new Map((await rowsOf(table, ids)).map((row) => [row.id, row]));
        const back = before.flatMap((was, i) => {
          const [here, made] = [now.get(was.id), after[i]];
          return here && made ? [carried(here, made, was, true)] : [];
        });
        await table.bulkPut(back);
      });
    return { count: before.length, undo };
  });

const rowsOf = async <Row>(table: Table<Row, string>, ids: readonly string[]): Promise<Row[]> =>
  (await table.bulkGet([...ids])).filter((row) => row !== undefined);

/**
 * Keeps a row under a clean name: a new one, or one that was changed from what it was.
 *
 * @param from  the row as it was when the change began; what has changed elsewhere since then stays
 * @returns the way back of a change; none where the row is new, or was gone and is back
 */
export async function keepRow<Row extends { readonly id: string; readonly name: string }>(
  table: Table<Row, string>,
  row: Row,
  from?: Row,
): Promise<Changed['undo'] | undefined> {
  const clean = withCleanName(row);
  const changed = from && (await changeRows(table, [row.id], (now) => carried(now, from, clean)));
  if (changed && changed.count > 0) return changed.undo;
  await table.put(clean);
  return undefined;
}
