import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { chime, useSoundReady } from '../../app/desk/chime';
import { useAwake } from '../../app/desk/useAwake';
import { useDeskKeys } from '../../app/desk/useDeskKeys';
import { LayOutList } from '../../app/LayOutList';
import { useLogActions } from '../../app/log/useLogActions';
import { PanelAfterStep } from '../../app/panel/PanelAfterStep';
import { WithRecipe } from '../../app/recipes/WithRecipe';
import { StepCautions } from '../../app/StepCautions';
import { useDatabase } from '../../app/session';
import { useKnownMaker } from '../../app/useMaker';
import { useSize } from '../../app/useSize';
import type { Unit } from '../../core/base/length';
import { unbroken } from '../../core/base/words';
import { type StepTime, stepTimes } from '../../core/keep/log/stepTime';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { TOOLS } from '../../core/recipe/tools/tools';
import { compileSheet, type Maker } from '../../core/sheet/compile';
import type { Step } from '../../core/sheet/desk';
import { USUAL_PACE } from '../../core/sheet/times';
import { timingOf } from '../../core/sheet/timing';
import { addTiming, clearTimings } from '../../data/timings';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { besideText } from '../../ui/besideText';
import { InkDot } from '../../ui/InkDot';
import { PageTitle } from '../../ui/PageTitle';
import { useStepClock } from './useStepClock';

/** One step of the sheet at a time, large, for inky fingers. */
export function DeskView() {
  const unit = useAppSelector(({ view }) => view.unit);
  const maker = useKnownMaker();
  return (
    <WithRecipe waiting={WAITING}>
      {(resolved) =>
        maker ? <Desk {...{ resolved, unit, maker }} /> : <p className="p-6 text-mute">{WAITING}</p>
      }
    </WithRecipe>
  );
}

const WAITING = 'Compiling the sheet …';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly maker: Maker;
}

function Desk({ resolved, unit, maker }: Props) {
  // The pace is the one the work began with: timing a step does not move the others while one is at it.
  const [begun] = useState(maker);
  const { steps } = useMemo(() => compileSheet(resolved, unit, begun), [resolved, unit, begun]);
  const [asked] = useSearchParams();
  const [at, setAt] = useState(() =>
    Math.max(
      steps.findIndex(({ key }) => key === asked.get('step')),
      0,
    ),
  );
  const [sounds, setSounds] = useState(true);
  const [timed, setTimed] = useState(0);
  const [times, setTimes] = useState<readonly StepTime[]>([]);
  const { log } = useLogActions();
  const db = useDatabase();
  const clock = useStepClock();
  const awake = useAwake();
  const step = steps[Math.min(at, steps.length - 1)] as Step;
  const done = at >= steps.length;
  useChime(step, done ? 0 : clock.seconds, sounds);

  const remember = () => {
    const timing = timingOf(step, clock.seconds / 60, begun.pace ?? USUAL_PACE);
    if (!timing) return;
    void addTiming(db, timing.work, timing.minutes);
    setTimed((before) => before + 1);
  };
  const go = (by: 1 | -1) => {
    if (by === 1 && !done) remember();
    if (by === 1 && !done)
      setTimes((all) => [
        ...all.filter(({ key }) => key !== step.key),
        ...stepTimes(step, clock.seconds / 60),
      ]);
    const next = Math.min(Math.max(at + by, 0), steps.length);
    if (next === at) return;
    setAt(next);
    clock.restart();
    if (next === steps.length) clock.pause();
    else clock.resume();
  };
  useDeskKeys(
    () => go(1),
    () => go(-1),
  );

  return (
    <main className="flex min-h-0 flex-1 flex-col bg-sheet max-lg:h-dvh max-lg:flex-none">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-2 text-lead">
        <PageTitle of={`${resolved.recipe.name}, step by step`} />
        <h1 className="heading mr-auto min-w-0 truncate">{resolved.recipe.name}</h1>
        <span>
          {done ? 'Done' : `${at + 1} of ${steps.length}`} · {describeClock(clock.whole)} so far
        </span>
        <Button className="max-lg:min-h-11" aria-pressed={sounds} onClick={() => setSounds(!sounds)}>
          Sound {sounds ? 'on' : 'off'}
        </Button>
        <span className="text-mute">{awake ? 'Screen stays awake' : 'The screen may sleep here'}</span>
        <Link to={`/sheet/${resolved.recipe.id}`} className="underline underline-offset-4 max-lg:py-3">
          Whole sheet
        </Link>
      </header>
      {done ? (
        <Done
          whole={clock.whole}
          timed={timed}
          onLog={() => void log(resolved, times)}
          onForget={() => void clearTimings(db)}
        />
      ) : (
        <OneStep {...{ resolved, step, clock }} />
      )}
      <nav aria-label="Steps" className="grid shrink-0 grid-cols-[1fr_2fr] border-t-2 border-text bg-sheet">
        <button
          type="button"
          disabled={at === 0}
          onClick={() => go(-1)}
          className="min-h-20 border-r-2 border-text text-xl font-semibold focus-visible:outline-offset-[-4px] disabled:opacity-40"
        >
          Back
        </button>
        <button
          type="button"
          disabled={done}
          onClick={() => go(1)}
          className="min-h-20 bg-strong text-2xl font-semibold text-on-strong focus-visible:outline-on-strong focus-visible:outline-offset-[-6px] disabled:opacity-40"
        >
          {at === steps.length - 1 ? 'Finish' : 'Next'}
        </button>
      </nav>
    </main>
  );
}

/** Sounds once when a step has taken its time. */
function useChime({ key, minutes }: Step, seconds: number, sounds: boolean): void {
  const sounded = useRef('');
  useSoundReady(sounds);
  useEffect(() => {
    if (!sounds || !minutes || seconds < minutes * 60 || sounded.current === key) return;
    sounded.current = key;
    chime();
  }, [key, minutes, seconds, sounds]);
}

interface StepProps {
  readonly resolved: ResolvedRecipe;
  readonly step: Step;
  readonly clock: ReturnType<typeof useStepClock>;
}

/** How high the picture is, px: on a phone it stays above the bar with the words, in a low window the clock below it does. */
const HEIGHT = { wide: 360, narrow: 216, least: 140 } as const;
/** What stands around the picture: the clock, what it shows, and the page's edges, px of usual text. */
const AROUND = 180;
const NARROW = 768;

function OneStep({ resolved, step, clock }: StepProps) {
  const { panel, tool } = resolved.recipe;
  const box = useRef<HTMLDivElement>(null);
  // Before it is laid out, it is taken to be as large as the page.
  const { width, height: high } = useSize(box);
  const room = Math.max((high || innerHeight) - besideText(AROUND), HEIGHT.least);
  const most = (width || innerWidth) < NARROW ? HEIGHT.narrow : Math.min(HEIGHT.wide, room);
  const height = Math.min(most, (most * 0.85 * panel.height) / panel.width);
  const over = step.minutes !== undefined && clock.seconds >= step.minutes * 60;
  return (
    <div
      ref={box}
      className="grid min-h-0 flex-1 content-start gap-x-8 gap-y-4 overflow-y-auto p-5 md:grid-cols-[1fr_auto] md:p-8"
    >
      <section aria-label="Step" aria-live="polite">
        <h2 className="heading flex flex-wrap items-center gap-3 text-3xl md:text-5xl">
          {step.ink && <InkDot ink={step.ink} className="size-9 md:size-12" />}
          {step.title}
        </h2>
        {step.brush && (
          <p className="mt-1 text-xl md:text-2xl">
            {TOOLS[tool].noun} <strong>{step.brush.letter}</strong>, {step.brush.label}
          </p>
        )}
        <p className={`mt-4 text-2xl leading-snug ${step.layOut ? 'md:text-3xl' : 'md:text-4xl'}`}>
          {unbroken(step.work)}
        </p>
        {step.layOut && <LayOutList large recipeId={resolved.recipe.id} things={step.layOut} />}
        {step.care.map((line) => (
          <p key={line} className="mt-3 text-lg leading-snug md:text-xl">
            {unbroken(line)}
          </p>
        ))}
        <StepCautions step={step} />
        {step.note && <p className="mt-3 border-l-4 border-text pl-3 text-xl italic">{step.note}</p>}
      </section>
      <figure className="flex flex-col items-center justify-self-center max-md:flex-col-reverse">
        <PanelAfterStep resolved={resolved} step={step} height={height} label="The panel after this step" />
        <figcaption className="mt-1 text-center text-lead text-mute">after this step</figcaption>
        <p className="my-3 flex items-center justify-center gap-3">
          <span
            role="timer"
            aria-label="Time on this step"
            className={`text-4xl tabular-nums ${over ? 'font-bold' : ''}`}
          >
            {describeClock(clock.seconds)}
          </span>
          {step.minutes && <span className="text-xl text-mute">of {describeClock(step.minutes * 60)}</span>}
          <Button className="min-h-11 px-4 text-base" onClick={clock.running ? clock.pause : clock.resume}>
            {clock.running ? 'Pause' : 'Go on'}
          </Button>
        </p>
      </figure>
    </div>
  );
}

interface DoneProps {
  readonly whole: number;
  /** Steps whose time could have been work. */
  readonly timed: number;
  readonly onLog: () => void;
  readonly onForget: () => void;
}

function Done({ whole, timed, onLog, onForget }: DoneProps) {
  return (
    <section aria-label="Step" className="min-h-0 flex-1 overflow-y-auto p-8 text-2xl">
      <h2 className="heading text-4xl">Done in {describeClock(whole)}</h2>
      <p className="mt-4 max-w-2xl">
        {timed > 0
          ? `${timed} ${timed === 1 ? 'step was' : 'steps were'} timed; the sheet uses your own times from now on.`
          : 'No step took as long as its work would: nothing was learned of your times.'}
      </p>
      <Button look="strong" className="mt-4 mr-3 min-h-11 px-4 text-base" onClick={onLog}>
        Log this panel
      </Button>
      <Button className="mt-4 min-h-11 px-4 text-base" onClick={onForget}>
        Forget my times
      </Button>
    </section>
  );
}

/** Seconds as a clock shows them: `1:05`. */
const describeClock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
