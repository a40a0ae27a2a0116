import { roughNoise } from '../../base/noise';
import { seededRandom } from '../../base/random';
import { definePatchRun } from './definition';

/** No more patches than this, however small they are asked for. */
const MAX_PATCHES = 120;

/** How far borders wander, as a part of a patch, and about how wide the dabs are that make them, mm; by eye. */
const WANDER = 0.24;
const DAB = 11;

/** Patches of each ink at random, told by a seed, so that the same can be laid again. */
export const scatter = definePatchRun({
  id: 'scatter',
  label: 'Scatter',
  phrase: 'scatter',
  description: 'Patches of each ink at random, from a seed; often under a dark top coat.',
  params: {
    seed: { label: 'Seed', unit: 'seed', min: 1, max: 9999, step: 1, initial: () => 41 },
    patch: { label: 'Patch across', unit: 'mm', min: 8, max: 80, step: 1, initial: () => 26 },
    soft: { label: 'Joints', unit: 'mm', min: 2, max: 60, step: 1, initial: () => 12 },
  },
  layOn: ({ width, height }, { seed, patch, soft }, rungs) => {
    const random = seededRandom(seed);
    const across = Math.max(Math.round(width / patch), 2);
    const down = Math.max(Math.round(height / patch), 2);
    const thin = Math.max(1, Math.sqrt((across * down) / MAX_PATCHES));
    let [columns, rows] = [Math.max(Math.floor(across / thin), 2), Math.max(Math.floor(down / thin), 2)];
    // A small panel has a patch of each ink all the same.
    while (columns * rows < rungs)
      if (width / columns > height / rows) columns++;
      else rows++;
    // One patch a cell, off its middle by up to a third, each ink as often as the others, in an order that is shuffled.
    const order = Array.from({ length: columns * rows }, (_, i) => i % rungs);
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [order[i], order[j]] = [order[j] as number, order[i] as number];
    }
    const places = order.map((rung, i) => ({
      x: (((i % columns) + 0.5 + (random() - 0.5) * 0.66) / columns) * width,
      y: ((Math.floor(i / columns) + 0.5 + (random() - 0.5) * 0.66) / rows) * height,
      rung,
    }));
    // A patch is dabbed, and its border is as lobed as the tool is round.
    const far = WANDER * Math.min(patch, 2 * DAB);
    const size = Math.min(DAB, patch / 2);
    const [aside, below] = [roughNoise(size, seed), roughNoise(size, seed + 17)];
    return {
      places,
      soft,
      turning: 'Patch by patch, from each patch outward.',
      wander: (x, y) => ({ x: x + far * aside(x, y), y: y + far * below(x, y) }),
    };
  },
});
