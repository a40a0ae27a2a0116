/** The page's small storage beside the database; undefined where there is none, or it is refused. */
export function pageStorage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}
