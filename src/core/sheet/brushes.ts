import { INK_DEPTHS, type Ink } from '../materials/ink/ink';
import { type BrushSet, INK_KINDS, setsInBrush } from '../materials/ink/kinds';
import type { Minutes } from './times';

/** A blending brush, or what stands for it, set out for the sitting. */
export interface Brush {
  /** A, B, C … in the order they are first used. */
  readonly letter: string;
  /** What is written on it: the maker's own label where the ink has one. */
  readonly label: string;
}

/** A time when a brush is taken in hand. */
export interface BrushNeed {
  /** The ink it is to hold; several where a middle is brewed of them. */
  readonly inks: readonly Ink[];
  /** Loaded from the pad, or gone back with what it still holds. */
  readonly takes: 'new ink' | 'what it holds';
  /** Between which two waits of the work it is, counted from 0. */
  readonly stretch?: number;
  /** From when until when that is, minutes from the first step. */
  readonly begins?: Minutes;
  readonly ends?: Minutes;
}

/**
 * How a brush is cleaned for another ink: wiped between depths of one colour; between colours rubbed on dry paper, since a
 * washed one is damp for longer than a join is open; washed where something has to dry for so long in between.
 */
export type Cleaning = 'wiped' | 'rubbed' | 'washed';

/** The brush that is taken, and what is done to it first. */
export interface BrushUse {
  readonly brush: Brush;
  /** What may be on it; it is washed accordingly. */
  readonly set: BrushSet;
  /** The first use of it in the sitting. */
  readonly isFresh: boolean;
  /** The ink that has to come off it first, and how. */
  readonly cleaned?: { readonly of: readonly Ink[]; readonly how: Cleaning };
  /** It was to hold its ink still, and does not: it is given a touch of it, which hardly marks the paper. */
  readonly touched: boolean;
}

/** How many of each set the maker has; as many as it takes where left out. */
export type OwnedBrushes = Partial<Record<BrushSet, number>>;

/** The letter of the brush that so many others are set out before; after Z comes AA. */
export const letterOf = (before: number): string =>
  `${before < 26 ? '' : letterOf(Math.floor(before / 26) - 1)}${String.fromCharCode(65 + (before % 26))}`;

interface Held {
  readonly brush: Brush;
  readonly set: BrushSet;
  /** What it is kept for: the family of the first ink it held, or the mixture. */
  family: string;
  inks: readonly Ink[];
  /** The stretch it was last used in, and until when. */
  stretch: number;
  usedUntil: Minutes;
}

/** A washed brush is dry again after so long, minutes. From memory. */
export const DAMP_FOR: Minutes = 20;

/** What sets in a brush has set in one that lies so long, minutes. From memory. */
export const SETS_WITHIN: Minutes = 20;

const setOf = ([first]: readonly Ink[]): BrushSet => (first ? INK_KINDS[first.kind].brushSet : 'none');
const familyOf = (inks: readonly Ink[], set: BrushSet): string =>
  set === 'white only' ? set : inks.length > 1 ? 'mixture' : (inks[0]?.family ?? '');
export const sameInks = (p: readonly Ink[], q: readonly Ink[]): boolean =>
  p.length === q.length && p.every(({ id }, i) => id === q[i]?.id);

/**
 * A brush for each need, in the order of work. A brush keeps its ink as long as it is still to be gone back with; only
 * then does another depth of its colour take it over, wiped, if that is no paler one. White and pigment have brushes of
 * their own. Where fewer are owned than that takes, the brush is taken whose ink is needed last, cleaned, and given a touch
 * of its ink again later. What would set in a brush while something dries is washed off, and taken up anew.
 * Common practice.
 */
export function brushesFor(needs: readonly BrushNeed[], owned: OwnedBrushes = {}): BrushUse[] {
  const rack: Held[] = [];
  return needs.map((need, at) => {
    const set = setOf(need.inks);
    const holding = rack.find((one) => one.set === set && sameInks(one.inks, need.inks));
    const { stretch = 0, begins = 0, ends = begins } = need;
    if (holding) {
      const lay = stretch > holding.stretch && begins - holding.usedUntil >= SETS_WITHIN;
      const isWashed = lay && setsInBrush(set);
      holding.stretch = stretch;
      holding.usedUntil = ends;
      return {
        brush: holding.brush,
        set,
        isFresh: false,
        touched: isWashed && need.takes === 'what it holds',
        ...(isWashed ? { cleaned: { of: need.inks, how: 'washed' } } : {}),
      };
    }
    const taken = freeBrush(rack, needs, at, owned);
    const touched = need.takes === 'what it holds';
    if (!taken) {
      const brush = { letter: letterOf(rack.length), label: labelFor(need.inks, set) };
      rack.push({ brush, set, family: familyOf(need.inks, set), inks: need.inks, stretch, usedUntil: ends });
      return { brush, set, isFresh: true, touched };
    }
    const isKin = familyOf(need.inks, set) === taken.family && !isPaler(need.inks, taken.inks);
    const lay = taken.stretch < stretch ? begins - taken.usedUntil : 0;
    const hasSet = setsInBrush(set) && lay >= SETS_WITHIN;
    const how: Cleaning = isKin && !hasSet ? 'wiped' : lay >= DAMP_FOR ? 'washed' : 'rubbed';
    const cleaned = { of: taken.inks, how };
    taken.stretch = stretch;
    taken.usedUntil = ends;
    taken.inks = need.inks;
    taken.family = familyOf(need.inks, set);
    return { brush: taken.brush, set, isFresh: false, cleaned, touched };
  });
}

/** Of depths of one colour the paler: what is left of a deep ink would spoil it. */
const isPaler = ([ink]: readonly Ink[], [held]: readonly Ink[]): boolean =>
  ink !== undefined && held !== undefined && INK_DEPTHS.indexOf(ink.depth) > INK_DEPTHS.indexOf(held.depth);

/** A brush of the set that may take another ink; undefined where a fresh one is taken instead. */
function freeBrush(
  rack: readonly Held[],
  needs: readonly BrushNeed[],
  at: number,
  owned: OwnedBrushes,
): Held | undefined {
  const inks = needs[at]?.inks ?? [];
  const set = setOf(inks);
  const ofSet = rack.filter((one) => one.set === set);
  /** When its ink is gone back with next; never where it is loaded anew before that. */
  const neededAt = ({ inks: held }: Held): number => {
    const next = needs.findIndex((other, i) => i > at && sameInks(other.inks, held));
    return next >= 0 && needs[next]?.takes === 'what it holds' ? next : Number.POSITIVE_INFINITY;
  };
  const free = ofSet.filter((one) => neededAt(one) === Number.POSITIVE_INFINITY);
  const kin = free.find(({ family, inks: held }) => family === familyOf(inks, set) && !isPaler(inks, held));
  if (kin) return kin;
  if (ofSet.length < Math.max(owned[set] ?? Number.POSITIVE_INFINITY, 1)) return undefined;
  return free[0] ?? ofSet.toSorted((p, q) => neededAt(q) - neededAt(p))[0];
}

function labelFor(inks: readonly Ink[], set: BrushSet): string {
  const [first, ...others] = inks;
  if (!first) return '';
  if (others.length > 0) return 'the middle';
  if (first.brush) return first.brush;
  if (set === 'white only') return set;
  return set === 'pigment' ? `${first.family}, pigment` : first.family;
}
