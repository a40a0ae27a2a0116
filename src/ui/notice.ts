/** Something to tell in passing, with a way to take back what was done. */
export interface Notice {
  readonly text: string;
  readonly undo?: () => void;
}
