import { useEffect, useState } from 'react';

/** Keeps the screen awake while the view is open; whether it could. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let wanted = true;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock?.request('screen');
        if (!wanted) await lock?.release();
        else setAwake(lock !== undefined);
      } catch {
        // A low battery or an old browser: the view says that the screen may sleep.
        setAwake(false);
      }
    };
    void ask();
    // The lock is lost whenever the page is hidden.
    document.addEventListener('visibilitychange', ask);
    return () => {
      wanted = false;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
  return awake;
}
