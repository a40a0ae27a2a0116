import { useEffect, useState } from 'react';
import type { Card } from '../../core/card/card';
import type { Ink } from '../../core/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { useRaise } from '../useRaise';
import { shelfWorker } from '../workers';

/** The shelf as it dries on the card, computed by the worker; the last answer stays until the next is there. */
export function useDriedShelf(inks: readonly Ink[], card: Card): readonly DriedInk[] {
  const [dried, setDried] = useState<readonly DriedInk[]>([]);
  const raise = useRaise();
  useEffect(() => {
    let wanted = true;
    shelfWorker()
      .dryShelf([...inks], card)
      .then((answer) => wanted && setDried(answer))
      .catch(raise);
    return () => {
      wanted = false;
    };
  }, [inks, card, raise]);
  return dried;
}
