import { deltaE00 } from '../colour/difference';
import { type Lab, labOfSpectrum } from '../colour/lab';
import { flatSpectrum, type Spectrum } from '../colour/spectrum';
import { type Film, filmFromSwatch, filmReflectance } from './film';

/** A coat of more scatters no more that an eye would see, and one of less is clear. */
const SCATTERING = { min: 1e-3, max: 12 } as const;
/** How far a swatch may be read wrong, ΔE00; from memory. */
const READ_WRONG = 2;
/** How far inks of one kind differ in scattering, as a natural logarithm; from memory. */
const KIND_SPREAD = 1;
const COARSE = 16;
const FINE = 20;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The film whose swatches over two grounds are both known: the two-ground method, as the contrast ratio of ISO 6504-3
 * and ASTM D2805 is measured, with one scattering for all bands. The first swatch is met exactly; the scattering is the
 * likeliest one by the second swatch's colour and by what is usual for the kind.
 *
 * Solving every band for itself is worse than taking the kind's scattering: the two spectra are recovered each from a
 * colour, and do not agree band by band.
 *
 * @param swatch  reflectance over `ground`, 0…1 per band
 * @param second  colour of the same coat over another ground
 * @param likely  scattering that is usual for the kind, above 0
 */
export function filmFromTwoSwatches(
  swatch: Spectrum,
  ground: Spectrum,
  second: { readonly lab: Lab; readonly ground: Spectrum },
  likely: number,
): Film {
  const filmOf = (log: number): Film => filmFromSwatch(swatch, ground, flatSpectrum(Math.exp(log)));
  const doubt = (log: number): number => {
    const seen = labOfSpectrum(filmReflectance(filmOf(log), second.ground));
    return (deltaE00(seen, second.lab) / READ_WRONG) ** 2 + ((log - Math.log(likely)) / KIND_SPREAD) ** 2;
  };
  return filmOf(leastOf(doubt, Math.log(SCATTERING.min), Math.log(SCATTERING.max)));
}

/** Where a function is least: looked for coarsely, then by golden section. */
function leastOf(f: (x: number) => number, from: number, to: number): number {
  const step = (to - from) / COARSE;
  const coarse = Array.from({ length: COARSE + 1 }, (_, i) => f(from + i * step));
  const at = from + coarse.indexOf(Math.min(...coarse)) * step;
  let [low, high] = [Math.max(at - step, from), Math.min(at + step, to)];
  for (let i = 0; i < FINE; i++) {
    const [left, right] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (f(left) < f(right)) high = right;
    else low = left;
  }
  return (low + high) / 2;
}
