import { compileLayers } from '../engine/layers';
import { lightOf, type Wetness } from '../engine/mixing';
import type { Progress } from '../engine/progress';
import { groundOfCard } from '../materials/card/card';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { BandGeometry } from '../recipe/runs/definition';

/** Linear-light sRGB along the run, three values a sample, evenly spaced from its start to its end. */
export interface Ramp {
  readonly samples: number;
  readonly rgb: Float32Array;
}

/** Enough that a joint of a few millimetres on an A6 panel keeps its shape between samples. */
export const RAMP_SAMPLES = 320;

/**
 * The colours along a run of bands while no pass is laid. Blends are smooth, so spectra are computed at these samples
 * only and a picture interpolates between them; where the same lies as at the sample before it has its colour.
 */
export function rampOf(
  resolved: ResolvedRecipe,
  bands: BandGeometry,
  wetness: Wetness,
  progress: Progress,
  samples = RAMP_SAMPLES,
): Ramp {
  const program = compileLayers(resolved, progress);
  const colourOf = lightOf(program.palette, groundOfCard(resolved.card), wetness);
  const stack = program.stack();
  const before = new Float64Array(program.palette.length).fill(-1);
  const rgb = new Float32Array(samples * 3);
  for (let i = 0; i < samples; i++) {
    const { x, y } = bands.handleAt((i / (samples - 1)) * bands.length);
    program.layAt(x, y, nowhere, stack);
    if (before.every((amount, ink) => amount === stack.amounts[ink])) {
      rgb.copyWithin(i * 3, i * 3 - 3, i * 3);
      continue;
    }
    before.set(stack.amounts.subarray(0, before.length));
    const { r, g, b } = colourOf(stack);
    rgb[i * 3] = r;
    rgb[i * 3 + 1] = g;
    rgb[i * 3 + 2] = b;
  }
  return { samples, rgb };
}

/** With no pass there is no border to lie inside of. */
const nowhere = (): boolean => false;
