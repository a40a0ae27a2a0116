import type { Millimetres } from '../../base/length';
import type { Border } from '../../materials/design/placement';
import type { Ink } from '../../materials/ink/ink';
import type { InkKindId } from '../../materials/ink/kinds';
import type { Point } from '../runs/runs';

/** On which side of a placement's own borders a point lies, by their place in its list. */
export type Inside = (border: number) => boolean;

/** How much of an effect there is at a point, 0…1 mostly; see each effect. */
export type CoverAt = (x: Millimetres, y: Millimetres, inside: Inside) => number;

/** A film of ink, in coats, into what is wet. Without an ink of its own it is the placement's. */
export interface FilmEffect {
  readonly does: 'film';
  readonly ink?: Ink;
  readonly coverAt: CoverAt;
}

/** The recipe's own ladder once more, in coats of what lies at that point. */
export interface LadderEffect {
  readonly does: 'ladder';
  readonly coverAt: CoverAt;
}

/**
 * Water thins what has been laid: of each ink the part that its kind gives up, times the cover. Below 0 ink gathers
 * instead, as at the rim of a drop.
 */
export interface ThinEffect {
  readonly does: 'thin';
  readonly coverAt: CoverAt;
}

/** Whatever is wet dries, and what follows lies on it. */
export interface DryEffect {
  readonly does: 'dry';
}

/** A piece of card, blended by the same recipe, laid over everything. */
export interface PieceEffect {
  readonly does: 'piece';
  readonly coverAt: CoverAt;
  /** The point of the panel's ladder that a point of the piece shows. */
  readonly shows: (x: Millimetres, y: Millimetres) => Point;
}

/** What is laid later does not stay here. */
export interface GuardEffect {
  readonly does: 'guard';
  readonly coverAt: CoverAt;
  /** Part of an ink of some kind that does not stay, 0…1. */
  readonly keepsOff: (kind: InkKindId) => number;
  /** For good, until the first drying of the blend, or for so many passes that follow. */
  readonly lasts: 'for good' | 'until dry' | number;
}

/** One thing a pass does to the panel. */
export type Effect = FilmEffect | LadderEffect | ThinEffect | DryEffect | PieceEffect | GuardEffect;

export const DRY: DryEffect = { does: 'dry' };

/** How one placement of a pass lies on one panel. */
export interface PassLie {
  /** Sharp borders; whatever an effect has inside them is smooth. */
  readonly borders: readonly Border[];
  readonly effects: readonly Effect[];
  /** Over how many mm the narrowest of what is smooth fades; absent where nothing does. */
  readonly blend?: Millimetres;
  /** How much smaller than on the panel the ladder lies on a piece of its own; absent where it has none. */
  readonly shrinks?: number;
  /** Its borders as SVG paths in mm. */
  readonly traces: readonly string[];
  /** Where a number of its own is taken hold of on the panel, and what number a place there stands for. */
  readonly handle?: {
    readonly param: string;
    readonly at: Point;
    readonly valueAt: (to: Point) => number;
  };
}
