/**
 * The later value with every part that equals its counterpart in the earlier one replaced by that. What crosses between
 * threads arrives as a copy; this gives back to its unchanged parts the identity that whoever remembers goes by.
 *
 * For plain values: records, lists, texts, numbers. Anything else is taken as it is.
 */
export function shareWith<T>(earlier: unknown, later: T): T {
  if (Object.is(earlier, later)) return later;
  if (typeof earlier !== 'object' || typeof later !== 'object' || earlier === null || later === null)
    return later;
  if (Array.isArray(earlier) && Array.isArray(later)) {
    const shared = later.map((part, i) => shareWith(earlier[i], part));
    const same = earlier.length === shared.length && shared.every((part, i) => Object.is(part, earlier[i]));
    return (same ? earlier : shared) as T;
  }
  if (!isRecord(earlier) || !isRecord(later)) return later;
  const keys = Object.keys(later);
  const shared = Object.fromEntries(keys.map((key) => [key, shareWith(earlier[key], later[key])]));
  const same =
    Object.keys(earlier).length === keys.length && keys.every((key) => Object.is(shared[key], earlier[key]));
  return (same ? earlier : shared) as T;
}

const isRecord = (value: object): value is Record<string, unknown> =>
  Object.getPrototypeOf(value) === Object.prototype;
