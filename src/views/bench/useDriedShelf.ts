import { useEffect, useState } from 'react';
import type { Card } from '../../core/card/card';
import type { Ink } from '../../core/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { useRaise } from '../useRaise';
import { shelfWorker } from '../workers';

const AT_ONCE = Promise.resolve();

/**
 * The shelf as it dries on the card, computed by the worker; the last answer stays until the next is there.
 *
 * @param after  what it waits for, so as not to slow it down
 */
export function useDriedShelf(
  inks: readonly Ink[],
  card: Card,
  after: Promise<void> = AT_ONCE,
): readonly DriedInk[] {
  const [dried, setDried] = useState<readonly DriedInk[]>([]);
  const raise = useRaise();
  useEffect(() => {
    let wanted = true;
    after
      .then(() => (wanted ? shelfWorker().dryShelf([...inks], card) : []))
      .then((answer) => wanted && setDried(answer))
      .catch(raise);
    return () => {
      wanted = false;
    };
  }, [inks, card, after, raise]);
  return dried;
}
