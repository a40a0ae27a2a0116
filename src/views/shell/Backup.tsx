import Dexie from 'dexie';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { type BackupInHand, setBackupInHand, useBackupInHand } from '../../app/backupInHand';
import { bringBackupIn, type Incoming, openBackup, packWorkshop, tellApart } from '../../app/backups';
import { download } from '../../app/download';
import { useDatabase, useSession } from '../../app/session';
import { BACKUP_TABLE_IDS, BACKUP_TABLES } from '../../core/files/backup';
import { type Fault, FileError } from '../../core/files/fileError';
import { backupName } from '../../data/backupFolder';
import { readMark, writeMark } from '../../data/mark';
import { Button } from '../../ui/Button';
import { tellDate } from '../../ui/dates';
import Faults from '../../ui/Faults';
import { useNotify } from '../../ui/Notices';
import { ProgressBar } from '../../ui/ProgressBar';
import { Segmented } from '../../ui/Segmented';
import { startWork, type Work, type WorkInHand } from '../../ui/work';
import { stopFiles } from '../../workers/client';
import { BackupFolder } from './BackupFolder';

/** Everything of the maker's in one file, out and in again. */
export function Backup() {
  const db = useDatabase();
  const { autosave } = useSession();
  const notify = useNotify();
  const picker = useRef<HTMLInputElement>(null);
  const doing = useBackupInHand();
  const isHere = useRef(true);
  const [incoming, setIncoming] = useState<Incoming & { readonly fileName: string }>();
  const [refused, setRefused] = useState<{ fileName: string; faults: readonly Fault[] }>();
  /** Does something that takes a while. Stopped, the worker that is at it is ended and nothing comes of it. */
  const during = async (
    { what, isToSee = false }: Pick<BackupInHand, 'what'> & Partial<BackupInHand>,
    fileName: string,
    todo: (work: WorkInHand) => Promise<void>,
  ) => {
    const work = startWork();
    const stopped = new Promise<void>((resolve) => {
      work.signal.addEventListener('abort', () => {
        stopFiles();
        resolve();
      });
    });
    setBackupInHand({ what, work, isToSee });
    try {
      await Promise.race([todo(work), stopped]);
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      if (isHere.current) setRefused({ fileName, faults: error.faults });
      else notify({ text: `${fileName}: nothing was changed. ${error.message}` });
    } finally {
      work.end();
      setBackupInHand(undefined);
    }
  };
  const save = () =>
    during({ what: 'Packing everything' }, '', async ({ reach, signal }) => {
      await autosave.flush();
      const made = new Date();
      const packed = await packWorkshop(db, made, reach);
      if (signal.aborted) return;
      download(backupName(made), 'application/zip', packed.file);
      writeMark({ lastBackup: made.getTime() });
      const told = tellApart(packed);
      if (told) notify({ text: told });
    });
  const open = (file: File) =>
    during({ what: 'Reading the backup', isToSee: true }, file.name, async ({ reach, signal }) => {
      await autosave.flush();
      const read = await openBackup(db, file, reach);
      if (!signal.aborted) setIncoming({ ...read, fileName: file.name });
    });
  const bringIn = (way: 'mine' | 'theirs' | 'replace') => {
    if (!incoming) return;
    setIncoming(undefined);
    return during({ what: 'Bringing everything in' }, incoming.fileName, async ({ reach, signal }) => {
      try {
        const undo = await bringBackupIn(db, incoming, way, { reach, signal });
        notify({ text: 'The backup is brought in.', undo: () => void undo() });
      } catch (error) {
        if (signal.aborted) notify({ text: 'Stopped: nothing was brought in.' });
        else if (error instanceof Dexie.DexieError || error instanceof DOMException)
          notify({ text: 'The browser could not store it. Nothing was changed.' });
        else throw error;
      }
    });
  };
  // Closed while something is under way: what goes on says so elsewhere, with its way out.
  const leave = useEffectEvent(() => {
    isHere.current = false;
    if (doing?.isToSee) doing.work.stop();
    else if (doing) notify({ text: `${doing.what} …`, work: doing.work });
  });
  useEffect(() => {
    isHere.current = true;
    return () => leave();
  }, []);
  const last = readMark()?.lastBackup;
  return (
    <section aria-label="Backup" className="space-y-2">
      <h3 className="font-semibold">Backup</h3>
      <p className="text-small text-mute">
        Everything in one file: inks, cards, designs, recipes with their named states, kept trios, moods,
        tags, the log with its photographs, sittings, practice, swatches, pads and brushes, times and
        settings. {last ? `Last written ${tellDate(last)}.` : 'None has been written here yet.'}
      </p>
      {doing ? (
        <UnderWay what={doing.what} work={doing.work} />
      ) : (
        <p className="flex flex-wrap gap-2">
          <Button onClick={() => void save()}>Save everything as a file</Button>
          <Button onClick={() => picker.current?.click()}>Bring everything in …</Button>
        </p>
      )}
      {incoming && (
        <BringIn
          incoming={incoming}
          onBringIn={(way) => void bringIn(way)}
          onCancel={() => setIncoming(undefined)}
        />
      )}
      <BackupFolder />
      <input
        ref={picker}
        type="file"
        accept=".zip,application/zip"
        aria-label="Backup file"
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) void open(file);
        }}
      />
      {refused && <Faults {...refused} onClose={() => setRefused(undefined)} />}
    </section>
  );
}

/** What is being done, how far it is, and a way out. */
const UnderWay = ({ what, work }: { readonly what: string; readonly work: Work }) => (
  <div className="flex flex-wrap items-center gap-3">
    <p role="status" className="whitespace-nowrap">
      {what} …
    </p>
    <ProgressBar work={work} label={what} />
    <Button onClick={work.stop}>Stop</Button>
  </div>
);

interface BringInProps {
  readonly incoming: Incoming & { readonly fileName: string };
  readonly onBringIn: (way: 'mine' | 'theirs' | 'replace') => void;
  readonly onCancel: () => void;
}

/** What a backup would change, before it does. */
function BringIn({ incoming: { fileName, made, changes }, onBringIn, onCancel }: BringInProps) {
  const [wanted, setWanted] = useState<'mine' | 'theirs'>('mine');
  const [isSure, setSure] = useState(false);
  const at = Date.parse(made);
  // It comes once the file is read, where nobody may be looking: the settings are longer than a window.
  const box = useRef<HTMLElement>(null);
  useEffect(() => box.current?.focus(), []);
  const count = (of: 'fresh' | 'changed') =>
    BACKUP_TABLE_IDS.reduce((sum, table) => sum + changes[table][of].length, 0);
  return (
    <section
      ref={box}
      tabIndex={-1}
      aria-label="The backup"
      className="space-y-2 border-l-4 border-text bg-field p-3 outline-none"
    >
      <p>
        <strong>{fileName}</strong>
        {!Number.isNaN(at) && `, written ${tellDate(at)}`}: {count('fresh')} new, {count('changed')} otherwise
        than here.
      </p>
      <table aria-label="What the backup would change" className="w-full text-small">
        <thead>
          <tr className="text-left text-mute">
            <th className="font-normal" scope="col">
              of
            </th>
            <th className="text-right font-normal" scope="col">
              new
            </th>
            <th className="text-right font-normal" scope="col">
              otherwise
            </th>
            <th className="text-right font-normal" scope="col">
              the same
            </th>
          </tr>
        </thead>
        <tbody>
          {BACKUP_TABLE_IDS.map((table) => (
            <tr key={table}>
              <th scope="row" className="text-left font-normal">
                {BACKUP_TABLES[table].what}
              </th>
              <td className="text-right">{changes[table].fresh.length}</td>
              <td className="text-right">{changes[table].changed.length}</td>
              <td className="text-right">{changes[table].same}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {count('changed') > 0 && (
        <p className="flex items-center gap-2">
          Where both have it
          <Segmented<'mine' | 'theirs'>
            label="Where both have it"
            value={wanted}
            onChange={setWanted}
            options={[
              { value: 'mine', label: 'keep mine' },
              { value: 'theirs', label: 'take the backup’s' },
            ]}
          />
        </p>
      )}
      <p className="flex flex-wrap gap-2">
        <Button look="strong" onClick={() => onBringIn(wanted)}>
          Merge it in
        </Button>
        <Button onClick={() => (isSure ? onBringIn('replace') : setSure(true))}>
          {isSure ? 'Yes, replace everything here' : 'Replace everything …'}
        </Button>
        <Button look="bare" onClick={onCancel}>
          Cancel
        </Button>
      </p>
    </section>
  );
}
