import { begunAfter, keyOf, lastEnd } from './begun';
import type { SittingRun } from './record';
import type { Sitting } from './sitting';

/** What is not done of a sitting that ends before its last panel. */
export interface LeftOver {
  /** How many panels of each group nobody has begun. */
  readonly untouched: readonly number[];
  /** How many are begun and not done. */
  readonly begun: number;
  /** The keys of either. */
  readonly keys: readonly string[];
}

/** What would be left over if a run ended now; what only lies drying is done. */
export function leftOver(sitting: Sitting, run: SittingRun): LeftOver {
  const left = begunAfter(sitting, run.lines, lastEnd(run.lines), new Set(run.out)).panels.filter(
    ({ group, next }) => next < (sitting.groups[group]?.operations.length ?? 0),
  );
  return {
    untouched: sitting.groups.map(
      (_, g) => left.filter(({ group, next }) => group === g && next === 0).length,
    ),
    begun: left.filter(({ next }) => next > 0).length,
    keys: left.map(keyOf),
  };
}

/** A run without these panels, as they are left over. */
export const withoutPanels = (run: SittingRun, keys: readonly string[]): SittingRun => ({
  ...run,
  out: [...new Set([...run.out, ...keys])],
});

/** The same run with them again. */
export const withPanels = (run: SittingRun, keys: readonly string[]): SittingRun => ({
  ...run,
  out: run.out.filter((key) => !keys.includes(key)),
});
