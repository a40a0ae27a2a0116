import { compileLayers } from '../engine/layers';
import type { Wetness } from '../engine/mixing';
import type { Progress } from '../engine/progress';
import { groundOfCard } from '../materials/card/card';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { BandGeometry } from '../recipe/runs/definition';
import { type Ground, SHADE, shadesOf } from './shades';
import type { Surface } from './surface/surface';

/** Shades along the run, evenly spaced from its start to its end, `SHADE` values a sample. */
export interface Ramp {
  readonly samples: number;
  readonly shades: Float32Array;
  readonly ground: Ground;
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
  surface?: Pick<Surface, 'spread' | 'bareShare'>,
  samples = RAMP_SAMPLES,
): Ramp {
  const program = compileLayers(resolved, progress);
  const stack = program.stack();
  const { ground, shade } = shadesOf(program.palette, groundOfCard(resolved.card), wetness, stack, surface);
  const before = new Float64Array(program.palette.length).fill(-1);
  const shades = new Float32Array(samples * SHADE);
  for (let i = 0; i < samples; i++) {
    const { x, y } = bands.handleAt((i / (samples - 1)) * bands.length);
    program.layAt(x, y, nowhere, stack);
    if (before.every((amount, ink) => amount === stack.amounts[ink])) {
      shades.copyWithin(i * SHADE, (i - 1) * SHADE, i * SHADE);
      continue;
    }
    before.set(stack.amounts.subarray(0, before.length));
    shade(stack, shades, i * SHADE);
  }
  return { samples, shades, ground };
}

/** With no pass there is no border to lie inside of. */
const nowhere = (): boolean => false;
