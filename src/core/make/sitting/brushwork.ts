import type { Minutes } from '../../sheet/times';
import type { BrushBegun } from './begun';
import type { BrushWish, Planned, Sitting, Work } from './sitting';

/** Which brushes a stage is worked with, one for each operation, and which are washed before it and right after it. */
export interface Brushwork {
  readonly uses: readonly (number | undefined)[];
  readonly before: number[];
  readonly after: number[];
}

interface Held {
  readonly set: string;
  holds: string | undefined;
  /** The stage it was last used in. */
  last: number;
}

/**
 * A brush for everything that wants one, in the order of work. Where none is clean, the one is washed whose colour is wanted
 * again last, and right after it was last used, so that it is dry by then: the fewest washes an order can have.
 *
 * Source: L. A. Belady, IBM Syst. J. 5 (1966) 78, a page of memory being a brush.
 */
export function brushworkOf(
  { groups, atHand }: Sitting,
  begun: readonly BrushBegun[],
  works: readonly Work[],
): Brushwork[] {
  const rack: Held[] = begun.map(({ set, holds }) => ({ set, holds, last: NEVER }));
  const wishes = works.map(({ group, from, to }) =>
    (groups[group]?.operations ?? []).slice(from, to).map(({ brush }) => brush),
  );
  const wanted = stagesWanting(wishes);
  const plan: Brushwork[] = [];
  for (const [at, own] of wishes.entries()) {
    const before: number[] = [];
    const here = new Set(own.flatMap((wish) => (wish ? [keyOf(wish)] : [])));
    const uses = own.map((wish) => {
      if (!wish) return undefined;
      const brush = holding(rack, wish) ?? clean(rack, wish) ?? more(rack, wish, atHand.brushes[wish.set]);
      const taken = brush ?? toWash(rack, wish, here, at, wanted);
      if (brush === undefined) whenToWash(plan, works, rack[taken]?.last ?? NEVER, before).push(taken);
      const held = rack[taken] as Held;
      held.holds = wish.holds;
      held.last = at;
      return taken;
    });
    plan.push({ uses, before, after: [] });
  }
  return plan;
}

/** In place of the stage a brush was last used in, where that was before all of them. */
const NEVER = -1;

/** Right after it was last used; what was used before all of this is washed first of all, but not in the midst of a join. */
function whenToWash(
  plan: readonly Brushwork[],
  works: readonly Work[],
  last: number,
  before: number[],
): number[] {
  const [first] = plan;
  if (last > NEVER) return plan[last]?.after ?? before;
  if (!first) return before;
  return works[0]?.hand === undefined ? first.before : first.after;
}

const keyOf = ({ set, holds }: { readonly set: string; readonly holds: string | undefined }): string =>
  `${set}\n${holds}`;

/** In which stages each colour is wanted, rising. */
function stagesWanting(wishes: readonly (readonly (BrushWish | undefined)[])[]): Map<string, number[]> {
  const wanted = new Map<string, number[]>();
  wishes.forEach((own, at) => {
    for (const wish of own) {
      if (!wish) continue;
      const stages = wanted.get(keyOf(wish)) ?? [];
      if (stages.at(-1) !== at) stages.push(at);
      wanted.set(keyOf(wish), stages);
    }
  });
  return wanted;
}

const found = (at: number): number | undefined => (at < 0 ? undefined : at);
const holding = (rack: readonly Held[], { set, holds }: BrushWish) =>
  found(rack.findIndex((one) => one.set === set && one.holds === holds));
const clean = (rack: readonly Held[], { set }: BrushWish) =>
  found(rack.findIndex((one) => one.set === set && one.holds === undefined));

/** A fresh brush of a set, where it is not counted or not all of them are out. */
function more(rack: Held[], { set }: BrushWish, count = Number.POSITIVE_INFINITY): number | undefined {
  if (rack.filter((one) => one.set === set).length >= count) return undefined;
  return rack.push({ set, holds: undefined, last: NEVER }) - 1;
}

/** The brush that is washed for another colour. */
function toWash(
  rack: readonly Held[],
  { set }: BrushWish,
  here: ReadonlySet<string>,
  at: number,
  wanted: ReadonlyMap<string, readonly number[]>,
): number {
  const next = (one: Held) => wanted.get(keyOf(one))?.find((stage) => stage > at) ?? Number.POSITIVE_INFINITY;
  let best = -1;
  let latest = -1;
  rack.forEach((one, i) => {
    if (one.set !== set || here.has(keyOf(one))) return;
    const wantedAt = next(one);
    const before = rack[best];
    // Of those that nobody wants again, the one that has had longest to dry.
    if (wantedAt > latest || (wantedAt === latest && before && one.last < before.last)) {
      best = i;
      latest = wantedAt;
    }
  });
  if (best < 0) throw new RangeError(`a stage wants more brushes for ${set} at once than there are`);
  return best;
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
