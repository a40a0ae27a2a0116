import { memoByKey } from '../../base/memo';
import { xyzOfHex } from '../colour/hex';
import type { Spectrum } from '../colour/spectrum';
import { recoverReflectance } from './recover';

/** Colours kept: several shelves of them. */
const MAX_COLOURS = 8192;

/** `recoverReflectance` of a `#rrggbb` colour, remembered: shelves and searches ask for the same ones again. */
export const reflectanceOfHex: (hex: string) => Spectrum = memoByKey(MAX_COLOURS, (hex: string) =>
  recoverReflectance(xyzOfHex(hex)),
);
