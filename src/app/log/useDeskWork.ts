import { useState } from 'react';
import { NoDesk } from './standIn';

/** Something that takes a while, at the simulated desk or in a worker: what is being done, and what stood in its way. */
export function useDeskWork(): {
  readonly busy: string | undefined;
  readonly problem: string | undefined;
  /** @param work  returns what is wrong, for the maker to be told; undefined where all went well */
  readonly during: (what: string, work: () => Promise<string | undefined>) => Promise<void>;
} {
  const [busy, setBusy] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const during = async (what: string, work: () => Promise<string | undefined>) => {
    setBusy(what);
    setProblem(undefined);
    try {
      setProblem(await work());
    } catch (error) {
      if (!(error instanceof NoDesk)) throw error;
      setProblem(error.message);
    } finally {
      setBusy(undefined);
    }
  };
  return { busy, problem, during };
}
