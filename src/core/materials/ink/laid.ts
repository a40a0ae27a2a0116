import { type Lab, labOfSpectrum } from '../colour/lab';
import type { Spectrum } from '../colour/spectrum';
import { mixedReflectance } from './film';
import { dryBackOf, filmOfInk, type Ink, potencyOf } from './ink';

/** An ink and how much of it lies at one place, in full dried coats (0…1 in a blend). */
export interface Laid {
  readonly ink: Ink;
  readonly coats: number;
}

/** Dried is how a panel is judged; wet is how it looks under the brush. */
export type Wetness = 'dry' | 'wet';

/**
 * How strongly a fully wet surface traps light inside: the part reflected back into the film.
 * Source of the form ρ(1−p)/(1−pρ): J. Lekner, M. C. Dorf, Appl. Opt. 27 (1988) 1278; the size is from memory.
 */
export const WET_TRAPPING = 0.6;

/**
 * Reflectance of inks laid wet into each other over a ground.
 *
 * The wet film is thicker, by what drying takes back, and its gloss keeps more of the light inside. A place with
 * no ink on it is dry card either way.
 */
export function laidReflectance(amounts: readonly Laid[], ground: Spectrum, wetness: Wetness): Spectrum {
  const laid = byPotency(amounts);
  const wet = wetness === 'wet';
  const portions = laid.map(({ ink, coats }) => ({
    film: filmOfInk(ink),
    coats: wet ? coats / (1 - dryBackOf(ink)) : coats,
  }));
  const reflectance = mixedReflectance(portions, ground);
  if (!wet) return reflectance;
  const trapped = WET_TRAPPING * laid.reduce((sum, { ink, coats }) => sum + coats * dryBackOf(ink), 0);
  return reflectance.map((r) => (r * (1 - trapped)) / (1 - trapped * r));
}

/** A potent ink counts for more of the same thickness of film, the others for less. */
function byPotency(laid: readonly Laid[]): readonly Laid[] {
  if (laid.every(({ ink }) => potencyOf(ink) === 1)) return laid;
  const whole = laid.reduce((sum, { coats }) => sum + coats, 0);
  const weighed = laid.reduce((sum, { ink, coats }) => sum + coats * potencyOf(ink), 0);
  return laid.map(({ ink, coats }) => ({ ink, coats: (coats * potencyOf(ink) * whole) / weighed }));
}

/** Colour of one full, dried coat of an ink on a ground. */
export const driedColour = (ink: Ink, ground: Spectrum): Lab =>
  labOfSpectrum(laidReflectance([{ ink, coats: 1 }], ground, 'dry'));
