import { INK_KIND_IDS, INK_KINDS, type InkKindId } from '../../materials/ink/kinds';
import { HUE_SECTORS } from '../shelf/gaps';
import type { Mood } from './moods/mood';
import type { RelationId } from './relations/relations';

/** What a trio must meet; what is left out asks nothing. */
export interface Constraints {
  /** Ids of inks that must be in it. */
  readonly mustContain: readonly string[];
  readonly mustNotContain: readonly string[];
  /** Whether wished-for inks are left out. */
  readonly ownedOnly: boolean;
  /** Kinds it may be made of; empty for the usual ones. */
  readonly kinds: readonly InkKindId[];
  /** L* the palest ink has at least, and the darkest at most. */
  readonly palestAtLeast: number;
  readonly darkestAtMost: number;
  /** Least step in L* between neighbours in lightness. */
  readonly spacingAtLeast: number;
  /** Whether trios of which a joint dulls are left out; one with mud never is found. */
  readonly noDull: boolean;
  /** A mood or an occasion it is of. */
  readonly mood?: Mood | undefined;
  readonly families: 'any' | 'same' | 'mixed';
  /** Hues each ink must have, as places in `HUE_SECTORS`, or `GREYS`; empty for any. */
  readonly hues: readonly number[];
  /** Trios kept, as the ids of their inks, and how far from each of them a trio must be, mean CIEDE2000. */
  readonly kept: readonly (readonly string[])[];
  readonly farFromKept: number;
  /** Trios made already, as the sorted ids of their inks joined by spaces. */
  readonly notAmong: readonly string[];
}

export const NO_CONSTRAINTS: Constraints = {
  mustContain: [],
  mustNotContain: [],
  ownedOnly: false,
  kinds: [],
  palestAtLeast: 0,
  darkestAtMost: 100,
  spacingAtLeast: 0,
  noDull: false,
  families: 'any',
  hues: [],
  kept: [],
  farFromKept: 0,
  notAmong: [],
};

/** The kinds of ink that are blended, of which trios are made. */
export const BLENDED_KINDS = INK_KIND_IDS.filter((kind) => INK_KINDS[kind].blends);

/** The kinds that are searched unasked. */
const USUAL_KINDS = BLENDED_KINDS.filter((kind) => INK_KINDS[kind].isUsual);

export const allowsKind = ({ kinds }: Constraints, kind: InkKindId): boolean =>
  (kinds.length === 0 ? USUAL_KINDS : kinds).includes(kind);

/** Allows a kind of ink, or no longer; the last one that is allowed stays. */
export function allowKind(
  constraints: Constraints,
  kind: InkKindId,
  allowed: boolean,
): Pick<Constraints, 'kinds'> {
  const kinds = BLENDED_KINDS.filter((one) => (one === kind ? allowed : allowsKind(constraints, one)));
  if (kinds.length === 0) return constraints;
  return { kinds: kinds.join() === USUAL_KINDS.join() ? [] : kinds };
}

/** Stands in `hues` for inks without a hue. */
export const GREYS = HUE_SECTORS.length;

export type SortId = 'fit' | 'evenness' | 'chroma' | 'contrast' | 'unlikeKept' | 'chance';

interface Sort {
  readonly label: string;
  /** How the sentence of a search says it. */
  readonly phrase: string;
  readonly description: string;
}

/** How found trios are ranked; each is a figure of one trio, larger first. */
export const SORTS: Readonly<Record<SortId, Sort>> = {
  fit: { label: 'Fit', phrase: 'the most fitting first', description: 'by the relation’s own score' },
  evenness: {
    label: 'Evenness',
    phrase: 'the most even first',
    description: 'smallest step in L* over the largest',
  },
  chroma: { label: 'Chroma', phrase: 'the most colourful first', description: 'mean chroma of the three' },
  contrast: {
    label: 'Contrast with detail black',
    phrase: 'the palest dark first',
    description: 'L* of the darkest ink',
  },
  unlikeKept: {
    label: 'Unlike what is kept',
    phrase: 'the most unlike those I keep first',
    description: 'mean ΔE00 from the nearest kept trio, pale with pale, dark with dark',
  },
  chance: { label: 'Chance', phrase: 'drawn by chance', description: 'drawn at random from the seed' },
};

export const SORT_IDS = Object.keys(SORTS) as readonly SortId[];

/** Three inks by their numbers in the dried shelf, in panel order. */
export interface Trio {
  readonly first: number;
  readonly middle: number;
  readonly last: number;
  /** The relation's score, 0…1. */
  readonly fit: number;
  /** What the trio was ranked by. */
  readonly rank: number;
}

export interface TrioQuery {
  readonly relation: RelationId;
  readonly constraints: Constraints;
  readonly sort: SortId;
  /** Decides the order of chance; the same seed on the same shelf draws the same trios. */
  readonly seed: number;
  /** How many of the best to keep, besides the best of each ink. */
  readonly keep: number;
}

/** The sorted ids of a trio's inks, joined by spaces: the same for the same three inks in any order. */
export const trioKey = (ids: readonly string[]): string => [...ids].sort().join(' ');

/** Higher ranks first, then better fits; of equals the one of paler inks, so that the order is always the same. */
export const byRank = (p: Trio, q: Trio): number =>
  q.rank - p.rank || q.fit - p.fit || p.first - q.first || p.middle - q.middle || p.last - q.last;
