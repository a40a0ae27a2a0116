import { hueSector } from '../../choose/shelf/gaps';
import type { DriedInk } from '../../readings/driedShelf';

/** Pairs tried for the one whose difference is nearest to what is wanted; all of them where there are no more. */
const TRIED = 160;

/** One of a list. */
export const oneOf = <T>(list: readonly T[], draw: () => number): T | undefined =>
  list[Math.floor(draw() * list.length)];

/** A list in another order. Source: Fisher and Yates, from memory. */
export function shuffled<T>(list: readonly T[], draw: () => number): T[] {
  const mixed = [...list];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = Math.floor(draw() * (i + 1));
    [mixed[i], mixed[j]] = [mixed[j] as T, mixed[i] as T];
  }
  return mixed;
}

/**
 * Two inks whose difference comes nearest to what is wanted, and is no smaller than the least.
 *
 * @param differ  undefined where the two are not to be asked
 */
export function pairNear(
  inks: readonly DriedInk[],
  wanted: number,
  least: number,
  differ: (one: DriedInk, other: DriedInk) => number | undefined,
  draw: () => number,
): readonly [DriedInk, DriedInk] | undefined {
  let best: readonly [DriedInk, DriedInk] | undefined;
  let nearest = Number.POSITIVE_INFINITY;
  for (const [one, other] of pairsToTry(inks, draw)) {
    const difference = differ(one, other);
    if (difference === undefined || difference < least) continue;
    const off = Math.abs(Math.log(difference / wanted));
    if (off < nearest) {
      nearest = off;
      best = [one, other];
    }
  }
  return best;
}

/** Each pair once where they are few, else so many by chance; whichever of the two first. */
function pairsToTry(
  inks: readonly DriedInk[],
  draw: () => number,
): readonly (readonly [DriedInk, DriedInk])[] {
  const each = [...new Map(inks.map((one) => [one.ink.id, one])).values()];
  if ((each.length * (each.length - 1)) / 2 <= TRIED)
    return each.flatMap((one, i) =>
      each.slice(i + 1).map((other) => (draw() < 0.5 ? ([one, other] as const) : ([other, one] as const))),
    );
  return Array.from({ length: TRIED }).flatMap(() => {
    const [one, other] = [oneOf(each, draw), oneOf(each, draw)];
    return one && other && one !== other ? [[one, other] as const] : [];
  });
}

export const huesOf = (inks: readonly DriedInk[]): number[] => [
  ...new Set(inks.flatMap(({ lab }) => hueSector(lab) ?? [])),
];
export const idsOf = (inks: readonly DriedInk[]): string =>
  inks
    .map(({ ink }) => ink.id)
    .toSorted()
    .join(' ');
export const namesOf = (inks: readonly DriedInk[]): string[] => inks.map(({ ink }) => ink.name);
