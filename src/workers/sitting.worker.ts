import { expose } from 'comlink';
import type { Begun } from '../core/make/sitting/begun';
import { type Counts, mostBy, splitEvenings } from '../core/make/sitting/evenings';
import { type Help, helpOf, noticed, variationsOf } from '../core/make/sitting/help';
import { type PlannedSitting, planSitting } from '../core/make/sitting/plan';
import type { PanelGroup, Plan, Sitting } from '../core/make/sitting/sitting';
import type { Token } from '../core/make/sitting/works';
import { breathe } from './breathe';

/** Rounds of the first plan, which is shown at once; of each one after it; and in all. */
const ROUNDS = { first: 4, each: 10, all: 300 } as const;
/** How often it is told how far the search is, ms: what is told is drawn. */
const TOLD_EVERY = 250;
/** Rounds a plan gets that is only asked how long it takes. */
const ASKED = { steps: 6 } as const;

let newest = 0;
/** Whether whoever looks says of the plan that is being improved that it is good enough. */
let isEnough = false;

/** Whether two plans come to the same, in whatever order: then neither is worth being drawn for the other. */
const isAlike = (p: Plan, q: Plan): boolean =>
  p.makespan === q.makespan && p.wipes === q.wipes && p.washes === q.washes && p.waiting === q.waiting;

/** What a sitting comes to: its plan, or what stands in its way. */
export type Answer = { readonly planned: PlannedSitting } | { readonly problem: string };

/** What else is worth knowing of a sitting, beside its plan. */
export interface SittingAdvice {
  readonly help: readonly Help[];
  /** How many panels of each lot are dry by the hour wished for; and the evenings it takes, where one is too short. */
  readonly by?: Counts;
  readonly evenings?: readonly Counts[];
}

const door = {
  /**
   * Plans a sitting, better and better, until there is nothing to gain, it is good enough, or a newer question comes.
   *
   * @param onBetter  told now and then the part of all rounds that is done, and the plan where it is better than the one before
   * @returns the best that was found by then
   */
  async plan(
    sitting: Sitting,
    {
      rounds = ROUNDS.all,
      ...from
    }: { readonly begun?: Begun; readonly before?: readonly Token[]; readonly rounds?: number },
    onBetter: (part: number, planned?: PlannedSitting) => void = () => {},
  ): Promise<Answer> {
    const mine = ++newest;
    isEnough = false;
    try {
      let best = planSitting(sitting, { ...from, steps: ROUNDS.first });
      let shown: Plan | undefined;
      let toldAt = 0;
      const tell = (part: number): void => {
        toldAt = performance.now();
        if (shown && isAlike(best.plan, shown)) onBetter(part);
        else onBetter(part, best);
        shown = best.plan;
      };
      tell(ROUNDS.first / rounds);
      for (let done: number = ROUNDS.first; done < rounds; done += ROUNDS.each) {
        await breathe();
        if (mine !== newest || isEnough) break;
        const isBest = !from.begun && best.plan.makespan <= best.bound + 1e-9;
        best = planSitting(sitting, { ...from, before: best.order, steps: ROUNDS.each, seed: done });
        if (isBest) break;
        if (performance.now() - toldAt >= TOLD_EVERY) tell(Math.min((done + ROUNDS.each) / rounds, 1));
      }
      return { planned: best };
    } catch (error) {
      if (error instanceof RangeError) return { problem: error.message };
      throw error;
    }
  },

  /** No more rounds: the plan stays as it is. What is worth knowing beside it is still worked out. */
  enough(): void {
    isEnough = true;
  },

  /** Nobody waits for an answer any more. */
  rest(): void {
    newest++;
  },

  /** What would help, and what an hour leaves time for; nothing more once a newer question comes, or it is to rest. */
  async advise(
    sitting: Sitting,
    { plan, order }: Pick<PlannedSitting, 'plan' | 'order'>,
    dried: readonly PanelGroup[] | undefined,
    finish: number | undefined,
  ): Promise<SittingAdvice> {
    const mine = newest;
    const tried: Help[] = [];
    for (const one of variationsOf(sitting, dried)) {
      await breathe();
      if (mine !== newest) return { help: [] };
      // Heat in place of air makes other stages of it.
      tried.push(
        helpOf(one, plan, one.sitting.groups === sitting.groups ? { ...ASKED, before: order } : ASKED),
      );
    }
    const help = noticed(tried);
    if (finish === undefined || plan.makespan <= finish + 1e-9) return { help };
    await breathe();
    if (mine !== newest) return { help };
    const by = mostBy(
      sitting,
      sitting.groups.map(({ count }) => count),
      finish,
      ASKED,
    );
    await breathe();
    if (mine !== newest) return { help, by };
    const evenings = splitEvenings(sitting, finish, ASKED);
    return { help, by, ...(evenings ? { evenings } : {}) };
  },
};

export type SittingDoor = typeof door;
expose(door);
