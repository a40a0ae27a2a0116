import type { Ink } from '../core/materials/ink/ink';

/** An ink as a dot, in print too. */
export const InkDot = ({ ink, className }: { readonly ink: Ink; readonly className: string }) => (
  <span
    aria-hidden="true"
    className={`shrink-0 rounded-full border border-black/40 [print-color-adjust:exact] ${className}`}
    style={{ backgroundColor: ink.overWhite }}
  />
);
