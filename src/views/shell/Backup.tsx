import { transfer } from 'comlink';
import { useRef, useState } from 'react';
import { packWorkshop } from '../../app/backups';
import { download } from '../../app/download';
import { readFile } from '../../app/readFile';
import { useSession } from '../../app/session';
import {
  BACKUP_LIMIT,
  BACKUP_TABLE_IDS,
  BACKUP_TABLES,
  type BackupChanges,
  compareWorkshops,
  type Workshop,
} from '../../core/files/backup';
import { type Fault, FileError } from '../../core/files/fileError';
import { backupName } from '../../data/backupFolder';
import { readMark, writeMark } from '../../data/mark';
import { mergeWorkshop, readWorkshop, replaceWorkshop } from '../../data/workshop';
import { Button } from '../../ui/Button';
import { tellDate } from '../../ui/dates';
import Faults from '../../ui/Faults';
import { useNotify } from '../../ui/Notices';
import { Segmented } from '../../ui/Segmented';
import { stopFiles } from '../../workers/client';
import { BackupFolder } from './BackupFolder';

/** What was read of a backup, and how it stands to what is here. */
interface Incoming {
  readonly fileName: string;
  readonly made: string;
  readonly here: Workshop;
  readonly workshop: Workshop;
  readonly changes: BackupChanges;
}

/** Everything of the maker's in one file, out and in again. */
export function Backup() {
  const { db, autosave } = useSession();
  const notify = useNotify();
  const picker = useRef<HTMLInputElement>(null);
  const [doing, setDoing] = useState<string>();
  const [incoming, setIncoming] = useState<Incoming>();
  const [refused, setRefused] = useState<{ fileName: string; faults: readonly Fault[] }>();
  const newest = useRef(0);
  /** Does something that takes a while, unless it is stopped. */
  const during = async (what: string, work: (isWanted: () => boolean) => Promise<void>) => {
    const mine = ++newest.current;
    setDoing(what);
    try {
      await work(() => mine === newest.current);
    } finally {
      if (mine === newest.current) setDoing(undefined);
    }
  };
  const save = () =>
    during('Packing everything', async (isWanted) => {
      await autosave.flush();
      const made = new Date();
      const bytes = await packWorkshop(db, made);
      if (!isWanted()) return;
      download(backupName(made), 'application/zip', bytes);
      writeMark({ lastBackup: made.getTime() });
    });
  const open = (file: File) =>
    during('Reading the backup', async (isWanted) => {
      try {
        await autosave.flush();
        const { head, workshop } = await readFile(file, BACKUP_LIMIT, (door, bytes) =>
          door.readBackup(transfer(bytes, [bytes.buffer])),
        );
        if (!isWanted()) return;
        const here = await readWorkshop(db);
        const changes = compareWorkshops(here, workshop);
        setIncoming({ fileName: file.name, made: head.made, here, workshop, changes });
      } catch (error) {
        if (!(error instanceof FileError)) throw error;
        setRefused({ fileName: file.name, faults: error.faults });
      }
    });
  const bringIn = async (way: 'mine' | 'theirs' | 'replace') => {
    if (!incoming) return;
    const { here, workshop, changes } = incoming;
    if (way === 'replace') await replaceWorkshop(db, workshop);
    else await mergeWorkshop(db, changes, way);
    setIncoming(undefined);
    notify({ text: 'The backup is brought in.', undo: () => void replaceWorkshop(db, here) });
  };
  const last = readMark()?.lastBackup;
  return (
    <section aria-label="Backup" className="space-y-2">
      <h3 className="font-semibold">Backup</h3>
      <p className="text-small text-mute">
        Everything in one file: inks, cards, designs, recipes with their named states, kept trios, moods,
        tags, the log with its photographs, swatches, pads and brushes, times and settings.{' '}
        {last ? `Last written ${tellDate(last)}.` : 'None has been written here yet.'}
      </p>
      {doing ? (
        <p role="status" className="flex items-center gap-2">
          {doing} …
          <Button
            onClick={() => {
              newest.current++;
              stopFiles();
              setDoing(undefined);
            }}
          >
            Stop
          </Button>
        </p>
      ) : (
        <p className="flex flex-wrap gap-2">
          <Button onClick={() => void save()}>Save everything as a file</Button>
          <Button onClick={() => picker.current?.click()}>Bring everything in …</Button>
        </p>
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
      {incoming && (
        <BringIn incoming={incoming} onBringIn={bringIn} onCancel={() => setIncoming(undefined)} />
      )}
      {refused && <Faults {...refused} onClose={() => setRefused(undefined)} />}
    </section>
  );
}

interface BringInProps {
  readonly incoming: Incoming;
  readonly onBringIn: (way: 'mine' | 'theirs' | 'replace') => Promise<void>;
  readonly onCancel: () => void;
}

/** What a backup would change, before it does. */
function BringIn({ incoming: { fileName, made, changes }, onBringIn, onCancel }: BringInProps) {
  const [wanted, setWanted] = useState<'mine' | 'theirs'>('mine');
  const [isSure, setSure] = useState(false);
  const at = Date.parse(made);
  const count = (of: 'fresh' | 'changed') =>
    BACKUP_TABLE_IDS.reduce((sum, table) => sum + changes[table][of].length, 0);
  return (
    <div className="space-y-2 border-l-4 border-text bg-field p-3">
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
        <Button look="strong" onClick={() => void onBringIn(wanted)}>
          Merge it in
        </Button>
        <Button onClick={() => (isSure ? void onBringIn('replace') : setSure(true))}>
          {isSure ? 'Yes, replace everything here' : 'Replace everything …'}
        </Button>
        <Button look="bare" onClick={onCancel}>
          Cancel
        </Button>
      </p>
    </div>
  );
}
