import { linearRgbOfXyz, type Xyz } from '../colour/lab';
import { WEIGHTS, WHITE } from '../colour/observer';
import { BANDS, type Spectrum, spectrumFrom } from '../colour/spectrum';
import { solveBordered } from './borderedSystem';

/**
 * A plausible reflectance for a colour known only by its tristimulus values: 380–730 nm, every value inside 0…1,
 * integrating back to the colour under D65 for the 2° observer (to well below ΔE00 0.5 for every sRGB colour).
 *
 * Many spectra have one colour, and the choice decides how bright a mixture is. This takes the spectrum that departs
 * most smoothly from the weighted geometric mean of two extremes: the smoothest spectrum of that colour (which mixes too
 * dull) and a sum of seven band-like spectra (which mixes too bright). docs/decisions.md tells what was tried.
 * Source of the solver: S. A. Burns, minimum slope squared of a hyperbolic-tangent variable, Color Res. Appl. 45
 * (2020) 93. Source of the seven spectra's use: B. Smits, J. Graphics Tools 4 (1999) 11.
 */
export function recoverReflectance(colour: Xyz): Spectrum {
  const smooth = smoothestFrom(FLAT, colour);
  const bands = bandLike(colour);
  const between = smooth.map((value, band) => value ** (1 - BAND_LIKE) * bands[band] ** BAND_LIKE);
  return smoothestFrom(between.map(toVariable), colour);
}

/** Weight of the band-like spectrum; set against the trade's pairs and two independent mixers (docs/decisions.md). */
const BAND_LIKE = 0.6;

/** Reflectances stay this far inside 0…1, so that the tangent variable and the film's absorption stay finite. */
const MARGIN = 2e-4;
const toVariable = (reflectance: number): number =>
  Math.atanh(2 * Math.min(Math.max(reflectance, MARGIN), 1 - MARGIN) - 1);
const FLAT = new Float64Array(BANDS);

const sigmoid = (t: number): number => 1 / (1 + Math.exp(-t));
/** Soft-edged thirds of the visible range; together they make white. */
const SHORT = spectrumFrom((nm) => sigmoid((490 - nm) / 9));
const LONG = spectrumFrom((nm) => sigmoid((588 - nm) / -9));
const MIDDLE = SHORT.map((value, band) => 1 - value - LONG[band]);

/**
 * The least that ink on a card gives back of any light: the surface scatters so much, whatever the ink takes (a density of
 * 2, the darkest of matte prints; from memory). Without it a colour that lacks a primary of sRGB has an ink of some
 * hundred times the absorption of its neighbours, and a trace of it shows as a hard line.
 */
const DARKEST = 0.01;

/** Sum of white, one of cyan, magenta, yellow, and one of red, green, blue, as far as each reaches. */
function bandLike(colour: Xyz): Spectrum {
  const { r, g, b } = linearRgbOfXyz(colour);
  const clip = (v: number) => Math.min(Math.max(v, DARKEST), 1);
  const [red, green, blue] = [clip(r), clip(g), clip(b)];
  return SHORT.map((short, band) => blue * short + green * MIDDLE[band] + red * LONG[band]);
}

/** How strongly the variable is held to its prior besides being held smooth; keeps the system positive definite. */
const HOLD = 1e-3;

/**
 * The spectrum (tanh z + 1)/2 whose z departs from `prior` with the least squared slope, subject to the colour.
 * Newton's method on the Lagrangian; a colour out of reach is pulled toward mid grey just far enough to be reached.
 */
function smoothestFrom(prior: Spectrum, colour: Xyz): Spectrum {
  for (const pull of [0, 2e-4, 5e-4, 1e-3, 2e-3, 5e-3, 0.02, 0.1]) {
    const target = {
      x: colour.x + pull * (WHITE.x / 2 - colour.x),
      y: colour.y + pull * (WHITE.y / 2 - colour.y),
      z: colour.z + pull * (WHITE.z / 2 - colour.z),
    };
    const found = newton(prior, target);
    if (found) return found;
  }
  throw new RangeError(`no reflectance between 0 and 1 has X ${colour.x}, Y ${colour.y}, Z ${colour.z}`);
}

const ROWS = [WEIGHTS.x, WEIGHTS.y, WEIGHTS.z] as const;
const MAX_STEPS = 40;
/** Tristimulus values may miss the target by this much. */
const NEAR_ENOUGH = 1e-8;

function newton(prior: Spectrum, target: Xyz): Spectrum | undefined {
  const z = Float64Array.from(prior);
  const pull: [number, number, number] = [0, 0, 0];
  const diagonal = new Float64Array(BANDS);
  const gradient = new Float64Array(BANDS);
  const border = [new Float64Array(BANDS), new Float64Array(BANDS), new Float64Array(BANDS)] as const;
  for (let step = 0; step < MAX_STEPS; step++) {
    const miss: [number, number, number] = [-target.x, -target.y, -target.z];
    for (let i = 0; i < BANDS; i++) {
      const tanh = Math.tanh(z[i]);
      const reflectance = (1 + tanh) / 2;
      const steepness = (1 - tanh * tanh) / 2;
      let pullHere = 0;
      for (let k = 0; k < 3; k++) {
        const weight = ROWS[k]?.[i];
        pullHere += weight * pull[k];
        miss[k] = miss[k] + weight * reflectance;
        (border[k] as Float64Array)[i] = weight * steepness;
      }
      // The curvature of the constraint is kept only where it leaves the matrix positive definite.
      const curvature = Math.max(-2 * tanh * steepness * pullHere, 0);
      diagonal[i] = (i === 0 || i === BANDS - 1 ? 2 : 4) + HOLD + curvature;
      gradient[i] = -(departureSlope(z, prior, i) + steepness * pullHere);
    }
    const solved = solveBordered(diagonal, -2, border, gradient, miss);
    if (!solved) return undefined;
    const longest = solved.step.reduce((most, d) => Math.max(most, Math.abs(d)), 0);
    if (!(longest < 1e6)) return undefined;
    if (longest < 1e-4 && miss.every((m) => Math.abs(m) < NEAR_ENOUGH))
      return z.map((v) => (Math.tanh(v) + 1) / 2);
    // A step far along the flat end of tanh would overshoot: shorten it.
    const length = Math.min(1, 2 / longest);
    for (let i = 0; i < BANDS; i++) z[i] = z[i] + length * solved.step[i];
    for (let k = 0; k < 3; k++) pull[k] = pull[k] + length * solved.multiplier[k];
  }
  return undefined;
}

/** Gradient, at band i, of the summed squared slope of z − prior, with the hold added. */
function departureSlope(z: Spectrum, prior: Spectrum, i: number): number {
  const here = z[i] - prior[i];
  let gradient = HOLD * here;
  if (i > 0) gradient += 2 * (here - z[i - 1] + prior[i - 1]);
  if (i < BANDS - 1) gradient += 2 * (here - z[i + 1] + prior[i + 1]);
  return gradient;
}
