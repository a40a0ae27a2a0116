import { useCallback } from 'react';
import { useNotify } from '../../ui/Notices';

/** Pictures that are being painted for places on the page. */
const underWay = new Set<Promise<unknown>>();
/** So long paper waits for pictures at the most, ms: one that never comes must not keep the words. */
const PATIENCE = 10_000;

/** Told of each picture that is being painted. */
export function pictureIsUnderWay(painting: Promise<unknown>): void {
  underWay.add(painting);
  const isDone = (): void => void underWay.delete(painting);
  painting.then(isDone, isDone);
}

/** Settled once no picture is being painted, and those that followed them are there too. */
async function allPainted(): Promise<void> {
  while (underWay.size > 0) {
    await Promise.allSettled(underWay);
    // A first picture is followed by the same one with its grain.
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
  }
}

/**
 * Prints the page, once its pictures are on it.
 *
 * @returns takes what else on the page is still to come
 */
export function usePrint(): (toCome?: Promise<unknown>) => Promise<void> {
  const notify = useNotify();
  return useCallback(
    async (toCome) => {
      if (toCome || underWay.size > 0) notify({ text: 'It is printed as soon as all of it is there.' });
      const there = Promise.all([toCome, allPainted()]);
      await Promise.race([there, new Promise((resolve) => setTimeout(resolve, PATIENCE))]);
      window.print();
    },
    [notify],
  );
}
