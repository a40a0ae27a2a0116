import type { Lab } from '../../materials/colour/lab';
import { BANDS } from '../../materials/colour/spectrum';
import type { Film } from '../../materials/ink/film';
import type { Ink } from '../../materials/ink/ink';
import type { Reading } from './evidence';
import { type FilmSlopes, INK_PARAMS } from './inkParams';
import { stackSlopes } from './sensitivity';

/** How far joints creep toward the darker ink (a shift of their parts' logit), and how heavily an ink was laid. */
const HAND = { creep: 0.2, load: 0.07 } as const;

/** One portion of a layer, by the place of its ink among those learned of. */
export interface Part {
  readonly ink: number;
  readonly coats: number;
  /** −½ for the palest ink of the layer, ½ for the darkest. */
  readonly dark: number;
}

/** A reading's layers by the places of their inks, and which inks those are. */
export interface Laying {
  readonly layers: readonly (readonly Part[])[];
  readonly inks: readonly number[];
}

/**
 * @param placeOf  place of an ink among those learned of
 * @param lightness  L* of an ink's swatch
 */
export function layingOf(
  { layers }: Pick<Reading, 'layers'>,
  placeOf: (ink: Ink) => number,
  lightness: (ink: Ink) => number,
): Laying {
  const laid = layers
    .map((layer) => layer.filter(({ coats }) => coats > 0))
    .filter((layer) => layer.length > 0)
    .map((layer) => {
      const ls = layer.map(({ ink }) => lightness(ink));
      const [least, most] = [Math.min(...ls), Math.max(...ls)];
      const between = most - least;
      return layer.map(({ ink, coats }, i): Part => {
        const above = most - (ls[i] ?? most);
        return { ink: placeOf(ink), coats, dark: between > 0 ? above / between - 0.5 : 0 };
      });
    });
  return { layers: laid, inks: [...new Set(laid.flatMap((layer) => layer.map(({ ink }) => ink)))] };
}

/** A panel's own unknowns: its creep, then the load of each ink named; in standard deviations. */
export interface PanelHand {
  readonly inks: readonly number[];
  readonly params: ArrayLike<number>;
}

/** A hand as it usually is. */
export const usualHand = (inks: readonly number[]): PanelHand => ({
  inks,
  params: new Float64Array(1 + inks.length),
});

/** A predicted colour and how it answers to what is not known. */
export interface Predicted {
  readonly lab: Lab;
  /** A row each for L*, a*, b*: `INK_PARAMS` slopes for each of the laying's inks. */
  readonly byInks: readonly Float64Array[];
  /** A row each for L*, a*, b*: slopes with the creep and with each load of the hand. */
  readonly byHand: readonly Float64Array[];
}

/** One portion as the hand laid it, and how that answers to the hand. */
interface LaidPart extends Part {
  readonly byCreep: number;
}

function laidBy({ params, inks }: PanelHand, layer: readonly Part[]): readonly LaidPart[] {
  const creep = HAND.creep * (params[0] ?? 0);
  const crept = layer.map((part) => ({ ...part, weight: part.coats * Math.exp(creep * part.dark) }));
  const sumOf = (of: (part: (typeof crept)[number]) => number) =>
    crept.reduce((sum, part) => sum + of(part), 0);
  const whole = sumOf(({ coats }) => coats);
  const weighed = sumOf(({ weight }) => weight);
  const middle = sumOf(({ weight, dark }) => weight * dark) / weighed;
  return crept.map(({ ink, dark, weight }): LaidPart => {
    const load = Math.exp(HAND.load * (params[1 + inks.indexOf(ink)] ?? 0));
    const coats = ((weight * whole) / weighed) * load;
    return { ink, dark, coats, byCreep: HAND.creep * coats * (dark - middle) };
  });
}

/**
 * The colour of a laying over a ground, with its slopes.
 *
 * @param filmAt  the film of one coat of each ink
 */
export function predict(
  laying: Laying,
  ground: Reading['ground'],
  filmAt: (ink: number) => FilmSlopes,
  hand: PanelHand = usualHand(laying.inks),
): Predicted {
  const layers = laying.layers.map((layer) => laidBy(hand, layer));
  const { lab, byK, byS } = stackSlopes(
    layers.map((layer) => mixedFilm(layer, filmAt)),
    ground,
  );
  const byInks = [0, 1, 2].map(() => new Float64Array(INK_PARAMS * laying.inks.length));
  const byHand = [0, 1, 2].map(() => new Float64Array(1 + hand.inks.length));
  layers.forEach((layer, at) => {
    const [k, s] = [byK[at], byS[at]];
    for (const { ink, coats, byCreep } of layer) {
      const { film, byK: filmByK, byS: filmByS } = filmAt(ink);
      const first = INK_PARAMS * laying.inks.indexOf(ink);
      const load = 1 + hand.inks.indexOf(ink);
      for (let c = 0; c < 3; c++) {
        const [inkRow, handRow] = [byInks[c], byHand[c]];
        const byCoats = along(k, film.absorption, c) + along(s, film.scattering, c);
        add(handRow, 0, byCoats * byCreep);
        if (load > 0) add(handRow, load, byCoats * HAND.load * coats);
        for (let param = 0; param < INK_PARAMS; param++) {
          const slope = along(k, filmByK[param], c) + along(s, filmByS[param], c);
          add(inkRow, first + param, coats * slope);
        }
      }
    }
  });
  return { lab, byInks, byHand };
}

const add = (row: Float64Array, at: number, value: number): void => {
  row[at] = (row[at] ?? 0) + value;
};

/** What a change of a whole spectrum does to one of L*, a*, b*. */
function along(slopes: Float64Array, spectrum: Float64Array, c: number): number {
  let sum = 0;
  for (let band = 0, at = c * BANDS; band < BANDS; band++, at++) sum += slopes[at] * spectrum[band];
  return sum;
}

function mixedFilm(layer: readonly LaidPart[], filmAt: (ink: number) => FilmSlopes): Film {
  const absorption = new Float64Array(BANDS);
  const scattering = new Float64Array(BANDS);
  for (const { ink, coats } of layer) {
    const { film } = filmAt(ink);
    for (let band = 0; band < BANDS; band++) {
      absorption[band] += coats * film.absorption[band];
      scattering[band] += coats * film.scattering[band];
    }
  }
  return { absorption, scattering };
}
