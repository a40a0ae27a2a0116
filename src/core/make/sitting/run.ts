import type { Minutes } from '../../sheet/times';
import { type Begun, begunAfter, type DoneLine, keyOf, lastEnd } from './begun';
import { evaluate } from './evaluate';
import { listOrders, mended, plainOrders } from './orders';
import type { BegunWith, SittingRun } from './record';
import { type Plan, type Planned, type Sitting, stagesOf } from './sitting';
import { type Workbench, workbenchOf } from './workbench';
import type { Token } from './works';

const A_MINUTE = 60_000;

/** The latest minute that a run knows of: when the last thing was done, or when the desk was left or taken up. */
function latestOf({ lines, away }: SittingRun): Minutes {
  const last = away?.at(-1);
  return Math.max(lastEnd(lines), last?.to ?? last?.from ?? 0);
}

/** Minutes a run has come by a moment: at least as far as what it knows of, on a clock that was put back, too. */
export const minutesInto = (run: SittingRun, moment: number): Minutes =>
  Math.max((moment - run.begunAt) / A_MINUTE, latestOf(run));

/**
 * A run as it goes on after the clock was put back: from the latest minute it knows of, which is now. Nothing that was done
 * is moved, but when it was begun. The same run where the clock went on as clocks do.
 */
export function onClock(run: SittingRun, moment: number): SittingRun {
  const back = momentOf(run, latestOf(run)) - moment;
  return back > A_MINUTE ? { ...run, begunAt: run.begunAt - back } : run;
}

/** The moment of a run's minute, ms since 1970. */
export const momentOf = ({ begunAt }: Pick<SittingRun, 'begunAt'>, minute: Minutes): number =>
  begunAt + minute * A_MINUTE;

export const beginRun = (
  begunAt: number,
  order: readonly Token[],
  begunWith: BegunWith = { maker: {}, recipes: [] },
): SittingRun => ({
  begunAt,
  with: begunWith,
  lines: [],
  out: [],
  order,
  logged: {},
});

/** A run as it stands: what is still to come, from a moment on. */
export interface RunNow {
  readonly begun: Begun;
  readonly order: readonly Token[];
  /** Undefined where what is left cannot be worked. */
  readonly plan: Plan | undefined;
}

/**
 * What is still to come of a run, laid out from now on in the order that was followed until now: late or early, with more
 * panels or fewer. Where that order cannot be worked any more, by a plain one that can.
 *
 * @param order  another order, where there is a better one
 */
export function runNow(sitting: Sitting, run: SittingRun, now: Minutes, order = run.order): RunNow {
  const begun = begunAfter(sitting, run.lines, now, new Set(run.out));
  const bench = workbenchOf(sitting, begun);
  const left = stillToCome(bench, order);
  const plan = evaluate(bench, left);
  // With nothing left it ends when the last piece did.
  if (plan)
    return { begun, order: left, plan: { ...plan, makespan: Math.max(plan.makespan, lastEnd(run.lines)) } };
  for (const other of [...listOrders(bench), ...Object.values(plainOrders(bench))]) {
    const possible = evaluate(bench, other);
    if (possible) return { begun, order: other, plan: possible };
  }
  return { begun, order: left, plan: undefined };
}

/** A run that follows another order from here on; what is taken back later is found where it was. */
export function withOrder(sitting: Sitting, run: SittingRun, order: readonly Token[]): SittingRun {
  const done = run.lines.flatMap(({ does, group, operation, spoiled }): Token[] => {
    if (does !== 'operation' || spoiled) return [];
    const stage = stagesOf(sitting.groups[group]?.operations ?? []).findIndex(
      ({ from }) => from === operation,
    );
    return stage < 0 ? [] : [{ group, stage }];
  });
  return { ...run, order: [...done, ...order] };
}

/** Of an order, what has not been begun; what it does not know of comes last, and what there is no panel for is left out. */
function stillToCome(bench: Workbench, order: readonly Token[]): readonly Token[] {
  const { sitting, stages, begun } = bench;
  const wanted = sitting.groups.map((_, g) => (stages[g] ?? []).map(() => 0));
  for (const { group, next } of begun.panels)
    (stages[group] ?? []).forEach(({ from }, stage) => {
      const own = wanted[group];
      if (own && from >= next) own[stage] = (own[stage] ?? 0) + 1;
    });
  // What was done came first: of too many alike the last ones stay.
  const kept: Token[] = [];
  for (const token of order.toReversed()) {
    const own = wanted[token.group];
    if (!own || (own[token.stage] ?? 0) <= 0) continue;
    own[token.stage] = (own[token.stage] ?? 0) - 1;
    kept.push(token);
  }
  const more = wanted.flatMap((own, group) =>
    own.flatMap((count, stage) => Array.from({ length: count }, (): Token => ({ group, stage }))),
  );
  return mended(bench, [...kept.reverse(), ...more]);
}

/** The next line of each pair of hands. */
export const nextLines = (plan: Plan | undefined, hands: number): (Planned | undefined)[] =>
  Array.from(
    { length: hands },
    (_, hand) => plan?.lines.filter((line) => line.hand === hand).toSorted((p, q) => p.start - q.start)[0],
  );

/**
 * When a line that is done, or in hand, was begun: when its hands were last free, but no earlier than its panel was ready, its
 * brush was dry and a break was over.
 */
export function begunAt(
  { groups, atHand, breaks = [] }: Sitting,
  { lines }: SittingRun,
  line: Planned,
  now: Minutes,
): Minutes {
  const free = lastEnd(lines.filter(({ hand }) => hand === line.hand));
  const before = lines.findLast(
    (one) => one.does === 'operation' && !one.spoiled && keyOf(one) === keyOf(line),
  );
  const rest = before ? (groups[before.group]?.operations[before.operation]?.rest?.min ?? 0) : 0;
  const ready = line.does === 'operation' && before ? before.end + rest : 0;
  const washed = lines.findLast((one) => one.brush !== undefined && one.brush === line.brush);
  const dry = washed?.does === 'wash' ? washed.end + atHand.dampMinutes : 0;
  const paused = breaks.filter(({ start, minutes }) => start >= free - 1e-9 && start + minutes <= now);
  return Math.min(Math.max(free, ready, dry, ...paused.map(({ start, minutes }) => start + minutes)), now);
}

/** Whether nothing is left to do of a line: its operation is done, its brush not used since it was washed, nor its mat. */
function isDone({ lines }: SittingRun, line: Planned): boolean {
  if (line.does !== 'operation') {
    const on = line.does === 'wash' ? 'brush' : 'mat';
    return lines.findLast((one) => one[on] === line[on])?.does === line.does;
  }
  return lines.some(
    (one) =>
      one.does === 'operation' &&
      !one.spoiled &&
      keyOf(one) === keyOf(line) &&
      one.operation === line.operation,
  );
}

/**
 * A line done now; the same run where that is done already: pressed twice, or in two tabs, it is done once. On a clock that was
 * put back meanwhile it is done no earlier than the last one.
 */
export function withDone(sitting: Sitting, run: SittingRun, line: Planned, now: Minutes): SittingRun {
  if (isDone(run, line)) return run;
  const end = Math.max(now, lastEnd(run.lines));
  return { ...run, lines: [...run.lines, { ...line, start: begunAt(sitting, run, line, end), end }] };
}

/** The last thing done is taken back; its panel is no longer logged. */
export function withoutLast(run: SittingRun): SittingRun {
  const last = run.lines.at(-1);
  if (!last) return run;
  const { [keyOf(last)]: _, ...logged } = run.logged;
  return { ...run, lines: run.lines.slice(0, -1), logged };
}

/** A spoiled panel: begun again from its bare card, or taken out. */
export function withSpoiled(
  run: SittingRun,
  panel: { readonly group: number; readonly panel: number },
  isAgain: boolean,
): SittingRun {
  const key = keyOf(panel);
  return isAgain
    ? { ...run, lines: run.lines.map((line) => (keyOf(line) === key ? { ...line, spoiled: true } : line)) }
    : { ...run, out: [...new Set([...run.out, key])] };
}

/**
 * A panel that was told spoiled is not, after all: what was done of it before counts again, and what was begun anew on another
 * card does not. Whatever else was done meanwhile stays.
 *
 * @param before  the run when it was told
 */
export function withSound(
  run: SittingRun,
  panel: { readonly group: number; readonly panel: number },
  before: SittingRun,
): SittingRun {
  const key = keyOf(panel);
  const wasSound = (line: DoneLine): boolean =>
    before.lines.some(
      (one) => !one.spoiled && keyOf(one) === key && one.operation === line.operation && one.end === line.end,
    );
  return {
    ...run,
    out: run.out.filter((one) => one !== key || before.out.includes(key)),
    lines: run.lines.map((line) => {
      if (keyOf(line) !== key) return line;
      const { spoiled: _, ...rest } = line;
      return wasSound(line) ? rest : { ...rest, spoiled: true };
    }),
  };
}
