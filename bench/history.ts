/** One run of the bench: when, and its rows by name. */
export interface BenchRun {
  readonly at: string;
  readonly values: Readonly<Record<string, number>>;
}

/** How a row stands to the runs before. */
export interface Comparison {
  /** Their median, and by how much they vary, as a standard deviation. */
  readonly usual: number;
  readonly spread: number;
  /** Absent where it is within its noise. */
  readonly moved?: 'up' | 'down';
}

/** So many runs of the bench are kept, the newest last. */
const KEPT = 10;
/** Fewer earlier values of a row than that say nothing of its noise. */
const ENOUGH = 5;
/** A row has moved if it is so many deviations off what it usually is, and by that part of it. */
const BEYOND = { deviations: 3, part: 0.08 } as const;
/** From a median absolute deviation to a standard deviation, where values spread normally. */
const TO_DEVIATION = 1.4826;

function medianOf(values: readonly number[]): number {
  const sorted = values.toSorted((p, q) => p - q);
  const middle = sorted.length >> 1;
  const upper = sorted[middle] ?? Number.NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[middle - 1] ?? Number.NaN) + upper) / 2;
}

/** The runs with one more, of which the last ten stay. */
export const withRun = (runs: readonly BenchRun[], run: BenchRun): BenchRun[] => [...runs, run].slice(-KEPT);

/**
 * What a row usually is, by how much that varies from run to run, and whether this value is beyond that. A slow day makes
 * all rows slow and all of them vary; a slow change moves a few beyond what they do by themselves.
 *
 * @returns undefined with too few earlier runs
 */
export function compareWith(runs: readonly BenchRun[], name: string, value: number): Comparison | undefined {
  const earlier = runs.flatMap(({ values }) => values[name] ?? []);
  if (earlier.length < ENOUGH) return undefined;
  const usual = medianOf(earlier);
  const spread = TO_DEVIATION * medianOf(earlier.map((one) => Math.abs(one - usual)));
  const off = Math.abs(value - usual);
  const isBeyond = off > BEYOND.deviations * spread && off > BEYOND.part * Math.abs(usual);
  return { usual, spread, ...(isBeyond ? { moved: value > usual ? 'up' : 'down' } : {}) };
}
