import { type Break, type Operation, type Sitting, tailOf } from './sitting';
import type { Workbench } from './workbench';

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
  const wiped = jobs.map((job, i) => ({ ...job, work: job.work + (inside[i] ?? 0) }));
  // A mat can be wiped before its panel is ready; one of those that begin with a wipe comes first and
  // finds it clean, be it the one with most to follow.
  const wipes = begun
    .flatMap(({ stages: own, count }) =>
      own
        .map((i): Job => ({ head: 0, work: wipeMinutes, tail: (jobs[i]?.work ?? 0) + (jobs[i]?.tail ?? 0) }))
        .toSorted((p, q) => p.tail - q.tail)
        .slice(0, count),
    )
    .toSorted((p, q) => p.tail - q.tail)
    .slice(0, -1);
  const washes = Array.from({ length: surelyWashed(groups, sitting) }, () => ({
    head: 0,
    work: sitting.atHand.washMinutes,
    tail: 0,
  }));
  const toDo = [...wiped, ...wipes, ...washes];
  if (hands === 1) return Math.max(alone, jackson(toDo, sitting.breaks));
  const all = toDo.reduce((sum, { work }) => sum + work, 0);
  return Math.max(alone, all / hands + Math.min(...jobs.map(({ tail }) => tail)));
}

/** A stage of one panel as a job of one machine: not before its head, and so much still to come after it, minutes. */
interface Job {
  readonly head: number;
  readonly work: number;
  readonly tail: number;
}

/**
 * The end of Jackson's preemptive schedule: at each moment, of the jobs that can be worked, the one with most to follow; in a
 * break none is.
 */
function jackson(jobs: readonly Job[], breaks: readonly Break[] = []): number {
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
    const held = breaks.find(({ start, minutes }) => start <= time + 1e-9 && time < start + minutes - 1e-9);
    if (held) {
      time = held.start + held.minutes;
      continue;
    }
    const rest = breaks.find(({ start }) => start > time)?.start ?? Number.POSITIVE_INFINITY;
    const until = Math.min(time + first.left, rest, coming[next]?.head ?? Number.POSITIVE_INFINITY);
    first.left -= until - time;
    time = until;
    if (first.left > 1e-9) continue;
    end = Math.max(end, time + first.tail);
    open.shift();
  }
  return end;
}

/**
 * Wipes that no order spares, by the place of a stage among `lowerBound`'s jobs: the minutes of those inside it, and the stages
 * that begin with one. With one mat each change of ink inside a stage is a wipe, and so are as many beginnings with an ink as
 * there are more than stages that leave it on the mat; with several mats none is sure.
 */
function surelyWiped(
  groups: readonly (Sitting['groups'][number] & { readonly stages: Workbench['stages'][number] })[],
  { atHand }: Sitting,
): {
  readonly inside: readonly number[];
  /** Of stages that begin with the same ink, how many begin with a wipe. */
  readonly begun: readonly { readonly stages: readonly number[]; readonly count: number }[];
} {
  if (atHand.mats !== 1) return { inside: [], begun: [] };
  const laid = groups.flatMap(({ count, operations, stages: own }) =>
    own.flatMap(({ from, to }) => {
      const inner = operations.slice(from, to);
      const inks = inner.flatMap(({ ink }) => ink ?? []);
      const one = {
        first: inks[0],
        last: inks.at(-1),
        inside: wipedInside(inner, atHand.wipeMinutes),
      };
      return Array.from({ length: count }, () => one);
    }),
  );
  const begun = [...new Set(laid.flatMap(({ first }) => first ?? []))].map((ink) => {
    const left = laid.filter(({ last }) => last === ink).length;
    const begins = laid.flatMap(({ first }, i) => (first === ink ? [i] : []));
    return { stages: begins, count: Math.max(begins.length - left, 0) };
  });
  return { inside: laid.map(({ inside }) => inside), begun };
}

/** Washes that no order spares: colours of a set beyond its brushes. */
function surelyWashed(groups: readonly Sitting['groups'][number][], { atHand }: Sitting): number {
  const colours = new Map<string, Set<string>>();
  for (const { operations } of groups)
    for (const { brush } of operations)
      if (brush) colours.set(brush.set, (colours.get(brush.set) ?? new Set()).add(brush.holds));
  return [...colours].reduce(
    (sum, [set, { size }]) => sum + Math.max(0, size - (atHand.brushes[set] ?? size)),
    0,
  );
}

/** Minutes of wiping inside a stage that no wait in it hides. */
function wipedInside(operations: readonly Operation[], wipeMinutes: number): number {
  let [held, waited, sum]: [string | undefined, number, number] = [undefined, 0, 0];
  for (const { ink, rest } of operations) {
    if (ink !== undefined) {
      if (held !== undefined && held !== ink) sum += Math.max(wipeMinutes - waited, 0);
      held = ink;
      waited = 0;
    }
    waited += rest?.min ?? 0;
  }
  return sum;
}
