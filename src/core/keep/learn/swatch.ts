import type { Lab } from '../../materials/colour/lab';
import type { Ink } from '../../materials/ink/ink';
import { weightsFor } from './residual';

/** Root mean square ΔE00 of a swatch as a reading; one with a channel at an end is likely clipped there, and says less. */
const NOISE = { usual: 1, clipped: 4 } as const;

/** How much each part of a swatch's colour counts as a reading of its ink at a strength of one. */
export const swatchWeights = ({ overWhite }: Ink, lab: Lab): Float64Array =>
  weightsFor(lab, /^#(?:..)*(?:00|ff)/i.test(overWhite) ? NOISE.clipped : NOISE.usual);
