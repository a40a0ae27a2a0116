import { memoOf } from '../base/memo';

/** One judgement of a difference. */
export interface Judgement {
  readonly level: number;
  readonly isRight: boolean;
}

/** Differences that are tried for a threshold, from the smallest to the largest, evenly in their logarithm. */
interface Scale {
  readonly least: number;
  readonly most: number;
  /** What is expected of a beginner. */
  readonly start: number;
  /** Chances of guessing right. */
  readonly guess: number;
}

const POINTS = 121;
/** How steeply judgement rises with the difference, and how often one slips whatever it is; usual values of the method. */
const [SLOPE, SLIP] = [3, 0.03];
/** How sure one is of a beginner beforehand, in natural logarithm: within a factor of about three. */
const UNSURE = 1.1;
/** Judgements older than so many count no more: an eye learns. */
export const LATEST = 60;

/** How likely a right answer is at a difference, for an eye of some threshold. */
export const chanceOf = (
  level: number,
  threshold: number,
  guess: number,
  slope = SLOPE,
  slip = SLIP,
): number => guess + (1 - guess - slip) * (1 - Math.exp(-((level / threshold) ** slope)));

/**
 * The thresholds that are tried on a scale, in natural logarithm, and how likely each makes a judgement. That is known of a
 * judgement as long as it lives: how an eye stood at the end of each day asks for the same ones again and again.
 */
const triedOn = memoOf(({ least, most, guess }: Scale) => {
  const [low, high] = [Math.log(least / 3), Math.log(most * 1.5)];
  const logs = Array.from({ length: POINTS }, (_, i) => low + ((high - low) * i) / (POINTS - 1));
  const thresholds = logs.map(Math.exp);
  const tellsOf = memoOf(({ level, isRight }: Judgement) =>
    Float64Array.from(thresholds, (threshold) => {
      const chance = chanceOf(level, threshold, guess);
      return Math.log(isRight ? chance : 1 - chance);
    }),
  );
  return { logs, tellsOf };
});

/** What is known of an eye's threshold. */
export interface Threshold {
  /** The difference at which it is about as often right as not, beyond guessing. */
  readonly at: number;
  /** Between which two of three chances lie. */
  readonly from: number;
  readonly to: number;
}

/**
 * The threshold of an eye from its judgements, each at whatever difference it was made: the mean of what is likely after them.
 * The difference to ask next is the threshold itself, where an answer tells most.
 *
 * Source: QUEST, A. B. Watson, D. G. Pelli, Percept. Psychophys. 33 (1983) 113, with the posterior's mean by P. E. King-Smith
 * et al., Vision Res. 34 (1994) 885.
 */
export function thresholdOf(judgements: readonly Judgement[], scale: Scale): Threshold {
  const { logs, tellsOf } = triedOn(scale);
  const likely = logs.map((log) => -((log - Math.log(scale.start)) ** 2) / (2 * UNSURE ** 2));
  for (const judgement of judgements.slice(-LATEST)) {
    const tells = tellsOf(judgement);
    for (let i = 0; i < POINTS; i++) likely[i] = (likely[i] ?? 0) + (tells[i] ?? 0);
  }
  const top = Math.max(...likely);
  const weights = likely.map((log) => Math.exp(log - top));
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = weights.reduce((sum, weight, i) => sum + weight * (logs[i] ?? 0), 0) / whole;
  const spread = Math.sqrt(
    weights.reduce((sum, weight, i) => sum + weight * ((logs[i] ?? 0) - mean) ** 2, 0) / whole,
  );
  return { at: Math.exp(mean), from: Math.exp(mean - spread), to: Math.exp(mean + spread) };
}

/** The difference to ask next: about the threshold, a little easier now and then, so that nobody loses heart. */
export function nextLevel(judgements: readonly Judgement[], scale: Scale, draw: () => number): number {
  const { at } = thresholdOf(judgements, scale);
  const easier = draw() < 0.2 ? 1.8 : 1.15;
  return Math.min(Math.max(at * easier, scale.least), scale.most);
}
