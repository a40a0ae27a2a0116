import type { ToolMarks } from './marks';

/** What the ink is laid with: how it looks on the card and what to mind at the desk. Adding one is adding a file and a line. */
export interface Tool {
  readonly id: string;
  readonly label: string;
  /** How the recipe's sentence says it: "with a blending brush". */
  readonly phrase: string;
  /** How much harder than a brush's its fade is: 1 is a brush. */
  readonly hardness: number;
  /** How much ink a solid part carries, in coats. */
  readonly coats: number;
  /** How much wetter than a brush's it leaves the card: 1 is a brush that was tapped off. By eye. */
  readonly wets: number;
  /** How much longer than a brush's its work takes: 1 is a brush, a smaller one more. From memory. */
  readonly takes: number;
  /** What its work looks like from near by. */
  readonly look: ToolMarks;
  /** What it is called on the sheet, with a letter; one for each ink that is gone back with. */
  readonly noun: string;
  /** Which of the maker's own it is one of; absent where nobody counts them. */
  readonly countedAs?: 'brushes' | 'daubers';
  /** It wets the card through. */
  readonly soaks?: true;
  /** What of it prints a line where it comes down loaded, as it is told. */
  readonly prints?: string;
  /** It is drawn one way and cannot be moved in circles. */
  readonly goesOneWay?: true;
  /** How it takes up ink and comes down on the card: "Load, tap off on white kitchen paper, land in the solid part". */
  readonly loading: string;
  /** How it takes up ink and comes down on the rubber of a stamp; absent where it does as on the card. */
  readonly loadingRubber?: string;
  /** How a touch of ink is taken where a brush has been cleaned since. */
  readonly touching: string;
  /** How it is moved, after that; absent where the card's own stroke serves. */
  readonly stroke?: string;
  /** How it is moved over a join with no new ink; absent where the card's own stroke serves. */
  readonly goBackStroke?: string;
  /** How a fade is drawn out again before another ink comes to it; absent where it is as over a join. */
  readonly wakeStroke?: string;
}

/** How a brush is loaded, and touched. Common practice. */
export const BRUSH_WORDS = {
  countedAs: 'brushes',
  loading: 'Load, tap off on white kitchen paper, land in the solid part',
  touching: 'Touch it to the pad and tap off until it hardly marks white paper',
} as const;
