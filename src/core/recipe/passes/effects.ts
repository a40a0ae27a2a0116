import type { Point } from '../../base/geometry';
import type { Millimetres } from '../../base/length';
import type { Ink } from '../../materials/ink/ink';
import type { InkKindId } from '../../materials/ink/kinds';

/** On which side of a placement's own borders a point lies, by their place in its list. */
export type Inside = (border: number) => boolean;

/** How much of an effect there is at a point, 0…1 mostly; see each effect. */
export type CoverAt = (x: Millimetres, y: Millimetres, inside: Inside) => number;

/** A film of ink, in coats, into what is wet. Without an ink of its own it is the placement's. */
export interface FilmEffect {
  readonly kind: 'film';
  readonly ink?: Ink;
  readonly coverAt: CoverAt;
}

/** The recipe's own ladder once more, in coats of what lies at that point. */
export interface LadderEffect {
  readonly kind: 'ladder';
  readonly coverAt: CoverAt;
}

/**
 * Water thins what has been laid: of each ink the part that its kind gives up, times the cover.
 */
export interface ThinEffect {
  readonly kind: 'thin';
  readonly coverAt: CoverAt;
}

/** Whatever is wet dries, and what follows lies on it. */
export interface DryEffect {
  readonly kind: 'dry';
}

/** A piece of card, blended by the same recipe, laid over everything. */
export interface PieceEffect {
  readonly kind: 'piece';
  readonly coverAt: CoverAt;
  /** The point of the panel's ladder that a point of the piece shows. */
  readonly shows: (x: Millimetres, y: Millimetres) => Point;
}

/** What is laid later does not stay here. */
export interface GuardEffect {
  readonly kind: 'guard';
  readonly coverAt: CoverAt;
  /** Part of an ink of some kind that does not stay, 0…1. */
  readonly keepsOff: (kind: InkKindId) => number;
  /** For good, until the first drying of the blend, or for so many passes that follow. */
  readonly lasts: 'for good' | 'until dry' | number;
}

/** One thing a pass does to the panel. */
export type Effect = FilmEffect | LadderEffect | ThinEffect | DryEffect | PieceEffect | GuardEffect;

export const DRY: DryEffect = { kind: 'dry' };
