import type { Millimetres } from '../../base/length';

/**
 * What a pass does to the surface near one of its borders and inside it, beside the colours that the border parts. It is
 * there to be looked at: nothing is read from it.
 */
export interface SurfaceDetail {
  /** Its place among the borders of the placement. */
  readonly border: number;
  /** On either side of the border no farther than this is the surface other than on the rest of that side. */
  readonly reach: Millimetres;
  /** Whether the rest of the inside, too, is other than without it. */
  readonly fills?: true;
  /** More ink (above 0) or less, as a part of what lies there; by the distance inside, mm, and the place. */
  readonly cover?: (inside: Millimetres, x: Millimetres, y: Millimetres) => number;
  /** How high it stands over the card. */
  readonly height?: (inside: Millimetres) => Millimetres;
  /** Bumps on it, mm, by the place. */
  readonly bumps?: (x: Millimetres, y: Millimetres) => Millimetres;
  /** How much of the lamp it mirrors, 0…1: 0 is paper, 1 glass. */
  readonly gloss?: number;
}

/** A height that rises over `rise` mm from the border on, round like a drop that has set. */
export const dome =
  (height: Millimetres, rise: Millimetres) =>
  (inside: Millimetres): Millimetres => {
    if (inside <= 0) return 0;
    const part = Math.min(inside / rise, 1);
    return height * Math.sqrt(part * (2 - part));
  };

/** Ink that gathers along a stencil's edge, where the brush comes over it, and gives out beside it. */
export const inkedEdge = (strength: number, width: Millimetres) => (inside: Millimetres) =>
  inside <= 0 ? 0 : strength * Math.exp(-inside / width);

/** Clear powder, melted: a glossy rounded line, and at its foot the ink that the cloth did not reach. Sizes from memory. */
export const MELTED: SurfaceDetail = {
  border: 0,
  reach: 0.42,
  cover: (inside) => (inside > 0 ? 0 : 0.14 * Math.exp(inside / 0.16)),
  height: dome(0.11, 0.38),
  gloss: 1,
};
