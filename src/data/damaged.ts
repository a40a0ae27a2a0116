import { isPlain } from '../core/files/plain';
import type { Database } from './database';
import { type Damaged, isSoundCard, isSoundDesign, isSoundInk, isSoundRecord, soundOnes } from './sound';

/** Everything that cannot be computed with, with what it calls itself. */
export async function listDamaged(db: Database): Promise<readonly Damaged[]> {
  const of = async <Value>(table: Damaged['table'], isSound: (value: unknown) => value is Value) => {
    const { damaged } = soundOnes(await db.table(table).toArray(), isSound);
    return damaged.map((value): Damaged => {
      const record = isPlain(value) ? value : {};
      const named = isPlain(record.recipe) ? record.recipe.name : record.name;
      const id = String(record.id ?? '');
      return { table, id, name: typeof named === 'string' && named !== '' ? named : id, value };
    });
  };
  return (
    await Promise.all([
      of('recipes', isSoundRecord),
      of('inks', isSoundInk),
      of('cards', isSoundCard),
      of('designs', isSoundDesign),
    ])
  ).flat();
}

/** Takes a damaged record out; returns it as it was, to be put back. */
export async function dropDamaged(db: Database, { table, id, value }: Damaged): Promise<() => Promise<void>> {
  await db.table(table).delete(id);
  return async () => {
    await db.table(table).put(value);
  };
}
