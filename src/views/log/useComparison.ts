import { useEffect, useState } from 'react';
import { inSlices } from '../../app/inSlices';
import { workOutLadder } from '../../core/keep/log/filterLog';
import type { MadePanel } from '../../core/keep/log/made';

/** How far the ladders of panels are worked out that likeness is told by. */
export interface Comparison {
  readonly isReady: boolean;
  readonly done: number;
}

/** So few are compared where they are put in order. */
const AT_ONCE = 60;
/** How often it is told how far the work has come, ms: no oftener than it can be read. */
const TOLD_EVERY = 300;

/** Works out the panels' ladders where they are wanted, while the page answers. Each is worked out once. */
export function useComparison(panels: readonly MadePanel[], isWanted: boolean): Comparison {
  const [compared, setCompared] = useState({ panels: NONE, done: 0 });
  useEffect(() => {
    if (!isWanted || panels.length <= AT_ONCE) return;
    const stop = new AbortController();
    let told = performance.now();
    const tell = (done: number): void => {
      if (done < panels.length && performance.now() - told < TOLD_EVERY) return;
      told = performance.now();
      setCompared({ panels, done });
    };
    void inSlices(panels, workOutLadder, tell, stop.signal);
    return () => stop.abort();
  }, [panels, isWanted]);
  const done = compared.panels === panels ? compared.done : 0;
  return { isReady: panels.length <= AT_ONCE || done === panels.length, done };
}
const NONE: readonly MadePanel[] = [];
