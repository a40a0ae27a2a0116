import type { Step, StepKind } from './desk';
import type { Pace, TimedWork } from './times';

/** Work whose time is worth remembering, by the kind of step. */
const TIMED: Partial<Record<StepKind, TimedWork>> = { lay: 'layBand', 'go back': 'goBack', brew: 'brew' };

/** Less than this part of what was expected was no work, somebody leafed through; more than so many times it was tea. */
const BELIEVABLE = { from: 0.5, to: 3 } as const;

/**
 * What the time a step took says of the maker's pace, as a piece of work of usual size.
 *
 * @param pace  the pace the step's own minutes were reckoned with
 * @returns undefined for work that is not timed, and for a time nobody would believe
 */
export function timingOf(
  { kind, minutes: expected }: Pick<Step, 'kind' | 'minutes'>,
  minutes: number,
  pace: Pace,
): { readonly work: TimedWork; readonly minutes: number } | undefined {
  const work = TIMED[kind];
  if (!work || !expected) return undefined;
  if (minutes < expected * BELIEVABLE.from || minutes > expected * BELIEVABLE.to) return undefined;
  return { work, minutes: (minutes / expected) * pace[work] };
}
