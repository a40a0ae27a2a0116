import { type Lab, labOfSpectrum } from '../colour/lab';
import type { Spectrum } from '../colour/spectrum';
import { mixedReflectance } from './film';
import { filmOfInk, type Ink, potencyOf } from './ink';

/** An ink and how much of it lies at one place, in full dried coats (0…1 in a blend). */
export interface Laid {
  readonly ink: Ink;
  readonly coats: number;
}

/** Dried reflectance of inks laid wet into each other over a ground. */
export const laidReflectance = (amounts: readonly Laid[], ground: Spectrum): Spectrum =>
  mixedReflectance(
    byPotency(amounts).map(({ ink, coats }) => ({ film: filmOfInk(ink), coats })),
    ground,
  );

/** A potent ink counts for more of the same thickness of film, the others for less. */
function byPotency(laid: readonly Laid[]): readonly Laid[] {
  if (laid.every(({ ink }) => potencyOf(ink) === 1)) return laid;
  const whole = laid.reduce((sum, { coats }) => sum + coats, 0);
  const weighed = laid.reduce((sum, { ink, coats }) => sum + coats * potencyOf(ink), 0);
  return laid.map(({ ink, coats }) => ({ ink, coats: (coats * potencyOf(ink) * whole) / weighed }));
}

/** Colour of one full, dried coat of an ink on a ground. */
export const driedColour = (ink: Ink, ground: Spectrum): Lab =>
  labOfSpectrum(laidReflectance([{ ink, coats: 1 }], ground));
