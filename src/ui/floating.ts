/** What floats over the page beside the button that opened it: it scrolls within the room there is. */
export const FLOATING =
  'z-40 max-h-[min(34rem,var(--radix-popover-content-available-height))] overflow-y-auto rounded-[3px] border border-line bg-sheet p-3 shadow-xl';
