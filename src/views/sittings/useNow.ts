import { useEffect, useState } from 'react';

/** The moment, ms since 1970, looked at each second as long as it is asked for. */
export function useNow(isRunning: boolean): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (!isRunning) return;
    const look = () => setNow(Date.now());
    look();
    const timer = setInterval(look, 1000);
    return () => clearInterval(timer);
  }, [isRunning]);
  return now;
}
