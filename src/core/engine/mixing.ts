import { type LinearRgb, linearRgbOfXyz } from '../materials/colour/lab';
import { WEIGHTS } from '../materials/colour/observer';
import { BANDS, type Spectrum } from '../materials/colour/spectrum';
import { filmCurve } from '../materials/ink/filmCurve';
import { dryBackOf, filmOfInk, type Ink, potencyOf } from '../materials/ink/ink';
import { countLayers, type LayerStack } from './stack';

/** Dried is how a panel is judged; wet is how it looks under the brush. */
export type Wetness = 'dry' | 'wet';

/**
 * How strongly a fully wet surface traps light inside: the part reflected back into the film.
 * Source of the form ρ(1−p)/(1−pρ): J. Lekner, M. C. Dorf, Appl. Opt. 27 (1988) 1278; the size is from memory.
 */
const WET_TRAPPING = 0.6;
/** However thick it lies, a wet film keeps no more of the light inside than this. */
const MAX_TRAPPED = 0.9;

/** An ink as the loop over bands reads it. */
interface MixedInk {
  readonly absorption: Float64Array;
  readonly scattering: number;
  readonly potency: number;
  /** How much thicker the film is than once dried, and how much of the light its gloss keeps inside. */
  readonly thicker: number;
  readonly trapping: number;
}

/** What a mixer works on: what the layer in hand absorbs, and the light that comes back, by band. */
interface Bands {
  readonly k: Float64Array;
  readonly r: Float64Array;
}

/**
 * The light of what lies at one point: each layer is one film of the inks in it, over all below. Shown wet, the last
 * layer is as it looks under the brush, if it has not dried: thicker, by what drying takes back, and glossy, which keeps
 * more of the light inside. Those under it have dried.
 *
 * It says what `laidReflectance` says layer by layer, in one pass over the bands, because a picture asks for thousands
 * of places.
 */
export function lightOf(
  palette: readonly Ink[],
  ground: Spectrum,
  wetness: Wetness,
): (stack: LayerStack) => LinearRgb {
  const { bands, layAll } = mixer(palette, ground, wetness);
  return (stack) => {
    layAll(stack, countLayers(stack));
    let x = 0;
    let y = 0;
    let z = 0;
    for (let band = 0; band < BANDS; band++) {
      const r = bands.r[band];
      x += r * WEIGHTS.x[band];
      y += r * WEIGHTS.y[band];
      z += r * WEIGHTS.z[band];
    }
    return linearRgbOfXyz({ x, y, z });
  };
}

/** The dried reflectance of what lies at one point, as `lightOf` reckons it. */
export function reflectanceOf(palette: readonly Ink[], ground: Spectrum): (stack: LayerStack) => Spectrum {
  const { bands, layAll } = mixer(palette, ground, 'dry');
  return (stack) => {
    layAll(stack, countLayers(stack));
    return bands.r.slice();
  };
}

/** The dried reflectance of the lowest layers of a stack. */
export function dryReflectance(
  palette: readonly Ink[],
  stack: LayerStack,
  ground: Spectrum,
  layers: number,
): Spectrum {
  const { bands, layAll } = mixer(palette, ground, 'dry');
  layAll(stack, layers);
  return bands.r;
}

/** Lays stacks of layers over a ground, one after another; the light that comes back is left in `bands.r`. */
function mixer(palette: readonly Ink[], ground: Spectrum, wetness: Wetness) {
  const bare = Float64Array.from(ground);
  const bands: Bands = {
    k: new Float64Array(BANDS),
    r: new Float64Array(BANDS),
  };
  const films = palette.map(
    (ink): MixedInk => ({
      absorption: Float64Array.from(filmOfInk(ink).absorption),
      scattering: filmOfInk(ink).scattering,
      potency: potencyOf(ink),
      thicker: 1 / (1 - dryBackOf(ink)),
      trapping: WET_TRAPPING * dryBackOf(ink),
    }),
  );
  const potent = films.some(({ potency }) => potency !== 1);
  const layAll = (stack: LayerStack, layers: number): void => {
    bands.r.set(bare);
    for (let layer = 0; layer < layers; layer++)
      layOver(bands, films, stack, layer, potent, wetness === 'wet' && stack.wet && layer === stack.dried);
  };
  return { bands, layAll };
}

/** Lays one layer over what `bands.r` shows. */
function layOver(
  { k, r }: Bands,
  films: readonly MixedInk[],
  { amounts, inks }: LayerStack,
  layer: number,
  potent: boolean,
  wet: boolean,
): void {
  const from = layer * inks;
  const scale = potent ? evenPotency(films, amounts, from) : 1;
  let trapped = 0;
  let s = 0;
  let laidInks = 0;
  for (let ink = 0; ink < inks; ink++) {
    const laid = amounts[from + ink];
    if (laid === 0) continue;
    const film = films[ink] as MixedInk;
    const coats = potent ? laid * scale * film.potency : laid;
    const thick = wet ? coats * film.thicker : coats;
    addFilm(k, film.absorption, thick, laidInks === 0);
    s += thick * film.scattering;
    if (wet) trapped += coats * film.trapping;
    laidInks++;
  }
  if (laidInks === 0) return;
  trapped = Math.min(trapped, MAX_TRAPPED);
  for (let band = 0; band < BANDS; band++) {
    const back = filmOver(k[band], s, r[band]);
    r[band] = trapped === 0 ? back : (back * (1 - trapped)) / (1 - trapped * back);
  }
}

/** A potent ink counts for more of the same thickness of film, the others for less: by this factor. */
function evenPotency(films: readonly MixedInk[], amounts: Float64Array, from: number): number {
  let whole = 0;
  let weighed = 0;
  for (let ink = 0; ink < films.length; ink++) {
    whole += amounts[from + ink];
    weighed += amounts[from + ink] * (films[ink] as MixedInk).potency;
  }
  return weighed > 0 ? whole / weighed : 1;
}

/** @param alone  whether nothing was added before */
function addFilm(k: Float64Array, absorption: Float64Array, coats: number, alone: boolean): void {
  if (alone) for (let band = 0; band < BANDS; band++) k[band] = coats * absorption[band];
  else for (let band = 0; band < BANDS; band++) k[band] = k[band] + coats * absorption[band];
}

/** One band of a film over a ground; see `filmCurve` for the form of Kubelka's formula. */
function filmOver(k: number, s: number, ground: number): number {
  const both = k + s;
  const curve = filmCurve(k * (both + s));
  return (s - ground * (both - curve)) / (both - ground * s + curve);
}
