import { hueApart } from '../../../materials/colour/difference';
import type { DriedInks, PairTable } from '../pairs/pairTable';

/** How even two gaps are: the smaller over the larger, 0…1. */
export const even = (p: number, q: number): number => {
  const larger = Math.max(p, q);
  return larger <= 0 ? 0 : Math.max(Math.min(p, q), 0) / larger;
};

/** The more the better, never full: half at `half`, 0 from 0 down. So no two good trios tie at the top. */
export const soft = (value: number, half: number): number => (value > 0 ? value / (value + half) : 0);

/** Best at 0 and less to either side: half at `half`. */
export const fall = (value: number, half: number): number => 1 / (1 + (value / half) ** 2);

/** A part of what is wanted, held at the whole of it. */
export const upTo = (value: number, wanted: number): number => (value >= wanted ? 1 : value / wanted);

/** How much of the score a brown, an olive or a grey in the middle leaves. */
export const DRAB_MIDDLE = 0.6;

/** How far a middle may lie off the ends' own middle in lightness beyond half their step, L*. By eye. */
const BEYOND = 6;

/** How well an ink lies between two others in lightness, 0…1. */
export function between({ lightness }: DriedInks, first: number, middle: number, last: number): number {
  const half = Math.abs(lightness[first] - lightness[last]) / 2;
  const off = Math.abs(lightness[middle] - (lightness[first] + lightness[last]) / 2);
  return off > half + BEYOND ? 0 : fall(off, half + BEYOND);
}

/** How evenly the colour changes along the less even of two joints, as the eye weighs it. */
export const flowOf = ({ flow }: PairTable, a: number, b: number): number =>
  Math.sqrt(Math.min(flow[a], flow[b]));

/** From one hue to another the short way, degrees: positive where it rises. */
export function hueStep(from: number, to: number): number {
  const turn = (to - from + 360) % 360;
  return turn > 180 ? turn - 360 : turn;
}

/** Between hues nearly opposite it is the mixture that says which way is round: so far apart, so plainly bowed. By eye. */
const OPPOSITE = [
  { apart: 138, bow: 0.15 },
  { apart: 150, bow: 0.07 },
] as const;

/**
 * The way round the hue circle from one colour to another, degrees, positive where hue rises: the short one, except
 * where the two are nearly opposite and their own mixture plainly goes by the other side, as blue and gold go by green.
 *
 * @param bow  of the way they mix, see `PairTable`
 */
export function wayRound(from: number, to: number, bow: number): number {
  const short = hueStep(from, to);
  const turnsBack = short * bow < 0;
  const isPlain = OPPOSITE.some((far) => Math.abs(short) >= far.apart && Math.abs(bow) >= far.bow);
  return turnsBack && isPlain ? short - Math.sign(short) * 360 : short;
}

/** At which part of a way round the hue circle a hue stands, 0…1 on it; beyond 1 off it. */
export function partOfWay(from: number, hue: number, round: number): number {
  const along = round > 0 ? (hue - from + 360) % 360 : (from - hue + 360) % 360;
  return along / Math.abs(round);
}

/** The greatest difference in hue among three inks, degrees. */
export const hueSpread = ({ hue }: DriedInks, first: number, middle: number, last: number): number =>
  Math.max(
    hueApart(hue[first], hue[middle]),
    hueApart(hue[middle], hue[last]),
    hueApart(hue[first], hue[last]),
  );
/** The least. */
export const leastHueApart = ({ hue }: DriedInks, first: number, middle: number, last: number): number =>
  Math.min(
    hueApart(hue[first], hue[middle]),
    hueApart(hue[middle], hue[last]),
    hueApart(hue[first], hue[last]),
  );
