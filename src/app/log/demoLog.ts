import type { Database } from '../../data/database';
import { bringBackupIn, openBackup } from '../backups';

/**
 * Brings the demo's log in: what is here already stays as it is.
 *
 * @returns the way back
 */
export async function bringInDemoLog(db: Database): Promise<() => Promise<void>> {
  const answer = await fetch('/demo/log.zip');
  if (!answer.ok) throw new Error(`the demo's log is not there (${answer.status})`);
  const incoming = await openBackup(db, await answer.blob());
  const { changes } = incoming;
  await bringBackupIn(db, incoming, 'mine');
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
