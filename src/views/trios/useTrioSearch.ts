import { useCallback, useEffect, useState } from 'react';
import type { TrioQuery } from '../../core/choose/search/query';
import type { Card } from '../../core/materials/card/card';
import type { Ink } from '../../core/materials/ink/ink';
import { searcher } from '../../workers/client';
import { heard, inPassing } from '../../workers/door';
import type { SearchAnswer, SearchProgress } from '../../workers/search.worker';

/** How long typing must rest before a search starts, in ms. */
const AFTER = 60;

/** A search that follows its query; the last answer stays in sight until the next is there. */
export interface TrioSearchState {
  readonly answer: SearchAnswer | undefined;
  /** Undefined while nothing is going on. */
  readonly progress: SearchProgress | undefined;
  readonly failed: boolean;
  /** The search was stopped: the answer in sight is from the one before. */
  readonly stopped: boolean;
  readonly cancel: () => void;
  /** Asks for further trios of the answer in sight. */
  readonly more: () => void;
}

export function useTrioSearch(
  inks: readonly Ink[],
  card: Card | undefined,
  query: TrioQuery,
): TrioSearchState {
  const [answer, setAnswer] = useState<SearchAnswer>();
  const [progress, setProgress] = useState<SearchProgress>();
  const [failed, setFailed] = useState(false);
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    if (!card || inks.length === 0) return;
    let wanted = true;
    let begun = false;
    const timer = setTimeout(async () => {
      begun = true;
      setProgress({ stage: 'joints', part: 0 });
      setFailed(false);
      setStopped(false);
      try {
        const found = await heard(
          (now: SearchProgress) => void (wanted && setProgress(now)),
          (report) => searcher().search([...inks], card, query, report),
        );
        if (!wanted) return;
        if (found) setAnswer(found);
        else setStopped(true);
      } catch {
        if (wanted) setFailed(true);
      }
      if (wanted) setProgress(undefined);
    }, AFTER);
    return () => {
      wanted = false;
      clearTimeout(timer);
      // What is asked for no more, or left, gives the cores back.
      if (begun) inPassing(searcher().cancel());
    };
  }, [inks, card, query]);
  const cancel = useCallback(() => inPassing(searcher().cancel()), []);
  const more = useCallback(async () => {
    if (!answer) return;
    try {
      const { found, left } = await searcher().more();
      setAnswer((now) => (now === answer ? { ...now, found: [...now.found, ...found], left } : now));
    } catch {
      setFailed(true);
    }
  }, [answer]);
  return { answer, progress, failed, stopped, cancel, more };
}
