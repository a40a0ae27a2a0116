import { useEffect } from 'react';
import { useNotify } from '../ui/Notices';

/** How long after the first view the rest is fetched ahead, ms: nothing is to wait for it. */
const AFTER = 4000;

/** Fetches the application ahead, so that it works without its server; a new version says so and waits. */
export function useOffline(): void {
  const notify = useNotify();
  useEffect(() => {
    if (!import.meta.env.PROD) return;
    const timer = setTimeout(async () => {
      const { registerSW } = await import('virtual:pwa-register');
      const update = registerSW({
        onNeedRefresh: () =>
          notify({
            text: 'A new version of Tint Ladder is here. What you made stays as it is.',
            action: { label: 'Take it now', run: () => void update(true) },
          }),
      });
    }, AFTER);
    return () => clearTimeout(timer);
  }, [notify]);
}
