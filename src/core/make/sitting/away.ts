import type { Minutes } from '../../sheet/times';
import { lastEnd } from './begun';
import { RECORD_LIMITS, type SittingRun } from './record';
import { begunAt, nextLines, type RunNow } from './run';
import type { Planned, Sitting } from './sitting';

/** Who takes so much longer over a piece than it was planned, minutes, has left the desk; from memory. */
const LEFT = 45;

/**
 * Since when nobody has been at the desk: since the run was left, or since the last thing that was done where the pieces in hand
 * should have been done long ago.
 *
 * @param state  the run as it stands now
 * @returns minutes of the run; undefined where somebody is there, or only what dries is waited for
 */
export function awaySince(
  sitting: Sitting,
  run: SittingRun,
  { plan }: RunNow,
  now: Minutes,
): Minutes | undefined {
  const left = leftAt(run);
  if (left !== undefined) return left;
  const last = lastEnd(run.lines);
  const isLate = (line: Planned): boolean =>
    now - begunAt(sitting, run, line, now) > line.end - line.start + LEFT;
  // A piece that can begin only later is waited for: for its panel to dry, or for a brush in the other hands.
  const inHand = nextLines(plan, sitting.atHand.hands)
    .filter((line) => line !== undefined)
    .filter(({ start }) => start <= now);
  return now - last > LEFT && inHand.length > 0 && inHand.every(isLate) ? last : undefined;
}

/** Since when a run is left by a press, minutes; undefined where it is not. */
export function leftAt({ away }: Pick<SittingRun, 'away'>): Minutes | undefined {
  const last = away?.at(-1);
  return last?.to === undefined ? last?.from : undefined;
}

/** A run that is left now; one that is left already stays so. */
export const leaveRun = (run: SittingRun, now: Minutes): SittingRun =>
  leftAt(run) === undefined
    ? { ...run, away: [...(run.away ?? []), { from: now }].slice(-RECORD_LIMITS.away) }
    : run;

/**
 * A run that is taken up again now: nothing was worked meanwhile, but what lay drying has dried.
 *
 * @param since  since when nobody was there, as `awaySince` has it
 */
export function takeUpRun(run: SittingRun, since: Minutes, now: Minutes): SittingRun {
  const { away = [] } = run;
  const from = leftAt(run) ?? since;
  const before = leftAt(run) === undefined ? away : away.slice(0, -1);
  return { ...run, away: [...before, { from, to: Math.max(now, from) }].slice(-RECORD_LIMITS.away) };
}
