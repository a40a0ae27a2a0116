import type { Lab } from '../../materials/colour/lab';
import type { DriedInk } from '../../readings/driedShelf';
import { assignInks, type Match } from './assign';

/**
 * Matches wanted colours, some of them with an ink the maker chose; the rest are given what is left of the shelf.
 *
 * @param chosen  id of the ink chosen for a colour, by its place
 */
export function matchWithChoice(
  wanted: readonly Lab[],
  shelf: readonly DriedInk[],
  chosen: ReadonlyMap<number, string>,
): Match[] {
  const free = assignInks(wanted, shelf);
  const taken = new Set(chosen.values());
  const open = wanted.map((_, i) => i).filter((i) => !chosen.has(i));
  const rest = assignInks(
    open.map((i) => wanted[i] as Lab),
    shelf.filter(({ ink }) => !taken.has(ink.id)),
  );
  return free.map((match, i) => {
    const id = chosen.get(i);
    if (id === undefined) return { ...match, ...pick(rest[open.indexOf(i)]) };
    return {
      ...match,
      ...pick(
        assignInks(
          [match.wanted],
          shelf.filter(({ ink }) => ink.id === id),
        )[0],
      ),
    };
  });
}

const pick = (match: Match | undefined) =>
  match ? { dried: match.dried, difference: match.difference } : {};

export type LadderOrder = 'reference' | 'light';

/** Places of the matches from the top of the ladder down: as they stand in the reference, or pale to dark. */
export function ladderOrder(
  matches: readonly Match[],
  order: LadderOrder,
  heights: readonly number[],
): number[] {
  const places = matches.map((_, i) => i);
  const key = (i: number): number =>
    order === 'light' ? -(matches[i]?.dried.lab.l ?? 0) : (heights[i] ?? i);
  return places.sort((p, q) => key(p) - key(q));
}
