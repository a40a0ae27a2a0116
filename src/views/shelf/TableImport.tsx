import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { bytesOf } from '../../core/files/bytesOf';
import type { FileError } from '../../core/files/fileError';
import type { FaultyRow, InkImport } from '../../core/files/inkImport';
import { INK_CSV_LIMITS } from '../../core/files/inksCsv';
import { megabytes } from '../../core/files/limits';
import { textOf } from '../../core/files/textOf';
import type { Ink } from '../../core/materials/ink/ink';
import { Button } from '../../ui/Button';
import { Modal } from '../../ui/Modal';
import { shelfWorker } from '../../workers/client';
import { heard } from '../../workers/door';

interface Props {
  readonly inks: readonly Ink[];
  /** Where it was dropped, not asked for. */
  readonly dropped?: File;
  readonly onKeep: (inks: readonly Ink[]) => void;
  readonly onClose: () => void;
}

type Reading = 'nothing' | { readonly part: number } | { readonly refused: string } | InkImport;

const isGoingOn = (reading: Reading): reading is { readonly part: number } =>
  typeof reading !== 'string' && 'part' in reading;

/** A table of inks, from a file or pasted: first what it would do, then all of it or nothing. */
export function TableImport({ inks, dropped, onKeep, onClose }: Props) {
  const [reading, setReading] = useState<Reading>('nothing');
  const [note, setNote] = useState<string>();
  const newest = useRef(0);
  const read = async (text: string) => {
    const mine = ++newest.current;
    if (text.trim() === '') return setReading('nothing');
    setReading({ part: 0 });
    const answer = await heard(
      (part: number) => void (mine === newest.current && setReading({ part })),
      (report) => shelfWorker().readInks(text, [...inks], report),
    );
    if (answer && mine === newest.current) setReading(answer);
  };
  const open = async (file: File) => {
    const mine = ++newest.current;
    setNote(undefined);
    if (file.size > INK_CSV_LIMITS.bytes)
      return setReading({
        refused: `${file.name} has ${(file.size / 1e6).toFixed(1)} MB; at most ${megabytes(INK_CSV_LIMITS.bytes)} are read. Split it.`,
      });
    const bytes = await bytesOf(file).catch(({ message }: FileError) => message);
    // Rows were pasted meanwhile, or another file was chosen.
    if (mine !== newest.current) return;
    if (typeof bytes === 'string') return setReading({ refused: bytes });
    const { text, note: told } = textOf(bytes);
    setNote(told);
    await read(text);
  };
  const openDropped = useEffectEvent(open);
  useEffect(() => {
    if (dropped) void openDropped(dropped);
  }, [dropped]);
  // The field names a file that was dropped as one that was chosen there.
  const named = useCallback(
    (picker: HTMLInputElement | null) => {
      if (!picker || !dropped) return;
      const held = new DataTransfer();
      held.items.add(dropped);
      picker.files = held.files;
    },
    [dropped],
  );
  return (
    <Modal lies="middle" className="w-[min(40rem,94vw)] space-y-3" described onClose={onClose}>
      <Dialog.Title className="heading text-lg">Import inks</Dialog.Title>
      <Dialog.Description className="text-mute">
        Choose a CSV table or a GPL palette, or paste rows from a spreadsheet, with a header that names at
        least name and over_white.
      </Dialog.Description>
      <input
        ref={named}
        type="file"
        accept=".csv,.tsv,.txt,.gpl,text/csv"
        aria-label="Table file"
        className="frame w-full p-1.5"
        onChange={({ target }) => {
          const file = target.files?.[0];
          if (file) void open(file);
        }}
      />
      <textarea
        aria-label="Pasted rows"
        rows={4}
        placeholder="name, over_white, kind …"
        className="frame w-full px-2 py-1 font-mono text-small placeholder:text-mute"
        onChange={({ target }) => {
          setNote(undefined);
          void read(target.value);
        }}
      />
      {note && <p role="status">{note}</p>}
      <Preview reading={reading} />
      <div className="flex justify-end gap-2">
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
        <KeepButton reading={reading} onKeep={onKeep} />
      </div>
    </Modal>
  );
}

function KeepButton({ reading, onKeep }: { readonly reading: Reading; readonly onKeep: Props['onKeep'] }) {
  if (reading === 'nothing' || isGoingOn(reading) || 'refused' in reading)
    return (
      <Button look="strong" disabled>
        Keep
      </Button>
    );
  const kept = [...reading.fresh, ...reading.changed.map(({ after }) => after)];
  return (
    <Button look="strong" disabled={kept.length === 0} onClick={() => onKeep(kept)}>
      {kept.length === 0 ? 'Nothing to keep' : `Keep ${kept.length} ${kept.length === 1 ? 'ink' : 'inks'}`}
    </Button>
  );
}

function Preview({ reading }: { readonly reading: Reading }) {
  if (reading === 'nothing') return null;
  if (isGoingOn(reading))
    return (
      <p role="status" className="flex items-center gap-3">
        Reading the table …
        <progress aria-label="Rows read" value={reading.part} className="flex-1" />
      </p>
    );
  if ('refused' in reading)
    return (
      <p role="alert" className="border-l-4 border-text pl-3">
        {reading.refused} Nothing was changed.
      </p>
    );
  const { fresh, changed, unchanged, clashing, faulty } = reading;
  return (
    <div role="status" className="space-y-2">
      <p>
        <strong>{fresh.length} new</strong>, <strong>{changed.length} changed</strong>, {unchanged} as on the
        shelf, {clashing.length} twice in the table, {faulty.length} with faults. Rows with faults are left
        out.
      </p>
      {changed.length > 0 && (
        <p className="text-mute">
          Changed:{' '}
          {changed
            .slice(0, 12)
            .map(({ after }) => after.name)
            .join(', ')}
        </p>
      )}
      <Rows rows={[...faulty, ...clashing]} />
    </div>
  );
}

const MAX_ROWS = 40;

function Rows({ rows }: { readonly rows: readonly FaultyRow[] }) {
  if (rows.length === 0) return null;
  return (
    <ul className="max-h-48 overflow-y-auto border border-line bg-field p-2">
      {rows.slice(0, MAX_ROWS).map(({ line, reason }) => (
        <li key={line}>
          line {line}: {reason}
        </li>
      ))}
      {rows.length > MAX_ROWS && <li>and {rows.length - MAX_ROWS} more</li>}
    </ul>
  );
}
