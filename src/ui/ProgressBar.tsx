import { useSyncExternalStore } from 'react';
import type { Work } from './work';

interface Props {
  readonly work: Work;
  /** What is being done. */
  readonly label: string;
}

/** How far work under way is, in the colour of the words beside it: browsers put a green of their own for an accent as pale. */
export function ProgressBar({ work, label }: Props) {
  const part = useSyncExternalStore(work.subscribe, work.part);
  return (
    <progress
      aria-label={label}
      value={part}
      max={1}
      className="h-2 w-28 shrink-0 appearance-none border border-current bg-transparent [&::-moz-progress-bar]:bg-current [&::-webkit-progress-bar]:bg-transparent [&::-webkit-progress-value]:bg-current"
    />
  );
}
