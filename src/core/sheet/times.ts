export type Minutes = number;

/** Minutes each piece of work takes a maker. */
export interface Pace {
  /** One band of a third of a usual panel. */
  readonly layBand: number;
  /** Going back over one join as wide as a usual panel. */
  readonly goBack: number;
  readonly wipeMat: number;
  readonly heatDry: number;
  /** Loading a third brush from two inks. */
  readonly brew: number;
  /** How long drying in air takes at this desk, as a multiple of what is usual for the ink. */
  readonly airDry: number;
}

/** Starting values, from the middle of what makers say; common practice. */
export const USUAL_PACE: Pace = { layBand: 2, goBack: 0.75, wipeMat: 0.5, heatDry: 1.5, brew: 1, airDry: 1 };

/** Work that a maker can time for themselves. */
export type TimedWork = keyof Pace;

/** How many of the latest timings of one piece of work count. */
export const LATEST_TIMINGS = 7;

/** A maker's own pace: the median of the latest timings of each piece of work, the usual one where there is none. */
export function paceFrom(timings: readonly { readonly work: TimedWork; readonly minutes: number }[]): Pace {
  const own = (Object.keys(USUAL_PACE) as TimedWork[]).flatMap((work) => {
    const times = timings.filter((timing) => timing.work === work).slice(-LATEST_TIMINGS);
    const sorted = times.map(({ minutes }) => minutes).sort((p, q) => p - q);
    const middle = sorted[(sorted.length - 1) >> 1];
    return middle === undefined ? [] : [[work, middle] as const];
  });
  return { ...USUAL_PACE, ...Object.fromEntries(own) };
}

/** Minutes as a maker says them: `45 s`, `2 min`, `2½ min`, `1 h 5 min`. */
export function describeMinutes(minutes: number): string {
  const fives = Math.round(minutes * 12);
  if (fives < 12) return `${fives * 5} s`;
  const halves = Math.round(minutes * 2);
  const whole = Math.floor(halves / 2);
  if (whole >= 60)
    return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
  return `${whole}${halves % 2 === 1 ? '½' : ''} min`;
}
