import { BANDS, flatSpectrum, type Spectrum } from '../../materials/colour/spectrum';
import { type Film, filmFromSwatch } from '../../materials/ink/film';
import { type Ink, strengthOf, swatchScattering } from '../../materials/ink/ink';
import { MODES, nmOf, spectrumModes } from '../../materials/ink/modes';
import { reflectanceOfHex } from '../../materials/ink/reflectance';
import { shiftedSpectrum, slopedScattering, type TaughtInk } from '../../materials/ink/taught';
import { type BandSlopes, bandSlopes } from './sensitivity';

/**
 * What is not known of an ink, in standard deviations from what is thought before any panel is read: strength,
 * scattering, its slope over the wavelengths, then the modes of its hidden spectrum.
 */
export const INK_PARAMS = 3 + MODES;
export const [STRENGTH, SCATTERING, SLOPE, FIRST_MODE] = [0, 1, 2, 3] as const;

/** What is thought of every ink: natural logarithms of strength and scattering, n of (550/λ)^n; tried on hidden inks. */
const PRIOR = {
  strength: { spread: 0.4 },
  scattering: { spread: 0.5 },
  slope: { mean: 0.75, spread: 0.45 },
} as const;

/** What an ink's film is solved from, and stays while it is learned of. */
export interface InkPrior {
  readonly ink: Ink;
  readonly swatch: Spectrum;
  /** S of one coat, usual for it. */
  readonly scattering: number;
  /** Natural logarithm of the strength it is thought to have: as its owner says. */
  readonly logStrength: number;
}

export const inkPrior = (ink: Ink): InkPrior => ({
  ink,
  swatch: reflectanceOfHex(ink.overWhite),
  scattering: swatchScattering(ink),
  logStrength: Math.log(strengthOf({ ...(ink.strength === undefined ? {} : { strength: ink.strength }) })),
});

/** A film of one coat, and how its K and S answer to each parameter. */
export interface FilmSlopes {
  readonly film: Film;
  /** `INK_PARAMS` spectra of each. */
  readonly byK: readonly Spectrum[];
  readonly byS: readonly Spectrum[];
}

/** What parameters say of an ink, in the values that are told. */
export function valuesOf(
  prior: InkPrior,
  params: ArrayLike<number>,
): Pick<TaughtInk, 'strength' | 'scattering' | 'slope' | 'modes'> {
  return {
    strength: Math.exp(prior.logStrength + PRIOR.strength.spread * params[STRENGTH]),
    scattering: Math.exp(PRIOR.scattering.spread * params[SCATTERING]),
    slope: PRIOR.slope.mean + PRIOR.slope.spread * params[SLOPE],
    modes: Array.from({ length: MODES }, (_, mode) => params[FIRST_MODE + mode]),
  };
}

/** The parameters at which an ink has these values. */
export function paramsOf(
  prior: InkPrior,
  taught: Pick<TaughtInk, 'strength' | 'scattering' | 'slope' | 'modes'>,
): Float64Array {
  const params = new Float64Array(INK_PARAMS);
  params[STRENGTH] = (Math.log(taught.strength) - prior.logStrength) / PRIOR.strength.spread;
  params[SCATTERING] = Math.log(taught.scattering) / PRIOR.scattering.spread;
  params[SLOPE] = (taught.slope - PRIOR.slope.mean) / PRIOR.slope.spread;
  params.set(taught.modes, FIRST_MODE);
  return params;
}

/** Standard deviations of the natural logarithms of strength and scattering, after what was learned. */
export const spreadsOf = ({ doubt }: Pick<TaughtInk, 'doubt'>) => ({
  strength: PRIOR.strength.spread * Math.sqrt(doubt[0] ?? 1),
  scattering: PRIOR.scattering.spread * Math.sqrt(doubt[2] ?? 1),
});

const GROUND = 1;
const WHITE_GROUND = flatSpectrum(GROUND);

/**
 * The film of one coat at these parameters, with its slopes.
 *
 * @param isSwatch  as the swatch was laid: with a strength of one, whatever the parameter says
 */
export function filmSlopes(prior: InkPrior, params: ArrayLike<number>, isSwatch = false): FilmSlopes {
  const { strength, scattering, slope, modes } = valuesOf(prior, params);
  const reflectance = shiftedSpectrum(prior.swatch, modes);
  const s = slopedScattering(prior.scattering * scattering, slope);
  const { absorption: k } = filmFromSwatch(reflectance, WHITE_GROUND, s);
  const times = isSwatch ? 1 : strength;
  const byK = Array.from({ length: INK_PARAMS }, () => new Float64Array(BANDS));
  const byS = Array.from({ length: INK_PARAMS }, () => new Float64Array(BANDS));
  const band: BandSlopes = { r: 0, byK: 0, byS: 0, byGround: 0 };
  const bases = spectrumModes();
  for (let i = 0; i < BANDS; i++) {
    bandSlopes(k[i], s[i], GROUND, band);
    // K is solved so that one coat over white shows the swatch: it follows S, and the swatch, by the formula's slopes.
    const isSolved = k[i] > 0;
    const kByS = isSolved ? -band.byS / band.byK : 0;
    const kByLogit = isSolved ? (reflectance[i] * (1 - reflectance[i])) / band.byK : 0;
    if (!isSwatch) {
      byK[STRENGTH][i] = PRIOR.strength.spread * times * k[i];
      byS[STRENGTH][i] = PRIOR.strength.spread * times * s[i];
    }
    const byScattering = PRIOR.scattering.spread * s[i];
    byS[SCATTERING][i] = times * byScattering;
    byK[SCATTERING][i] = times * kByS * byScattering;
    const bySlope = PRIOR.slope.spread * s[i] * Math.log(550 / nmOf(i));
    byS[SLOPE][i] = times * bySlope;
    byK[SLOPE][i] = times * kByS * bySlope;
    for (let mode = 0; mode < MODES; mode++) byK[FIRST_MODE + mode][i] = times * kByLogit * bases[mode][i];
  }
  return {
    film: { absorption: k.map((value) => times * value), scattering: s.map((value) => times * value) },
    byK,
    byS,
  };
}
