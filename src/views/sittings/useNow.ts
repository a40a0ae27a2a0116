import { useEffect, useState } from 'react';

/**
 * The moment, ms since 1970, looked at each second as long as it is asked for, and at once when the page comes in sight
 * again: behind other windows browsers let its clock rest.
 */
export function useNow(isRunning: boolean): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (!isRunning) return;
    const look = () => setNow(Date.now());
    look();
    const timer = setInterval(look, 1000);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [isRunning]);
  return now;
}
