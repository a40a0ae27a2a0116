/** Work that takes a while: how far it is, and a way out. */
export interface Work {
  /** How far it is, 0…1; asked again when `subscribe` tells. */
  readonly part: () => number;
  readonly isDone: () => boolean;
  readonly subscribe: (tell: () => void) => () => void;
  readonly stop: () => void;
}

/** Work under way, as those who do it know it. */
export interface WorkInHand extends Work {
  readonly signal: AbortSignal;
  /** Takes how far it is, 0…1. */
  readonly reach: (part: number) => void;
  readonly end: () => void;
}

export function startWork(): WorkInHand {
  const abort = new AbortController();
  const told = new Set<() => void>();
  let [part, done] = [0, false];
  const tell = (): void => {
    for (const one of told) one();
  };
  return {
    part: () => part,
    isDone: () => done,
    subscribe: (listener) => {
      told.add(listener);
      return () => told.delete(listener);
    },
    stop: () => abort.abort(),
    signal: abort.signal,
    reach: (to) => {
      part = to;
      tell();
    },
    end: () => {
      done = true;
      tell();
    },
  };
}
