import { seededRandom } from '../../base/random';
import type { Begun } from './begun';
import { lowerBound } from './bound';
import { evaluate, type Outcome, outcomeOf } from './evaluate';
import { listOrders, mended, plainOrders } from './orders';
import type { Plan, Sitting } from './sitting';
import { type Workbench, workbenchOf } from './workbench';
import type { Token } from './works';

/** A plan, how good it can be said to be, and what plainer ways would cost. */
export interface PlannedSitting {
  readonly plan: Plan;
  /** What comes one after another: the same again from somewhere in the midst is laid out by `evaluate`. */
  readonly order: readonly Token[];
  /** No plan ends earlier than this, minutes, of those that never leave a panel in the midst of a join; of what is not begun. */
  readonly bound: number;
  readonly naive: Naive;
}

/** What makers do by hand, each worked out like the plan; absent where there is no room for it to dry. */
export interface Naive {
  /** One panel after another, each to its end. */
  readonly panelAfterPanel?: Plan;
  /** One stage of all panels after another. */
  readonly stageByStage?: Plan;
  /** One recipe after another, four panels at a time, a stage of all four after another. */
  readonly inFours?: Plan;
}

/** Tokens taken out and put back at once, and places tried for each. */
const TORN = 4;
const TRIED = 24;

export interface Planning {
  /** Rounds of improvement at the most. */
  readonly steps?: number;
  readonly seed?: number;
  /** Asked now and then whether to stop. */
  readonly isOver?: () => boolean;
  /** How far the sitting has come. */
  readonly begun?: Begun;
  /** An order to begin with, beside those of the rules: the one that was followed until now. */
  readonly before?: readonly Token[];
}

/**
 * Plans a sitting: list rules first, then iterated greedy, in which a few stages are taken out of the best order and put
 * back where they do best, until the time is up or the bound is reached.
 *
 * Sources: list scheduling, R. L. Graham, Bell Syst. Tech. J. 45 (1966) 1563; iterated greedy, R. Ruiz, T. Stützle, Eur. J.
 * Oper. Res. 177 (2007) 2033.
 *
 * @throws RangeError where no order of it can be worked
 */
export function planSitting(
  sitting: Sitting,
  { steps = 400, seed = 1, isOver = () => false, begun, before = [] }: Planning = {},
): PlannedSitting {
  const bench = workbenchOf(sitting, begun);
  const wants = sitting.wants ?? 'early';
  const isBetter = BETTER[wants];
  const bound = begun ? 0 : lowerBound(bench);
  const plain = plainOrders(bench);
  const orders = [...listOrders(bench), ...Object.values(plain), ...(before.length > 0 ? [before] : [])];
  let best: Ordered = orders
    .map((order) => ({ order, comesTo: outcomeOf(bench, order) }))
    .reduce((p, q) => (isBetter(q.comesTo, p.comesTo) ? q : p));
  if (best.order.length <= EXHAUSTED) best = bestOfAll(bench, best, isBetter, steps * TRIED_A_STEP);
  const draw = seededRandom(seed);
  let idle = 0;
  for (let step = 0; step < steps && !isOver(); step++) {
    // No end is earlier than the bound: then a little longer for fewer wipes and washes.
    const isDone = wants === 'early' && best.comesTo !== undefined && best.comesTo.makespan <= bound + 1e-9;
    if (best.order.length < 2 || (isDone && idle >= IDLE)) break;
    const change = draw() < BLOCKS ? movedBlock : tornAndMended;
    const next = change(bench, best.order, draw, isBetter);
    idle = isBetter(next.comesTo, best.comesTo) ? 0 : idle + 1;
    // Equally good ones are taken too: they lead on.
    if (next.comesTo && !isBetter(best.comesTo, next.comesTo)) best = next;
  }
  const laidOut = evaluate(bench, best.order);
  if (!laidOut)
    throw new RangeError('No order of this sitting can be worked: make room for more panels to dry.');
  const naive = Object.fromEntries(
    Object.entries(plain).map(([way, order]) => [way, evaluate(bench, order)]),
  ) as Naive;
  return { plan: laidOut, order: best.order, bound, naive };
}

/** An order and what comes of it. */
interface Ordered {
  readonly order: readonly Token[];
  readonly comesTo: Outcome | undefined;
}

/** Rounds without a gain after which a plan that ends as early as can be is left as it is. */
const IDLE = 10;

/** So few stages are tried in every order. */
const EXHAUSTED = 8;

/**
 * The best of all orders, by branch and bound: alike panels change places with nobody, and after each stage any mat that has
 * ink on it may be wiped ahead.
 */
function bestOfAll(bench: Workbench, before: Ordered, isBetter: IsBetter, most: number): Ordered {
  const { groups, atHand, wants } = bench.sitting;
  const workOf = ({ group, stage }: Token): number => {
    const { from, to } = bench.stages[group]?.[stage] ?? { from: 0, to: 0 };
    return (groups[group]?.operations ?? []).slice(from, to).reduce((sum, { minutes }) => sum + minutes, 0);
  };
  const mats =
    atHand.mats > 0 ? Array.from({ length: 2 ** Math.min(atHand.mats, 2) }, (_, bits) => bits) : [0];
  let best = before;
  let left = most;
  const walk = (order: readonly Token[], rest: readonly Token[]): void => {
    const comesTo = order.length > 0 ? outcomeOf(bench, order) : undefined;
    if (order.length > 0 && (!comesTo || left-- < 0)) return;
    if (rest.length === 0) {
      if (isBetter(comesTo, best.comesTo)) best = { order, comesTo };
      return;
    }
    const worked = comesTo?.worked ?? 0;
    const least = atHand.hands > 1 ? worked : worked + rest.reduce((sum, token) => sum + workOf(token), 0);
    const { comesTo: known } = best;
    if (wants !== 'clean' && known && Math.max(least, comesTo?.makespan ?? 0) > known.makespan + 1e-9) return;
    const tried = new Set<string>();
    rest.forEach((token, i) => {
      const key = `${token.group} ${token.stage}`;
      if (tried.has(key)) return;
      tried.add(key);
      for (const bits of mats) {
        const wipesAfter = [0, 1].filter((mat) => bits & (1 << mat));
        walk([...order, bits > 0 ? { ...token, wipesAfter } : token], rest.toSpliced(i, 1));
      }
    });
  };
  walk([], before.order);
  return best;
}
/** Branches tried for each round of improvement that was asked for. */
const TRIED_A_STEP = 100;

type IsBetter = (p: Outcome | undefined, q: Outcome | undefined) => boolean;

/** What counts, first things first. */
const COUNTS: Readonly<Record<'early' | 'clean', readonly ((of: Outcome) => number)[]>> = {
  early: [
    ({ makespan }) => makespan,
    ({ wipes, washes }) => washes * WASH_WEIGHS + wipes,
    ({ waiting }) => waiting,
  ],
  clean: [
    ({ wipes, washes }) => washes * WASH_WEIGHS + wipes,
    ({ makespan }) => makespan,
    ({ waiting }) => waiting,
  ],
};
/** A wash is as unwelcome as so many wipes. */
const WASH_WEIGHS = 3;

const better =
  (counts: readonly ((of: Outcome) => number)[]): IsBetter =>
  (p, q) => {
    if (!p || !q) return p !== undefined;
    for (const of of counts) {
      const less = of(q) - of(p);
      if (Math.abs(less) > 1e-9) return less > 0;
    }
    return false;
  };
const BETTER = { early: better(COUNTS.early), clean: better(COUNTS.clean) } as const;

/** How often a row of stages is moved whole: a recipe's turn, which single stages seldom leave. */
const BLOCKS = 0.4;
const LONGEST = 24;

function movedBlock(
  bench: Workbench,
  order: readonly Token[],
  draw: () => number,
  isBetter: IsBetter,
): Ordered {
  const many = Math.min(2 + Math.floor(draw() * LONGEST), order.length - 1);
  const from = Math.floor(draw() * (order.length - many + 1));
  const block = order.slice(from, from + many);
  const others = order.toSpliced(from, many);
  let found: Ordered | undefined;
  for (let i = 0; i < TRIED; i++) {
    const at = Math.floor(draw() * (others.length + 1));
    const tried = mended(bench, others.toSpliced(at, 0, ...block));
    const comesTo = outcomeOf(bench, tried);
    if (!found || isBetter(comesTo, found.comesTo)) found = { order: tried, comesTo };
  }
  return found ?? { order, comesTo: undefined };
}

function tornAndMended(
  bench: Workbench,
  order: readonly Token[],
  draw: () => number,
  isBetter: IsBetter,
): Ordered {
  const left = [...order];
  const torn = Array.from({ length: Math.min(TORN, left.length) }, () =>
    left.splice(Math.floor(draw() * left.length), 1),
  ).flat();
  let now: Ordered = { order: left, comesTo: undefined };
  for (const token of torn) {
    let found: Ordered | undefined;
    const tries = Math.min(TRIED, now.order.length + 1);
    for (let i = 0; i < tries; i++) {
      const at = tries > now.order.length ? i : Math.floor(draw() * (now.order.length + 1));
      const tried = mended(bench, now.order.toSpliced(at, 0, token));
      const comesTo = outcomeOf(bench, tried);
      if (!found || isBetter(comesTo, found.comesTo)) found = { order: tried, comesTo };
    }
    now = found ?? { order: [...now.order, token], comesTo: undefined };
  }
  return now;
}
