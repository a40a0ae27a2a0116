/** A page's small storage that lives in memory, for tests; `room` letters in all. */
export function mapStorage(room = Number.POSITIVE_INFINITY): Storage {
  const kept = new Map<string, string>();
  return {
    get length() {
      return kept.size;
    },
    key: (at) => [...kept.keys()][at] ?? null,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => {
      if (key.length + value.length > room) throw new DOMException('no room', 'QuotaExceededError');
      kept.set(key, value);
    },
    removeItem: (key) => {
      kept.delete(key);
    },
    clear: () => kept.clear(),
  };
}
