/** A text with its first letter as a capital. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Per cent, whole, as it is told: `60 %`. */
export const percent = (value: number): string => `${Math.round(value)} %`;

/** A part, 0…1, as whole per cent: `63 %`. */
export const percentOf = (part: number): string => percent(part * 100);

/** The first sentence of several, with its full stop; a point inside a figure ends none. */
export const firstSentence = (text: string): string => /^.*?[.!?](?=\s|$)/s.exec(text)?.[0] ?? text;

/** Words as they are listed: "a", "a and b", "a, b and c". */
export const listed = (words: readonly string[], joining: 'and' | 'or' = 'and'): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${joining} ${words.at(-1)}`;

/** So many of something: `1 panel`, `4 panels`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** One thing by its name or several by theirs: `brush A`, `brushes A and C`. */
export const named = (one: string, names: readonly string[]): string =>
  `${names.length === 1 ? one : `${one}${/(s|sh|ch|x)$/.test(one) ? 'es' : 's'}`} ${listed(names)}`;

/** Roughly so many, at the beginning of a sentence: `About 60 drops`, `One drop`. */
export const roughly = (count: number, one: string): string =>
  count === 1 ? `One ${one}` : `About ${count} ${one}s`;

/** A space inside a figure: before its fraction, its unit or the sign of per cent, and on both sides of a ratio's colon. */
const IN_FIGURE = /(?<=\d) (?=\d+\/\d|%|: \d|(?:mm|cm|in|min|s|h|g|ml)\b)|(?<=\d :) (?=\d)/g;

/** A text of which no line ends inside a figure: `2 11/16 in` stays together. */
export const unbroken = (text: string): string => text.replace(IN_FIGURE, '\u00a0');

/** A text in lines as long as fit, broken between words and never inside a figure. */
export function wrapWords(text: string, fits: (line: string) => boolean): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of unbroken(text)
    .split(/[ \n\t]+/)
    .map((part) => part.replaceAll('\u00a0', ' '))) {
    const longer = line ? `${line} ${word}` : word;
    if (line && !fits(longer)) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
