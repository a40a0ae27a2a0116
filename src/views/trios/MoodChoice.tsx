import { useLiveQuery } from 'dexie-react-hooks';
import { useRef, useState } from 'react';
import { download } from '../../app/download';
import { useDatabase } from '../../app/session';
import { describeMood, type Mood } from '../../core/choose/search/moods/mood';
import { OWN_MOODS } from '../../core/choose/search/moods/moods';
import { type Fault, FileError } from '../../core/files/fileError';
import { dropMood, keepMoods, listMoods } from '../../data/moods';
import Faults from '../../ui/Faults';
import { Menu } from '../../ui/Menu';
import { useNotify } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { MoodForm } from './MoodForm';

interface Props {
  readonly mood: Mood | undefined;
  readonly onMood: (mood: Mood | undefined) => void;
}

const NEW_MOOD: Omit<Mood, 'id'> = { name: 'My mood', limits: {}, hues: [], needs: [], drab: true };

/** A mood or an occasion the trios are to be of, what it asks, and ways to change it, add one, and pass them on. */
export function MoodChoice({ mood, onMood }: Props) {
  const db = useDatabase();
  const notify = useNotify();
  const own = useLiveQuery(() => listMoods(db), [db]) ?? [];
  // One that came in under the id of one that was here before takes its place.
  const moods = [...OWN_MOODS.filter(({ id }) => !own.some((mine) => mine.id === id)), ...own];
  const [edited, setEdited] = useState<Mood>();
  const [refused, setRefused] = useState<{ fileName: string; faults: readonly Fault[] }>();
  const file = useRef<HTMLInputElement>(null);
  const isOwn = own.some(({ id }) => id === mood?.id);

  const keep = async (kept: Mood) => {
    await keepMoods(db, [kept]);
    setEdited(undefined);
    onMood(kept);
  };
  const drop = async (dropped: Mood) => {
    await dropMood(db, dropped.id);
    onMood(undefined);
    notify({ text: `“${dropped.name}” is gone.`, undo: () => keepMoods(db, [dropped]) });
  };
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    try {
      const [{ readFile }, { MOODS_FILE_LIMIT }] = await Promise.all([
        import('../../app/readFile'),
        import('../../core/files/moodsFile'),
      ]);
      const read = await readFile(chosen, MOODS_FILE_LIMIT, (door, bytes) => door.readMoods(bytes));
      await keepMoods(db, read);
      notify({ text: `${read.length} ${read.length === 1 ? 'mood' : 'moods'} brought in.` });
    } catch (error) {
      if (!(error instanceof FileError)) throw error;
      setRefused({ fileName: chosen.name, faults: error.faults });
    }
  };
  const passOn = async () => {
    const { writeMoodsFile } = await import('../../core/files/moodsFile');
    download('moods.json', 'application/json', writeMoodsFile(moods));
  };
  return (
    <>
      <div className="flex gap-2">
        <Select
          label="Mood or occasion"
          value={mood?.id ?? ''}
          options={[
            { value: '', label: 'any' },
            ...moods.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => onMood(moods.find((one) => one.id === id))}
          width="w-full"
        />
        <Menu
          label="More with moods"
          items={[
            ...(mood
              ? [
                  {
                    label: isOwn ? `Change “${mood.name}” …` : `Make one like “${mood.name}” …`,
                    onSelect: () =>
                      setEdited(
                        isOwn ? mood : { ...mood, id: crypto.randomUUID(), name: `${mood.name}, mine` },
                      ),
                  },
                ]
              : []),
            {
              label: 'A new mood …',
              onSelect: () => setEdited({ ...NEW_MOOD, id: crypto.randomUUID() }),
            },
            ...(mood && isOwn
              ? [{ label: `Take “${mood.name}” away`, onSelect: () => void drop(mood) }]
              : []),
            'line',
            { label: 'Moods as a file', onSelect: () => void passOn() },
            { label: 'Moods from a file …', onSelect: () => file.current?.click() },
          ]}
        >
          …
        </Menu>
      </div>
      {mood && <p className="mt-1 text-mute">{describeMood(mood)}</p>}
      <input
        ref={file}
        type="file"
        accept="application/json,.json"
        aria-label="Moods file"
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
      {edited && <MoodForm mood={edited} onKeep={keep} onClose={() => setEdited(undefined)} />}
      {refused && <Faults {...refused} onClose={() => setRefused(undefined)} />}
    </>
  );
}
