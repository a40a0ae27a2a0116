import { addDays, parseISO } from 'date-fns';
import { dayOf } from '../../core/base/day';
import type { LeftOver } from '../../core/make/sitting/leftOver';
import { type Lot, RECORD_LIMITS, type SittingRecord } from '../../core/make/sitting/record';

/**
 * A sitting's panels on several evenings, a day after another, from today where its own day has passed; the first one stays the
 * sitting it was.
 */
export const splitOver = (
  record: SittingRecord,
  lots: readonly Lot[],
  evenings: readonly (readonly number[])[],
  today: string,
): SittingRecord[] => {
  const from = record.date < today ? today : record.date;
  return evenings.map((counts, evening) => {
    const { reserves: _, ...rest } = record;
    return {
      ...rest,
      ...(evening > 0 ? { id: crypto.randomUUID() } : {}),
      date: dayAfter(from, evening),
      name: nameWith(record, `, evening ${evening + 1} of ${evenings.length}`),
      lots: lots.map((lot, i) => ({ ...lot, count: counts[i] ?? 0 })).filter(({ count }) => count > 0),
    };
  });
};

/** A sitting's name with more behind it, no longer than a name may be. */
const nameWith = ({ name }: SittingRecord, ending: string): string =>
  name.slice(0, RECORD_LIMITS.name - ending.length) + ending;

export const dayAfter = (day: string, days: number): string => dayOf(addDays(parseISO(day), days));

/** A sitting begun again from its settings: as a copy on a day, or as a pattern that has none. */
export function copyOf(
  record: SittingRecord,
  to: { readonly date: string } | 'pattern',
  name = record.name,
): SittingRecord {
  const { run: _, reserves: __, pattern: ___, ...rest } = record;
  const id = crypto.randomUUID();
  return to === 'pattern' ? { ...rest, id, name, pattern: true } : { ...rest, id, name, date: to.date };
}

/** What a sitting that ended early has not begun, as a sitting of another day; undefined where nothing is. */
export function restOf(
  record: SittingRecord,
  lots: readonly Lot[],
  { untouched }: LeftOver,
  date: string,
): SittingRecord | undefined {
  const left = lots
    .map((lot, group) => ({ ...lot, count: untouched[group] ?? 0 }))
    .filter(({ count }) => count > 0);
  return left.length > 0
    ? { ...copyOf(record, { date }, nameWith(record, ', the rest')), lots: left }
    : undefined;
}
