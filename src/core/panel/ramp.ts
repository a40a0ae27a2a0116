import { groundOfCard } from '../card/card';
import { linearRgbOfXyz, xyzOfSpectrum } from '../colour/lab';
import type { Ink } from '../ink/ink';
import { laidReflectance, type Wetness } from '../ink/laid';
import { coatsAt, type Kit, overlaps, runLength } from '../ladder/recipe';

/** Linear-light sRGB along the run, three values a sample, evenly spaced from its start to its end. */
export interface Ramp {
  readonly samples: number;
  readonly rgb: Float32Array;
}

/** Enough that a joint of a few millimetres on an A6 panel keeps its shape between samples. */
export const RAMP_SAMPLES = 320;

/**
 * The colours along a recipe's run. Blends are smooth, so spectra are computed at these samples only and a picture
 * interpolates between them; where an ink is solid the colour is computed once.
 */
export function rampOf({ recipe, card, inks }: Kit, wetness: Wetness, samples = RAMP_SAMPLES): Ramp {
  const ground = groundOfCard(card);
  const laps = overlaps(recipe);
  const length = runLength(recipe);
  const rgb = new Float32Array(samples * 3);
  let solid = -1;
  for (let i = 0; i < samples; i++) {
    const coats = coatsAt(recipe, laps, (i / (samples - 1)) * length);
    const only = coats.indexOf(1);
    if (only >= 0 && only === solid) {
      rgb.copyWithin(i * 3, i * 3 - 3, i * 3);
      continue;
    }
    solid = only;
    const laid = coats.flatMap((amount, k) => (amount > 0 ? [{ ink: inks[k] as Ink, coats: amount }] : []));
    const { r, g, b } = linearRgbOfXyz(xyzOfSpectrum(laidReflectance(laid, ground, wetness)));
    rgb[i * 3] = r;
    rgb[i * 3 + 1] = g;
    rgb[i * 3 + 2] = b;
  }
  return { samples, rgb };
}
