import { useState } from 'react';

/** Keys so long after one another, ms, are movements of their own. */
const PAUSE = 2000;

/** Tells runs of key presses apart: given when a key is pressed, says when its run began and whether it began it; in ms. */
export function keyRuns(): (now: number) => { readonly since: number; readonly isFirst: boolean } {
  let last = Number.NEGATIVE_INFINITY;
  let since = 0;
  return (now) => {
    const isFirst = now - last > PAUSE;
    if (isFirst) since = now;
    last = now;
    return { since, isFirst };
  };
}

/**
 * What to call at each press of a key that moves something, so that each run of them is undone by itself; it says when the
 * run began, ms.
 *
 * @param onBegin  told when a press begins a run
 */
export function useKeyRun(onBegin?: () => void): () => number {
  const [press] = useState(keyRuns);
  return () => {
    const { since, isFirst } = press(performance.now());
    if (isFirst) onBegin?.();
    return since;
  };
}
