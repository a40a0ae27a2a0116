import { startTransition, useEffect, useRef, useState } from 'react';

/** How often what is written about the panel follows a steady drag, in ms. */
const EVERY = 320;

/** A value that follows at once after a rest and now and then during a steady change; never long after it ends. */
export function useCalm<T>(value: T): T {
  const [calm, setCalm] = useState(value);
  const last = useRef(0);
  useEffect(() => {
    const wait = Math.max(last.current + EVERY - performance.now(), 0);
    const timer = setTimeout(() => {
      last.current = performance.now();
      startTransition(() => setCalm(value));
    }, wait);
    return () => clearTimeout(timer);
  }, [value]);
  return calm;
}
