import { parseISO } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { download } from '../../app/download';
import { today } from '../../app/log/useLogActions';
import { usePanels } from '../../app/log/usePanels';
import { useDatabase, useShelf } from '../../app/session';
import { usePaperWork } from '../../app/usePaperWork';
import { dayOf } from '../../core/base/day';
import { formatFineBare } from '../../core/base/length';
import { counted, listed } from '../../core/base/words';
import { guessesTold } from '../../core/keep/log/guesses';
import type { ExerciseId } from '../../core/practice/exercises/definition';
import {
  FEWEST,
  type Progress,
  practiseNext,
  progressOf,
  tellRegions,
  weakPairs,
} from '../../core/practice/progress';
import type { Trial } from '../../core/practice/trial';
import { clearPractice, listTrials, restorePractice } from '../../data/practice';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Chart } from '../../ui/chart/Chart';
import { tellDay } from '../../ui/dates';
import { useNotify } from '../../ui/Notices';

interface Props {
  readonly onPractise: (of: readonly ExerciseId[]) => void;
}

const SIZE = { width: 300, height: 130 } as const;
const DAY = 86_400_000;

/** How the eye stands: thresholds over time, by exercise and by hue, and what to practise next. */
export function ProgressSide({ onPractise }: Props) {
  const db = useDatabase();
  const trials = useLiveQuery(() => listTrials(db), [db]);
  return (
    <section aria-label="Progress" className="space-y-6">
      <h2 className="heading text-lead">How your eye stands</h2>
      {trials ? (
        <Standing {...{ trials, onPractise }} />
      ) : (
        <p className="late text-mute">Reading what you answered …</p>
      )}
    </section>
  );
}

function Standing({ trials, onPractise }: Props & { readonly trials: readonly Trial[] }) {
  const db = useDatabase();
  const notify = useNotify();
  const log = usePanels();
  const progress = useMemo(() => progressOf(trials, dayOf), [trials]);
  const next = practiseNext(progress);
  const guesses = useMemo(() => (log ? guessesTold(log) : undefined), [log]);
  const forget = async () => {
    const all = await clearPractice(db);
    notify({ text: 'All practice is forgotten.', undo: () => void restorePractice(db, all) });
  };
  return (
    <>
      {trials.length === 0 ? (
        <p className="max-w-md">
          Nothing is practised yet. After {FEWEST} answers of an exercise it is told here what you tell apart.
        </p>
      ) : (
        <>
          <p>
            {counted(trials.length, 'answer')}, {trials.filter(({ isRight }) => isRight).length} right.
            {next && ` To practise next: ${next.exercise.label}.`}{' '}
            {next && <Button onClick={() => onPractise([next.exercise.id])}>Practise it</Button>}
          </p>
          <ul className="grid gap-x-8 gap-y-6 lg:grid-cols-2">
            {progress
              .filter((one) => one.trials > 0)
              .map((one) => (
                <li key={one.exercise.id}>
                  <OneExercise progress={one} told={tellRegions(one.exercise.id, trials)} />
                </li>
              ))}
          </ul>
        </>
      )}
      {guesses && (
        <p>
          <strong>Predicted before made:</strong> {guesses}
        </p>
      )}
      <WeakPairs trials={trials} />
      {trials.length > 0 && (
        <Button look="bare" onClick={() => void forget()}>
          Forget all practice
        </Button>
      )}
    </>
  );
}

function OneExercise({
  progress: { exercise, now, days, trials, right },
  told,
}: {
  readonly progress: Progress;
  readonly told: string | undefined;
}) {
  const lengths = useAppSelector(({ view }) => view.unit);
  const isLength = exercise.follows === 'setting' && exercise.unit === 'mm';
  const unit = exercise.follows === 'knowledge' ? '%' : isLength ? lengths : exercise.unit;
  const tell = (value: number) => (isLength ? formatFineBare(value, lengths) : value.toFixed(1));
  const most = Math.max(1, ...days.map(({ value }) => value)) * 1.1;
  const [first, last] = [days[0], days.at(-1)];
  const at = (day: string) => parseISO(day).getTime() / DAY;
  return (
    <div className="space-y-1">
      <h3 className="heading">{exercise.label}</h3>
      <p className="tabular-nums">
        {now === undefined
          ? `${right} of ${trials} right; ${FEWEST - trials} more and it can be told.`
          : exercise.follows === 'difference'
            ? `You can tell ${tell(now)} ${unit} apart.`
            : exercise.follows === 'setting'
              ? `You are ${tell(now)} ${unit} off at the median.`
              : `You know ${Math.round(now)} % of them.`}
      </p>
      {told && <p>{told}</p>}
      {first && last && first !== last && (
        <Chart
          label={`${exercise.label}: ${days.map(({ day, value }) => `${tellDay(day)} ${tell(value)}`).join(', ')}`}
          {...SIZE}
          x={{
            label: '',
            domain: [at(first.day), at(last.day)],
            ticks: [at(first.day), at(last.day)],
            told: (day) => tellDay(dayOf(day * DAY)),
          }}
          y={{
            label: unit,
            domain: [most, 0],
            ticks: [0, isLength ? most : Math.round(most)],
            told: (value) => (isLength ? tell(value) : String(value)),
          }}
        >
          {({ x, y }) => (
            <>
              <polyline
                points={days.map(({ day, value }) => `${x(at(day))},${y(value)}`).join(' ')}
                className="fill-none stroke-text"
                strokeWidth={1.5}
              />
              {days.map(({ day, value }) => (
                <circle key={day} cx={x(at(day))} cy={y(value)} r={2.5} className="fill-text" />
              ))}
            </>
          )}
        </Chart>
      )}
    </div>
  );
}

/** Pairs that are missed more often than known, and a card of them to blend on paper. */
function WeakPairs({ trials }: { readonly trials: readonly Trial[] }) {
  const shelf = useShelf();
  const [isEmpty, setEmpty] = useState(false);
  const paper = useAppSelector(({ view }) => view.paper);
  const { make, progress } = usePaperWork('Making the card', 'The card could not be made. Try again.');
  const pairs = useMemo(() => weakPairs(trials), [trials]);
  if (pairs.length === 0 || !shelf) return null;
  const print = () =>
    make(async (worker) => {
      const named = pairs.map(({ inks }) =>
        inks.flatMap((name) => shelf.inks.find((ink) => ink.name === name) ?? []),
      );
      const whole = named
        .filter(({ length }) => length === 2)
        .map((inks) => inks.map(({ name, overWhite }) => ({ name, hex: overWhite })));
      setEmpty(whole.length === 0);
      if (whole.length > 0)
        download(`weak-pairs-${today()}.pdf`, 'application/pdf', await worker.weakPairs(whole, paper));
    });
  return (
    <div className="space-y-2">
      <h3 className="heading">Your weak pairs</h3>
      <ul>
        {pairs.map(({ inks, missed, of }) => (
          <li key={inks.join(' ')}>
            {listed(inks)}: missed {missed} of {of}
          </li>
        ))}
      </ul>
      {progress ?? <Button onClick={() => void print()}>Print a card of them, to blend on paper</Button>}
      {isEmpty && <p role="alert">None of these inks is on the shelf any more.</p>}
    </div>
  );
}
