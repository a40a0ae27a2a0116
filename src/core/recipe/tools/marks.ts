import type { Millimetres } from '../../base/length';
import type { Unevenness } from '../../base/unevenness';

interface MarkBase {
  /** The smallest and the largest, from its middle out. */
  readonly radius: readonly [Millimetres, Millimetres];
  /** How many of them lie over each place. */
  readonly overlap: number;
  /** Standard deviation of what they leave together, as a part of a coat. */
  readonly spread: number;
}

/** Where a round face has pressed: the most ink at its middle, or at its edge. */
export interface DabMark extends MarkBase {
  readonly shape: 'dab';
  /** Over what part of its radius its edge fades. */
  readonly soft: number;
  /** How many of a hundred come down tilted, and leave a hard line on one side. */
  readonly tilted?: number;
}

/** Where bristles have been drawn in a circle. */
export interface ArcMark extends MarkBase {
  readonly shape: 'arc';
  readonly band: readonly [Millimetres, Millimetres];
}

/** Where a square face has pressed, at any turn. */
export interface BlockMark extends MarkBase {
  readonly shape: 'block';
  readonly soft: number;
}

/** A roller's tracks along the run: bands side by side with edges, overlaps, streaks, and bare card between. */
export interface Rolled {
  readonly width: Millimetres;
  /** Where two tracks overlap a line of more ink so wide and so strong, as a part of a coat. */
  readonly edge: { readonly width: Millimetres; readonly strength: number };
  /** What it skips: where less than this part of the film comes down, card shows. */
  readonly skips: number;
  readonly streaks: Unevenness;
}

/** What a tool's work looks like from near by. Spreads and sizes by eye and from memory, meant for a scan at 300 dpi. */
export interface ToolMarks {
  readonly marks: readonly (DabMark | ArcMark | BlockMark)[];
  /** Waves of the ink itself as the tool lays it. */
  readonly uneven: readonly Unevenness[];
  /** How far the hand's pressure wanders over the panel: standard deviation, as a part of a coat. */
  readonly hand: number;
  readonly rolled?: Rolled;
}

/** Small circles of a round soft tool of about this radius. */
export const circlesOf = (
  radius: Millimetres,
  { spread = 1 }: { readonly spread?: number } = {},
): Pick<ToolMarks, 'marks'> => ({
  marks: [
    { shape: 'dab', radius: [0.6 * radius, 1.2 * radius], overlap: 3, soft: 0.7, spread: 0.018 * spread },
    {
      shape: 'arc',
      radius: [0.4 * radius, 1.3 * radius],
      band: [0.2 * radius, 0.6 * radius],
      overlap: 2,
      spread: 0.015 * spread,
    },
  ],
});
