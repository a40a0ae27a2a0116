import { today } from '../../app/log/useLogActions';
import { useDatabase } from '../../app/session';
import { counted } from '../../core/base/words';
import { panelOfRun } from '../../core/keep/log/panelOfRun';
import { leaveRun, takeUpRun } from '../../core/make/sitting/away';
import { keyOf } from '../../core/make/sitting/begun';
import { type KnownSitting, numberOf, stepOf } from '../../core/make/sitting/known';
import { leftOver, withoutPanels, withPanels } from '../../core/make/sitting/leftOver';
import { panelsOf, type SittingRecord, type SittingRun } from '../../core/make/sitting/record';
import {
  minutesInto,
  onClock,
  withDone,
  withoutLast,
  withSound,
  withSpoiled,
} from '../../core/make/sitting/run';
import type { Planned } from '../../core/make/sitting/sitting';
import { USUAL_PACE } from '../../core/sheet/times';
import { timingOf } from '../../core/sheet/timing';
import { removePanels } from '../../data/panels';
import { changeSitting, logOfSitting, removeSittings, saveSittings } from '../../data/sittings';
import { addTiming } from '../../data/timings';
import { useNotify } from '../../ui/Notices';
import { dayAfter, restOf } from './sittingActions';

/** A sitting that is being worked. */
export interface RunProps {
  readonly record: SittingRecord;
  readonly known: KnownSitting;
  readonly run: SittingRun;
}

/** What is done at the desk: a piece done or taken back, its panel spoiled, the desk left, the evening ended. */
export function useWork({ record, known, run }: RunProps) {
  const db = useDatabase();
  const notify = useNotify();
  const change = (to: (run: SittingRun) => SittingRun) =>
    changeSitting(db, record.id, (old) => (old.run ? { ...old, run: to(old.run) } : old));
  const done = async (line: Planned) => {
    const at = minutesInto(run, Date.now());
    const before = (await change((old) => withDone(known.sitting, old, line, at)))?.run;
    const after = before && withDone(known.sitting, before, line, at);
    if (!after || after === before) return;
    const last = after.lines.at(-1);
    const step = stepOf(known, line);
    if (line.does !== 'operation' || !last || !step) return;
    const timing = timingOf(step, last.end - last.start, known.maker.pace ?? USUAL_PACE);
    if (timing) await addTiming(db, timing.work, timing.minutes);
    const finished = panelOfRun(known, after, line, today());
    if (finished) await logOfSitting(db, record.id, keyOf(line), finished);
  };
  const back = async () => {
    const before = (await change(withoutLast))?.run;
    const last = before?.lines.at(-1);
    const logged = last && before?.logged[keyOf(last)];
    if (logged !== undefined) await removePanels(db, [logged]);
  };
  const spoil = async (line: Planned, isAgain: boolean) => {
    const before = (await change((old) => withSpoiled(old, line, isAgain)))?.run;
    if (!before) return;
    notify({
      text: `Panel ${numberOf(known, line)} ${isAgain ? 'is begun again from its bare card' : 'is taken out'}.`,
      undo: () => void change((old) => withSound(old, line, before)),
    });
  };
  const leave = () => change((old) => leaveRun(old, minutesInto(old, Date.now())));
  const goOn = (since: number) => change((old) => takeUpRun(old, since, minutesInto(old, Date.now())));
  /** On a clock that was put back the run goes on from here. */
  const putRight = () => change((old) => onClock(old, Date.now()));
  /** Ends with what is done: the rest is taken out, and what is bare card still is planned for tomorrow. */
  const endHere = async () => {
    const before = (await change((old) => withoutPanels(old, leftOver(known.sitting, old).keys)))?.run;
    if (!before) return;
    const over = leftOver(known.sitting, before);
    const own = known.lots.map(({ lot }) => lot);
    const rest = restOf(record, own, over, dayAfter(today(), 1));
    if (rest) await saveSittings(db, [rest]);
    notify({
      text: rest
        ? `${counted(panelsOf(rest), 'panel')} ${panelsOf(rest) === 1 ? 'stands' : 'stand'} in your sittings for tomorrow.`
        : 'What was not done is taken out.',
      undo: () => {
        void change((old) => withPanels(old, over.keys));
        if (rest) void removeSittings(db, [rest.id]);
      },
    });
  };
  return { done, back, spoil, leave, goOn, endHere, putRight };
}
