import type { Ink } from '../core/materials/ink/ink';

/** An ink as a dot. */
export const InkDot = ({ ink, className }: { readonly ink: Ink; readonly className: string }) => (
  <span
    aria-hidden="true"
    className={`shrink-0 rounded-full border border-black/40 ${className}`}
    style={{ backgroundColor: ink.overWhite }}
  />
);
