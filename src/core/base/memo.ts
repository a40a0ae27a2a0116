/** A set of arguments and the answer to them. */
interface Entry<Args, Answer> {
  readonly args: Args;
  readonly answer: Answer;
}

/**
 * The same function, remembering its answers to the last few sets of arguments. Arguments are compared by identity, so
 * they are to be values that nobody changes; the set asked for longest ago is forgotten first.
 *
 * @param max  how many sets of arguments are remembered; looked through one by one, so a few dozen at most
 */
export function memo<Args extends readonly unknown[], Answer>(
  max: number,
  compute: (...args: Args) => Answer,
): (...args: Args) => Answer {
  const entries: Entry<Args, Answer>[] = [];
  return (...args) => {
    const at = entries.findIndex((entry) => sameElements(entry.args, args));
    const found = entries[at] ?? { args, answer: compute(...args) };
    if (at > 0) entries.splice(at, 1);
    if (at !== 0) entries.unshift(found);
    if (entries.length > max) entries.pop();
    return found.answer;
  };
}

const sameElements = (p: readonly unknown[], q: readonly unknown[]): boolean =>
  p.length === q.length && p.every((element, i) => element === q[i]);

/** Answers a list with the earlier list of the same elements, where it was one of the last few. */
export function listKeeper<T>(max: number): (list: readonly T[]) => readonly T[] {
  const keep = memo(max, (...elements: readonly T[]): readonly T[] => elements);
  return (list) => keep(...list);
}

/** A function that remembers its answers by a key, and that can be told one. */
export interface MemoByKey<Key, Rest extends readonly unknown[], Answer> {
  (key: Key, ...rest: Rest): Answer;
  /** Remembers an answer that was computed elsewhere, unless there is one. */
  readonly know: (key: Key, answer: Answer) => void;
}

/**
 * `memo` for one argument out of many: a text or a number, kept in a table of at most `max`.
 *
 * @param compute  may be handed more than the key, which has to decide all that is computed of it
 */
export function memoByKey<Key extends string | number, Rest extends readonly unknown[], Answer>(
  max: number,
  compute: (key: Key, ...rest: Rest) => Answer,
): MemoByKey<Key, Rest, Answer> {
  const table = new Map<Key, Answer>();
  const know = (key: Key, answer: Answer): void => {
    if (table.has(key)) return;
    const [oldest] = table.keys();
    if (table.size >= max && oldest !== undefined) table.delete(oldest);
    table.set(key, answer);
  };
  const ask = (key: Key, ...rest: Rest): Answer => {
    const known = table.get(key);
    if (known !== undefined) return known;
    const answer = compute(key, ...rest);
    know(key, answer);
    return answer;
  };
  return Object.assign(ask, { know });
}

/** `memo` for one value: what is computed of it is remembered as long as the value itself lives. */
export function memoOf<Value extends object, Answer>(
  compute: (value: Value) => Answer,
): (value: Value) => Answer {
  const answers = new WeakMap<Value, { readonly answer: Answer }>();
  return (value) => {
    const known = answers.get(value);
    if (known) return known.answer;
    const answer = compute(value);
    answers.set(value, { answer });
    return answer;
  };
}
