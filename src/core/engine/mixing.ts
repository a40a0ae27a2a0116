import { type LinearRgb, linearRgbOfXyz } from '../materials/colour/lab';
import { WEIGHTS } from '../materials/colour/observer';
import { BANDS, type Spectrum } from '../materials/colour/spectrum';
import { filmCurve } from '../materials/ink/filmCurve';
import { dryBackOf, filmOfInk, type Ink, potencyOf } from '../materials/ink/ink';
import { WET_TRAPPING, type Wetness } from '../materials/ink/laid';
import { layersOf, type Stack } from './stack';

/** An ink as the loop over bands reads it. */
interface Mixed {
  readonly absorption: Float64Array;
  readonly scattering: Float64Array;
  readonly potency: number;
  /** How much thicker the film is than once dried, and how much of the light its gloss keeps inside. */
  readonly thicker: number;
  readonly trapping: number;
}

/**
 * The light of what lies at one point: each layer is one film of the inks in it, over all below. Shown wet, the last
 * layer is as it looks under the brush, if it has not dried; those under it have.
 *
 * It says what `laidReflectance` says layer by layer, in one pass over the bands, because a picture asks for thousands
 * of places.
 */
export function lightOf(
  palette: readonly Ink[],
  ground: Spectrum,
  wetness: Wetness,
): (stack: Stack) => LinearRgb {
  const layAll = layersOver(palette, ground, wetness);
  return (stack) => {
    layAll(stack);
    let x = 0;
    let y = 0;
    let z = 0;
    for (let band = 0; band < BANDS; band++) {
      const r = R[band] as number;
      x += r * (WEIGHTS.x[band] as number);
      y += r * (WEIGHTS.y[band] as number);
      z += r * (WEIGHTS.z[band] as number);
    }
    return linearRgbOfXyz({ x, y, z });
  };
}

/** The dried reflectance of what lies at one point, as `lightOf` reckons it. */
export function reflectanceOf(palette: readonly Ink[], ground: Spectrum): (stack: Stack) => Float64Array {
  const layAll = layersOver(palette, ground, 'dry');
  return (stack) => {
    layAll(stack);
    return R.slice();
  };
}

/** Lays a stack's layers over a ground; the light that comes back is left in R. */
function layersOver(palette: readonly Ink[], ground: Spectrum, wetness: Wetness): (stack: Stack) => void {
  const bare = Float64Array.from(ground);
  const films = palette.map(
    (ink): Mixed => ({
      absorption: Float64Array.from(filmOfInk(ink).absorption),
      scattering: Float64Array.from(filmOfInk(ink).scattering),
      potency: potencyOf(ink),
      thicker: 1 / (1 - dryBackOf(ink)),
      trapping: WET_TRAPPING * dryBackOf(ink),
    }),
  );
  const potent = films.some(({ potency }) => potency !== 1);
  return (stack) => {
    R.set(bare);
    const layers = layersOf(stack);
    for (let layer = 0; layer < layers; layer++)
      layOver(films, stack, layer, potent, wetness === 'wet' && stack.wet && layer === stack.dried);
  };
}

/** The layer in hand: what it absorbs and scatters, and the light that comes back from it, by band. */
const K = new Float64Array(BANDS);
const S = new Float64Array(BANDS);
const R = new Float64Array(BANDS);

/** Lays one layer over what R shows. */
function layOver(
  films: readonly Mixed[],
  { amounts, inks }: Stack,
  layer: number,
  potent: boolean,
  wet: boolean,
): void {
  const from = layer * inks;
  // A potent ink counts for more of the same thickness of film, the others for less.
  let scale = 1;
  if (potent) {
    let whole = 0;
    let weighed = 0;
    for (let ink = 0; ink < inks; ink++) {
      whole += amounts[from + ink] as number;
      weighed += (amounts[from + ink] as number) * (films[ink] as Mixed).potency;
    }
    if (weighed > 0) scale = whole / weighed;
  }
  let trapped = 0;
  let laidInks = 0;
  for (let ink = 0; ink < inks; ink++) {
    const laid = amounts[from + ink] as number;
    if (laid === 0) continue;
    const film = films[ink] as Mixed;
    const coats = potent ? laid * scale * film.potency : laid;
    addFilm(film, wet ? coats * film.thicker : coats, laidInks === 0);
    if (wet) trapped += coats * film.trapping;
    laidInks++;
  }
  if (laidInks === 0) return;
  trapped = Math.min(trapped, MOST_TRAPPED);
  for (let band = 0; band < BANDS; band++) {
    const r = filmOver(K[band] as number, S[band] as number, R[band] as number);
    R[band] = trapped === 0 ? r : (r * (1 - trapped)) / (1 - trapped * r);
  }
}
/** However thick it lies, a wet film keeps no more of the light inside than this. */
const MOST_TRAPPED = 0.9;

/** @param alone  whether nothing was added before */
function addFilm({ absorption, scattering }: Mixed, coats: number, alone: boolean): void {
  if (alone)
    for (let band = 0; band < BANDS; band++) {
      K[band] = coats * (absorption[band] as number);
      S[band] = coats * (scattering[band] as number);
    }
  else
    for (let band = 0; band < BANDS; band++) {
      K[band] = (K[band] as number) + coats * (absorption[band] as number);
      S[band] = (S[band] as number) + coats * (scattering[band] as number);
    }
}

/** One band of a film over a ground; see `filmCurve` for the form of Kubelka's formula. */
function filmOver(k: number, s: number, ground: number): number {
  const both = k + s;
  const curve = filmCurve(k * (both + s));
  return (s - ground * (both - curve)) / (both - ground * s + curve);
}
