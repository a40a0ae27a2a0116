import { useCallback, useEffect, useRef, useState } from 'react';

/** After so long without a letter, ms, the next begins a new word. */
const OVER = 1200;

/** Letters typed one after another on something that is no field. */
export function useTyped() {
  const [typed, setTyped] = useState('');
  const latest = useRef('');
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const set = useCallback((next: string) => {
    clearTimeout(timer.current);
    latest.current = next;
    setTyped(next);
    if (next !== '') timer.current = setTimeout(() => set(''), OVER);
    return next;
  }, []);
  useEffect(() => () => clearTimeout(timer.current), []);
  return {
    typed,
    add: useCallback((letter: string) => set(latest.current + letter), [set]),
    shorten: useCallback(() => set(latest.current.slice(0, -1)), [set]),
    clear: useCallback(() => void set(''), [set]),
  };
}
