/** A text with its first letter as a capital. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Per cent, whole, as it is told: `60 %`. */
export const percent = (value: number): string => `${Math.round(value)} %`;

/** A part, 0…1, as whole per cent: `63 %`. */
export const percentOf = (part: number): string => percent(part * 100);

/** The first sentence of several, with its full stop; a point inside a figure ends none. */
export const firstSentence = (text: string): string => /^.*?[.!?](?=\s|$)/s.exec(text)?.[0] ?? text;

/** So many of something: `1 panel`, `4 panels`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
