import { useEffect } from 'react';
import { useNotify } from '../ui/Notices';
import { handRests } from '../workers/client';

/**
 * How long the hand rests before the rest is fetched ahead, ms: the browser compiles all of it as it comes, for a second or
 * two, and nothing is to wait for that.
 */
const RESTED = 4000;

/** Fetches the application ahead, so that it works without its server; a new version says so and waits. */
export function useOffline(): void {
  const notify = useNotify();
  useEffect(() => {
    if (!import.meta.env.PROD) return;
    let isGone = false;
    void handRests(RESTED).then(async () => {
      if (isGone) return;
      const { registerSW } = await import('virtual:pwa-register');
      const update = registerSW({
        onNeedRefresh: () =>
          notify({
            text: 'A new version of Tint Ladder is here. What you made stays as it is.',
            action: { label: 'Take it now', run: () => void update(true) },
          }),
      });
    });
    return () => {
      isGone = true;
    };
  }, [notify]);
}
