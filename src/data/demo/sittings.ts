import { newSitting, type SittingRecord } from '../../core/make/sitting/record';

/** How many of each of three recipes fall on each evening: forty-eight invitations. */
const EVENINGS = [
  { nth: 'first', counts: [8, 6, 2] },
  { nth: 'second', counts: [6, 6, 4] },
  { nth: 'third', counts: [4, 6, 6] },
] as const;
const RECIPES = ['kiln-opening-2', 'raku-dusk', 'running-glaze'] as const;

/** The Tollgate Kiln's forty-eight invitations, on the three evenings after the first look. */
export const demoSittings = (today: Date): SittingRecord[] =>
  EVENINGS.map(({ nth, counts }, evening) => {
    const id = `invitations-${evening + 1}`;
    return {
      ...newSitting(id, `Kiln-opening invitations, ${nth} evening`, dayAfter(today, evening + 1)),
      start: '18:30',
      finish: '21:30',
      breaks: [{ id: 'b1', at: '20:00', minutes: 15 }],
      lots: RECIPES.map((recipeId, i) => ({ id: `l${i + 1}`, recipeId, count: counts[i] ?? 0 })),
    };
  });

/** A day of this machine's calendar, `2026-05-01`. */
function dayAfter(today: Date, days: number): string {
  const day = new Date(today.getFullYear(), today.getMonth(), today.getDate() + days);
  const two = (number: number) => String(number).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
