import { useState } from 'react';
import { useLogActions } from '../../app/log/useLogActions';
import { useOnce } from '../../app/once';
import { useDatabase, useShelf } from '../../app/session';
import { counted } from '../../core/base/words';
import { spreadsOf } from '../../core/keep/learn/inkParams';
import { type Lessons, tellTaught } from '../../core/keep/learn/lessons';
import type { MadePanel } from '../../core/keep/log/made';
import type { Ink } from '../../core/materials/ink/ink';
import { changeRows, keepRow } from '../../data/changes';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { tellDay } from '../../ui/dates';
import { InkDot } from '../../ui/InkDot';
import { useNotify } from '../../ui/Notices';
import { stopLog } from '../../workers/client';

/** What panels have taught of each ink: told in words, to be switched off one by one, learned anew or forgotten. */
export default function LessonsSide({ panels }: { readonly panels: readonly MadePanel[] }) {
  const db = useDatabase();
  const shelf = useShelf();
  const notify = useNotify();
  const { learn } = useLogActions();
  const [done, setDone] = useState<number>();
  const [last, setLast] = useState<Lessons>();
  const readings = panels.reduce((sum, panel) => sum + panel.readings.length, 0);
  const taught = (shelf?.inks ?? []).filter((ink) => ink.taught);
  const start = async () => {
    setDone(0);
    try {
      setLast(await learn(setDone));
    } finally {
      setDone(undefined);
    }
  };
  const stop = () => {
    stopLog();
    setDone(undefined);
  };
  const forget = useOnce(async () => {
    const { count, undo } = await changeRows(
      db.inks,
      taught.map(({ id }) => id),
      ({ taught: _, ...ink }) => ink,
    );
    notify({
      text: `What was learned of ${counted(count, 'ink')} is forgotten; the log stays.`,
      undo: () => void undo(),
    });
  });
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="flex flex-wrap items-center gap-3">
        <p>
          {counted(readings, 'reading')} on{' '}
          {counted(panels.filter((panel) => panel.readings.length > 0).length, 'panel')}.
          {last && last.readings > 0 && (
            <>
              {' '}
              Swatches alone predict them to ΔE00 {last.before.median.toFixed(1)}; with what is learned, to{' '}
              {last.after.median.toFixed(1)}.
            </>
          )}
        </p>
        {done === undefined ? (
          <Button look="strong" className="ml-auto" disabled={readings === 0} onClick={() => void start()}>
            Learn from the log
          </Button>
        ) : (
          <span className="ml-auto flex items-center gap-2">
            <progress max={1} value={done} aria-label="Learning" /> Learning …
            <Button onClick={stop}>Stop</Button>
          </span>
        )}
        <Button disabled={taught.length === 0} onClick={() => void forget()}>
          Forget all of it
        </Button>
      </div>
      {taught.length === 0 ? (
        <p className="mt-6 max-w-xl">
          Nothing is learned yet. Read a panel of the log off its photograph, or with a colour reader: what
          its inks really do under your hand is then known, and pictures, readings and searches use it.
        </p>
      ) : (
        <ul
          aria-label="What was learned"
          className="mt-4 max-w-4xl divide-y divide-line border-y border-line"
        >
          {taught.map((ink) => (
            <Lesson
              key={ink.id}
              ink={ink}
              last={last}
              onSwitch={(next) => void keepRow(db.inks, next, ink)}
            />
          ))}
        </ul>
      )}
    </div>
  );
}

interface LessonProps {
  readonly ink: Ink;
  readonly last: Lessons | undefined;
  readonly onSwitch: (ink: Ink) => void;
}

function Lesson({ ink, last, onSwitch }: LessonProps) {
  const { taught } = ink;
  if (!taught) return null;
  const lesson = last?.inks.find((one) => one.ink.id === ink.id);
  const spread = spreadsOf(taught).strength;
  return (
    <li className={`flex flex-wrap items-center gap-3 py-2 ${taught.off ? 'text-mute' : ''}`}>
      <InkDot ink={ink} className="size-6" />
      <span className="min-w-64 flex-1">
        {tellTaught(ink, taught)}
        <span className="block text-small text-mute">
          Strength {taught.strength.toFixed(2)}, two of three between{' '}
          {(taught.strength / Math.exp(spread)).toFixed(2)} and{' '}
          {(taught.strength * Math.exp(spread)).toFixed(2)}; learned {tellDay(taught.at.slice(0, 10))}.
          {lesson && ` Its readings: ΔE00 ${lesson.before.toFixed(1)} → ${lesson.after.toFixed(1)}.`}
        </span>
      </span>
      <Checkbox
        label="Use it"
        aria-label={`Use what is learned of ${ink.name}`}
        checked={!taught.off}
        onChange={({ target }) => {
          const { off: _, ...on } = taught;
          onSwitch({ ...ink, taught: target.checked ? on : { ...on, off: true } });
        }}
      />
    </li>
  );
}
