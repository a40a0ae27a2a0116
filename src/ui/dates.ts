import { format, formatDistanceStrict, isSameYear, parseISO } from 'date-fns';
import { dayOf } from '../core/base/day';

/** Within this many hours a time is told by how long ago it was. */
const RECENT = 12;

/** When something was, as people say it: `2 hours ago`, `14 November`, `3 May 2024`. */
export function tellDate(at: number, now = Date.now()): string {
  const hours = (now - at) / 3_600_000;
  if (hours >= 0 && hours < 1 / 60) return 'just now';
  if (hours >= 0 && hours < RECENT) return `${formatDistanceStrict(at, now)} ago`;
  return format(at, isSameYear(at, now) ? 'd MMMM' : 'd MMMM yyyy');
}

/** A moment as it is told later: `19:40`, or of another day `2 December, 19:40`. */
export function tellMoment(at: number, now = Date.now()): string {
  const [day, hour] = [dayOf(at), format(at, 'HH:mm')];
  return day === dayOf(now) ? hour : `${tellDay(day, now)}, ${hour}`;
}

/** A day of the calendar, `2026-05-01`, as people say it: `1 May`, or with its year where that is another. */
export function tellDay(day: string, now = Date.now()): string {
  const at = parseISO(day);
  return format(at, isSameYear(at, now) ? 'd MMMM' : 'd MMMM yyyy');
}
