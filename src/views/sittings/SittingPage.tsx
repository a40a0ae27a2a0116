import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Command, useCommands } from '../../app/commands';
import { today } from '../../app/log/useLogActions';
import { useDatabase } from '../../app/session';
import { percent } from '../../core/base/words';
import { awaySince } from '../../core/make/sitting/away';
import { keyOf, lastEnd } from '../../core/make/sitting/begun';
import { washingUp } from '../../core/make/sitting/brushwork';
import { criticalLines } from '../../core/make/sitting/critical';
import { doneTimes } from '../../core/make/sitting/evenings';
import type { KnownSitting } from '../../core/make/sitting/known';
import {
  clockAfter,
  minutesBetween,
  originOf,
  RECORD_LIMITS,
  type SittingRecord,
  standOf,
} from '../../core/make/sitting/record';
import { minutesInto, momentOf, runNow } from '../../core/make/sitting/run';
import type { Plan, Planned } from '../../core/make/sitting/sitting';
import { changeSitting, saveSittings } from '../../data/sittings';
import { Button } from '../../ui/Button';
import { tellMoment } from '../../ui/dates';
import { useNotify } from '../../ui/Notices';
import { PageTitle } from '../../ui/PageTitle';
import { TypedField } from '../../ui/TypedField';
import { Before, ByHand, InkAndMaterials, TooLong, WouldHelp } from './Beside';
import { EveningPicture } from './EveningPicture';
import { PanelStrip } from './PanelStrip';
import { SittingSentence } from './SittingSentence';
import { splitOver } from './sittingActions';
import { useLittlePictures } from './useLittlePictures';
import { useNow } from './useNow';
import { useOutlay } from './useOutlay';
import { type PlanSeen, usePlan } from './usePlan';
import { WithSitting } from './WithSitting';

const OrderOfWork = lazy(() => import('./OrderOfWork'));
const OutMenu = lazy(() => import('./OutMenu'));

/** One sitting: its plan as a picture, what is laid out before, and what would help. */
export const SittingPage = () => (
  <WithSitting>{(record, known) => <Sitting key={record.id} record={record} known={known} />}</WithSitting>
);

interface Props {
  readonly record: SittingRecord;
  readonly known: KnownSitting;
}

function Sitting({ record, known }: Props) {
  const db = useDatabase();
  const navigate = useNavigate();
  const notify = useNotify();
  const { run } = record;
  const origin = originOf(record);
  const finish = record.finish === undefined ? undefined : minutesBetween(record.start, record.finish);
  const seen = usePlan(run ? undefined : known, finish);
  const outlay = useOutlay(known);
  const pictures = useLittlePictures(known.sheets);
  const [looked, setLooked] = useState<number>();
  const moment = useNow(run !== undefined && run.endedAt === undefined);
  const isEnded = run?.endedAt !== undefined;
  // One that is ended came as far as its last piece, however much later that was told.
  const shown = useShown(known, seen, run && (isEnded ? lastEnd(run.lines) : minutesInto(run, moment)));
  const now = shown?.now;
  const at = looked ?? now ?? shown?.makespan ?? 0;
  const isNow = at === now && !isEnded && shown?.left === undefined;
  const { change, undo } = useChanges(record);
  const rename = (name: string): string | undefined => {
    if (name === '' || name.length > RECORD_LIMITS.name)
      return `Type a name of up to ${RECORD_LIMITS.name} letters.`;
    change((old) => ({ ...old, name }));
    return undefined;
  };
  const begun = known.record.lots.map((lot) => {
    const group = known.lots.findIndex((one) => one.lot.id === lot.id);
    return Math.max(
      0,
      ...(run?.lines ?? []).filter((line) => line.group === group).map(({ panel }) => panel + 1),
    );
  });
  const split = async (evenings: readonly (readonly number[])[]) => {
    const made = splitOver(
      record,
      known.lots.map(({ lot }) => lot),
      evenings,
      today(),
    );
    const before = await saveSittings(db, made);
    notify({
      text: `${made.length} evenings are planned.`,
      undo: () => {
        const [old] = before;
        void db.sittings
          .bulkDelete(made.slice(1).map(({ id }) => id))
          .then(() => old && saveSittings(db, [old]));
      },
    });
    navigate('/sittings');
  };
  return (
    <main className="min-h-0 flex-1 overflow-y-auto">
      <PageTitle of={record.name} />
      <header className="border-b border-line bg-pane px-4 py-3">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 className="heading min-w-0 flex-1 basis-72 text-title">
            <TypedField
              label="Name of the sitting"
              shown={record.name}
              onCommit={rename}
              isWide
              className="heading -ml-2 max-w-2xl border-transparent bg-transparent text-title"
            />
          </h1>
          {undo && (
            <Button look="bare" className="print:hidden" onClick={undo}>
              Undo
            </Button>
          )}
          {shown && (
            <Suspense fallback={null}>
              <OutMenu {...{ known, outlay, plan: shown, origin }} />
            </Suspense>
          )}
          <Link
            to={`/sittings/${record.id}/desk`}
            aria-disabled={!shown}
            className={`rounded-[3px] border border-strong bg-strong px-3 py-1.5 font-semibold text-on-strong print:hidden ${shown ? '' : 'pointer-events-none opacity-45'}`}
          >
            {isEnded ? 'How it went' : run ? 'Go on at the desk' : 'Work at the desk'}
          </Link>
        </div>
        <div className="mt-1 flex flex-wrap items-end justify-between gap-x-10 gap-y-3">
          <div className="max-w-2xl flex-1 basis-96">
            <SittingSentence record={record} begun={begun} onChange={change} />
          </div>
          <Figures {...{ known, seen, shown, origin, isRunning: run !== undefined }} />
        </div>
      </header>
      <HowItStands
        record={record}
        left={shown?.left}
        onMove={() => change((old) => ({ ...old, date: today() }))}
      />
      {seen.problem && !run && (
        <p role="alert" className="m-4 max-w-2xl border-l-4 border-text pl-3 text-lead">
          {seen.problem}
        </p>
      )}
      {shown ? (
        <>
          <div className="space-y-3 p-4">
            <EveningPicture
              {...{ known, origin, pictures }}
              lines={shown.lines}
              makespan={shown.makespan}
              critical={shown.critical}
              {...(now === undefined ? {} : { now })}
              onLook={setLooked}
            />
            <PanelStrip
              {...{ known, pictures }}
              lines={shown.lines}
              at={at}
              when={isNow ? 'Now' : `By ${clockAfter(origin, at)}`}
              out={new Set(run?.out)}
            />
          </div>
          <div className="grid gap-x-10 gap-y-8 border-t border-line bg-sheet p-4 sm:grid-cols-2 xl:grid-cols-4">
            <div className="sm:col-span-2">
              <Before known={known} plan={shown} outlay={outlay} onChange={change} />
            </div>
            <div className="space-y-8">
              {seen.planned && !run && <ByHand planned={seen.planned} origin={origin} />}
              <InkAndMaterials outlay={outlay} />
            </div>
            {!run && (
              <div className="space-y-8">
                <WouldHelp advice={seen.advice} />
                {record.finish && seen.advice?.by && (
                  <TooLong
                    advice={seen.advice}
                    known={known}
                    finish={record.finish}
                    onSplit={(evenings) => void split(evenings)}
                  />
                )}
              </div>
            )}
          </div>
          <Suspense fallback={null}>
            <OrderOfWork {...{ known, origin }} lines={shown.lines} />
          </Suspense>
        </>
      ) : (
        !seen.problem && (
          <p role="status" className="p-6 text-mute">
            Planning the evening …
          </p>
        )
      )}
    </main>
  );
}

/** Changes of what is planned, each of which can be undone; what was worked meanwhile stays. */
function useChanges({ id }: SittingRecord) {
  const db = useDatabase();
  const [before, setBefore] = useState<readonly SittingRecord[]>([]);
  const change = (to: (now: SittingRecord) => SittingRecord) =>
    void changeSitting(db, id, to).then(
      (old) => old && setBefore((all) => [...all.slice(-MOST_UNDONE), old]),
    );
  const last = before.at(-1);
  const undo = useCallback(() => {
    if (!last) return;
    setBefore((all) => all.slice(0, -1));
    void changeSitting(db, id, ({ run, reserves }) => ({
      ...last,
      ...(run ? { run } : {}),
      ...(reserves ? { reserves } : {}),
    }));
  }, [db, id, last]);
  useCommands(
    useMemo<readonly Command[]>(
      () => (last ? [{ id: 'undo', label: 'Undo', group: 'Sitting', key: 'Ctrl+z', run: undo }] : []),
      [last, undo],
    ),
  );
  return { change, undo: last ? undo : undefined };
}
const MOST_UNDONE = 50;

interface StandsProps {
  readonly record: SittingRecord;
  readonly left: number | undefined;
  readonly onMove: () => void;
}

/** Where a sitting stands that did not go as it was planned: its evening passed without it, or it was left. */
function HowItStands({ record, left, onMove }: StandsProps) {
  const { run } = record;
  if (run && left !== undefined)
    return (
      <p className="mx-4 mt-4 max-w-2xl border-l-4 border-text pl-3 print:hidden">
        It was left at {tellMoment(momentOf(run, left))}. It goes on at the desk, with what it was begun with.
      </p>
    );
  if (standOf(record, today()) !== 'gone by') return null;
  return (
    <p className="mx-4 mt-4 flex max-w-2xl flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-text pl-3 print:hidden">
      Its evening has gone by without it. No card is kept for it until it has another day.
      <Button onClick={onMove}>Move it to today</Button>
    </p>
  );
}

/** A plan as it is shown: of a run, what was done and what is still to come. */
export interface ShownPlan extends Plan {
  readonly critical: ReadonlySet<Planned>;
  /** Where a run has come to, minutes; where it was left, if it was. */
  readonly now?: number;
  /** Since when nobody is there, minutes. */
  readonly left?: number;
}

function useShown(
  known: KnownSitting,
  { planned }: PlanSeen,
  now: number | undefined,
): ShownPlan | undefined {
  const { run } = known.record;
  // A plan is laid out anew each minute, not each second.
  const minute = now === undefined ? undefined : Math.floor(now);
  return useMemo(() => {
    if (!run || minute === undefined)
      return planned && { ...planned.plan, critical: criticalLines(known.sitting, planned.plan) };
    const left =
      run.endedAt === undefined
        ? awaySince(known.sitting, run, runNow(known.sitting, run, minute), minute)
        : undefined;
    const at = left ?? minute;
    const { plan } = runNow(known.sitting, run, at);
    const to: Plan = plan ?? { lines: [], makespan: at, wipes: 0, washes: 0, waiting: 0 };
    const lines = [...run.lines, ...to.lines];
    const cleans = (of: Planned['does']) => lines.filter(({ does }) => does === of).length;
    const ended = run.lines.map(({ end }) => end);
    return {
      lines,
      makespan: Math.max(to.makespan, ...ended),
      wipes: cleans('wipe'),
      washes: cleans('wash'),
      waiting: to.waiting,
      critical: criticalLines(known.sitting, to),
      now: at,
      ...(left === undefined ? {} : { left }),
    };
  }, [known, planned, run, minute]);
}

interface FiguresProps {
  readonly known: KnownSitting;
  readonly seen: PlanSeen & { readonly isEnough: () => void };
  readonly shown: ShownPlan | undefined;
  readonly origin: string;
  readonly isRunning: boolean;
}

/** What the evening comes to: its end, what is cleaned, what is waited, and how good that is. */
function Figures({ known, seen, shown, origin, isRunning }: FiguresProps) {
  if (!shown) return null;
  const { planned, part, isEnough } = seen;
  const by = Math.max(0, ...doneTimes(known.sitting, shown).values(), shown.makespan);
  const first = planned?.naive.inFours ?? planned?.naive.panelAfterPanel;
  const sooner = first ? Math.round(first.makespan - shown.makespan) : 0;
  const toWash = washingUp(known.sitting, shown.lines).minutes;
  const over = planned && planned.bound > 0 ? 100 * (shown.makespan / planned.bound - 1) : undefined;
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-1 text-right [&_dd]:text-xl [&_dd]:font-semibold [&_dd]:tabular-nums [&_dt]:text-mute [&>div]:flex [&>div]:flex-col-reverse">
      <div>
        <dt>all dry{sooner > 0 ? `, ${sooner} min before by hand` : ''}</dt>
        <dd>{clockAfter(origin, by)}</dd>
      </div>
      <div>
        <dt>{shown.washes === 1 ? 'wash' : 'washes'}</dt>
        <dd>{shown.washes}</dd>
      </div>
      <div>
        <dt>{shown.wipes === 1 ? 'wipe' : 'wipes'}</dt>
        <dd>{shown.wipes}</dd>
      </div>
      <div>
        <dt>waiting</dt>
        <dd>{Math.round(shown.waiting)} min</dd>
      </div>
      {toWash > 0 && (
        <div>
          <dt>washing up after</dt>
          <dd>{Math.max(Math.round(toWash), 1)} min</dd>
        </div>
      )}
      {!isRunning && over !== undefined && (
        <div>
          <dt>
            {part < 1 ? (
              <button type="button" className="underline underline-offset-4" onClick={isEnough}>
                stop improving
              </button>
            ) : (
              'at most, from the best there is'
            )}
          </dt>
          <dd>{over < 0.05 ? 'the best' : percent(Math.max(over, 1))}</dd>
        </div>
      )}
      {isRunning && (
        <div>
          <dt>done</dt>
          <dd>
            {new Set((known.record.run?.lines ?? []).filter((line) => isLast(known, line)).map(keyOf)).size}{' '}
            of {known.lots.reduce((sum, { lot }) => sum + lot.count, 0) - (known.record.run?.out.length ?? 0)}
          </dd>
        </div>
      )}
    </dl>
  );
}

const isLast = (known: KnownSitting, { does, group, operation }: Planned): boolean =>
  does === 'operation' && operation === (known.lots[group]?.group.operations.length ?? 0) - 1;
