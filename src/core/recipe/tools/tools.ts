export type ToolId = 'brush' | 'smallBrush' | 'foam' | 'dauber' | 'brayer' | 'pad';

/** What the ink is laid with: how it looks on the card and what to mind at the desk. Adding one is adding one here. */
export interface Tool {
  readonly id: ToolId;
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

const NONE = { depth: 0, size: 1 } as const;

/** Looks are chosen by eye; strokes and cares are common practice. */
export const TOOLS: Readonly<Record<ToolId, Tool>> = {
  brush: {
    id: 'brush',
    label: 'blending brush',
    hardness: 1,
    coats: 1,
    mottle: { depth: 0.012, size: 9 },
    streaks: NONE,
    noun: 'brush',
  },
  smallBrush: {
    id: 'smallBrush',
    label: 'small brush',
    hardness: 1.25,
    coats: 1,
    mottle: { depth: 0.02, size: 4.5 },
    streaks: NONE,
    noun: 'small brush',
  },
  foam: {
    id: 'foam',
    label: 'foam pad',
    hardness: 1.7,
    coats: 1.1,
    mottle: { depth: 0.03, size: 12 },
    streaks: NONE,
    noun: 'foam pad',
    stroke: 'circles with the foam flat: its corner prints a hard line',
  },
  dauber: {
    id: 'dauber',
    label: 'finger dauber',
    hardness: 1.45,
    coats: 1.05,
    mottle: { depth: 0.035, size: 6 },
    streaks: NONE,
    noun: 'dauber',
    stroke: 'small circles from off the edge, the dauber level',
  },
  brayer: {
    id: 'brayer',
    label: 'brayer',
    hardness: 1.2,
    coats: 0.92,
    mottle: { depth: 0.012, size: 9 },
    streaks: { depth: 0.09, size: 2.2 },
    noun: 'brayer',
    stroke: 'rolled along the run, lifted at the end of each pass',
    after: 'Mist it lightly and roll once more: the streaks smooth out.',
  },
  pad: {
    id: 'pad',
    label: 'pad to card',
    hardness: 1.35,
    coats: 1.35,
    mottle: { depth: 0.045, size: 7 },
    streaks: NONE,
    noun: 'pad and brush',
    stroke: 'dabbed straight from the pad where it is solid, then blended out with a brush',
  },
};
export const TOOL_IDS = Object.keys(TOOLS) as readonly ToolId[];
