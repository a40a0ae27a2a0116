import { compareWorkshops } from '../../core/files/backup';
import type { Database } from '../../data/database';
import { mergeWorkshop, readWorkshop } from '../../data/workshop';
import { filesWorker } from '../../workers/client';

/**
 * Brings the demo's log in: what is here already stays as it is.
 *
 * @returns the way back
 */
export async function bringInDemoLog(db: Database): Promise<() => Promise<void>> {
  const answer = await fetch('/demo/log.zip');
  if (!answer.ok) throw new Error(`the demo's log is not there (${answer.status})`);
  const read = await filesWorker().readBackup(new Uint8Array(await answer.arrayBuffer()));
  if ('faults' in read) throw new Error(read.faults[0]?.problem);
  const { workshop } = read.read;
  const changes = compareWorkshops(await readWorkshop(db), workshop);
  await mergeWorkshop(db, changes, 'mine');
  const tables = ['panels', 'photos', 'pads', 'tools', 'swatches'] as const;
  return () =>
    db.transaction(
      'rw',
      tables.map((table) => db.table(table)),
      async () => {
        for (const table of tables) {
          const key = table === 'pads' ? 'inkId' : 'id';
          await db.table(table).bulkDelete(changes[table].fresh.map((row) => String(row[key])));
        }
      },
    );
}
