import { quantile } from 'd3-array';
import { nameOrder } from '../../base/names';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { evidenceOf } from '../learn/fromLog';
import { missOf } from '../learn/tell';
import { inkNamesOf, type MadePanel } from '../log/made';
import { madeTrios } from '../log/madeTrios';

/** Counts a log is told in. */
export interface LogFigures {
  readonly panels: number;
  /** Different trios made of inks that are owned and blend, and how many there are of them. */
  readonly trios: { readonly made: number; readonly possible: number };
  /** Inks of the shelf by how many panels they are on, most first; those never used are with 0. */
  readonly inks: readonly { readonly ink: Ink; readonly panels: number }[];
  /** Panels a month, `2026-05`, none left out between the first and the last: the last ten years at the most. */
  readonly months: readonly { readonly month: string; readonly panels: number }[];
  /** Median ΔE00 of each panel's readings from what was said of it when it was made, in the order they were made. */
  readonly errors: readonly { readonly number: number; readonly median: number }[];
}

export function figuresOf(log: readonly MadePanel[], shelf: readonly Ink[]): LogFigures {
  const owned = shelf.filter(({ wished }) => !wished);
  const blendable = owned.filter(({ kind }) => INK_KINDS[kind].blends);
  const uses = new Map<string, number>();
  for (const panel of log) for (const name of inkNamesOf(panel)) uses.set(name, (uses.get(name) ?? 0) + 1);
  const n = blendable.length;
  return {
    panels: log.length,
    trios: {
      made: madeTrios(log, new Set(blendable.map(({ id }) => id))).size,
      possible: (n * (n - 1) * (n - 2)) / 6,
    },
    inks: owned
      .map((ink) => ({ ink, panels: uses.get(ink.name) ?? 0 }))
      .toSorted((p, q) => q.panels - p.panels || nameOrder(p.ink.name, q.ink.name)),
    months: monthsOf(log),
    errors: errorsOf(log),
  };
}

/** A chart has room for so many months; a year that was mistyped does not make it longer. */
const MOST_MONTHS = 120;

function monthsOf(log: readonly MadePanel[]): LogFigures['months'] {
  const counts = new Map<number, number>();
  for (const { date } of log) {
    const [year = 0, number = 1] = date.split('-').map(Number);
    const month = 12 * year + number - 1;
    counts.set(month, (counts.get(month) ?? 0) + 1);
  }
  if (counts.size === 0) return [];
  const last = Math.max(...counts.keys());
  const first = Math.max(Math.min(...counts.keys()), last - MOST_MONTHS + 1);
  return Array.from({ length: last - first + 1 }, (_, i) => {
    const [year, number] = [Math.floor((first + i) / 12), ((first + i) % 12) + 1];
    return {
      month: `${String(year).padStart(4, '0')}-${String(number).padStart(2, '0')}`,
      panels: counts.get(first + i) ?? 0,
    };
  });
}

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
