import { type LinearRgb, linearRgbOfXyz } from '../materials/colour/lab';
import { WEIGHTS } from '../materials/colour/observer';
import { BANDS, type Spectrum } from '../materials/colour/spectrum';
import { filmCurve } from '../materials/ink/filmCurve';
import { dryBackOf, filmOfInk, type Ink } from '../materials/ink/ink';
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
  readonly scattering: Float64Array;
  /** How much thicker the film is than once dried, and how much of the light its gloss keeps inside. */
  readonly thicker: number;
  readonly trapping: number;
}

/** What a mixer works on: what the layer in hand absorbs and scatters, and the light that comes back, by band. */
interface Bands {
  readonly k: Float64Array;
  readonly s: Float64Array;
  readonly r: Float64Array;
}

/**
 * The light of what lies at one point: each layer is one film of the inks in it, over all below. Shown wet, the last
 * layer is as it looks under the brush, if it has not dried: thicker, by what drying takes back, and glossy, which keeps
 * more of the light inside. Those under it have dried.
 *
 * It says what `laidReflectance` says layer by layer, in one pass over the bands, because a picture asks for thousands
 * of places.
 *
 * @param every  only every so-manieth band is looked at: near enough for differences, in so much less time
 */
export function lightOf(
  palette: readonly Ink[],
  ground: Spectrum,
  wetness: Wetness,
  every = 1,
): (stack: LayerStack) => LinearRgb {
  const { bands, layAll } = mixer(palette, ground, wetness, every);
  return (stack) => {
    layAll(stack, countLayers(stack));
    let x = 0;
    let y = 0;
    let z = 0;
    for (let band = 0; band < BANDS; band += every) {
      const r = bands.r[band];
      x += r * WEIGHTS.x[band];
      y += r * WEIGHTS.y[band];
      z += r * WEIGHTS.z[band];
    }
    return linearRgbOfXyz({ x: every * x, y: every * y, z: every * z });
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
function mixer(palette: readonly Ink[], ground: Spectrum, wetness: Wetness, every = 1) {
  const bare = Float64Array.from(ground);
  const bands: Bands = {
    k: new Float64Array(BANDS),
    s: new Float64Array(BANDS),
    r: new Float64Array(BANDS),
  };
  const films = palette.map(
    (ink): MixedInk => ({
      absorption: Float64Array.from(filmOfInk(ink).absorption),
      scattering: Float64Array.from(filmOfInk(ink).scattering),
      thicker: 1 / (1 - dryBackOf(ink)),
      trapping: WET_TRAPPING * dryBackOf(ink),
    }),
  );
  const layAll = (stack: LayerStack, layers: number): void => {
    bands.r.set(bare);
    for (let layer = 0; layer < layers; layer++)
      layOver(bands, films, stack, layer, wetness === 'wet' && stack.wet && layer === stack.dried, every);
  };
  return { bands, layAll };
}

/** Lays one layer over what `bands.r` shows. */
function layOver(
  { k, s, r }: Bands,
  films: readonly MixedInk[],
  { amounts, inks }: LayerStack,
  layer: number,
  wet: boolean,
  every: number,
): void {
  const from = layer * inks;
  let trapped = 0;
  let laidInks = 0;
  for (let ink = 0; ink < inks; ink++) {
    const coats = amounts[from + ink];
    if (coats === 0) continue;
    const film = films[ink] as MixedInk;
    const thick = wet ? coats * film.thicker : coats;
    if (laidInks === 0) startFilm(k, s, film, thick, every);
    else addFilm(k, s, film, thick, every);
    if (wet) trapped += coats * film.trapping;
    laidInks++;
  }
  if (laidInks === 0) return;
  trapped = Math.min(trapped, MAX_TRAPPED);
  for (let band = 0; band < BANDS; band += every) {
    const back = filmOver(k[band], s[band], r[band]);
    r[band] = trapped === 0 ? back : (back * (1 - trapped)) / (1 - trapped * back);
  }
}

/** The first ink of a layer takes the place of what stood there. */
function startFilm(k: Float64Array, s: Float64Array, film: MixedInk, coats: number, every: number): void {
  for (let band = 0; band < BANDS; band += every) {
    k[band] = coats * film.absorption[band];
    s[band] = coats * film.scattering[band];
  }
}

function addFilm(k: Float64Array, s: Float64Array, film: MixedInk, coats: number, every: number): void {
  for (let band = 0; band < BANDS; band += every) {
    k[band] = k[band] + coats * film.absorption[band];
    s[band] = s[band] + coats * film.scattering[band];
  }
}

/** One band of a film over a ground; see `filmCurve` for the form of Kubelka's formula. */
function filmOver(k: number, s: number, ground: number): number {
  const both = k + s;
  const curve = filmCurve(k * (both + s));
  return (s - ground * (both - curve)) / (both - ground * s + curve);
}
