/** The page's small storage beside the database; undefined where there is none, or it is refused. */
export function pageStorage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

/** What is kept there under a key; undefined where there is nothing, or nothing that can be read. */
export function readKept(key: string, storage = pageStorage()): unknown {
  try {
    return JSON.parse(storage?.getItem(key) ?? '');
  } catch {
    return undefined;
  }
}

/** Keeps something there; where it is full or forbidden nothing is kept, and nobody told. */
export function keep(key: string, value: unknown, storage = pageStorage()): void {
  try {
    storage?.setItem(key, JSON.stringify(value));
  } catch {
    // Callers say what is lost then.
  }
}
