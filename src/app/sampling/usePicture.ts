import { useCallback, useEffect, useRef, useState } from 'react';
import type { Pixels } from '../../core/choose/photo/pixels';
import { matcher, stopMatcher } from '../../workers/client';
import type { Opened } from '../../workers/match.worker';

/** A picture being read, read, or refused. */
export interface PictureState {
  readonly pixels: Pixels | undefined;
  readonly label: string;
  readonly reading: boolean;
  readonly problem: string | undefined;
  /** Reads a picture; the one in sight stays until it is there. */
  readonly open: (label: string, ask: (reader: ReturnType<typeof matcher>) => Promise<Opened>) => void;
  readonly cancel: () => void;
}

export function usePicture(): PictureState {
  const [shown, setShown] = useState<{ pixels: Pixels; label: string }>();
  const [reading, setReading] = useState(false);
  const [problem, setProblem] = useState<string>();
  const newest = useRef(0);
  useEffect(
    () => () => {
      newest.current = -1;
    },
    [],
  );
  const open = useCallback<PictureState['open']>(async (label, ask) => {
    newest.current = Math.abs(newest.current) + 1;
    const mine = newest.current;
    setReading(true);
    setProblem(undefined);
    try {
      const answer = await ask(matcher());
      if (mine !== newest.current) return;
      if ('refused' in answer) setProblem(answer.refused);
      else setShown({ pixels: answer.pixels, label });
    } catch {
      if (mine === newest.current) setProblem('The picture could not be read. Try it again.');
    }
    if (mine === newest.current) setReading(false);
  }, []);
  const cancel = useCallback(() => {
    newest.current++;
    stopMatcher();
    setReading(false);
  }, []);
  return { pixels: shown?.pixels, label: shown?.label ?? '', reading, problem, open, cancel };
}
