import { startTransition, useEffect, useState } from 'react';
import { useRaise } from './useRaise';

/**
 * What a worker answers; a failure goes to the nearest error boundary. What it changes is drawn a part at a time, between
 * what the hand does.
 *
 * @param ask  the same function as long as it is the same question; undefined asks nothing and leaves the last answer
 * @param meanwhile  what is seen while a new question is worked on: the last answer, or undefined
 * @returns undefined until there is an answer
 */
export function useAnswer<T>(
  ask: (() => Promise<T>) | undefined,
  meanwhile: 'last' | 'nothing' = 'last',
): T | undefined {
  const [answer, setAnswer] = useState<{ readonly to: () => Promise<T>; readonly is: T }>();
  const raise = useRaise();
  useEffect(() => {
    if (!ask) return;
    let wanted = true;
    ask()
      .then((is) => wanted && startTransition(() => setAnswer({ to: ask, is })))
      .catch((error: unknown) => wanted && raise(error));
    return () => {
      wanted = false;
    };
  }, [ask, raise]);
  return answer && (meanwhile === 'last' || answer.to === ask) ? answer.is : undefined;
}
