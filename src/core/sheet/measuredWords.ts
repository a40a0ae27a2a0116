import type { Point } from '../base/geometry';
import type { Millimetres } from '../base/length';
import type { InkExtent } from '../recipe/recipe';

/** How far a step works an ink: solid and faded, solid up to where a middle will lie, or solid and no farther yet. */
export type LayExtent = 'faded' | 'to the middle' | 'solid';

/** A mark, as it is given when the panel is prepared and as later steps call it. */
export interface GivenMark {
  /** "32.5", or "line 2" where one figure does not say where it lies. */
  readonly name: string;
  readonly along: Millimetres;
  /** Where it is marked, on the card. */
  readonly places: readonly {
    readonly on?: string;
    readonly from: 'foot' | 'left';
    readonly at: Millimetres;
    readonly point: Point;
  }[];
}

/** The work of a recipe in measured words, on whatever run it lies. */
export interface MeasuredWords {
  /** What to mark before any ink, with where from and with what. */
  readonly marks: string;
  /** Those marks, in order along the run; none on a run of patches. */
  readonly given: readonly GivenMark[];
  /** Where one rung's ink lies solid and how far it fades; where it stops solid, toward which others it fades all the same. */
  readonly lay: (rung: number, extent: LayExtent, toward?: readonly number[]) => string;
  /** Where two rungs meet. */
  readonly join: (one: number, other: number) => string;
  /** The half of their join that is nearer to the first of them. */
  readonly ownHalf: (one: number, other: number) => string;
  /** A place that lies so far on the way through a join, 0…1 from the first of them to the other. */
  readonly within: (one: number, other: number, part: number) => string;
  /** How far a rung's ink reaches along the run; undefined on a run of patches. */
  readonly extent: (rung: number) => InkExtent | undefined;
  /** A place where a rung is solid, to land a loaded brush on; the first of several. */
  readonly landing: (rung: number) => Point;
  /** Whether the join of two rungs runs up and down the panel, and not from side to side. */
  readonly isUpright: (one: number, other: number) => boolean;
  /** How the panel is turned in the hand for a rung. */
  readonly turning: (rung: number) => string;
  /** The part of the panel each rung covers. */
  readonly areas: ArrayLike<number>;
}
