import { BANDS, type Spectrum } from '../colour/spectrum';
import { expMinus } from './expMinus';

/**
 * What one unit of an ink's film does to light, band by band: K absorbs, S scatters. Both are dimensionless, because the
 * thickness of one unit (a full, dried coat) is folded in, and both are at least 0.
 */
export interface Film {
  readonly absorption: Spectrum;
  readonly scattering: Spectrum;
}

/** Below this scattering a film is a clear filter; the general formula loses its digits there. */
const CLEAR = 1e-6;

/** Hyperbolic cotangent for t > 0, by one exponential. */
function coth(t: number): number {
  if (t > 20) return 1;
  // Too near 0 for a difference of two near ones.
  if (t < 1e-4) return 1 / t;
  const e = expMinus(2 * t);
  return (1 + e) / (1 - e);
}

/**
 * Reflectance of one band of a film over a ground, by Kubelka–Munk theory for a layer of finite thickness.
 *
 * @param k  absorption times thickness, at least 0
 * @param s  scattering times thickness, at least 0; 0 is a clear dye, where the film is a filter passed twice
 * @param ground  reflectance of what lies under, 0…1
 * @returns reflectance, 0…1
 * Source: P. Kubelka, J. Opt. Soc. Am. 38 (1948) 448.
 */
export function bandReflectance(k: number, s: number, ground: number): number {
  if (s < CLEAR) return ground * Math.exp(-2 * k);
  const a = 1 + k / s;
  const b = Math.sqrt(a * a - 1);
  // b·coth(b·s) tends to 1/s where the film does not absorb.
  const c = b * s < 1e-7 ? 1 / s : b * coth(b * s);
  return (1 - ground * (a - c)) / (a - ground + c);
}

/** Reflectance of a film over a ground, per band; see `bandReflectance`. */
export const filmReflectance = (film: Film, ground: Spectrum): Spectrum =>
  mixedReflectance([{ film, coats: 1 }], ground);

/** One of the films in a mixture and how much of it lies there, in coats (1 is a full, dried coat). */
export interface Portion {
  readonly film: Film;
  readonly coats: number;
}

/**
 * Reflectance of films laid wet into each other over a ground: they become one film whose absorption and scattering
 * are the sums of theirs. Source: Kubelka–Munk theory's additivity, D. R. Duncan, Proc. Phys. Soc. 52 (1940) 390.
 */
export function mixedReflectance(portions: readonly Portion[], ground: Spectrum): Spectrum {
  const reflectance = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band++) {
    let k = 0;
    let s = 0;
    for (const { film, coats } of portions) {
      k += coats * film.absorption[band];
      s += coats * film.scattering[band];
    }
    reflectance[band] = bandReflectance(k, s, ground[band]);
  }
  return reflectance;
}

/**
 * The film of known scattering that shows a given reflectance over a given ground. Absorption cannot be negative,
 * so where the swatch is brighter than the bare scattering film could be, the result is that film.
 *
 * @param swatch  reflectance over the ground, 0…1 per band
 * @param ground  reflectance of the ground, 0…1 per band
 * @param scattering  S of one coat, per band
 */
export function filmFromSwatch(swatch: Spectrum, ground: Spectrum, scattering: Spectrum): Film {
  return {
    absorption: swatch.map((target, band) => absorptionFor(target, ground[band], scattering[band])),
    scattering,
  };
}

/** The film that lays so many times as much at once. */
export const strongerFilm = ({ absorption, scattering }: Film, times: number): Film =>
  times === 1
    ? { absorption, scattering }
    : { absorption: absorption.map((k) => k * times), scattering: scattering.map((s) => s * times) };

/**
 * Solves `bandReflectance(k, s, ground) = target` for k, by false position on the logarithm of the reflectance,
 * which is nearly straight in k (for a clear film it is straight).
 */
function absorptionFor(target: number, ground: number, s: number): number {
  const wanted = Math.log(Math.max(target, 1e-9));
  const miss = (k: number): number => Math.log(bandReflectance(k, s, ground)) - wanted;
  let low = 0;
  let missLow = miss(low);
  if (missLow <= 0) return 0;
  let high = missLow / 2;
  let missHigh = miss(high);
  while (missHigh > 0 && high < 1e6) {
    low = high;
    missLow = missHigh;
    high *= 2;
    missHigh = miss(high);
  }
  for (let step = 0; step < 60 && high - low > 1e-11 * high; step++) {
    const k = (low * missHigh - high * missLow) / (missHigh - missLow);
    const here = miss(k);
    if (Math.abs(here) < 1e-11) return k;
    // Halving the value kept at the other end stops one end from standing still (the Illinois rule).
    if (here > 0) {
      low = k;
      missLow = here;
      missHigh /= 2;
    } else {
      high = k;
      missHigh = here;
      missLow /= 2;
    }
  }
  return (low + high) / 2;
}
