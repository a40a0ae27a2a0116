import { useCallback, useEffect, useState } from 'react';
import { useRaise } from '../../app/useRaise';
import type { NextInk } from '../../core/choose/search/nextInks';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { shelfWorker } from '../../workers/client';
import { heard, inPassing } from '../../workers/door';

/** What each candidate would add to the shelf, weighed by the worker. */
export interface NextInks {
  readonly found: readonly NextInk[] | undefined;
  /** Part done, 0…1; undefined while nothing goes on. */
  readonly part: number | undefined;
  readonly isStopped: boolean;
  readonly stop: () => void;
}

export function useNextInks(owned: readonly Ink[], candidates: readonly Ink[], card: Card): NextInks {
  const [found, setFound] = useState<readonly NextInk[]>();
  const [part, setPart] = useState<number>();
  const [isStopped, setStopped] = useState(false);
  const raise = useRaise();
  useEffect(() => {
    if (owned.length < 2 || candidates.length === 0) {
      setFound([]);
      return;
    }
    let wanted = true;
    setPart(0);
    setStopped(false);
    heard(
      (now: number) => void (wanted && setPart(now)),
      (report) => shelfWorker().nextInks([...owned], [...candidates], card, report),
    )
      .then((answer) => {
        if (!wanted) return;
        if (answer) setFound(answer);
        else setStopped(true);
        setPart(undefined);
      })
      .catch((error: unknown) => wanted && raise(error));
    return () => {
      wanted = false;
      inPassing(shelfWorker().stopNextInks());
    };
  }, [owned, candidates, card, raise]);
  return { found, part, isStopped, stop: useCallback(() => inPassing(shelfWorker().stopNextInks()), []) };
}
