import type { DriedInks, PairTable } from '../pairs/pairTable';

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
   * Reads the shelf once and tells whether two inks can be the paler two of three that fit: false only where the score
   * is 0 with every darker third, in whatever order. Most pairs of a shelf cannot, and their thirds need no weighing.
   */
  readonly begins?: (judged: Judged) => (palest: number, next: number) => boolean;
  /** Reads the shelf once and gives back the score. */
  readonly scorer: (judged: Judged) => Score;
  /** Why these three belong together, in a sentence with their own figures. */
  readonly tell: (judged: Judged, first: number, middle: number, last: number) => string;
}

/** Writes down a relation; its id is kept as the word it is. */
export const defineRelation = <const Id extends string>(relation: Relation<Id>): Relation<Id> => relation;
