import { matchSorter, rankings } from 'match-sorter';

/** Something that can be found by what it is called. */
export interface Findable {
  readonly id: string;
  readonly label: string;
  /** Other words it is looked for by. */
  readonly also?: string;
  /** What sort of thing it is, in a word. */
  readonly sort: string;
}

/** Over what is longer, such as a sentence, almost any letters are scattered. */
const SCATTERED_UP_TO = 40;

/** What may be found by its other words, and by letters scattered in a name only where nothing else is found. */
const KEYS = [
  { key: namesOf, threshold: rankings.CONTAINS },
  { key: 'also', threshold: rankings.WORD_STARTS_WITH, maxRanking: rankings.WORD_STARTS_WITH },
  { key: 'label', threshold: rankings.CONTAINS, maxRanking: rankings.CONTAINS },
] as const;

/** What a word is, where it is told what it means: the rest of that comes last. Of "Add a pass: mist" the mist is a name, too. */
function namesOf({ label }: Findable): string[] {
  const [first = label, ...rest] = label.split(': ');
  if (label.length > SCATTERED_UP_TO) return [first];
  return rest.length > 0 ? [label, rest.join(': ')] : [label];
}

/**
 * What is called so, the best first: the whole name, its beginning, a word of it, a part of it; then what has other words
 * for it. Every word that is typed must be met. Letters scattered over a short name count only where that finds nothing.
 *
 * @param isAll  whether these are all there will be: until then scattered letters wait, or what they find would be taken
 *               for what is still to come
 */
export function findAmong<Thing extends Findable>(
  things: readonly Thing[],
  typed: string,
  isAll = true,
): readonly Thing[] {
  const words = typed.trim().split(/\s+/).filter(Boolean);
  if (words.length === 0) return things;
  const whole = matchSorter(things, typed.trim(), { keys: [...KEYS] });
  const byWords = words.reduceRight<Thing[]>(
    (left, word) => matchSorter(left, word, { keys: [...KEYS] }),
    [...things],
  );
  const found = [...new Set([...whole, ...byWords])];
  if (found.length > 0 || !isAll) return found;
  const named = things.filter(({ label }) => label.length <= SCATTERED_UP_TO);
  return matchSorter(named, typed.trim(), { keys: ['label'] });
}
