/** How close the panel is looked at. */
export interface Look {
  /** Place among `ZOOMS`. */
  readonly zoom: number;
  readonly loupe: boolean;
}

export const ZOOMS = [1, 1.5, 2, 3, 4] as const;

export const WHOLE: Look = { zoom: 0, loupe: false };

/** One step closer, or farther off; at the ends as it was. */
export const closer = (look: Look, by: 1 | -1): Look => ({
  ...look,
  zoom: Math.min(Math.max(look.zoom + by, 0), ZOOMS.length - 1),
});
