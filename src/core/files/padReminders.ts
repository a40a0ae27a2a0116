import { createEvents, type DateArray } from 'ics';
import { dueDay, type PadState, tellPad } from '../keep/pads/pad';

/**
 * Reminders to re-ink pads, a day each, as iCalendar; those whose last re-inking is not known are left out.
 *
 * Source: RFC 5545.
 */
export function writePadReminders(pads: readonly PadState[], made: Date): string {
  const events = pads.flatMap((pad) => {
    const due = dueDay(pad);
    if (!due) return [];
    // What is due already is for today.
    const day = due < made ? made : due;
    return [
      {
        uid: `re-ink-${pad.ink.id}@tint-ladder`,
        title: `Re-ink ${pad.ink.name}`,
        description: `${pad.ink.name}: ${tellPad(pad)}.`,
        start: dateOf(day),
        end: dateOf(new Date(day.getFullYear(), day.getMonth(), day.getDate() + 1)),
        alarms: [
          {
            action: 'display' as const,
            description: `Re-ink ${pad.ink.name}`,
            trigger: { hours: 9, before: false },
          },
        ],
        productId: 'Tint Ladder',
      },
    ];
  });
  const { error, value } = createEvents(events, { productId: 'Tint Ladder', calName: 'Pads to re-ink' });
  if (error || value === undefined) throw error ?? new Error('no calendar was made');
  return value ?? '';
}

const dateOf = (day: Date): DateArray => [day.getFullYear(), day.getMonth() + 1, day.getDate()];
