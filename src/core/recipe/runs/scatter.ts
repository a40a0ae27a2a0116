import { param } from '../../base/params';
import { seededRandom } from '../../picture/grain';
import type { PatchRun } from './runs';

/** No more patches than this, however small they are asked for. */
const MOST_PATCHES = 120;

/** How far borders wander, as a part of a patch; by eye. */
const WANDER = 0.07;

/** Patches of each ink at random, told by a seed, so that the same can be laid again. */
export const scatter: PatchRun = {
  id: 'scatter',
  label: 'Scatter',
  explains: 'Patches of each ink at random, from a seed; often under a dark top coat.',
  params: [
    { key: 'seed', label: 'Seed', unit: 'seed', least: 1, most: 9999, step: 1, initial: () => 41 },
    { key: 'patch', label: 'Patch across', unit: 'mm', least: 8, most: 80, step: 1, initial: () => 26 },
    { key: 'soft', label: 'Joints', unit: 'mm', least: 2, most: 60, step: 1, initial: () => 12 },
  ],
  lies: 'patches',
  on: ({ width, height }, params, rungs) => {
    const random = seededRandom(param(params, 'seed', 41));
    const patch = param(params, 'patch', 26);
    const across = Math.max(Math.round(width / patch), 2);
    const down = Math.max(Math.round(height / patch), 2);
    const thin = Math.max(1, Math.sqrt((across * down) / MOST_PATCHES));
    const [columns, rows] = [Math.max(Math.floor(across / thin), 2), Math.max(Math.floor(down / thin), 2)];
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
      name: `patch ${i + 1}`,
    }));
    // Borders between patches laid by hand are never straight.
    const [a, b, c, d] = [random(), random(), random(), random()].map((part) => part * 2 * Math.PI) as [
      number,
      number,
      number,
      number,
    ];
    const [far, turns] = [patch * WANDER, (2 * Math.PI) / patch];
    return {
      places,
      soft: param(params, 'soft', 12),
      wander: (x, y) => ({
        x: x + far * (Math.sin(0.9 * turns * y + a) + 0.6 * Math.sin(1.7 * turns * (x + y) + b)),
        y: y + far * (Math.sin(0.8 * turns * x + c) + 0.6 * Math.sin(1.6 * turns * (x - y) + d)),
      }),
    };
  },
};
