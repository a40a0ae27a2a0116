import type { Projection } from '../../base/perspective';
import { seededRandom } from '../../base/random';
import type { Pixels } from '../../choose/photo/pixels';
import { boxAround, sampleBox } from '../../choose/photo/sample';
import type { LinearRgb } from '../../materials/colour/lab';
import { factorise, solve, square } from '../learn/cholesky';

/** A place of bare card: where it is on the panel's own measure, and what the picture shows there. */
export interface BarePlace {
  readonly x: number;
  readonly y: number;
  readonly rgb: LinearRgb;
}

/** The light that falls on each place, in what the picture would show of a perfect white there. */
export type Lamp = (x: number, y: number) => LinearRgb;

/** How the light over a panel was told. */
export interface LampReading {
  readonly lampAt: Lamp;
  /** Bare places it was told from. */
  readonly places: number;
  /** How far bare places still lie from it, in parts of it, at the median. */
  readonly uneven: number;
  /** Whether the bare card nearest to a place is lit as the rest is: in a shadow it is not. */
  readonly isEven: (x: number, y: number) => boolean;
}

/** Places asked on each side of the panel, how far out, and the least that will do. */
const A_SIDE = 9;
const LEAST_PLACES = 6;
/** A place whose pixels stray more than this is no bare card, ΔE00. */
const ROUGH = 5;
/** So far off the others, in parts, a place is no bare card: a shadow's edge, the mat, something that lies there. */
const STRANGE = 0.05;
const FEW_STRANGE = 4;

/**
 * The lamp over a panel: its colour, exposure and fall-off, from bare card around the panel. The logarithm of each
 * channel is a plane with a bow in it (six terms), fitted twice: the second time without the places that are no bare card,
 * or lie in a shadow.
 *
 * @param out  how far out the bare card is asked, mm
 * @param card  linear light that the bare card sends back of what falls on it
 * @returns undefined where too little bare card is seen
 */
export function readLamp(
  picture: Pixels,
  project: Projection,
  { width, height }: { readonly width: number; readonly height: number },
  out: number,
  card: LinearRgb,
): LampReading | undefined {
  const asked = barePlaces(width, height, out).flatMap(({ x, y }): BarePlace[] => {
    const at = project(x, y);
    const side = project(x + out / 3, y);
    const reach = Math.max(1, Math.min(Math.hypot(side.x - at.x, side.y - at.y), 24));
    if (at.x < reach || at.y < reach || at.x >= picture.width - reach || at.y >= picture.height - reach)
      return [];
    const { rgb, spread } = sampleBox(picture, boxAround(at.x, at.y, reach));
    const clipped = Math.max(rgb.r, rgb.g, rgb.b) > 0.995;
    return spread > ROUGH || clipped || rgb.g < 0.02 ? [] : [{ x: x / width, y: y / height, rgb }];
  });
  // What is darkest around a panel is not card but the mat.
  const brightest = Math.max(0, ...asked.map(({ rgb }) => rgb.g));
  const bare = asked.filter(({ rgb }) => rgb.g > 0.35 * brightest);
  if (bare.length < LEAST_PLACES) return undefined;
  const first = steadyLamp(bare);
  const kept = bare.filter((place) => offBy(place, first) < STRANGE);
  if (kept.length < LEAST_PLACES) return undefined;
  const lamp = fitLamp(kept);
  const off = kept.map((place) => offBy(place, lamp)).sort((p, q) => p - q);
  const strange = asked.filter((place) => !kept.includes(place));
  const nearest = (places: readonly BarePlace[], x: number, y: number) =>
    places.reduce(
      (least, place) => Math.min(least, Math.hypot((place.x - x) * width, (place.y - y) * height)),
      Infinity,
    );
  return {
    lampAt: (x, y) => {
      const light = lamp(x / width, y / height);
      return { r: light.r / card.r, g: light.g / card.g, b: light.b / card.b };
    },
    places: kept.length,
    uneven: off[off.length >> 1] ?? 0,
    // A strange place alone may be something that lies there; a shadow has many.
    isEven: (x, y) =>
      strange.length < FEW_STRANGE ||
      nearest(kept, x / width, y / height) < nearest(strange, x / width, y / height),
  };
}

/** Places around a panel, a little outside its edges. */
function barePlaces(width: number, height: number, out: number): { x: number; y: number }[] {
  const along = Array.from({ length: A_SIDE }, (_, i) => i / (A_SIDE - 1));
  return [
    ...along.flatMap((part) => [
      { x: part * width, y: -out },
      { x: part * width, y: height + out },
    ]),
    ...along.flatMap((part) => [
      { x: -out, y: part * height },
      { x: width + out, y: part * height },
    ]),
  ];
}

const CHANNELS = ['r', 'g', 'b'] as const;
const terms = (x: number, y: number): number[] => [1, x, y, x * y, x * x, y * y];
const TERMS = 6;
/** Held a little toward flat, so that few places on a line do not make it swing. */
const HELD = [1e-9, 1e-3, 1e-3, 1e-2, 1e-2, 1e-2];

function fitLamp(places: readonly BarePlace[]): Lamp {
  const rows = places.map(({ x, y }) => terms(x, y));
  const normal = square(TERMS);
  for (let i = 0; i < TERMS; i++)
    for (let j = 0; j <= i; j++)
      normal.at[i * TERMS + j] =
        rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0) + (i === j ? (HELD[i] ?? 0) : 0);
  factorise(normal);
  const fits = CHANNELS.map((channel) => {
    const fit = new Float64Array(TERMS);
    rows.forEach((row, place) => {
      const log = Math.log(places[place]?.rgb[channel] ?? 1);
      for (let i = 0; i < TERMS; i++) fit[i] = (fit[i] ?? 0) + (row[i] ?? 0) * log;
    });
    solve(normal, fit);
    return fit;
  });
  return (x, y) => {
    const at = terms(x, y);
    const [r = 0, g = 0, b = 0] = fits.map((fit) =>
      Math.exp(fit.reduce((sum, value, i) => sum + value * (at[i] ?? 0), 0)),
    );
    return { r, g, b };
  };
}

/** Fits to few places by chance, and what part of all places has to lie near one. */
const FITS = { tries: 400, places: 7, near: 0.5, seed: 4711 } as const;

/**
 * Of many lamps, each fitted to a few places by chance and then to the half of all that lies nearest to it, the one whose
 * half lies nearest: so a shadow over a part of the card does not bend it, as it bends a fit to all.
 * Source: P. J. Rousseeuw, K. Van Driessen, Technometrics 41 (1999) 212.
 */
function steadyLamp(places: readonly BarePlace[]): Lamp {
  const random = seededRandom(FITS.seed);
  const half = Math.ceil(FITS.near * places.length);
  const nearestTo = (lamp: Lamp) =>
    places
      .map((place) => ({ place, off: offBy(place, lamp) }))
      .sort((p, q) => p.off - q.off)
      .slice(0, half);
  let best = fitLamp(places);
  let least = nearestTo(best).at(-1)?.off ?? 0;
  for (let attempt = 0; attempt < FITS.tries; attempt++) {
    const few = Array.from(
      { length: FITS.places },
      () => places[Math.floor(random() * places.length)] as BarePlace,
    );
    const lamp = fitLamp(nearestTo(fitLamp(few)).map(({ place }) => place));
    const away = nearestTo(lamp).at(-1)?.off ?? 0;
    if (away < least) [best, least] = [lamp, away];
  }
  return best;
}

const offBy = ({ x, y, rgb }: BarePlace, lamp: Lamp): number => {
  const light = lamp(x, y);
  return Math.max(...CHANNELS.map((channel) => Math.abs(rgb[channel] / light[channel] - 1)));
};
