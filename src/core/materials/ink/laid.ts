import { type Lab, labOfSpectrum } from '../colour/lab';
import type { Spectrum } from '../colour/spectrum';
import { mixedReflectance } from './film';
import { filmOfInk, type Ink } from './ink';

/** An ink and how much of it lies at one place, in full dried coats (0…1 in a blend). */
export interface Laid {
  readonly ink: Ink;
  readonly coats: number;
}

/** Dried reflectance of inks laid wet into each other over a ground. */
export const laidReflectance = (amounts: readonly Laid[], ground: Spectrum): Spectrum =>
  mixedReflectance(
    amounts.map(({ ink, coats }) => ({ film: filmOfInk(ink), coats })),
    ground,
  );

/** Colour of one full, dried coat of an ink on a ground. */
export const driedColour = (ink: Ink, ground: Spectrum): Lab =>
  labOfSpectrum(laidReflectance([{ ink, coats: 1 }], ground));
