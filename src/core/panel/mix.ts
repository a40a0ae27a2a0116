import { groundOfCard } from '../card/card';
import { type LinearRgb, linearRgbOfXyz } from '../colour/lab';
import { WEIGHTS } from '../colour/observer';
import { BANDS } from '../colour/spectrum';
import { filmCurve } from '../ink/filmCurve';
import { dryBackOf, filmOfInk, type Ink, potencyOf } from '../ink/ink';
import { WET_TRAPPING, type Wetness } from '../ink/laid';
import type { Kit } from '../ladder/recipe';
import { OVERS } from '../over/over';
import { TOOLS } from '../tool/tools';
import type { Progress } from './progress';

/**
 * The colour of a place from what lies there.
 *
 * @param parts  parts of the rungs' inks, summing to 1
 * @param covers  how much of each ink over the ladder lies there, 0…1; none where left out
 */
export type MixColour = (parts: ArrayLike<number>, covers?: ArrayLike<number>) => LinearRgb;

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
 * How a kit's inks look where they lie together: the ladder and what is laid into it wet are one film; what is laid
 * over it once it has dried is a film on that.
 *
 * It says what `laidReflectance` says, in one pass over the bands, because a picture asks for thousands of places.
 */
export function mixColour(
  { recipe, card, inks, overInks }: Kit,
  wetness: Wetness,
  progress: Progress,
): MixColour {
  const bare = Float64Array.from(groundOfCard(card));
  const { coats } = TOOLS[recipe.tool];
  const asMixed = (ink: Ink): Mixed => ({
    absorption: Float64Array.from(filmOfInk(ink).absorption),
    scattering: Float64Array.from(filmOfInk(ink).scattering),
    potency: potencyOf(ink),
    thicker: wetness === 'wet' ? 1 / (1 - dryBackOf(ink)) : 1,
    trapping: wetness === 'wet' ? WET_TRAPPING * dryBackOf(ink) : 0,
  });
  const rungs = inks.map(asMixed);
  const overs = overInks.map(asMixed);
  const onto = recipe.overs.map(({ id }) => OVERS[id].onto);
  /** The films that lie at the place in hand: those of the wet layer first, then each dried one. */
  const films: Mixed[] = [];
  const amounts: number[] = [];

  return (parts, covers) => {
    films.length = 0;
    amounts.length = 0;
    for (let rung = 0; rung < rungs.length; rung++)
      if ((parts[rung] as number) > 0 && progress.laid[rung]) {
        films.push(rungs[rung] as Mixed);
        amounts.push(coats * (parts[rung] as number));
      }
    const lay = (layer: 'wet' | 'dried'): void => {
      for (let over = 0; over < progress.overs; over++)
        if (onto[over] === layer && covers && (covers[over] as number) > 0) {
          films.push(overs[over] as Mixed);
          amounts.push(covers[over] as number);
        }
    };
    lay('wet');
    weigh(films, amounts);
    const wet = films.length;
    lay('dried');
    return summed(films, amounts, wet, bare);
  };
}

/** A potent ink counts for more of the same thickness of film, the others for less. */
function weigh(films: readonly Mixed[], amounts: number[]): void {
  let whole = 0;
  let weighed = 0;
  for (let i = 0; i < amounts.length; i++) {
    whole += amounts[i] as number;
    weighed += (amounts[i] as number) * (films[i] as Mixed).potency;
  }
  if (weighed === 0) return;
  for (let i = 0; i < amounts.length; i++)
    amounts[i] = ((amounts[i] as number) * (films[i] as Mixed).potency * whole) / weighed;
}

/** The layer in hand: what it absorbs and scatters, and the light that comes back from it, by band. */
const K = new Float64Array(BANDS);
const S = new Float64Array(BANDS);
const R = new Float64Array(BANDS);

/** Light of the layers over a ground, summed over the bands. */
function summed(
  films: readonly Mixed[],
  amounts: readonly number[],
  wet: number,
  ground: Float64Array,
): LinearRgb {
  R.set(ground);
  if (wet > 0) {
    K.fill(0);
    S.fill(0);
    let trapped = 0;
    for (let i = 0; i < wet; i++) {
      const film = films[i] as Mixed;
      addFilm(film, (amounts[i] as number) * film.thicker);
      trapped += (amounts[i] as number) * film.trapping;
    }
    layOver(trapped);
  }
  for (let i = wet; i < films.length; i++) {
    const film = films[i] as Mixed;
    K.fill(0);
    S.fill(0);
    addFilm(film, (amounts[i] as number) * film.thicker);
    layOver((amounts[i] as number) * film.trapping);
  }
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
}

function addFilm({ absorption, scattering }: Mixed, coats: number): void {
  for (let band = 0; band < BANDS; band++) {
    K[band] = (K[band] as number) + coats * (absorption[band] as number);
    S[band] = (S[band] as number) + coats * (scattering[band] as number);
  }
}

/** Lays the film in K and S over what R shows, and takes off what its gloss keeps inside. */
function layOver(trapped: number): void {
  for (let band = 0; band < BANDS; band++) {
    const r = filmOver(K[band] as number, S[band] as number, R[band] as number);
    R[band] = trapped === 0 ? r : (r * (1 - trapped)) / (1 - trapped * r);
  }
}

/** One band of a film over a ground; see `filmCurve` for the form of Kubelka's formula. */
function filmOver(k: number, s: number, ground: number): number {
  const both = k + s;
  const curve = filmCurve(k * (both + s));
  return (s - ground * (both - curve)) / (both - ground * s + curve);
}
