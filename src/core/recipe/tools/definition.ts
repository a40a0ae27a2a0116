/** What the ink is laid with: how it looks on the card and what to mind at the desk. Adding one is adding a file and a line. */
export interface Tool {
  readonly id: string;
  readonly label: string;
  /** How much harder than a brush's its fade is: 1 is a brush. */
  readonly hardness: number;
  /** How much ink a solid part carries, in coats. */
  readonly coats: number;
  /** Unevenness of what it lays, as a part of the light, and the size of it in mm. */
  readonly mottle: { readonly depth: number; readonly size: number };
  /** Streaks along the run, as a part of the light, and how wide they are in mm. */
  readonly streaks: { readonly depth: number; readonly size: number };
  /** What it is called on the sheet, one for each family. */
  readonly noun: string;
  /** How it is moved, after "Tap off, land in the solid part"; absent where the card's own stroke serves. */
  readonly stroke?: string;
  /** What to do once the ink is down. */
  readonly after?: string;
}

/** A tool that leaves no streaks. */
export const NO_STREAKS = { depth: 0, size: 1 } as const;
