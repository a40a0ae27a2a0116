import type { DriedInks, Joins, PairTable } from '../pairs/pairTable';

/** The shelf and its joints, as relations read them. */
export interface Judged {
  readonly dried: DriedInks;
  readonly pairs: PairTable;
}

/** How well three inks fit, 0…1; 0 where they do not belong together so. */
export type Score = (first: number, middle: number, last: number) => number;

/**
 * One way three inks can belong together. Adding a relation is adding one of these in a file of its own, and a line in
 * the table. Inks are numbers into the dried shelf; `middle` lies between the other two on the panel.
 */
export interface Relation<Id extends string = string> {
  readonly id: Id;
  readonly label: string;
  /** What such trios are called in the sentence of a search: "tonal trios". */
  readonly phrase: string;
  /** What the score weighs, in a sentence. */
  readonly description: string;
  /**
   * Whether any of the three may lie in the middle (a bridge does, whatever its lightness), or only the one between
   * the others in lightness.
   */
  readonly anyMiddle: boolean;
  /** Whether it is told under which dark ink the three lie: they are kept by a clear resist. */
  readonly underTopCoat?: true;
  /** How often one ink may be the middle on a page, where it is the only one of its sort on most shelves. */
  readonly middleAtMost?: number;
  /** Shares of the panel, first to last, where it does not lie in equal thirds. */
  readonly shares?: readonly [number, number, number];
  /**
   * Reads the dried shelf once and tells whether the joint of two inks, in either order, can be in three that fit: false
   * only where the score is 0 with every third, whether it asks for their joint as neighbours or as ends. Where any of
   * three may lie in the middle, false only where the score is 0 for every three with both. Other joints are not judged,
   * and their trios not weighed.
   */
  readonly joins?: (dried: DriedInks) => Joins;
  /** Reads the shelf once and gives back the score. */
  readonly scorer: (judged: Judged) => Score;
  /** Why these three belong together, in a sentence with their own figures. */
  readonly tell: (judged: Judged, first: number, middle: number, last: number) => string;
}

/** Writes down a relation; its id is kept as the word it is. */
export const defineRelation = <const Id extends string>(relation: Relation<Id>): Relation<Id> => relation;
