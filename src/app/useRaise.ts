import { useCallback, useState } from 'react';

/** Hands a failure of work done outside rendering, such as a worker's, to the nearest error boundary. */
export function useRaise(): (error: unknown) => void {
  const [, set] = useState<unknown>();
  return useCallback(
    (error: unknown) =>
      set(() => {
        throw error;
      }),
    [],
  );
}
