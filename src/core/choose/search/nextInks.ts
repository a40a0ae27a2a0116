import type { Card } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import type { Lab } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { dryInks, emptyPairTable, pairJudge } from './pairs/pairTable';
import { NO_CONSTRAINTS, trioKey } from './query';
import type { Judged, Score } from './relations/definition';
import { RELATION_IDS, RELATIONS, type RelationId, scorerOf } from './relations/relations';
import { searchTrios } from './trios';

/** A trio that an ink would make with two that are owned. */
export interface WonTrio {
  readonly relation: RelationId;
  /** In panel order, from the top. */
  readonly inks: readonly Ink[];
}

/** What one ink more would bring. */
export interface NextInk {
  readonly ink: Ink;
  /** As it dries on the card. */
  readonly lab: Lab;
  /** How many good trios it makes that are unlike those one can make already. */
  readonly count: number;
  /** What the best of them are worth together; larger is better. */
  readonly worth: number;
  /** The best three. */
  readonly best: readonly WonTrio[];
}

/** A trio is good from this part of the maker's own twentieth on. By eye, as all constants here. */
const GOOD = 0.7;
const REFERENCE = 20;
/** Where a shelf has hardly any of a relation, a trio has to score this much to be one. */
const LEAST_SCORE = 0.03;
/** An owned ink so near, CIEDE2000, that makes the same trio good leaves nothing new; nearer than the first, nothing at all. */
const UNLIKE = { drop: 6, full: 20, counts: 0.5 } as const;
/** A trio is worth so many times the reference at most; the k-th best of a relation weighs so much less than the one before. */
const MOST = 1.5;
const NEXT = 0.85;
const WEIGHED = 10;
const PARTNER = 3;
/** The best trios of a candidate that are looked at for being new: looking takes a walk over the shelf each. */
const LOOKED_AT = 120;
/** How much less worth an ink is told at that is like one told before it, up to this difference. */
const TOLD = { less: 0.8, within: 25 } as const;

/** Relations an ink is wanted for: not those that hang on a dark over all. */
const WANTED_FOR = RELATION_IDS.filter((id) => !RELATIONS[id].underTopCoat);

interface Good {
  readonly middle: number;
  readonly ends: readonly [number, number];
  readonly partners: readonly [number, number];
  /** Against the reference. */
  readonly part: number;
}

/**
 * Which ink next: for each candidate, how many good trios it would make with two owned inks that are unlike those one can
 * make already. It yields how far it is, 0…1, so that its caller can report, or give up.
 *
 * @param owned       inks of the shelf
 * @param candidates  inks that could be added
 * @returns the candidates that bring something, most worth first, those like one before them later
 */
export function* nextInks(
  owned: readonly Ink[],
  candidates: readonly Ink[],
  card: Card,
): Generator<number, NextInk[]> {
  const usual = owned.filter(({ kind }) => INK_KINDS[kind].isUsual);
  const dried = dryInks([...usual, ...candidates], card);
  const { inks, labs } = dried;
  const count = inks.length;
  const pairs = emptyPairTable(count);
  const judgeRow = pairJudge(dried, card);
  for (let row = 0; row < count; row++) {
    judgeRow(row, pairs);
    yield (0.4 * (row + 1)) / count;
  }
  const judged: Judged = { dried, pairs };
  const wanted = new Set(candidates.map(({ id }) => id));
  const mine = [...inks.keys()].filter((i) => !wanted.has(inks[i]?.id ?? ''));
  const told: NextInk[] = [];
  const weighed = new Map<number, { count: number; worth: number; best: (WonTrio & { value: number })[] }>();
  for (const [at, relation] of WANTED_FOR.entries()) {
    const reference = referenceOf(judged, relation, [...wanted]);
    const score = scorerOf(relation, judged);
    let done = 0;
    for (const candidate of inks.keys()) {
      if (!wanted.has(inks[candidate]?.id ?? '')) continue;
      const off = (s: number): number => deltaE00(labs[candidate] as Lab, labs[s] as Lab);
      const near = new Map(mine.map((s) => [s, off(s)]));
      if (Math.min(...near.values()) >= UNLIKE.drop) {
        const good = goodTrios(candidate, mine, score, RELATIONS[relation].anyMiddle, reference);
        const won = weigh(good, candidate, near, mine, score, reference);
        const before = weighed.get(candidate) ?? { count: 0, worth: 0, best: [] };
        weighed.set(candidate, {
          count: before.count + won.count,
          worth: before.worth + won.worth,
          best: [
            ...before.best,
            ...won.best.map((trio) => ({ ...trio, relation, inks: trio.places.map((i) => inks[i] as Ink) })),
          ],
        });
      }
      done++;
      yield 0.4 + (0.6 * (at + done / candidates.length)) / WANTED_FOR.length;
    }
  }
  const left = [...weighed]
    .filter(([, { count: found }]) => found > 0)
    .map(
      ([place, { count: found, worth, best }]): NextInk => ({
        ink: inks[place] as Ink,
        lab: labs[place] as Lab,
        count: found,
        worth,
        best: best
          .toSorted((p, q) => q.value - p.value)
          // Three inks may belong together in two ways: they are one trio to look at.
          .filter((trio, i, all) => all.findIndex((other) => keyOf(other) === keyOf(trio)) === i)
          .slice(0, 3)
          .map(({ relation, inks: three }) => ({ relation, inks: three })),
      }),
    );
  while (left.length > 0) {
    const likest = (one: NextInk): number =>
      Math.max(0, ...told.map(({ lab }) => 1 - deltaE00(one.lab, lab) / TOLD.within));
    const [next] = left.toSorted(
      (p, q) => q.worth * (1 - TOLD.less * likest(q)) - p.worth * (1 - TOLD.less * likest(p)),
    );
    if (!next) break;
    told.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return told;
}

const keyOf = ({ inks }: WonTrio): string => trioKey(inks.map(({ id }) => id));

/** What the maker's own twentieth trio of a relation scores. */
function referenceOf(judged: Judged, relation: RelationId, without: readonly string[]): number {
  const search = searchTrios(judged, {
    relation,
    constraints: { ...NO_CONSTRAINTS, mustNotContain: without },
    sort: 'fit',
    seed: 1,
    keep: REFERENCE,
  });
  while (search.step());
  const { best } = search.result();
  return Math.max(best[Math.min(REFERENCE, best.length) - 1]?.fit ?? 0, LEAST_SCORE);
}

/** The best arrangement of three inks, pale to dark. */
function bestOrder(
  three: readonly [number, number, number],
  score: Score,
  anyMiddle: boolean,
): { readonly value: number; readonly middle: number } {
  const [i, j, k] = three;
  let value = score(i, j, k);
  let middle = j;
  if (anyMiddle)
    for (const [first, m, last] of [
      [j, i, k],
      [i, k, j],
    ] as const) {
      const other = score(first, m, last);
      if (other > value) {
        value = other;
        middle = m;
      }
    }
  return { value, middle };
}

const paleToDark = (p: number, q: number, r: number): [number, number, number] =>
  [p, q, r].sort((x, y) => x - y) as [number, number, number];

function goodTrios(
  candidate: number,
  mine: readonly number[],
  score: Score,
  anyMiddle: boolean,
  reference: number,
): Good[] {
  const good: Good[] = [];
  for (const [p, first] of mine.entries())
    for (const second of mine.slice(p + 1)) {
      const three = paleToDark(candidate, first, second);
      const { value, middle } = bestOrder(three, score, anyMiddle);
      if (value < GOOD * reference) continue;
      const [from, to] = three.filter((one) => one !== middle) as [number, number];
      good.push({ middle, ends: [from, to], partners: [first, second], part: value / reference });
    }
  return good.toSorted((p, q) => q.part - p.part);
}

/** The best of trios, best first, of which few have the same partner: an ink that goes with one only brings less. */
export function variedBest<Trio extends { readonly value: number; readonly partners: readonly number[] }>(
  trios: readonly Trio[],
): Trio[] {
  const uses = new Map<number, number>();
  return trios
    .toSorted((p, q) => q.value - p.value)
    .filter(({ partners }) => {
      if (partners.some((ink) => (uses.get(ink) ?? 0) >= PARTNER)) return false;
      for (const ink of partners) uses.set(ink, (uses.get(ink) ?? 0) + 1);
      return true;
    })
    .slice(0, WEIGHED);
}

/** What is new among a candidate's good trios: those that no owned ink near to it makes good as well. */
function weigh(
  good: readonly Good[],
  candidate: number,
  near: ReadonlyMap<number, number>,
  mine: readonly number[],
  score: Score,
  reference: number,
) {
  const close = mine.filter((s) => (near.get(s) as number) < UNLIKE.full);
  const fresh = good.slice(0, LOOKED_AT).flatMap((trio) => {
    const like = close
      .filter((s) => !trio.partners.includes(s))
      .filter((s) => {
        const swap = (ink: number): number => (ink === candidate ? s : ink);
        return score(swap(trio.ends[0]), swap(trio.middle), swap(trio.ends[1])) >= GOOD * reference;
      })
      .map((s) => near.get(s) as number);
    const unlike = Math.min(1, ...like.map((off) => off / UNLIKE.full));
    return unlike < UNLIKE.counts
      ? []
      : [
          {
            value: Math.min(MOST, trio.part) * unlike,
            places: [trio.ends[0], trio.middle, trio.ends[1]],
            partners: trio.partners,
          },
        ];
  });
  const best = variedBest(fresh);
  return {
    // Those not looked at are taken to be as new as those that were.
    count: Math.round(fresh.length * Math.max(1, good.length / LOOKED_AT)),
    worth: best.reduce((sum, { value }, k) => sum + value * NEXT ** k, 0),
    best,
  };
}
