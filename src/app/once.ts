import { useState } from 'react';

/**
 * Work that makes or takes away something: called again before it is through, by a double tap or a key that is held, it does
 * nothing more.
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
export function useOnce<Args extends readonly unknown[]>(
  work: (...args: Args) => Promise<void>,
): (...args: Args) => Promise<void> {
  const [guarded] = useState(() => once((latest: () => Promise<void>) => latest()));
  return (...args) => guarded(() => work(...args));
}
