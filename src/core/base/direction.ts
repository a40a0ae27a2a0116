/** Letters that run from right to left: Hebrew, Arabic and their kin. Source: Unicode 16, bidirectional classes R and AL. */
const LEFTWARD = '\\u0590-\\u08ff\\ufb1d-\\ufdff\\ufe70-\\ufefc\\u{10800}-\\u{10fff}\\u{1e800}-\\u{1efff}';
const HAS_LEFTWARD = new RegExp(`[${LEFTWARD}]`, 'u');
/** Words of such letters in a row; a figure after them may belong to the sentence. */
const WORDS = new RegExp(`[${LEFTWARD}](?:[${LEFTWARD} '’".-]*[${LEFTWARD}])?`, 'gu');
/** Where nothing else is said, a figure belongs to the name. */
const NAMES = new RegExp(`[${LEFTWARD}](?:[${LEFTWARD}\\p{N} '’".()-]*[${LEFTWARD}\\p{N})])?`, 'gu');
const LATIN = /\p{Script=Latin}/u;

/** First strong isolate, and its end. Source: Unicode Standard Annex 9, 2.4. */
const [ISOLATE, END] = ['\u2068', '\u2069'];

/** What is in a text for its direction alone. */
export const isUnseen = (letter: string): boolean => letter === ISOLATE || letter === END;

/** Whether a text has letters that run from right to left. */
export const isLeftward = (text: string): boolean => HAS_LEFTWARD.test(text);

/**
 * A text whose words that run from right to left keep to themselves: else the figures and marks beside them are turned
 * round with them, and "71 to 113 mm" after such a name is read from the wrong end. Any other text is as it was.
 */
export function isolated(text: string): string {
  if (!isLeftward(text) || text.includes(ISOLATE)) return text;
  return text.replace(LATIN.test(text) ? WORDS : NAMES, (words) => `${ISOLATE}${words}${END}`);
}
