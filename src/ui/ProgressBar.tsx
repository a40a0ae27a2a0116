import { useSyncExternalStore } from 'react';
import type { Work } from './work';

interface Props {
  readonly work: Work;
  /** What is being done. */
  readonly label: string;
}

/** How far work under way is. */
export function ProgressBar({ work, label }: Props) {
  const part = useSyncExternalStore(work.subscribe, work.part);
  return <progress aria-label={label} value={part} max={1} className="w-28 shrink-0" />;
}
