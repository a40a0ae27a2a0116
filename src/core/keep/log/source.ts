/** Root mean square ΔE00 that a reading is off by what it was read with, where nothing better is known; tried at the simulated desk. */
export const USUAL_NOISE = { reader: 0.5, photograph: 2 } as const;
/** What a colour was read with. */
export type ReadingSource = keyof typeof USUAL_NOISE;
