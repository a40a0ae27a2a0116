/** Whether a text is a day of the calendar as `2026-05-01`. */
export function isDay(text: string): boolean {
  const date = /^\d{4}-\d\d-\d\d$/.test(text) ? new Date(`${text}T00:00:00Z`) : undefined;
  return date !== undefined && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}
