import { type ReactNode, useRef, useState } from 'react';
import { Button } from '../ui/Button';
import { useNotify } from '../ui/Notices';
import { paperWorker, stopPaper } from '../workers/client';
import { heard } from '../workers/door';

/** Makes something with the worker for paper, showing how far it has come and a way out. */
export function usePaperWork(
  label: string,
  failed: string,
): {
  readonly make: (
    work: (worker: ReturnType<typeof paperWorker>, onProgress: (part: number) => void) => Promise<void>,
  ) => Promise<void>;
  /** What to show in place of its button while it is being made. */
  readonly progress: ReactNode | undefined;
} {
  const notify = useNotify();
  const [part, setPart] = useState<number>();
  const newest = useRef(0);
  return {
    make: async (work) => {
      const mine = ++newest.current;
      setPart(0);
      try {
        await heard(
          (done: number) => void (mine === newest.current && setPart(done)),
          (report) => work(paperWorker(), report),
        );
      } catch {
        if (mine === newest.current) notify({ text: failed });
      }
      if (mine === newest.current) setPart(undefined);
    },
    progress:
      part === undefined ? undefined : (
        <span role="status" className="inline-flex items-center gap-2">
          {label} … <progress aria-label={label} value={part} max={1} className="w-16" />
          <Button
            onClick={() => {
              newest.current++;
              stopPaper();
              setPart(undefined);
            }}
          >
            Cancel
          </Button>
        </span>
      ),
  };
}
