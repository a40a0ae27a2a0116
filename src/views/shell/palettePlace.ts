/** Where the palette stands, and what for a moment stands there before it. */
export const PALETTE_PLACE =
  'fixed top-[12vh] left-1/2 z-50 w-[min(36rem,94vw)] -translate-x-1/2 rounded-[3px] border border-line bg-sheet shadow-xl';
