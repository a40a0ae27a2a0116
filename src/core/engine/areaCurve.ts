import type { Size } from '../base/geometry';
import type { Millimetres } from '../base/length';
import { memo } from '../base/memo';
import { bandsOf, type Recipe } from '../recipe/recipe';
import type { BandGeometry } from '../recipe/runs/definition';
import type { RunChoice } from '../recipe/runs/runs';

/** How much of the panel lies up to a place along its run, and the way back. */
export interface AreaCurve {
  /** Part of the panel, 0…1, that lies at most so far along. */
  readonly upTo: (along: Millimetres) => number;
  /** How far along a part of the panel, 0…1, reaches. */
  readonly alongOf: (part: number) => Millimetres;
}

const STEPS = 400;
/** Points along each side of the panel at which the run is asked. */
const POINTS = 160;

/** The recipe's area curve; along a straight run it is straight. Patches cover the panel by their shares already. */
export const areaCurveOf = ({ run, panel }: Pick<Recipe, 'run' | 'panel'>): AreaCurve => curveOf(run, panel);

/** Remembered for the last few runs: marks move far more often than the run under them. */
const curveOf = memo(16, (run: RunChoice, panel: Size): AreaCurve => {
  const bands = bandsOf({ run, panel });
  const length = bands?.length ?? panel.height;
  if (!bands || bands.isHorizontal)
    return { upTo: (along) => along / length, alongOf: (part) => part * length };
  return countAreas(bands, panel);
});

function countAreas({ alongAt, length }: BandGeometry, { width, height }: Size): AreaCurve {
  const sums = new Float64Array(STEPS + 1);
  for (let row = 0; row < POINTS; row++)
    for (let column = 0; column < POINTS; column++) {
      const along = alongAt(((column + 0.5) / POINTS) * width, ((row + 0.5) / POINTS) * height);
      // A point stands for a small patch: it is spread over the two steps it lies between.
      const step = Math.min((along / length) * STEPS, STEPS - 1e-9);
      const low = Math.floor(step);
      sums[low + 1] = sums[low + 1] + 1 - (step - low) / 2;
      if (low + 2 <= STEPS) sums[low + 2] = sums[low + 2] + (step - low) / 2;
      else sums[low + 1] = sums[low + 1] + (step - low) / 2;
    }
  for (let i = 1; i <= STEPS; i++) sums[i] = sums[i] + sums[i - 1];
  const whole = sums[STEPS];
  return {
    upTo: (along) => {
      const step = Math.min(Math.max((along / length) * STEPS, 0), STEPS);
      const low = Math.min(Math.floor(step), STEPS - 1);
      const from = sums[low];
      return (from + (step - low) * (sums[low + 1] - from)) / whole;
    },
    alongOf: (part) => {
      const wanted = Math.min(Math.max(part, 0), 1) * whole;
      let [low, high] = [0, STEPS];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (sums[middle] <= wanted) low = middle;
        else high = middle;
      }
      const [from, to] = [sums[low], sums[high]];
      return ((low + (to > from ? Math.min((wanted - from) / (to - from), 1) : 0)) / STEPS) * length;
    },
  };
}
