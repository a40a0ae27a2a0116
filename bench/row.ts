/** One measured figure. `peer` is another library that did the same work in the same run; `ratio` is its time over ours. */
export interface Row {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly budget: number | null;
  readonly ok: boolean;
  readonly peer?: string;
  readonly ratio?: number;
}

export const round = (value: number, digits = 2): number => Number(value.toFixed(digits));

export function row(
  name: string,
  value: number,
  unit: string,
  budget: number | null,
  versus?: { peer: string; value: number },
): Row {
  return {
    name,
    value: round(value),
    unit,
    budget,
    ok: budget === null || value <= budget,
    ...(versus
      ? { peer: `${versus.peer} ${round(versus.value)} ${unit}`, ratio: round(versus.value / value) }
      : {}),
  };
}

/** The value below which the part `q` of the samples lies, 0…1. */
export function quantile(samples: readonly number[], q: number): number {
  const sorted = samples.toSorted((a, b) => a - b);
  return sorted[Math.min(Math.floor(q * sorted.length), sorted.length - 1)] ?? Number.NaN;
}

/** Median time of a piece of work in ms, after a warm-up. */
export function medianTime(work: () => void, times = 15): number {
  for (let i = 0; i < 3; i++) work();
  const samples = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  });
  return quantile(samples, 0.5);
}
