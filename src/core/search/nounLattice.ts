import { deltaE00 } from '../colour/difference';
import type { Lab } from '../colour/lab';
import { COLOUR_NAMES, centroidOf, nearestName } from '../colour/names';

/** Every noun a designation can have; a noun's place in this list stands for it in tables. */
export const NOUNS: readonly string[] = [...new Set(COLOUR_NAMES.map(({ noun }) => noun))].sort();

const NOUN_OF_NAME = Uint8Array.from(COLOUR_NAMES, ({ noun }) => NOUNS.indexOf(noun));
const CENTROIDS = COLOUR_NAMES.map((_, i) => centroidOf(i));

/** Distance of the lattice's points in each of L*, a* and b*. */
const STEP = 4;
const L_POINTS = Math.ceil(100 / STEP) + 2;
const AB_FROM = -132;
const AB_POINTS = Math.ceil((2 * -AB_FROM) / STEP) + 2;
const ACROSS = [0, 1, AB_POINTS, AB_POINTS + 1].flatMap((at) => [at, at + AB_POINTS * AB_POINTS]);

/**
 * The noun of a colour's designation, as its place in `NOUNS`, for millions of colours.
 *
 * Designations are remembered on a lattice in Lab as they are asked for. A colour whose eight corners carry one noun
 * has that noun; elsewhere the corners' designations are compared by CIEDE2000. That is what `nameColour` says except
 * where a designation's region pokes between lattice points without reaching one, which the tests count.
 *
 * @returns a function of l, a, b; it keeps its lattice, about half a megabyte
 */
export function nounLattice(): (l: number, a: number, b: number) => number {
  const names = new Int16Array(L_POINTS * AB_POINTS * AB_POINTS).fill(-1);
  const nameAt = (at: number): number => {
    const known = names[at] as number;
    if (known >= 0) return known;
    const k = at % AB_POINTS;
    const j = Math.floor(at / AB_POINTS) % AB_POINTS;
    const i = Math.floor(at / (AB_POINTS * AB_POINTS));
    const name = nearestName({ l: i * STEP, a: AB_FROM + j * STEP, b: AB_FROM + k * STEP });
    names[at] = name;
    return name;
  };
  const clamp = (value: number, most: number): number => Math.min(Math.max(Math.floor(value), 0), most);

  return (l, a, b) => {
    const i = clamp(l / STEP, L_POINTS - 2);
    const j = clamp((a - AB_FROM) / STEP, AB_POINTS - 2);
    const k = clamp((b - AB_FROM) / STEP, AB_POINTS - 2);
    const origin = (i * AB_POINTS + j) * AB_POINTS + k;
    const noun = NOUN_OF_NAME[nameAt(origin)] as number;
    let same = true;
    for (let corner = 1; corner < 8 && same; corner++)
      same = NOUN_OF_NAME[nameAt(origin + (ACROSS[corner] as number))] === noun;
    return same ? noun : nearestOfCorners(origin, { l, a, b });
  };

  function nearestOfCorners(origin: number, lab: Lab): number {
    let best = -1;
    let least = Number.POSITIVE_INFINITY;
    let before = -1;
    for (const across of ACROSS) {
      const name = nameAt(origin + across);
      if (name === before || name === best) continue;
      before = name;
      const difference = deltaE00(lab, CENTROIDS[name] as Lab);
      if (difference < least) {
        least = difference;
        best = name;
      }
    }
    return NOUN_OF_NAME[best] as number;
  }
}
