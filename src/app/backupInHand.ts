import { useSyncExternalStore } from 'react';
import type { WorkInHand } from '../ui/work';

/** The backup that is being written, read or brought in: there is one at a time, whoever looks at it. */
export interface BackupInHand {
  readonly what: string;
  readonly work: WorkInHand;
  /** Whether what comes of it is shown where it was begun and nowhere else. */
  readonly isToSee: boolean;
}

let inHand: BackupInHand | undefined;
const told = new Set<() => void>();

export function setBackupInHand(now: BackupInHand | undefined): void {
  inHand = now;
  for (const tell of told) tell();
}

const subscribe = (tell: () => void) => {
  told.add(tell);
  return () => told.delete(tell);
};

/** The backup in hand, followed as it begins and ends. */
export const useBackupInHand = (): BackupInHand | undefined => useSyncExternalStore(subscribe, () => inHand);
