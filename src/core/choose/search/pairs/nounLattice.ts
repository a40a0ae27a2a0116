import { deltaE00, MAX_LIGHTNESS_WEIGHT } from '../../../materials/colour/difference';
import { type Lab, linearRgbOfXyz, xyzOfLab } from '../../../materials/colour/lab';
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

/** A lattice of nouns, and a way to fill it with what was worked out before. */
export interface NounLattice {
  /** The noun of a colour, as its place in `NOUNS`. */
  readonly nounOf: (lab: Lab) => number;
  /** Takes designations of lattice points as `namesOfLattice` gives them: what is asked first is known already. */
  readonly prepare: (names: Int16Array) => void;
}

/** Colours a screen can show, and a little around them: what inks and their mixtures lie in. */
const SHOWN = { from: -0.06, to: 1.06 } as const;

/** The designation of every lattice point that inks and their mixtures come near; −1 elsewhere. Takes a while. */
export function namesOfLattice(): Int16Array {
  const names = new Int16Array(L_POINTS * AB_POINTS * AB_POINTS).fill(-1);
  for (let at = 0; at < names.length; at++) {
    const lab = pointAt(at);
    const { r, g, b } = linearRgbOfXyz(xyzOfLab(lab));
    if ([r, g, b].every((part) => part >= SHOWN.from && part <= SHOWN.to)) names[at] = nearestName(lab);
  }
  return names;
}

function pointAt(at: number): Lab {
  const k = at % AB_POINTS;
  const j = Math.floor(at / AB_POINTS) % AB_POINTS;
  const i = Math.floor(at / (AB_POINTS * AB_POINTS));
  return { l: i * STEP, a: AB_FROM + j * STEP, b: AB_FROM + k * STEP };
}

/**
 * The noun of a colour's designation, as its place in `NOUNS`, for millions of colours.
 *
 * Designations are remembered on a lattice in Lab as they are asked for. A colour whose eight corners carry one noun
 * has that noun; elsewhere the corners' designations are compared by CIEDE2000. That is what `nameColour` says except
 * where a designation's region pokes between lattice points without reaching one, which the tests count.
 *
 * It keeps its lattice, about four megabytes.
 */
export function nounLattice(): NounLattice {
  const names = new Int16Array(L_POINTS * AB_POINTS * AB_POINTS).fill(-1);
  /** By a cell's first corner: its noun, or `MIXED` and more for the place of its designations in `mixed`. */
  const cells = new Int16Array(names.length).fill(-1);
  const mixed: Uint16Array[] = [];

  const nameAt = (at: number): number => {
    const known = names[at];
    if (known >= 0) return known;
    const name = nearestName(pointAt(at));
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

  const nounOf = (lab: Lab): number => {
    const { l, a, b } = lab;
    const i = clamp(l / STEP, L_POINTS - 2);
    const j = clamp((a - AB_FROM) / STEP, AB_POINTS - 2);
    const k = clamp((b - AB_FROM) / STEP, AB_POINTS - 2);
    const cell = (i * AB_POINTS + j) * AB_POINTS + k;
    const known = cells[cell];
    const found = known >= 0 ? known : lookInto(cell);
    return found < MIXED ? found : nearestOf(mixed[found - MIXED] as Uint16Array, lab);
  };
  const prepare = (known: Int16Array): void => {
    if (known.length === names.length) names.set(known);
  };
  return { nounOf, prepare };
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
