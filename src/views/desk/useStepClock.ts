import { useCallback, useEffect, useRef, useState } from 'react';

/** How often the clock is looked at, ms. */
const TICK = 250;

/** A clock for one step after another. */
export interface StepClock {
  /** Of the step in hand, and of all steps, in seconds. */
  readonly seconds: number;
  readonly whole: number;
  readonly running: boolean;
  readonly pause: () => void;
  readonly resume: () => void;
  /** Begins anew for the next step; what has run counts toward the whole. */
  readonly restart: () => void;
}

export function useStepClock(): StepClock {
  const [running, setRunning] = useState(true);
  const [spent, setSpent] = useState({ before: 0, step: 0 });
  const since = useRef(Date.now());

  const settle = useCallback(() => {
    const now = Date.now();
    // A clock that is put back takes nothing away.
    const more = Math.max(now - since.current, 0);
    since.current = now;
    setSpent(({ before, step }) => ({ before, step: step + more }));
  }, []);
  useEffect(() => {
    if (!running) return;
    since.current = Date.now();
    const timer = setInterval(settle, TICK);
    return () => clearInterval(timer);
  }, [running, settle]);

  return {
    seconds: spent.step / 1000,
    whole: (spent.before + spent.step) / 1000,
    running,
    pause: useCallback(() => {
      settle();
      setRunning(false);
    }, [settle]),
    resume: useCallback(() => setRunning(true), []),
    restart: useCallback(() => {
      since.current = Date.now();
      setSpent(({ before, step }) => ({ before: before + step, step: 0 }));
    }, []),
  };
}
