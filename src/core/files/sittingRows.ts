import { createEvents, type DateArray } from 'ics';
import Papa from 'papaparse';
import { counted } from '../base/words';
import { beginsOn, clockAfter, minutesBetween, type SittingRecord } from '../make/sitting/record';
import type { Planned } from '../make/sitting/sitting';
import type { Hex } from '../materials/colour/hex';
import type { Minutes } from '../sheet/times';
import { FORMULA } from './formula';

/** One piece of an evening's work as it goes out: in words, with its times. */
export interface SittingRow extends Pick<Planned, 'does' | 'start' | 'end' | 'hand'> {
  /** The panel's number in the sitting, from 1. */
  readonly panel: number;
  readonly recipe: string;
  readonly work: string;
  readonly brush?: string;
  /** From 1. */
  readonly mat?: number;
  /** When it is dry after it, minutes. */
  readonly dryAt?: Minutes;
  readonly colour?: Hex;
}

/** The order of work as a table, one piece a line. @param origin  the hour minutes count from */
export const writeSittingCsv = (rows: readonly SittingRow[], origin: string): string =>
  `${Papa.unparse(
    rows.map(({ start, end, hand, panel, recipe, work, brush, mat, dryAt }) => ({
      from: clockAfter(origin, start),
      to: clockAfter(origin, end),
      minutes: Number((end - start).toFixed(2)),
      hands: hand + 1,
      panel,
      recipe,
      work,
      brush: brush ?? '',
      mat: mat ?? '',
      dry_at: dryAt === undefined ? '' : clockAfter(origin, dryAt),
    })),
    { newline: '\r\n', escapeFormulae: FORMULA },
  )}\r\n`;

interface Calendared {
  readonly record: SittingRecord;
  readonly makespan: Minutes;
  readonly panels: number;
  /** What is to be done the day before: pads to re-ink, sheets to buy. */
  readonly before: readonly string[];
}

/** Before it begins there is so long to lay everything out, minutes. */
const LAYING_OUT = 30;

/**
 * The sitting as iCalendar, reminded of half an hour before it, and the day before of what has to be bought or re-inked.
 *
 * Source: RFC 5545.
 */
export function writeSittingCalendar({ record, makespan, panels, before }: Calendared): string {
  const { date, start: origin } = beginsOn(record);
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const [hour = 0, minute = 0] = origin.split(':').map(Number);
  const at = (minutes: Minutes): DateArray => {
    const moment = new Date(year, month - 1, day, hour, minute + Math.round(minutes));
    return [
      moment.getFullYear(),
      moment.getMonth() + 1,
      moment.getDate(),
      moment.getHours(),
      moment.getMinutes(),
    ];
  };
  const alarm = (description: string, hours: number, minutes: number) => ({
    action: 'display' as const,
    description,
    trigger: { hours, minutes, before: true },
  });
  const { error, value } = createEvents(
    [
      {
        uid: `sitting-${record.id}@tint-ladder`,
        title: record.name,
        description: [
          `${counted(panels, 'panel')}, all dry at ${clockAfter(origin, makespan)}.`,
          ...before,
        ].join('\n'),
        start: at(0),
        end: at(Math.max(makespan, 1)),
        alarms: [
          alarm(`Lay out for ${record.name}`, 0, LAYING_OUT),
          ...(before.length > 0 ? [alarm(before.join(' '), 24, 0)] : []),
        ],
        productId: 'Tint Ladder',
      },
      ...record.breaks.flatMap((pause) => {
        const begins = minutesBetween(origin, pause.at);
        // Of one begun late, a break may come only when all is done.
        if (begins >= makespan) return [];
        return {
          uid: `sitting-${record.id}-${pause.id}@tint-ladder`,
          title: 'Break',
          start: at(begins),
          end: at(begins + pause.minutes),
          alarms: [alarm('Break', 0, 0)],
          productId: 'Tint Ladder',
        };
      }),
    ],
    { productId: 'Tint Ladder', calName: 'Sittings' },
  );
  if (error || value === undefined) throw error ?? new Error('no calendar was made');
  return value ?? '';
}
