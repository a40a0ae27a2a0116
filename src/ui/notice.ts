import type { Work } from './work';

/** Something to tell in passing, with a way to take back what was done, or to do what it speaks of. */
export interface Notice {
  readonly text: string;
  readonly undo?: () => void;
  readonly action?: { readonly label: string; readonly run: () => void };
  /** Work that is under way: it stays until that has ended, and can be stopped. */
  readonly work?: Work;
}
