import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useRaise } from '../../app/useRaise';
import type { KnownSitting } from '../../core/make/sitting/known';
import type { PlannedSitting } from '../../core/make/sitting/plan';
import { whyNotPlanned } from '../../core/make/sitting/record';
import { whyNot } from '../../core/make/sitting/sitting';
import { sittingWorker, type sittingWorker as Worker } from '../../workers/client';
import { heard, inPassing } from '../../workers/door';

type Advice = Awaited<ReturnType<ReturnType<typeof Worker>['advise']>>;

/** What is known of a sitting's plan by now. */
export interface PlanSeen {
  readonly planned?: PlannedSitting;
  /** The part of all rounds of improvement that is done; 1 when it rests. */
  readonly part: number;
  /** Why there is no plan, and what to change. */
  readonly problem?: string;
  readonly advice?: Advice | undefined;
}

const NOTHING: PlanSeen = { part: 0 };

/**
 * The plan of a sitting, better and better while one looks.
 *
 * @param finish  minutes after its beginning by which it is wished to be done
 */
export function usePlan(
  known: KnownSitting | undefined,
  finish: number | undefined,
): PlanSeen & { readonly isEnough: () => void } {
  const raise = useRaise();
  const [seen, setSeen] = useState<PlanSeen & { readonly of?: object }>(NOTHING);
  const { sheets, question } = known ?? {};
  // One question: the same object as long as nothing of it changes.
  const asked = useMemo(
    () => (sheets && question ? { sheets, question, finish } : undefined),
    [sheets, question, finish],
  );
  const begin = useEffectEvent((of: object) => {
    if (!known) return () => {};
    const { record, sitting, heated, gone } = known;
    const problem = goneOf(gone.length) ?? whyNotPlanned(record) ?? whyNot(sitting);
    if (problem) {
      setSeen({ part: 1, problem, of });
      return () => {};
    }
    let wanted = true;
    const show = (change: Partial<PlanSeen>) =>
      wanted && setSeen((now) => ({ ...(now.of === of ? now : NOTHING), ...change, of }));
    const ask = async () => {
      const onBetter = (part: number, planned?: PlannedSitting) =>
        void show(planned ? { planned, part } : { part });
      const answer = await heard(onBetter, (report) => sittingWorker().plan(sitting, {}, report));
      show({ ...answer, part: 1 });
      if (!wanted || 'problem' in answer) return;
      const dried = record.drying === 'heat' ? undefined : heated;
      show({ advice: await sittingWorker().advise(sitting, answer.planned, dried, finish) });
    };
    ask().catch((error: unknown) => wanted && raise(error));
    return () => {
      wanted = false;
      // Nobody waits for a better one.
      inPassing(sittingWorker().rest());
    };
  });
  useEffect(() => (asked ? begin(asked) : undefined), [asked]);
  // What is shown of an earlier question would be read wrongly.
  const shown = seen.of === asked ? seen : NOTHING;
  return { ...shown, isEnough: () => inPassing(sittingWorker().enough()) };
}

const goneOf = (count: number): string | undefined =>
  count > 0
    ? `${count === 1 ? 'A recipe' : `${count} recipes`} of this sitting ${count === 1 ? 'is' : 'are'} no longer here: take ${count === 1 ? 'it' : 'them'} out of it, or bring ${count === 1 ? 'it' : 'them'} back.`
    : undefined;
