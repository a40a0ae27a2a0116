import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { chime, useSoundReady } from '../../app/desk/chime';
import { useAwake } from '../../app/desk/useAwake';
import { useDeskKeys } from '../../app/desk/useDeskKeys';
import { PanelAfterStep } from '../../app/panel/PanelAfterStep';
import { StepCautions } from '../../app/StepCautions';
import { useDatabase } from '../../app/session';
import { counted, unbroken } from '../../core/base/words';
import { writeRecipeFile } from '../../core/files/recipeFile';
import { awaySince, leftAt } from '../../core/make/sitting/away';
import { keyOf, lastEnd, type PanelBegun } from '../../core/make/sitting/begun';
import { type KnownSitting, numberOf, operationOf, stepOf, tellLine } from '../../core/make/sitting/known';
import type { PlannedSitting } from '../../core/make/sitting/plan';
import {
  clockAfter,
  clockOf,
  originOf,
  type SittingRecord,
  type SittingRun,
} from '../../core/make/sitting/record';
import { beginRun, begunAt, minutesInto, nextLines, onClock, runNow } from '../../core/make/sitting/run';
import type { Planned } from '../../core/make/sitting/sitting';
import { careInSitting, tellBrush, tellWashing } from '../../core/make/sitting/tellStep';
import { isBare } from '../../core/materials/ink/ink';
import { letterOf } from '../../core/sheet/brushes';
import { cautionsOf } from '../../core/sheet/cautions';
import { changeSitting } from '../../data/sittings';
import { Button } from '../../ui/Button';
import { InkDot } from '../../ui/InkDot';
import { Menu } from '../../ui/Menu';
import { PageTitle } from '../../ui/PageTitle';
import { EndOfSitting } from './EndOfSitting';
import { LeftDesk, StopMenu } from './LeftDesk';
import { useNow } from './useNow';
import { usePlan } from './usePlan';
import { useReplanning } from './useReplanning';
import { type RunProps, useWork } from './useWork';
import { WithSitting } from './WithSitting';

/** The evening, one piece of work at a time, large, for inky fingers. */
export const SittingDesk = () => (
  <WithSitting>
    {(record, known) => {
      const { run } = record;
      if (!run) return <Beginning record={record} known={known} />;
      if (run.endedAt === undefined) return <AtDesk record={record} run={run} known={known} />;
      return (
        <main className="min-h-0 flex-1 overflow-y-auto bg-sheet">
          <EndOfSitting record={record} run={run} known={known} />
        </main>
      );
    }}
  </WithSitting>
);

interface KnownProps {
  readonly record: SittingRecord;
  readonly known: KnownSitting;
}

/** Before the first piece: the clock starts when the maker does. */
function Beginning({ record, known }: KnownProps) {
  const db = useDatabase();
  const { planned, problem } = usePlan(known, undefined);
  const moment = useNow(true);
  const cautions = cautionsOf(new Set(known.sheets.flatMap(({ group }) => [...group.dangers])));
  const begin = ({ order }: PlannedSitting) => {
    const recipes = known.lots.map(({ lot, resolved }) => ({
      lotId: lot.id,
      file: writeRecipeFile(resolved),
    }));
    const run = beginRun(Date.now(), order, { maker: known.maker, recipes });
    void changeSitting(db, record.id, (now) => (now.run ? now : { ...now, run }));
  };
  return (
    <main className="flex min-h-0 flex-1 flex-col items-start gap-4 bg-sheet p-8 text-xl">
      <PageTitle of={`${record.name}, at the desk`} />
      <h1 className="heading max-w-full text-3xl wrap-anywhere">{record.name}</h1>
      {record.pattern ? (
        <p>This is a pattern. Begin it on an evening first: Sitting …, Begin it today.</p>
      ) : problem ? (
        <p role="alert" className="max-w-2xl border-l-4 border-text pl-3">
          {problem}
        </p>
      ) : planned ? (
        <>
          <p className="max-w-2xl">
            {counted(
              known.lots.reduce((sum, { lot }) => sum + lot.count, 0),
              'panel',
            )}
            . Begun now, all of it is dry at {clockAfter(clockOf(moment), planned.plan.makespan)}. Everything
            that is to lie ready stands in the plan, under “Lay out first”.
          </p>
          {cautions.map((line) => (
            <p key={line} className="max-w-2xl text-lg">
              {line}
            </p>
          ))}
          <Button look="strong" className="min-h-14 px-6 text-xl" onClick={() => begin(planned)}>
            Begin now
          </Button>
        </>
      ) : (
        <p role="status" className="text-mute">
          Planning the evening …
        </p>
      )}
      <Link to={`/sittings/${record.id}`} className="text-lead underline underline-offset-4">
        Back to the plan
      </Link>
    </main>
  );
}

interface DryingProps extends Pick<RunProps, 'known'> {
  readonly lying: readonly PanelBegun[];
  readonly origin: string;
  readonly now: number;
}

/** What lies drying, and until when. */
const Drying = ({ lying, known, origin, now }: DryingProps) => (
  <section aria-label="Drying" className="border-t border-line p-4 md:px-8">
    <h2 className="heading text-lead">Drying</h2>
    <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-lg tabular-nums">
      {lying.map(({ group, panel, ready }) => (
        <li key={`${group} ${panel}`}>
          Panel {numberOf(known, { group, panel })} <span className="text-mute">until</span>{' '}
          {clockAfter(origin, ready)} <span className="text-mute">({describeLeft(ready - now)})</span>
        </li>
      ))}
    </ul>
  </section>
);

function AtDesk({ record, run, known }: RunProps) {
  const { done, back, spoil, leave, goOn, endHere, putRight } = useWork({ record, known, run });
  const moment = useNow(true);
  const isPutBack = onClock(run, moment) !== run;
  const goOnByClock = useEffectEvent(() => void putRight());
  useEffect(() => {
    if (isPutBack) goOnByClock();
  }, [isPutBack]);
  const awake = useAwake();
  const [sounds, setSounds] = useState(true);
  // What was done a moment ago is past, though the clock is looked at only each second.
  const now = minutesInto(run, moment);
  // Anew when something is done, and each quarter of a minute: late or early, it goes on from now.
  const quarter = Math.floor(now * 4) / 4;
  const state = useMemo(
    () => runNow(known.sitting, run, Math.max(quarter, lastEnd(run.lines))),
    [known, run, quarter],
  );
  /** Since when nothing was done, though somebody was there all the while. */
  const [worked, setWorked] = useState<number>();
  const since = awaySince(known.sitting, run, state, now);
  const isByPress = leftAt(run) !== undefined;
  const left = since === worked && !isByPress ? undefined : since;
  const news = useReplanning({ record, known, run, state, isLeft: left !== undefined });
  const lines = nextLines(state.plan, known.sitting.atHand.hands);
  const origin = originOf(record);
  const lying = state.begun.panels
    .filter(({ lies, ready }) => lies && ready > now)
    .toSorted((p, q) => p.ready - q.ready);
  useReady(
    state.begun.panels.filter(({ lies }) => lies).map((panel) => ({ key: keyOf(panel), ready: panel.ready })),
    now,
    sounds,
  );

  const [first] = lines.filter((line) => line !== undefined).toSorted((p, q) => p.start - q.start);
  const goesOn = useRef<HTMLButtonElement>(null);
  // Where the keys are then, they go on.
  const leaveDesk = () => {
    goesOn.current?.focus();
    void leave();
  };
  const forward = left === undefined ? first && (() => void done(first)) : () => void goOn(left);
  useDeskKeys(forward, () => void back());
  const all = known.lots.reduce((sum, { lot }) => sum + lot.count, 0) - run.out.length;
  return (
    <main
      data-pieces={run.lines.length}
      className="flex min-h-0 flex-1 flex-col bg-sheet max-lg:h-dvh max-lg:flex-none"
    >
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-2 text-lead">
        <PageTitle of={`${record.name}, at the desk`} />
        <h1 className="heading mr-auto min-w-0 truncate">{record.name}</h1>
        <span className="tabular-nums">
          {clockOf(moment)} · {Object.keys(run.logged).length} of {all} done
          {state.plan && left === undefined ? ` · all dry ${clockAfter(origin, state.plan.makespan)}` : ''}
        </span>
        <Button className="max-lg:min-h-11" aria-pressed={sounds} onClick={() => setSounds(!sounds)}>
          Sound {sounds ? 'on' : 'off'}
        </Button>
        <span className="text-mute max-sm:hidden">
          {awake ? 'Screen stays awake' : 'The screen may sleep here'}
        </span>
        {first && <StopMenu {...{ known, run }} onLeave={leaveDesk} onEnd={() => void endHere()} />}
        <Link to={`/sittings/${record.id}`} className="underline underline-offset-4 max-lg:py-3">
          Whole plan
        </Link>
      </header>
      <p role="status" className={news ? 'bg-field px-4 py-1.5' : 'sr-only'}>
        {news}
      </p>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {!state.plan ? (
          <p role="alert" className="m-6 max-w-2xl border-l-4 border-text pl-3 text-xl">
            What is left cannot be worked as it stands: make room for more panels to dry, in the plan.
          </p>
        ) : left !== undefined ? (
          <LeftDesk
            {...{ known, run, state, moment }}
            since={left}
            onWorked={isByPress ? undefined : () => setWorked(left)}
          />
        ) : first ? (
          <div className={lines.length > 1 ? 'grid divide-line xl:grid-cols-2 xl:divide-x' : ''}>
            {lines.map((line, hand) =>
              line ? (
                <OnePiece
                  key={line.hand}
                  {...{ known, run, line, now, origin, all }}
                  left={state.plan?.lines ?? NONE}
                  hand={lines.length > 1 ? hand + 1 : undefined}
                  onDone={lines.length > 1 ? () => void done(line) : undefined}
                  onSpoiled={(isAgain) => void spoil(line, isAgain)}
                />
              ) : null,
            )}
          </div>
        ) : (
          <EndOfSitting record={record} run={run} known={known} />
        )}
        {lying.length > 0 && <Drying {...{ lying, known, origin, now }} />}
      </div>
      <nav
        aria-label="Pieces of work"
        className="grid shrink-0 grid-cols-[1fr_2fr] border-t-2 border-text bg-sheet"
      >
        <button
          type="button"
          disabled={run.lines.length === 0}
          onClick={() => void back()}
          className="min-h-20 border-r-2 border-text text-xl font-semibold focus-visible:outline-offset-[-4px] disabled:opacity-40"
        >
          Back
        </button>
        <button
          ref={goesOn}
          type="button"
          disabled={!forward}
          onClick={forward}
          className="min-h-20 bg-strong text-2xl font-semibold text-on-strong focus-visible:outline-on-strong focus-visible:outline-offset-[-6px] disabled:opacity-40"
        >
          {left !== undefined ? 'Go on' : first && first.start > now + SOON ? 'It is dry: done' : 'Done'}
        </button>
      </nav>
    </main>
  );
}

const NONE: readonly Planned[] = [];

/** A piece that begins no later than this, minutes, is not waited for. */
const SOON = 0.3;

/** What the same hands do after a piece. */
const followingOf = (left: readonly Planned[], line: Planned): Planned | undefined =>
  left
    .filter((one) => one.hand === line.hand && one.start >= line.end - 1e-6 && one !== line)
    .toSorted((p, q) => p.start - q.start)[0];

/** Minutes as they are left: `12 min`, `40 s`. */
const describeLeft = (minutes: number): string =>
  minutes >= 1 ? `${Math.ceil(minutes)} min` : `${Math.max(Math.round(minutes * 60), 0)} s`;

/** Sounds once for every panel that has become ready. */
function useReady(
  lying: readonly { readonly key: string; readonly ready: number }[],
  now: number,
  sounds: boolean,
): void {
  const waited = useRef(new Map<string, number>());
  useSoundReady(sounds);
  useEffect(() => {
    for (const { key, ready } of lying) {
      if (ready > now) waited.current.set(key, ready);
      else if (waited.current.delete(key) && sounds) chime();
    }
  }, [lying, now, sounds]);
}

interface PieceProps {
  readonly known: KnownSitting;
  readonly run: SittingRun;
  readonly line: Planned;
  /** The lines still to be worked, this one among them. */
  readonly left: readonly Planned[];
  readonly now: number;
  readonly origin: string;
  readonly all: number;
  /** Which pair of hands, where there are two. */
  readonly hand: number | undefined;
  readonly onDone: (() => void) | undefined;
  readonly onSpoiled: (isAgain: boolean) => void;
}

/** How high the picture is, px: for one pair of hands, and for each of two. */
const HEIGHT = { one: 340, two: 190 } as const;

function OnePiece({ known, run, line, left, now, origin, all, hand, onDone, onSpoiled }: PieceProps) {
  const { resolved } = known.lots[line.group] ?? {};
  const step = stepOf(known, line);
  const operation = operationOf(known, line);
  if (!resolved) return null;
  const { name } = resolved.recipe;
  const number = numberOf(known, line);
  const next = followingOf(left, line);
  const waits = line.start > now + SOON;
  const isWork = line.does === 'operation';
  const ink = isWork && step?.ink && !isBare(step.ink) ? step.ink : undefined;
  const spent = waits ? 0 : now - begunAt(known.sitting, run, line, now);
  const brush = isWork ? tellBrush(known.sitting, run.lines, line) : undefined;
  const washing = tellWashing(known.sitting, left, line);
  const height = hand ? HEIGHT.two : HEIGHT.one;
  return (
    <div className="grid content-start gap-x-8 gap-y-4 p-5 md:grid-cols-[1fr_auto] md:p-8">
      <section aria-label={hand ? `Hands ${hand}` : 'Piece of work'} aria-live="polite">
        <p className="text-lg text-mute">
          {hand ? `Hands ${hand}. ` : ''}
          {isWork ? (
            <>
              Panel {number} of {all}, {name}
            </>
          ) : (
            'Before what comes next'
          )}
        </p>
        <h2
          className={`heading flex flex-wrap items-center gap-3 text-3xl ${hand ? 'md:text-4xl' : 'md:text-5xl'}`}
        >
          {ink && <InkDot ink={ink} className="size-9 md:size-12" />}
          {isWork ? operation?.name : tellLine(known, line)}
        </h2>
        {waits && (
          <p className="mt-2 text-2xl">
            Ready at <strong className="tabular-nums">{clockAfter(origin, line.start)}</strong>, in{' '}
            {describeLeft(line.start - now)}.
          </p>
        )}
        {line.brush !== undefined && isWork && (
          <p className="mt-1 text-xl md:text-2xl">
            Brush <strong>{letterOf(line.brush)}</strong>, {operation?.brush?.holds}. {brush}
            {line.mat !== undefined && known.sitting.atHand.mats > 1 ? ` Mat ${line.mat + 1}.` : ''}
          </p>
        )}
        {isWork && step && (
          <>
            <p className="mt-4 text-2xl leading-snug">{unbroken(step.work)}</p>
            {careInSitting(step).map((care) => (
              <p key={care} className="mt-2 text-lg leading-snug">
                {unbroken(care)}
              </p>
            ))}
            {washing && <p className="mt-2 text-lg leading-snug">{washing}</p>}
            <StepCautions step={step} />
            {step.note && <p className="mt-3 border-l-4 border-text pl-3 text-xl italic">{step.note}</p>}
          </>
        )}
        {line.does === 'wash' && (
          <p className="mt-4 text-2xl">
            It is damp for {known.sitting.atHand.dampMinutes} minutes, until{' '}
            {clockAfter(origin, Math.max(now, line.end) + known.sitting.atHand.dampMinutes)}.
          </p>
        )}
        <p className="mt-4 text-lg">
          {next
            ? `Next: ${tellNext(known, line, next, now, origin)}`
            : 'It is the last piece of the evening.'}
        </p>
        <p className="mt-4 flex flex-wrap items-center gap-3">
          <span role="timer" aria-label="Time on this piece" className="text-3xl tabular-nums">
            {describeClock(spent)}
          </span>
          <span className="text-lg text-mute">of {describeClock(line.end - line.start)}</span>
          {onDone && (
            <Button look="strong" className="min-h-11 px-4 text-base" onClick={onDone}>
              Done by these hands
            </Button>
          )}
          <Menu
            look="desk"
            items={[
              { label: 'Begin it again from bare card', onSelect: () => onSpoiled(true) },
              { label: 'Take it out', onSelect: () => onSpoiled(false) },
            ]}
          >
            Panel {number} is spoiled …
          </Menu>
        </p>
      </section>
      {step && (
        <figure className="justify-self-center max-md:hidden">
          <PanelAfterStep
            resolved={resolved}
            step={step}
            height={height}
            label={`Panel ${number} after this piece`}
          />
          <figcaption className="mt-1 text-center text-lead text-mute">after this piece</figcaption>
        </figure>
      )}
    </div>
  );
}

/** `turn to panel 3: Skerry Deep, brush C, dry at 19:42`. */
function tellNext(known: KnownSitting, line: Planned, next: Planned, now: number, origin: string): string {
  const turns =
    keyOf(next) !== keyOf(line) && next.does === 'operation'
      ? `turn to panel ${numberOf(known, next)}: `
      : '';
  const waits =
    next.start > Math.max(line.end, now) + SOON ? `, ready at ${clockAfter(origin, next.start)}` : '';
  return `${turns}${tellLine(known, next)}${waits}.`;
}

/** Minutes as a clock shows them: `1:05`. */
const describeClock = (minutes: number): string =>
  `${Math.floor(minutes)}:${String(Math.floor((minutes * 60) % 60)).padStart(2, '0')}`;
