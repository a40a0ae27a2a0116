import { quantile } from 'd3-array';
import { nameOrder } from '../../base/names';
import type { Ink } from '../../materials/ink/ink';
import { evidenceOf } from '../learn/fromLog';
import { missOf } from '../learn/tell';
import { inkNamesOf, type MadePanel } from '../log/made';
import { madeTrios } from '../log/madeTrios';

/** Counts a log is told in. */
export interface LogFigures {
  readonly panels: number;
  /** Different trios made, and how many the shelf has. */
  readonly trios: { readonly made: number; readonly possible: number };
  /** Inks of the shelf by how many panels they are on, most first; those never used are with 0. */
  readonly inks: readonly { readonly ink: Ink; readonly panels: number }[];
  /** Panels a month, `2026-05`, none left out between the first and the last. */
  readonly months: readonly { readonly month: string; readonly panels: number }[];
  /** Median ΔE00 of each panel's readings from what was said of it when it was made, in the order they were made. */
  readonly errors: readonly { readonly number: number; readonly median: number }[];
}

export function figuresOf(log: readonly MadePanel[], shelf: readonly Ink[]): LogFigures {
  const blendable = shelf.filter(({ wished }) => !wished);
  const uses = new Map<string, number>();
  for (const panel of log) for (const name of inkNamesOf(panel)) uses.set(name, (uses.get(name) ?? 0) + 1);
  const n = blendable.length;
  return {
    panels: log.length,
    trios: { made: madeTrios(log).size, possible: (n * (n - 1) * (n - 2)) / 6 },
    inks: blendable
      .map((ink) => ({ ink, panels: uses.get(ink.name) ?? 0 }))
      .toSorted((p, q) => q.panels - p.panels || nameOrder(p.ink.name, q.ink.name)),
    months: monthsOf(log),
    errors: errorsOf(log),
  };
}

function monthsOf(log: readonly MadePanel[]): LogFigures['months'] {
  const counts = new Map<string, number>();
  for (const { date } of log) counts.set(date.slice(0, 7), (counts.get(date.slice(0, 7)) ?? 0) + 1);
  const [first, last] = [[...counts.keys()].sort()[0], [...counts.keys()].sort().at(-1)];
  if (!first || !last) return [];
  const months: { month: string; panels: number }[] = [];
  for (let month = first; month <= last; month = nextMonth(month))
    months.push({ month, panels: counts.get(month) ?? 0 });
  return months;
}

const nextMonth = (month: string): string => {
  const [year = 0, number = 1] = month.split('-').map(Number);
  return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`;
};

/** By the inks as they were known then: a panel's own copies of them. */
const errorsOf = (log: readonly MadePanel[]): LogFigures['errors'] =>
  log
    .filter(({ made, readings }) => made && readings.some(({ wet }) => !wet))
    .toSorted((p, q) => p.number - q.number)
    .flatMap((panel) => {
      const [evidence] = evidenceOf([panel], panel.made?.inks ?? []).panels;
      const median = quantile(evidence?.readings.map(missOf) ?? [], 0.5);
      return median === undefined ? [] : [{ number: panel.number, median }];
    });
