import { xyzOfHex } from '../colour/hex';
import type { Spectrum } from '../colour/spectrum';
import { recoverReflectance } from './recover';

const recovered = new Map<string, Spectrum>();

/** `recoverReflectance` of a `#rrggbb` colour, remembered: shelves and searches ask for the same ones again. */
export function reflectanceOfHex(hex: string): Spectrum {
  let reflectance = recovered.get(hex);
  if (!reflectance) {
    reflectance = recoverReflectance(xyzOfHex(hex));
    recovered.set(hex, reflectance);
  }
  return reflectance;
}
