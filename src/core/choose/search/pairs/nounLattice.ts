import { deltaE00, MAX_LIGHTNESS_WEIGHT } from '../../../materials/colour/difference';
import type { Lab } from '../../../materials/colour/lab';
import { COLOUR_NAMES, centroidOf, nearestName } from '../../../materials/colour/names';

/** Every noun a designation can have; a noun's place in this list stands for it in tables. */
export const NOUNS: readonly string[] = [...new Set(COLOUR_NAMES.map(({ noun }) => noun))].sort();

const NOUN_OF_NAME = Uint8Array.from(COLOUR_NAMES, ({ noun }) => NOUNS.indexOf(noun));
const CENTROIDS = COLOUR_NAMES.map((_, i) => centroidOf(i));

/** Distance of the lattice's points in each of L*, a* and b*. */
const STEP = 2;
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
 * @returns a function of l, a, b; it keeps its lattice, about four megabytes
 */
export function nounLattice(): (l: number, a: number, b: number) => number {
  const names = new Int16Array(L_POINTS * AB_POINTS * AB_POINTS).fill(-1);
  /** By a cell's first corner: its noun, or `MIXED` and more for the place of its designations in `mixed`. */
  const cells = new Int16Array(names.length).fill(-1);
  const mixed: Uint16Array[] = [];
  // One object for all questions: there are millions of them.
  const probe = { l: 0, a: 0, b: 0 };

  const nameAt = (at: number): number => {
    const known = names[at];
    if (known >= 0) return known;
    const k = at % AB_POINTS;
    const j = Math.floor(at / AB_POINTS) % AB_POINTS;
    const i = Math.floor(at / (AB_POINTS * AB_POINTS));
    const name = nearestName({ l: i * STEP, a: AB_FROM + j * STEP, b: AB_FROM + k * STEP });
    names[at] = name;
    return name;
  };
  const lookInto = (cell: number): number => {
    const met = [...new Set(ACROSS.map((across) => nameAt(cell + across)))];
    const nouns = new Set(met.map((name) => NOUN_OF_NAME[name]));
    const found = nouns.size === 1 ? [...nouns][0] : MIXED + mixed.push(Uint16Array.from(met)) - 1;
    cells[cell] = found;
    return found;
  };
  const clamp = (value: number, most: number): number => {
    const whole = Math.floor(value);
    return whole < 0 ? 0 : whole > most ? most : whole;
  };

  return (l, a, b) => {
    const i = clamp(l / STEP, L_POINTS - 2);
    const j = clamp((a - AB_FROM) / STEP, AB_POINTS - 2);
    const k = clamp((b - AB_FROM) / STEP, AB_POINTS - 2);
    const cell = (i * AB_POINTS + j) * AB_POINTS + k;
    const known = cells[cell];
    const found = known >= 0 ? known : lookInto(cell);
    if (found < MIXED) return found;
    probe.l = l;
    probe.a = a;
    probe.b = b;
    return nearestOf(mixed[found - MIXED] as Uint16Array, probe);
  };
}

const MIXED = 256;

/** Noun of the nearest of a few designations. */
function nearestOf(names: Uint16Array, lab: Lab): number {
  let best = 0;
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < names.length; i++) {
    const centroid = CENTROIDS[names[i]] as Lab;
    if (Math.abs(centroid.l - lab.l) >= least * MAX_LIGHTNESS_WEIGHT) continue;
    const difference = deltaE00(lab, centroid);
    if (difference < least) {
      least = difference;
      best = names[i];
    }
  }
  return NOUN_OF_NAME[best];
}
