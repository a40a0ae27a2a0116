import type { Ink } from '../materials/ink/ink';
import { INK_KINDS } from '../materials/ink/kinds';

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
  /** The ink of its family that the brush worked with before, if any: it is wiped between the two. */
  readonly usedBefore?: Ink;
}

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
    const brush = known?.brush ?? {
      letter: String.fromCharCode(65 + brushes.size),
      label:
        ink.brush ??
        (set === 'white only' ? 'white only' : set === 'pigment' ? `${ink.family}, pigment` : ink.family),
    };
    brushes.set(key, { brush, last: ink });
    return known && known.last.id !== ink.id ? { brush, usedBefore: known.last } : { brush };
  });
}
