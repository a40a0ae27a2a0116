import { lightOf } from '../engine/mixing';
import { finished, lapsNow, type Progress } from '../engine/progress';
import { addWet, clearStack, makeStack } from '../engine/stack';
import { groundOfCard } from '../materials/card/card';
import type { Wetness } from '../materials/ink/laid';
import { coatsAt, type Kit, overlaps, runLength } from '../recipe/recipe';
import { TOOLS } from '../recipe/tools/tools';

/** Linear-light sRGB along the run, three values a sample, evenly spaced from its start to its end. */
export interface Ramp {
  readonly samples: number;
  readonly rgb: Float32Array;
}

/** Enough that a joint of a few millimetres on an A6 panel keeps its shape between samples. */
export const RAMP_SAMPLES = 320;

/**
 * The colours along a recipe's run of bands. Blends are smooth, so spectra are computed at these samples only and a
 * picture interpolates between them; where an ink is solid the colour is computed once.
 */
export function rampOf(
  kit: Kit,
  wetness: Wetness,
  progress: Progress = finished(kit.recipe),
  samples = RAMP_SAMPLES,
): Ramp {
  const { recipe } = kit;
  const { coats } = TOOLS[recipe.tool];
  const colourOf = lightOf(kit.inks, groundOfCard(kit.card), wetness);
  const stack = makeStack(kit.inks, 1);
  const laps = lapsNow(overlaps(recipe), progress);
  const length = runLength(recipe);
  const rgb = new Float32Array(samples * 3);
  let solid = -1;
  for (let i = 0; i < samples; i++) {
    const parts = coatsAt(recipe, laps, (i / (samples - 1)) * length);
    const only = parts.indexOf(1);
    if (only >= 0 && only === solid) {
      rgb.copyWithin(i * 3, i * 3 - 3, i * 3);
      continue;
    }
    solid = only;
    clearStack(stack);
    parts.forEach((part, rung) => {
      if (progress.laid[rung]) addWet(stack, rung, coats * part);
    });
    const { r, g, b } = colourOf(stack);
    rgb[i * 3] = r;
    rgb[i * 3 + 1] = g;
    rgb[i * 3 + 2] = b;
  }
  return { samples, rgb };
}
