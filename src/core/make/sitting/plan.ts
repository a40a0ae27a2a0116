import { seededRandom } from '../../base/random';
import { evaluate, type Token, type Workbench, workbenchOf } from './evaluate';
import type { AtHand, Operation, Plan, Sitting } from './sitting';

/** A plan, how good it can be said to be, and what plainer ways would cost. */
export interface PlannedSitting {
  readonly plan: Plan;
  /** No plan ends earlier than this, minutes, of those that never leave a panel in the midst of a join. */
  readonly bound: number;
  readonly naive: {
    /** One panel after another, each to its end. */
    readonly panelAfterPanel: number;
    /** One stage of all panels after another. */
    readonly stageByStage: number | undefined;
  };
}

/** Tokens taken out and put back at once, and places tried for each. */
const TORN = 4;
const TRIED = 24;

/**
 * Plans a sitting: list rules first, then iterated greedy, in which a few stages are taken out of the best order and put
 * back where they do best, until the time is up or the bound is reached.
 *
 * Sources: list scheduling, R. L. Graham, Bell Syst. Tech. J. 45 (1966) 1563; iterated greedy, R. Ruiz, T. Stützle, Eur. J.
 * Oper. Res. 177 (2007) 2033.
 *
 * @param steps  rounds of improvement at the most
 * @param isOver  asked now and then whether to stop
 */
export function planSitting(
  sitting: Sitting,
  {
    steps = 400,
    seed = 1,
    isOver = () => false,
  }: { steps?: number; seed?: number; isOver?: () => boolean } = {},
): PlannedSitting {
  const bench = workbenchOf(sitting);
  const bound = lowerBound(bench);
  const orders = RULES.map((rule) => listOrder(bench, rule));
  const naive = { panelAfterPanel: panelAfterPanel(bench), stageByStage: stageByStage(bench) };
  let best: Ordered = [...orders, naive.panelAfterPanel, ...(naive.stageByStage ? [naive.stageByStage] : [])]
    .map((order) => ({ order, plan: evaluate(bench, order) }))
    .reduce((p, q) => (isBetter(q.plan, p.plan) ? q : p));
  if (best.order.length <= EXHAUSTED) best = bestOfAll(bench, best);
  const draw = seededRandom(seed);
  for (let step = 0; step < steps && !isOver(); step++) {
    if (best.plan && best.plan.makespan <= bound + 1e-9) break;
    const next = tornAndMended(bench, best.order, draw);
    // Equally good ones are taken too: they lead on.
    if (next.plan && !isBetter(best.plan, next.plan)) best = next;
  }
  if (!best.plan)
    throw new RangeError('no order of this sitting can be worked: make room for more panels to dry');
  return {
    plan: best.plan,
    bound,
    naive: {
      panelAfterPanel: evaluate(bench, naive.panelAfterPanel)?.makespan ?? Number.POSITIVE_INFINITY,
      stageByStage: naive.stageByStage && evaluate(bench, naive.stageByStage)?.makespan,
    },
  };
}

/** An order and what comes of it. */
interface Ordered {
  readonly order: readonly Token[];
  readonly plan: Plan | undefined;
}

/** So few stages are tried in every order. */
const EXHAUSTED = 7;

/** The best of all orders, each tried once: alike panels change places with nobody. */
function bestOfAll(bench: Workbench, before: Ordered): Ordered {
  let best = before;
  const walk = (order: readonly Token[], left: readonly Token[]): void => {
    if (left.length === 0) {
      const plan = evaluate(bench, order);
      if (isBetter(plan, best.plan)) best = { order, plan };
      return;
    }
    const tried = new Set<string>();
    left.forEach((token, i) => {
      const key = `${token.group} ${token.stage}`;
      if (tried.has(key)) return;
      tried.add(key);
      walk([...order, token], left.toSpliced(i, 1));
    });
  };
  walk([], before.order);
  return best;
}

/** The end first, then the wipes. */
const isBetter = (p: Plan | undefined, q: Plan | undefined): boolean =>
  p !== undefined &&
  (q === undefined ||
    p.makespan < q.makespan - 1e-9 ||
    (p.makespan < q.makespan + 1e-9 && p.wipes < q.wipes));

function tornAndMended(bench: Workbench, order: readonly Token[], draw: () => number) {
  const left = [...order];
  const torn = Array.from({ length: Math.min(TORN, left.length) }, () =>
    left.splice(Math.floor(draw() * left.length), 1),
  ).flat();
  let now: { order: readonly Token[]; plan: Plan | undefined } = { order: left, plan: undefined };
  for (const token of torn) {
    let found: typeof now | undefined;
    const tries = Math.min(TRIED, now.order.length + 1);
    for (let i = 0; i < tries; i++) {
      const at = tries > now.order.length ? i : Math.floor(draw() * (now.order.length + 1));
      const tried = inOrder(bench, now.order.toSpliced(at, 0, token));
      const plan = evaluate(bench, tried);
      if (!found || isBetter(plan, found.plan)) found = { order: tried, plan };
    }
    now = found ?? { order: [...now.order, token], plan: undefined };
  }
  return now;
}

/** Alike panels wait in a row: whichever token of a group and stage comes first is that of the panel that waits longest. */
function inOrder({ stages }: Workbench, order: readonly Token[]): readonly Token[] {
  // A stage that comes before the one it follows changes places with it.
  const counts = stages.map((own) => own.map(() => 0));
  const late: Token[] = [];
  const sorted: Token[] = [];
  const isDue = ({ group, stage }: Token) =>
    stage === 0 || (counts[group]?.[stage - 1] ?? 0) > (counts[group]?.[stage] ?? 0);
  const put = (token: Token) => {
    sorted.push(token);
    const own = counts[token.group];
    if (own) own[token.stage] = (own[token.stage] ?? 0) + 1;
  };
  for (const token of order) {
    if (isDue(token)) put(token);
    else late.push(token);
    for (let i = 0; i < late.length; i++) {
      const one = late[i] as Token;
      if (!isDue(one)) continue;
      late.splice(i, 1);
      put(one);
      i = -1;
    }
  }
  return [...sorted, ...late];
}

/** Work and drying still to come on a panel, from an operation on, minutes. */
const tailOf = (operations: readonly Operation[], from: number): number =>
  operations.slice(from).reduce((sum, { minutes, rest }) => sum + minutes + (rest?.min ?? 0), 0);

interface Candidate extends Token {
  /** When it could begin. */
  readonly start: number;
  readonly tail: number;
  /** Whether its first ink lies on a mat already. */
  readonly sameInk: boolean;
}

/** Which of the stages that can be worked comes next. */
const RULES: readonly ((p: Candidate, q: Candidate) => number)[] = [
  (p, q) => p.start - q.start || q.tail - p.tail,
  (p, q) => p.start - q.start || Number(q.sameInk) - Number(p.sameInk) || q.tail - p.tail,
  (p, q) =>
    Math.max(p.start - q.start, 0) - Math.max(q.start - p.start, 0) || q.tail - p.tail || q.stage - p.stage,
];

/** An order by a rule: at each moment the stage that it puts first among those that wait. */
function listOrder(bench: Workbench, rule: (p: Candidate, q: Candidate) => number): Token[] {
  const { sitting, stages } = bench;
  const { groups, atHand } = sitting;
  const hands = new Float64Array(atHand.hands);
  const order: Token[] = [];
  const ready = groups.map(({ count }, g) =>
    (stages[g] ?? []).map((_, s) => (s === 0 ? Array.from({ length: count }, () => 0) : [])),
  );
  let lastInk: string | undefined;
  const all = groups.reduce((sum, { count }, g) => sum + count * (stages[g]?.length ?? 0), 0);
  while (order.length < all) {
    const hand = hands.indexOf(Math.min(...hands));
    const free = hands[hand] ?? 0;
    const candidates = ready.flatMap((own, group) =>
      own.flatMap((waiting, stage): Candidate[] => {
        const [first] = waiting;
        const operations = groups[group]?.operations ?? [];
        const from = stages[group]?.[stage]?.from ?? 0;
        if (first === undefined) return [];
        return [
          {
            group,
            stage,
            start: Math.max(first, free),
            tail: tailOf(operations, from),
            sameInk: operations[from]?.ink === lastInk,
          },
        ];
      }),
    );
    const [next] = candidates.toSorted(rule);
    if (!next) break;
    const operations = groups[next.group]?.operations ?? [];
    const at = stages[next.group]?.[next.stage] ?? { from: 0, to: 0 };
    ready[next.group]?.[next.stage]?.shift();
    let end = next.start;
    for (let i = at.from; i < at.to; i++) {
      const { ink, minutes, rest } = operations[i] as Operation;
      if (ink !== undefined && ink !== lastInk && atHand.mats === 1) end += atHand.wipeMinutes;
      if (ink !== undefined) lastInk = ink;
      end += minutes + (i < at.to - 1 ? (rest?.min ?? 0) : 0);
    }
    hands[hand] = end;
    const following = ready[next.group]?.[next.stage + 1];
    following?.push(end + (operations[at.to - 1]?.rest?.min ?? 0));
    following?.sort((p, q) => p - q);
    order.push({ group: next.group, stage: next.stage });
  }
  return order;
}

const panelAfterPanel = ({ sitting: { groups }, stages }: Workbench): Token[] =>
  groups.flatMap(({ count }, group) =>
    Array.from({ length: count }, () => (stages[group] ?? []).map((_, stage) => ({ group, stage }))).flat(),
  );

/** Undefined where not all panels can lie at once. */
function stageByStage(bench: Workbench): Token[] | undefined {
  const { sitting, stages } = bench;
  const most = Math.max(0, ...stages.map((own) => own.length));
  const order = Array.from({ length: most }, (_, stage) =>
    sitting.groups.flatMap(({ count }, group) =>
      stage < (stages[group]?.length ?? 0) ? Array.from({ length: count }, () => ({ group, stage })) : [],
    ),
  ).flat();
  return evaluate(bench, order) ? order : undefined;
}

/**
 * No plan that never leaves a stage ends earlier. With one pair of hands, stages are jobs of one machine, each with what has to
 * come before it on its panel and what has to follow: Jackson's preemptive schedule of them is a bound. With two pairs,
 * their share of all work is; and no panel is done before its own work and drying.
 *
 * Source: J. Carlier, Eur. J. Oper. Res. 11 (1982) 42.
 */
export function lowerBound({ sitting, stages }: Workbench): number {
  const groups = sitting.groups
    .map((group, g) => ({ ...group, stages: stages[g] ?? [] }))
    .filter(({ count, operations }) => count > 0 && operations.length > 0);
  if (groups.length === 0) return 0;
  const { hands, wipeMinutes } = sitting.atHand;
  const alone = Math.max(...groups.map(({ operations }) => tailOf(operations, 0)));
  const jobs = groups.flatMap(({ count, operations, stages: own }) =>
    own.flatMap(({ from, to }): Job[] => {
      const inner = operations.slice(from, to);
      const waits = inner.slice(0, -1).reduce((sum, { rest }) => sum + (rest?.min ?? 0), 0);
      const work = inner.reduce((sum, { minutes }) => sum + minutes, waits);
      const last = operations[to - 1]?.rest?.min ?? 0;
      const job = { head: tailOf(operations.slice(0, from), 0), work, tail: last + tailOf(operations, to) };
      return Array.from({ length: count }, () => job);
    }),
  );
  const { inside, begun } = surelyWiped(groups, sitting);
  const wiped = jobs.map((job, i) => ({
    ...job,
    work: job.work + (inside[i] ?? 0) * wipeMinutes + (begun[i] ? wipeMinutes : 0),
  }));
  // The very first of those that begin with a wipe finds a clean mat.
  const spared = begun.some(Boolean) ? wipeMinutes : 0;
  if (hands === 1) return Math.max(alone, jackson(wiped) - spared);
  const all = wiped.reduce((sum, { work }) => sum + work, -spared);
  return Math.max(alone, all / hands + Math.min(...jobs.map(({ tail }) => tail)));
}

/** A stage of one panel as a job of one machine: not before its head, and so much still to come after it, minutes. */
interface Job {
  readonly head: number;
  readonly work: number;
  readonly tail: number;
}

/** The end of Jackson's preemptive schedule: at each moment, of the jobs that can be worked, the one with most to follow. */
function jackson(jobs: readonly Job[]): number {
  const coming = jobs.toSorted((p, q) => p.head - q.head);
  const open: { left: number; readonly tail: number }[] = [];
  let [time, next, end] = [0, 0, 0];
  while (next < coming.length || open.length > 0) {
    if (open.length === 0) time = Math.max(time, coming[next]?.head ?? time);
    for (; next < coming.length && (coming[next]?.head ?? 0) <= time + 1e-9; next++) {
      const { work, tail } = coming[next] as Job;
      const at = open.findIndex((one) => one.tail < tail);
      open.splice(at < 0 ? open.length : at, 0, { left: work, tail });
    }
    const [first] = open;
    if (!first) continue;
    const until = Math.min(time + first.left, coming[next]?.head ?? Number.POSITIVE_INFINITY);
    first.left -= until - time;
    time = until;
    if (first.left > 1e-9) continue;
    end = Math.max(end, time + first.tail);
    open.shift();
  }
  return end;
}

/**
 * Wipes that no order spares, stage by stage in the order of `lowerBound`'s jobs. With one mat each change of ink inside a
 * stage is one, and so is the beginning of a stage whose first ink no stage leaves on the mat; with several, none is sure.
 */
function surelyWiped(
  groups: readonly (Sitting['groups'][number] & { readonly stages: Workbench['stages'][number] })[],
  { atHand }: Sitting,
): { readonly inside: readonly number[]; readonly begun: readonly boolean[] } {
  if (atHand.mats !== 1) return { inside: [], begun: [] };
  const laid = groups.flatMap(({ count, operations, stages: own }) =>
    own.flatMap((stage) => {
      const inks = operations.slice(stage.from, stage.to).flatMap(({ ink }) => ink ?? []);
      const one = { first: inks[0], last: inks.at(-1), inside: innerChanges(operations, [stage]) };
      return Array.from({ length: count }, () => one);
    }),
  );
  const left = new Set(laid.map(({ last }) => last));
  return {
    inside: laid.map(({ inside }) => inside),
    begun: laid.map(({ first }) => first !== undefined && !left.has(first)),
  };
}

function innerChanges(operations: readonly Operation[], stages: Workbench['stages'][number]): number {
  return stages.reduce((sum, { from, to }) => {
    const inks = operations.slice(from, to).flatMap(({ ink }) => ink ?? []);
    return sum + inks.filter((ink, i) => i > 0 && ink !== inks[i - 1]).length;
  }, 0);
}

/** One thing more at hand, and the minutes it saves. */
export interface Help {
  readonly what: string;
  readonly saves: number;
}

const MORE: readonly { readonly what: string; readonly with: (now: AtHand) => AtHand }[] = [
  { what: 'one mat more', with: (now) => ({ ...now, mats: now.mats + 1 }) },
  { what: 'a second pair of hands', with: (now) => ({ ...now, hands: now.hands + 1 }) },
  { what: 'room for six more panels to dry', with: (now) => ({ ...now, places: now.places + 6 }) },
];

/** What would help most: each thing at hand one more, planned anew. */
export const whatWouldHelp = (sitting: Sitting, makespan: number, steps: number): Help[] =>
  MORE.filter(({ what }) => !(what.includes('hands') && sitting.atHand.hands >= 2))
    .map(({ what, with: more }) => ({
      what,
      saves: makespan - planSitting({ ...sitting, atHand: more(sitting.atHand) }, { steps }).plan.makespan,
    }))
    .filter(({ saves }) => saves > 0.5)
    .toSorted((p, q) => q.saves - p.saves);
