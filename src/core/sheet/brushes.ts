import type { Ink } from '../materials/ink/ink';
import { type BrushSet, INK_KINDS } from '../materials/ink/kinds';

/** A blending brush, or what stands for it, set out for the sitting. */
export interface Brush {
  /** A, B, C … in the order they are first used. */
  readonly letter: string;
  /** What is written on it: the maker's own label where the ink has one. */
  readonly label: string;
}

/** The brush an ink is laid with. */
export interface BrushUse {
  readonly brush: Brush;
  /** What may be on it; it is washed accordingly. */
  readonly set: BrushSet;
  /** The ink of its family that the brush worked with before, if any: it is wiped between the two. */
  readonly usedBefore?: Ink;
}

/** The letter of the brush that so many others are set out before. */
export const letterOf = (before: number): string => String.fromCharCode(65 + before);

/**
 * The fewest brushes for inks laid in this order: one a colour family, and never one for two brush sets (pigment
 * stays apart, white has its own). Common practice.
 *
 * @returns for each ink its brush
 */
export function brushesFor(laid: readonly Ink[]): BrushUse[] {
  const brushes = new Map<string, { brush: Brush; last: Ink }>();
  return laid.map((ink) => {
    const set = INK_KINDS[ink.kind].brushSet;
    const key = set === 'white only' ? set : `${set}: ${ink.family}`;
    const known = brushes.get(key);
    const brush = known?.brush ?? { letter: letterOf(brushes.size), label: ink.brush ?? labelFor(ink, set) };
    brushes.set(key, { brush, last: ink });
    return known && known.last.id !== ink.id ? { brush, set, usedBefore: known.last } : { brush, set };
  });
}

function labelFor({ family }: Ink, set: BrushSet): string {
  if (set === 'white only') return set;
  return set === 'pigment' ? `${family}, pigment` : family;
}
