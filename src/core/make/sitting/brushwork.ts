import type { Minutes } from '../../sheet/times';
import type { Planned, Sitting } from './sitting';
import { NONE, type Piece, type Workbench } from './workbench';
import type { Work } from './works';

/** Which brush everything is worked with, and which are washed when. */
export interface Brushwork {
  /** By the place of an operation among those of all works; `NONE` where it wants no brush. */
  readonly uses: Int32Array;
  /** Which are washed before each work and right after it, by its place; most have none. */
  readonly before: ReadonlyMap<number, readonly number[]>;
  readonly after: ReadonlyMap<number, readonly number[]>;
  /** How many brushes are used. */
  readonly count: number;
}

/** The brushes while it is found who is used when: numbers, by the brush. */
interface Rack {
  readonly sets: number[];
  /** The colour each holds, or `NONE`. */
  readonly held: number[];
  /** The work each was last used in, or `NEVER`. */
  readonly last: number[];
}

/** In place of the work a brush was last used in, where that was before all of them. */
const NEVER = -1;

/**
 * A brush for everything that wants one, in the order of work. Where none is clean, the one is washed whose colour is wanted
 * again last, and right after it was last used, so that it is dry by then: the fewest washes an order can have.
 *
 * Source: L. A. Belady, IBM Syst. J. 5 (1966) 78, a page of memory being a brush.
 */
export function brushworkOf(
  { pieces, brushes, sets, held: colours }: Workbench,
  works: readonly Work[],
): Brushwork {
  const rack: Rack = {
    sets: brushes.map(({ set }) => set),
    held: brushes.map(({ held }) => held),
    last: brushes.map(() => NEVER),
  };
  const nextWork = wantedNext(pieces, works, colours);
  const end = works.at(-1);
  const uses = new Int32Array(end ? end.first + end.to - end.from : 0).fill(NONE);
  const before = new Map<number, number[]>();
  const after = new Map<number, number[]>();
  for (const [at, work] of works.entries()) {
    const own = pieces[work.group];
    for (let i = work.from; i < work.to; i++) {
      const { set, held } = own[i];
      if (held === NONE) continue;
      let brush = brushHolding(rack, set, held);
      if (brush === NONE) brush = brushHolding(rack, set, NONE);
      if (brush === NONE) brush = freshBrush(rack, set, sets[set].count);
      if (brush === NONE) {
        brush = toWash(rack, set, own, work, (colour) => nextWork(colour, at));
        if (brush === NONE)
          throw new RangeError(`a stage wants more brushes for ${sets[set].name} at once than there are`);
        const last = rack.last[brush];
        // What was used before all of this is washed first of all, but not in the midst of a join.
        if (last > NEVER) push(after, last, brush);
        else if (at === 0 || works[0].hand === NONE) push(before, 0, brush);
        else push(after, 0, brush);
      }
      rack.held[brush] = held;
      rack.last[brush] = at;
      uses[work.first + i - work.from] = brush;
    }
  }
  return { uses, before, after, count: rack.sets.length };
}

function push(into: Map<number, number[]>, key: number, brush: number): void {
  const own = into.get(key);
  if (own) own.push(brush);
  else into.set(key, [brush]);
}

/** What tells the work after one in which a colour is wanted; asked of works in rising order. */
function wantedNext(
  pieces: Workbench['pieces'],
  works: readonly Work[],
  colours: number,
): (held: number, after: number) => number {
  const wanted = Array.from({ length: colours }, (): number[] => []);
  for (const [at, { group, from, to }] of works.entries()) {
    const own = pieces[group];
    for (let i = from; i < to; i++) {
      const { held } = own[i];
      if (held !== NONE) wanted[held].push(at);
    }
  }
  const passed = new Int32Array(colours);
  return (held, after) => {
    const own = wanted[held];
    let next = passed[held];
    while (next < own.length && own[next] <= after) next++;
    passed[held] = next;
    return next < own.length ? own[next] : Number.POSITIVE_INFINITY;
  };
}

/** The first brush of a set that holds a colour; of none where that is `NONE`: a clean one. */
function brushHolding({ sets, held }: Rack, set: number, colour: number): number {
  for (let brush = 0; brush < sets.length; brush++)
    if (sets[brush] === set && held[brush] === colour) return brush;
  return NONE;
}

/** One more brush of a set, where it is not counted or not all of them are out; else `NONE`. */
function freshBrush({ sets, held, last }: Rack, set: number, count: number): number {
  let out = 0;
  for (const one of sets) if (one === set) out++;
  if (out >= count) return NONE;
  held.push(NONE);
  last.push(NEVER);
  return sets.push(set) - 1;
}

/** The brush that is washed for another colour: none of those that the work itself wants, and `NONE` where there are no others. */
function toWash(
  { sets, held, last }: Rack,
  set: number,
  pieces: readonly Piece[],
  { from, to }: Work,
  nextWork: (held: number) => number,
): number {
  let best = NONE;
  let latest = -1;
  for (let brush = 0; brush < sets.length; brush++) {
    const colour = held[brush];
    if (sets[brush] !== set || isWanted(pieces, from, to, colour)) continue;
    const wantedAt = nextWork(colour);
    // Of those that nobody wants again, the one that has had longest to dry.
    const isDrier = wantedAt === latest && best !== NONE && last[brush] < last[best];
    if (wantedAt > latest || isDrier) {
      best = brush;
      latest = wantedAt;
    }
  }
  return best;
}

function isWanted(pieces: readonly Piece[], from: number, to: number, colour: number): boolean {
  for (let i = from; i < to; i++) if (pieces[i].held === colour) return true;
  return false;
}

/** The brushes with colour on them once all is done, by their numbers, and how long it takes to wash them. */
export function washingUp(
  { atHand }: Sitting,
  lines: readonly Planned[],
): { readonly brushes: readonly number[]; readonly minutes: Minutes } {
  const last = new Map<number, Planned>();
  for (const line of lines.toSorted((p, q) => p.end - q.end))
    if (line.brush !== undefined) last.set(line.brush, line);
  const brushes = [...last]
    .flatMap(([brush, { does }]) => (does === 'wash' ? [] : [brush]))
    .toSorted((p, q) => p - q);
  return { brushes, minutes: brushes.length * atHand.washMinutes };
}
