/** How the rungs stand on the value scale. */
export interface Spacing {
  /** ΔL* between neighbours on the value scale, from the palest down. */
  readonly gaps: readonly number[];
  /** Smallest gap over largest, 0…1; 1 is an even ladder. */
  readonly evenness: number;
  /** In words. */
  readonly description: string;
}

/** Two rungs this close in L* stand at one height. */
const ONE_HEIGHT = 5;
/** A gap this many times the smallest, and at least this wide, could take another rung. */
const MISSING = 2.5;
const WIDE = 30;

/** Spacing of rungs from their L*, in the order they lie. Thresholds chosen by eye. */
export function spacingOf(lightness: readonly number[]): Spacing {
  const sorted = lightness.toSorted((p, q) => q - p);
  const gaps = sorted.slice(1).map((l, i) => (sorted[i] as number) - l);
  const widest = Math.max(...gaps);
  const narrowest = Math.min(...gaps);
  const evenness = widest === 0 ? 0 : narrowest / widest;
  const told = describe(gaps, widest, narrowest);
  return {
    gaps,
    evenness,
    description: isInOrder(lightness, sorted) ? told : `${told}; not from light to dark`,
  };
}

/** Whether the rungs grow darker, or paler, all the way across the panel; those at one height may stand either way. */
function isInOrder(lightness: readonly number[], sorted: readonly number[]): boolean {
  const runs = (order: readonly number[]) =>
    order.every((l, i) => Math.abs(l - (sorted[i] as number)) < ONE_HEIGHT);
  return runs(lightness) || runs(lightness.toReversed());
}

function describe(gaps: readonly number[], widest: number, narrowest: number): string {
  const place = (gap: number) =>
    `rungs ${gaps.indexOf(gap) + 1} and ${gaps.indexOf(gap) + 2} from the pale end`;
  if (widest < ONE_HEIGHT) return 'All rungs stand at one height: told apart by hue alone';
  if (narrowest < ONE_HEIGHT) return `Two rungs at one height: ${place(narrowest)}`;
  if (gaps.length > 1 && widest > MISSING * narrowest && widest > WIDE)
    return `Room for a rung between ${place(widest)}`;
  if (gaps.length === 1) return `One step of ${Math.round(widest)} L*`;
  return widest > 1.8 * narrowest ? 'Uneven, but no rung is missing' : 'Evenly spaced';
}
