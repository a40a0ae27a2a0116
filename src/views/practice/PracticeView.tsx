import { lazy, Suspense, useCallback, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { useDatabase, useShelf } from '../../app/session';
import { useRaise } from '../../app/useRaise';
import { counted } from '../../core/base/words';
import { INK_KINDS } from '../../core/materials/ink/kinds';
import {
  type Answer,
  EXERCISE_IDS,
  type ExerciseId,
  type Judged,
} from '../../core/practice/exercises/definition';
import { EXERCISES } from '../../core/practice/exercises/exercises';
import { judge } from '../../core/practice/judge';
import type { Asked } from '../../core/practice/schedule';
import { usualCard } from '../../core/recipe/newRecipe';
import { keepAnswer, readLately } from '../../data/practice';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { PageHeader } from '../../ui/PageHeader';
import { PageTitle } from '../../ui/PageTitle';
import { Segmented } from '../../ui/Segmented';
import { practiceWorker } from '../../workers/client';
import { ProgressSide } from './ProgressSide';
import { Question } from './Question';
import { Taught } from './Taught';

const ScreenCheck = lazy(() => import('./ScreenCheck'));

const LENGTHS = [
  { value: '5', label: 'Five minutes' },
  { value: '10', label: 'Ten' },
  { value: 'open', label: 'Until I stop' },
] as const;
type Length = (typeof LENGTHS)[number]['value'];

/** Practice: an eye that judges before the ink is down, on one's own inks. */
export function PracticeView() {
  const shelf = useShelf();
  const [of, setOf] = useState<readonly ExerciseId[]>(EXERCISE_IDS);
  const [length, setLength] = useState<Length>('5');
  const [running, setRunning] = useState<readonly ExerciseId[]>();
  const [isChecking, setChecking] = useState(false);
  const [last, setLast] = useState<string>();
  if (!shelf) return <p className="p-6 text-mute">Opening …</p>;
  if (running)
    return (
      <Session
        of={running}
        minutes={length === 'open' ? undefined : Number(length)}
        onStop={(told) => {
          setRunning(undefined);
          setLast(told);
        }}
      />
    );
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageHeader title="Practice">
        <p className="mr-auto text-mute">
          What the eye learns over years, in a few minutes a day, on your own inks.
        </p>
        <Button look="bare" onClick={() => setChecking(true)}>
          Check your screen
        </Button>
      </PageHeader>
      <div className="grid min-h-0 flex-1 gap-8 overflow-y-auto p-4 lg:grid-cols-[24rem_1fr]">
        <section aria-label="Begin" className="space-y-4">
          {last && (
            <p role="status" className="border-l-2 border-text pl-3">
              {last}
            </p>
          )}
          <Segmented<Length> label="How long" value={length} onChange={setLength} options={LENGTHS} />
          <p>
            <Button
              look="strong"
              className="min-h-12 px-6 text-lg"
              disabled={of.length === 0}
              onClick={() => setRunning(of)}
            >
              Begin
            </Button>
          </p>
          <fieldset>
            <legend className="mb-1 font-semibold">What is practised</legend>
            <ul className="space-y-1">
              {EXERCISE_IDS.map((id) => (
                <li key={id}>
                  <Checkbox
                    label={EXERCISES[id].label}
                    checked={of.includes(id)}
                    onChange={({ target }) =>
                      setOf(EXERCISE_IDS.filter((one) => (one === id ? target.checked : of.includes(one))))
                    }
                  />
                  <span className="block pl-6 text-mute">{EXERCISES[id].trains}</span>
                </li>
              ))}
            </ul>
          </fieldset>
          <p className="text-mute">
            Screens differ: swatches on card have the last word. Each answer is kept as it is given, so stop
            when you like.
          </p>
        </section>
        <ProgressSide onPractise={(only) => setRunning(only)} />
      </div>
      {isChecking && (
        <Suspense fallback={null}>
          <ScreenCheck onClose={() => setChecking(false)} />
        </Suspense>
      )}
    </main>
  );
}

interface SessionProps {
  readonly of: readonly ExerciseId[];
  /** Undefined: until it is stopped. */
  readonly minutes: number | undefined;
  readonly onStop: (told: string) => void;
}

/** One question after another, until the time is over or the maker stops. */
function Session({ of, minutes, onStop }: SessionProps) {
  const db = useDatabase();
  const shelf = useShelf();
  const lengths = useAppSelector(({ view }) => view.unit);
  const [asked, setAsked] = useState<Asked | 'none'>();
  const [answered, setAnswered] = useState<{ readonly answer: Answer; readonly judged: Judged }>();
  const [count, setCount] = useState({ all: 0, right: 0 });
  const begun = useRef(Date.now());
  const [now, setNow] = useState(Date.now);
  const own = useMemo(
    () =>
      shelf?.inks.filter(({ wished, kind }) => !wished && INK_KINDS[kind].isUsual && INK_KINDS[kind].blends),
    [shelf],
  );
  const card = shelf && usualCard(shelf.cards);
  const told = `${counted(count.all, 'answer')}, ${count.right} right.`;
  const raise = useRaise();
  const next = useCallback(async () => {
    if (!own) return;
    if (!card) return setAsked('none');
    setAsked(undefined);
    setAnswered(undefined);
    const door = practiceWorker();
    await door.setShelf(own, card, lengths);
    setAsked((await door.ask(await readLately(db, of), of, Date.now())) ?? 'none');
  }, [db, own, card, of, lengths]);
  useEffect(() => void next().catch(raise), [next, raise]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const left = minutes === undefined ? undefined : Math.max(0, minutes * 60 - (now - begun.current) / 1000);
  const answer = async (given: Answer) => {
    if (!asked || asked === 'none' || answered) return;
    const { item, seed } = asked;
    const judged = judge(item, given);
    setAnswered({ answer: given, judged });
    setCount((before) => ({ all: before.all + 1, right: before.right + (judged.isRight ? 1 : 0) }));
    const { exercise, key, level, inks, hues } = item;
    await keepAnswer(
      db,
      {
        at: Date.now(),
        exercise,
        key,
        level,
        inks,
        hues,
        isRight: judged.isRight,
        score: judged.score,
        ...(judged.off === undefined ? {} : { off: judged.off }),
      },
      EXERCISES[exercise].follows === 'knowledge',
      seed,
    );
  };
  const goOn = () => (left === 0 ? onStop(`The time is over: ${told}`) : void next().catch(raise));
  const onEscape = useEffectEvent((event: KeyboardEvent) => {
    if (event.key === 'Escape') onStop(told);
  });
  useEffect(() => {
    window.addEventListener('keydown', onEscape);
    return () => window.removeEventListener('keydown', onEscape);
  }, []);
  const item = asked && asked !== 'none' ? asked.item : undefined;
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-4 border-b border-line bg-pane px-4 py-2">
        <PageTitle of="Practice" />
        <h1 className="heading mr-auto text-lead">{item ? EXERCISES[item.exercise].label : 'Practice'}</h1>
        <span className="tabular-nums">{told}</span>
        {left !== undefined && (
          <span className="text-mute tabular-nums">
            {left > 0 ? `${Math.ceil(left / 60)} min left` : 'the last one'}
          </span>
        )}
        <Button onClick={() => onStop(told)}>Stop</Button>
      </header>
      <div className="min-h-0 flex-1 overflow-y-auto p-6 sm:p-10">
        {asked === 'none' ? (
          <p role="alert" className="max-w-xl text-lg">
            Your shelf has nothing to ask of this kind: it takes a card, and six inks or more that can be
            blended, of different colours. Add inks, or practise something else.
          </p>
        ) : !item ? (
          <p role="status" className="text-mute">
            Looking for something on your shelf …
          </p>
        ) : answered ? (
          <Taught item={item} {...answered} onNext={goOn} />
        ) : (
          <Question key={item.key} item={item} onAnswer={(given) => void answer(given)} />
        )}
      </div>
    </main>
  );
}
