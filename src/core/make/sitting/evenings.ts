import type { Minutes } from '../../sheet/times';
import { type Planning, planSitting } from './plan';
import type { Plan, Sitting } from './sitting';

/** So many panels of each group. */
export type Counts = readonly number[];

/** When each panel is done, by its key, as a plan has it. */
export function doneTimes({ groups }: Sitting, { lines }: Plan): Map<string, Minutes> {
  const done = new Map<string, Minutes>();
  for (const { does, group, panel, operation, end } of lines) {
    const operations = groups[group]?.operations ?? [];
    if (does !== 'operation' || operation < operations.length - 1) continue;
    done.set(`${group} ${panel}`, end + (operations.at(-1)?.rest?.min ?? 0));
  }
  return done;
}

const withCounts = (sitting: Sitting, counts: Counts): Sitting => ({
  ...sitting,
  groups: sitting.groups.map((group, g) => ({ ...group, count: counts[g] ?? 0 })),
});
const total = (counts: Counts): number => counts.reduce((sum, count) => sum + count, 0);

/** Which of so many panels are made: those with the least work first, or of each group its share. */
function takeFrom(sitting: Sitting, counts: Counts, many: number, way: 'least work' | 'shares'): Counts {
  if (way === 'shares') {
    const all = total(counts);
    const exact = counts.map((count) => (count * many) / all);
    const taken = exact.map(Math.floor);
    const byRest = exact
      .map((value, g) => ({ g, rest: value - Math.floor(value) }))
      .toSorted((p, q) => q.rest - p.rest);
    for (const { g } of byRest.slice(0, many - total(taken))) taken[g] = (taken[g] ?? 0) + 1;
    return taken;
  }
  const work = sitting.groups.map(({ operations }) =>
    operations.reduce((sum, { minutes }) => sum + minutes, 0),
  );
  const order = counts.map((_, g) => g).toSorted((p, q) => (work[p] ?? 0) - (work[q] ?? 0));
  let left = many;
  const taken = counts.map(() => 0);
  for (const g of order) {
    taken[g] = Math.min(left, counts[g] ?? 0);
    left -= taken[g] ?? 0;
  }
  return taken;
}

/** The most of these panels that are dry by then, as the planner finds them: by halving, each way of choosing them tried. */
export function mostBy(sitting: Sitting, counts: Counts, by: Minutes, planning: Planning): Counts {
  const fits = (some: Counts): boolean =>
    total(some) === 0 || planSitting(withCounts(sitting, some), planning).plan.makespan <= by + 1e-9;
  const found = (['shares', 'least work'] as const).map((way) => {
    let [sure, over] = [0, total(counts) + 1];
    while (over - sure > 1) {
      const middle = (sure + over) >> 1;
      if (fits(takeFrom(sitting, counts, middle, way))) sure = middle;
      else over = middle;
    }
    return takeFrom(sitting, counts, sure, way);
  });
  return found.reduce((p, q) => (total(q) > total(p) ? q : p));
}

/** Evenings at the most that a sitting is split into. */
const MOST_EVENINGS = 14;

/**
 * The panels of a sitting over as few evenings as are found, each done by an hour: one recipe after another, so that few
 * brushes are washed, where that takes no more of them than even shares do.
 *
 * @returns undefined where one panel alone is not done by then, or it takes more than a fortnight
 */
export function splitEvenings(sitting: Sitting, by: Minutes, planning: Planning): Counts[] | undefined {
  const all = sitting.groups.map(({ count }) => count);
  const fits = (some: Counts) => planSitting(withCounts(sitting, some), planning).plan.makespan <= by + 1e-9;
  const evenings: Counts[] = [];
  let left: Counts = all;
  while (total(left) > 0) {
    const now = mostBy(sitting, left, by, planning);
    if (total(now) === 0 || evenings.length >= MOST_EVENINGS) return undefined;
    evenings.push(now);
    left = left.map((count, g) => count - (now[g] ?? 0));
  }
  // The same number of evenings, about as long each: one recipe after another, else shares.
  const ways = [oneAfterAnother(all, evenings.length), evenShares(all, evenings.length)];
  return ways.find((way) => way.every(fits)) ?? evenings;
}

function oneAfterAnother(all: Counts, evenings: number): Counts[] {
  const whole = total(all);
  return Array.from({ length: evenings }, (_, e) => {
    const [from, to] = [Math.round((whole * e) / evenings), Math.round((whole * (e + 1)) / evenings)];
    let before = 0;
    return all.map((count) => {
      const taken = Math.max(0, Math.min(to, before + count) - Math.max(from, before));
      before += count;
      return taken;
    });
  });
}

const evenShares = (all: Counts, evenings: number): Counts[] =>
  Array.from({ length: evenings }, (_, e) =>
    all.map((count) => Math.round((count * (e + 1)) / evenings) - Math.round((count * e) / evenings)),
  );
