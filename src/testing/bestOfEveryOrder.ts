import type { Sitting } from '../core/make/sitting/sitting';

interface State {
  readonly clock: number;
  /** Of each panel: its next piece of work, when it can be begun, and when it must have begun. */
  readonly next: readonly number[];
  readonly ready: readonly number[];
  readonly due: readonly number[];
  readonly mats: readonly (string | undefined)[];
  /** The panel in the midst of a join: nothing else is worked on. */
  readonly bound: number | undefined;
  readonly end: number;
}

/**
 * The earliest end of a sitting of single panels on one pair of hands, by branch and bound over every order of every piece of
 * work and every wipe. It shares nothing with the planner but the types.
 *
 * @param known  an end that can be had: only what ends earlier is looked for
 */
export function bestOfEveryOrder({ groups, atHand }: Sitting, known: number): number {
  const pieces = groups.map(({ operations }) => operations);
  let best = known;
  const leastEnd = ({ clock, next, end }: State): number =>
    Math.max(
      end,
      clock +
        pieces.reduce(
          (sum, own, p) => sum + own.slice(next[p]).reduce((all, { minutes }) => all + minutes, 0),
          0,
        ),
    );
  const walk = (state: State): void => {
    if (leastEnd(state) >= best - 1e-9) return;
    const { clock, next, ready, due, mats, bound, end } = state;
    if (next.every((at, p) => at === pieces[p]?.length)) {
      best = end;
      return;
    }
    for (const [p, own] of pieces.entries()) {
      const work = own[next[p] ?? 0];
      if (!work || (bound !== undefined && bound !== p)) continue;
      const start = Math.max(clock, ready[p] ?? 0);
      if (start > (due[p] ?? 0) + 1e-9) return;
      const from =
        work.ink === undefined
          ? [undefined]
          : mats.flatMap((ink, m) => (ink === undefined || ink === work.ink ? [m] : []));
      for (const mat of from) {
        const done = start + work.minutes;
        const { min = 0, max } = work.rest ?? {};
        const isLast = (next[p] ?? 0) + 1 === own.length;
        walk({
          clock: done,
          next: next.with(p, (next[p] ?? 0) + 1),
          ready: ready.with(p, done + min),
          due: due.with(p, max === undefined ? Number.POSITIVE_INFINITY : done + max),
          mats: mat === undefined ? mats : mats.with(mat, work.ink),
          bound: max !== undefined && !isLast ? p : undefined,
          end: Math.max(end, done + min),
        });
      }
    }
    // A wipe is of use only where an ink is still to come that lies on no mat.
    const isWanted = pieces.some((own, p) =>
      own.slice(next[p]).some(({ ink }) => ink !== undefined && !mats.includes(ink)),
    );
    for (const [m, ink] of mats.entries())
      if (ink !== undefined && isWanted && !mats.includes(undefined))
        walk({ ...state, clock: clock + atHand.wipeMinutes, mats: mats.with(m, undefined) });
  };
  walk({
    clock: 0,
    next: pieces.map(() => 0),
    ready: pieces.map(() => 0),
    due: pieces.map(() => Number.POSITIVE_INFINITY),
    mats: Array.from({ length: atHand.mats }, () => undefined),
    bound: undefined,
    end: 0,
  });
  return best;
}
