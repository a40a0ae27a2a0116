import type { ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  readonly children: ReactNode;
  /** Asks for everything again: what narrows a list may have gone from the page with the last thing that had it. */
  readonly onAll: () => void;
}

/** Stands where a list would of which nothing meets what is asked for. */
export const NoneMatches = ({ children, onAll }: Props) => (
  <div className="max-w-md space-y-3 p-6">
    <p>{children}</p>
    <Button onClick={onAll}>Show all</Button>
  </div>
);
