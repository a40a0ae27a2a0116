import type { Millimetres } from '../../base/length';
import { memoOf } from '../../base/memo';
import type { Design } from './design';
import { type DistanceField, measure, signedDistances } from './distance';

export type Weight = 'fine' | 'medium' | 'bold';

/** Lines narrower than this, mm, are fine; from the second on a design is bold. By eye. */
const FINE_BELOW = 0.9;
const BOLD_FROM = 3;

/** Cells along the longer side: a line is told to about a tenth of a cell. */
const CELLS = 260;
/** Part of a design's area that may lie in lines finer than what is told. */
const SPARED = 0.1;
const ROUNDS = 7;

/**
 * How fine a design's lines are, mm: a tenth of its area lies in narrower ones. A line is as wide as the round that fits
 * into it; corners, which no round reaches, count for little.
 */
export const finestLine = memoOf((design: Design): Millimetres => solve(measure(design, CELLS)));

export const weightOfLine = (line: Millimetres): Weight =>
  line < FINE_BELOW ? 'fine' : line < BOLD_FROM ? 'medium' : 'bold';

/** Halves the range of widths until the part of the area that a round of that width misses is what may be spared. */
function solve(field: DistanceField): Millimetres {
  let [low, high] = [0, 2 * field.far.reduce((most, far) => Math.max(most, far), 0)];
  for (let round = 0; round < ROUNDS; round++) {
    const width = Math.sqrt(Math.max(low, field.cell / 4) * high);
    if (missedBy(field, width / 2) > SPARED) high = width;
    else low = width;
  }
  return (low + high) / 2;
}

/** Part of the area that no round of this radius inside the design reaches. */
function missedBy(field: DistanceField, radius: Millimetres): number {
  // Where the middle of such a round may lie, with its border finer than a cell.
  const middles = new Float32Array(field.far.length);
  for (let i = 0; i < middles.length; i++)
    middles[i] = Math.min(Math.max((field.far[i] - radius) / field.cell + 0.5, 0), 1);
  const toMiddle = signedDistances(middles, field);
  let area = 0;
  let missed = 0;
  for (let i = 0; i < toMiddle.length; i++) {
    const covered = Math.min(Math.max(field.far[i] / field.cell + 0.5, 0), 1);
    area += covered;
    // A cell counts as missed by how far beyond the rounds it lies, over the width of a cell.
    missed += covered * Math.min(Math.max((-toMiddle[i] - radius) / field.cell, 0), 1);
  }
  return area === 0 ? 1 : missed / area;
}
