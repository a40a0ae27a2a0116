import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useDatabase } from '../../app/session';
import { clockAfter, originOf } from '../../core/make/sitting/record';
import { minutesInto, type RunNow, runNow, withOrder } from '../../core/make/sitting/run';
import type { Token } from '../../core/make/sitting/works';
import { changeSitting } from '../../data/sittings';
import { sittingWorker } from '../../workers/client';
import type { RunProps } from './useWork';

/** Off by more than this, minutes, it is planned anew. */
const DRIFT = 3;
/** Rounds of looking for a better order in the midst of the work. */
const ROUNDS = 60;
/** A new order has to save so much, minutes, to be followed in place of the one in hand. */
const WORTH = 1;

/** Plans what is left anew when it has become late, early, more or fewer; says so, and by how much it helped. */
export function useReplanning({
  record,
  known,
  run,
  state,
  isLeft,
}: RunProps & { readonly state: RunNow; readonly isLeft: boolean }): string {
  const db = useDatabase();
  const [news, setNews] = useState('');
  const expected = useRef<
    { readonly makespan: number; readonly question: string; readonly times: number } | undefined
  >(undefined);
  const question = `${known.question} ${run.out.length} ${run.lines.filter(({ spoiled }) => spoiled).length}`;
  const times = run.away?.length ?? 0;
  const makespan = state.plan?.makespan;
  const isWorked = (state.plan?.lines.length ?? 0) > 0 && !isLeft;
  /** Follows an order if it is better from now on, whatever was done while it was looked for; returns when all is dry then. */
  const follow = useEffectEvent(async (order: readonly Token[]): Promise<{ dry: number; saves: number }> => {
    const now = minutesInto(run, Date.now());
    const [as, other] = [runNow(known.sitting, run, now), runNow(known.sitting, run, now, order)];
    const [dry, better] = [as.plan?.makespan ?? Number.POSITIVE_INFINITY, other.plan?.makespan];
    if (better === undefined || dry - better < WORTH) return { dry, saves: 0 };
    await changeSitting(db, record.id, (old) =>
      old.run ? { ...old, run: withOrder(known.sitting, old.run, other.order) } : old,
    );
    return { dry: better, saves: dry - better };
  });
  const plan = useEffectEvent(async (why: string) => {
    const answer = await sittingWorker().plan(known.sitting, {
      begun: state.begun,
      before: state.order,
      rounds: ROUNDS,
    });
    if ('problem' in answer) return;
    const { dry, saves } = await follow(answer.planned.order);
    if (!Number.isFinite(dry)) return;
    expected.current = { makespan: dry, question, times };
    setNews(
      `${why} ${saves > 0 ? `Planned anew, ${Math.round(saves)} min are saved:` : 'The order stays:'} all dry at ${clockAfter(originOf(record), dry)}.`,
    );
  });
  useEffect(() => {
    if (makespan === undefined || !isWorked) return;
    const was = expected.current;
    expected.current ??= { makespan, question, times };
    if (!was) return;
    const off = makespan - was.makespan;
    if (was.question === question && was.times === times && Math.abs(off) < DRIFT) return;
    expected.current = { makespan, question, times };
    const why =
      was.question !== question
        ? 'It is another evening now.'
        : was.times !== times
          ? 'Taken up again.'
          : `${Math.round(Math.abs(off))} min ${off > 0 ? 'late' : 'early'}.`;
    void plan(why);
  }, [makespan, question, times, isWorked]);
  return isLeft ? '' : news;
}
