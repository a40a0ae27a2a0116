import type { TroubleId } from '../log/troubles';
import { CAUSES } from './causes';
import type { Cause, TroubleContext } from './definition';

/** A cause with how likely it is here. */
export interface RankedCause extends Cause {
  /** Of all causes of the trouble, 0…1; they add up to 1. */
  readonly part: number;
  readonly reason: string | undefined;
}

/** The causes of a trouble, the likeliest for this recipe, card, inks, pads and log first. */
export function findCauses(trouble: TroubleId, context: TroubleContext): RankedCause[] {
  const weighed = CAUSES[trouble].map((cause) => ({ cause, ...(cause.likely?.(context) ?? { weight: 1 }) }));
  const whole = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ cause, weight, reason }) => ({ ...cause, part: weight / whole, reason }))
    .toSorted((p, q) => q.part - p.part);
}

/** From which part on a cause is told with each word; by eye. */
const TOLD = { most: 0.65, likely: 0.4, possible: 0.2 } as const;

/** How likely a cause is, in words: the parts are guesses, and told as such. */
export const tellPart = ({ part }: Pick<RankedCause, 'part'>): string =>
  part > TOLD.most
    ? 'most likely'
    : part > TOLD.likely
      ? 'likely'
      : part > TOLD.possible
        ? 'possible'
        : 'less likely';

/** From so many panels on, and so often, a trouble is said beforehand. */
const OFTEN = { panels: 5, part: 0.2 } as const;

/** What goes wrong often in this log, most often first. */
export function oftenWrong(
  troubles: readonly TroubleId[],
  inLog: TroubleContext['inLog'],
): readonly { readonly trouble: TroubleId; readonly times: number; readonly of: number }[] {
  return troubles
    .map((trouble) => ({ trouble, ...inLog(trouble) }))
    .filter(({ times, of }) => of >= OFTEN.panels && times / of >= OFTEN.part)
    .toSorted((p, q) => q.times - p.times);
}
