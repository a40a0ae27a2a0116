import type { Millimetres } from '../../base/length';
import { smoothNoise } from '../../base/noise';

/**
 * What a pass does to the surface near one of its borders and inside it, beside the colours that the border parts. It is
 * there to be looked at: nothing is read from it.
 */
export interface SurfaceDetail {
  /** Its place among the borders of the placement. */
  readonly border: number;
  /** On either side of the border no farther than this is the surface other than on the rest of that side. */
  readonly reach: Millimetres;
  /** The same for the inside alone, where what lies along the border goes deeper. */
  readonly deep?: Millimetres;
  /** Whether the rest of the inside, too, is other than without it. */
  readonly fills?: true;
  /** More ink (above 0) or less, as a part of what lies there, a third of it at the most; by the distance inside, mm, and the place. */
  readonly cover?: (inside: Millimetres, x: Millimetres, y: Millimetres) => number;
  /** How high it stands over the card. */
  readonly height?: (inside: Millimetres) => Millimetres;
  /** Bumps on it, mm, by the place. */
  readonly bumps?: (x: Millimetres, y: Millimetres) => Millimetres;
  /** How much of the lamp it mirrors, 0…1: 0 is paper, 1 glass. */
  readonly gloss?: number;
  /** It mirrors in its own colour, as metal and mica do, and not in the lamp's. */
  readonly isMetal?: true;
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

/** Ink that is brushed away from a mask leaves a little more along it, where every stroke begins. By eye. */
export const MASKED: SurfaceDetail = {
  border: 0,
  reach: 1.2,
  cover: (inside) => (inside >= 0 ? 0 : 0.17 * Math.exp(inside / 0.35)),
};

const pressure = smoothNoise(2.4, 61);
/** A stamp's ink is squeezed toward its outline, and its face never presses quite evenly. By eye. */
export const STAMPED: SurfaceDetail = {
  border: 0,
  reach: 0.3,
  fills: true,
  cover: (inside, x, y) => (inside <= 0 ? 0 : 0.07 * pressure(x, y) + 0.14 * Math.exp(-inside / 0.09)),
};

/** A piece of card laid on: its edge takes the lamp and throws a shadow. Thickness of some 300 g/m², from memory. */
export const CARD_EDGE: SurfaceDetail = {
  border: 0,
  reach: 0.6,
  height: (inside) => 0.36 * Math.min(Math.max(inside / 0.05, 0), 1),
};
