import { useState } from 'react';

/**
 * Work that makes something, and then shows it: called again before it is through, by a double tap or a key that is held, it
 * makes nothing more.
 *
 * @returns the work, or that which is under way
 */
export function once<Args extends readonly unknown[]>(
  work: (...args: Args) => Promise<void>,
): (...args: Args) => Promise<void> {
  let underWay: Promise<void> | undefined;
  return (...args) => {
    underWay ??= work(...args).finally(() => {
      underWay = undefined;
    });
    return underWay;
  };
}

/** The same for work that each drawing of a view makes anew. */
export function useOnce(work: () => Promise<void>): () => Promise<void> {
  const [guarded] = useState(() => once((latest: () => Promise<void>) => latest()));
  return () => guarded(work);
}
