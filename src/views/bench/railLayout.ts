import { scaleLinear } from 'd3-scale';
import { chroma, hueDegrees } from '../../core/materials/colour/lab';
import type { DriedInk } from '../../core/readings/driedShelf';

export interface RailDot extends DriedInk {
  readonly x: number;
  readonly y: number;
}

/** The rail's scale: white at the top, and as dark as ink gets at the foot. */
export const railScale = (height: number) => scaleLinear([100, 6], [0, height]);

/** Dots closer than this touch, px. */
const APART = 11;
/** Below this chroma a colour has no hue to speak of. */
const COLOURLESS = 7;
/** The hue that stands at the left: between purple and pink, where the circle is cut with least harm. */
const FIRST_HUE = 335;

/** Places inks by L* down the rail and by hue across it, greys at the right; dots step aside, never up or down. */
export function layRail(shelf: readonly DriedInk[], width: number, height: number): RailDot[] {
  const y = railScale(height);
  const x = scaleLinear([0, 360], [APART / 2, width - APART * 2.2]);
  const placed: RailDot[] = [];
  const taken = crowd();
  for (const dried of shelf.toSorted((p, q) => q.lab.l - p.lab.l)) {
    const grey = chroma(dried.lab) < COLOURLESS;
    const wanted = grey ? width - APART / 2 : x((hueDegrees(dried.lab) - FIRST_HUE + 360) % 360);
    const down = y(dried.lab.l);
    const across = stepAside(wanted, down, taken.isFree, width);
    taken.add(across, down);
    placed.push({ ...dried, x: across, y: down });
  }
  return placed;
}

function stepAside(
  wanted: number,
  y: number,
  isFree: (x: number, y: number) => boolean,
  width: number,
): number {
  for (let step = 0; step <= width; step += 2)
    for (const x of [wanted - step, wanted + step])
      if (x >= APART / 2 && x <= width - APART / 2 && isFree(x, y)) return x;
  return wanted;
}

/** Dots in cells as wide as they must be apart: only those in the cells around a place can be too near to it. */
function crowd() {
  const cells = new Map<number, [x: number, y: number][]>();
  const cellAt = (column: number, row: number) => row * 4096 + column;
  return {
    add(x: number, y: number): void {
      const cell = cellAt(Math.floor(x / APART), Math.floor(y / APART));
      const there = cells.get(cell);
      if (there) there.push([x, y]);
      else cells.set(cell, [[x, y]]);
    },
    isFree(x: number, y: number): boolean {
      const [column, row] = [Math.floor(x / APART), Math.floor(y / APART)];
      for (let down = -1; down <= 1; down++)
        for (let across = -1; across <= 1; across++)
          for (const [px, py] of cells.get(cellAt(column + across, row + down)) ?? [])
            if (Math.hypot(px - x, py - y) < APART) return false;
      return true;
    },
  };
}

/** Keys that lead from dot to dot, and how many dots on; up and down by L*, left and right by place. */
const WAYS: Readonly<Record<string, { readonly by: 'x' | 'y'; readonly steps: number }>> = {
  ArrowUp: { by: 'y', steps: -1 },
  ArrowDown: { by: 'y', steps: 1 },
  ArrowLeft: { by: 'x', steps: -1 },
  ArrowRight: { by: 'x', steps: 1 },
  PageUp: { by: 'y', steps: -10 },
  PageDown: { by: 'y', steps: 10 },
  Home: { by: 'y', steps: Number.NEGATIVE_INFINITY },
  End: { by: 'y', steps: Number.POSITIVE_INFINITY },
};

/** The dot that a key leads to: the next, ten on, the palest, the darkest. Undefined where the key leads nowhere. */
export function neighbourDot(dots: readonly RailDot[], from: RailDot, key: string): RailDot | undefined {
  const way = WAYS[key];
  if (!way) return undefined;
  const sorted = dots.toSorted((p, q) => p[way.by] - q[way.by] || p.ink.name.localeCompare(q.ink.name));
  const at = sorted.findIndex(({ ink }) => ink.id === from.ink.id);
  return sorted[Math.min(Math.max(at + way.steps, 0), sorted.length - 1)] ?? from;
}

/**
 * The ink that letters typed on the rail lead to: by the beginning of its name, or else of a later word of it, the first
 * by the alphabet. Undefined where none begins so.
 */
export function typedDot(dots: readonly RailDot[], typed: string): RailDot | undefined {
  const wanted = typed.trim().toLowerCase();
  if (wanted === '') return undefined;
  const byName = dots.toSorted((p, q) => p.ink.name.localeCompare(q.ink.name));
  const name = (dot: RailDot) => dot.ink.name.toLowerCase();
  return (
    byName.find((dot) => name(dot).startsWith(wanted)) ??
    byName.find((dot) => name(dot).includes(` ${wanted}`))
  );
}
