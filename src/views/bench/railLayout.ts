import { least } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { nameOrder } from '../../core/base/names';
import { searched } from '../../core/base/searched';
import { COLOURLESS, chroma, hueDegrees } from '../../core/materials/colour/lab';
import type { DriedInk } from '../../core/readings/driedShelf';

export interface RailDot extends DriedInk {
  readonly x: number;
  readonly y: number;
}

/** The rail's scale: white at the top, and as dark as ink gets at the foot. */
export const railScale = (height: number) => scaleLinear([100, 6], [0, height]);

/** Dots closer than this touch, px. */
const APART = 11;
/** The hue that stands at the left: between purple and pink, where the circle is cut with least harm. */
const FIRST_HUE = 335;

/** Places inks by L* down the rail and by hue across it, greys at the right; dots step aside, never up or down. */
export function layRail(shelf: readonly DriedInk[], width: number, height: number): RailDot[] {
  const y = railScale(height);
  const x = scaleLinear([0, 360], [APART / 2, width - APART * 2.2]);
  const placed: RailDot[] = [];
  for (const dried of shelf.toSorted((p, q) => q.lab.l - p.lab.l)) {
    const grey = chroma(dried.lab) < COLOURLESS;
    const wanted = grey ? width - APART / 2 : x((hueDegrees(dried.lab) - FIRST_HUE + 360) % 360);
    const down = y(dried.lab.l);
    placed.push({ ...dried, x: stepAside(wanted, takenAt(placed, down), width), y: down });
  }
  return placed;
}

/** A press this near to a dot's middle, px, is meant for it: dots are smaller than a fingertip. */
const REACH = 20;

/** The dot that a press at a place of the rail is meant for; undefined where none is near. */
export function dotNear(dots: readonly RailDot[], x: number, y: number): RailDot | undefined {
  const far = (dot: RailDot): number => Math.hypot(dot.x - x, dot.y - y);
  const nearest = least(dots, far);
  return nearest && far(nearest) <= REACH ? nearest : undefined;
}

/** How high a rung's name is beside its dot, px of usual text, how wide by its letters, and how far off the dot's middle. */
const NAME = { height: 18, letter: 7, pad: 8, most: 112, off: 14 } as const;

/** Where a rung's name stands: beside its dot, towards the rail's middle, and lower where another name is in the way. */
export interface RailName {
  readonly dot: RailDot;
  readonly side: 'left' | 'right';
  readonly y: number;
}

/**
 * Places for the names of rungs, pale to dark, so that none lies on another.
 *
 * @param textScale  how large text is, over the usual size
 */
export function placeNames(ladder: readonly RailDot[], width: number, textScale = 1): RailName[] {
  const placed: (RailName & Span)[] = [];
  const [line, letter, pad, most] = [NAME.height, NAME.letter, NAME.pad, NAME.most].map(
    (px) => px * textScale,
  ) as [number, number, number, number];
  for (const dot of ladder) {
    const side = dot.x > width / 2 ? 'left' : 'right';
    const wide = Math.min(dot.ink.name.length * letter + pad, most);
    const from = side === 'left' ? dot.x - NAME.off - wide : dot.x + NAME.off;
    let { y } = dot;
    for (const other of placed.toSorted((p, q) => p.y - q.y)) {
      const isBeside = from + wide <= other.from || other.to <= from;
      if (!isBeside && Math.abs(y - other.y) < line) y = other.y + line;
    }
    placed.push({ dot, side, y, from, to: from + wide });
  }
  return placed;
}

/** What of a row is taken by dots placed above it: spans where another would touch one of them, from left to right. */
function takenAt(placed: readonly RailDot[], y: number): Span[] {
  const spans: Span[] = [];
  // They come from pale to dark, so that what is too far above ends the search.
  for (let i = placed.length - 1; i >= 0; i--) {
    const { x, y: above } = placed[i] as RailDot;
    if (y - above >= APART) break;
    const half = Math.sqrt(APART ** 2 - (y - above) ** 2);
    spans.push({ from: x - half, to: x + half });
  }
  return spans.sort((p, q) => p.from - q.from);
}

interface Span {
  readonly from: number;
  readonly to: number;
}

/** The free place nearest to the one wanted; that one itself where the row is full. */
function stepAside(wanted: number, taken: readonly Span[], width: number): number {
  let nearest: number | undefined;
  const offer = (from: number, to: number): void => {
    if (from > to) return;
    const place = Math.min(Math.max(wanted, from), to);
    if (nearest === undefined || Math.abs(place - wanted) < Math.abs(nearest - wanted)) nearest = place;
  };
  const end = width - APART / 2;
  let free = APART / 2;
  for (const { from, to } of taken) {
    offer(free, Math.min(from, end));
    free = Math.max(free, to);
  }
  offer(free, end);
  return nearest ?? wanted;
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
  const sorted = dots.toSorted((p, q) => p[way.by] - q[way.by] || nameOrder(p.ink.name, q.ink.name));
  const at = sorted.findIndex(({ ink }) => ink.id === from.ink.id);
  return sorted[Math.min(Math.max(at + way.steps, 0), sorted.length - 1)] ?? from;
}

/**
 * The ink that letters typed on the rail lead to: by the beginning of its name, or else of a later word of it, the first
 * by the alphabet. Undefined where none begins so.
 */
export function typedDot(dots: readonly RailDot[], typed: string): RailDot | undefined {
  const wanted = searched(typed.trim());
  if (wanted === '') return undefined;
  const byName = dots.toSorted((p, q) => nameOrder(p.ink.name, q.ink.name));
  const name = (dot: RailDot) => searched(dot.ink.name);
  return (
    byName.find((dot) => name(dot).startsWith(wanted)) ??
    byName.find((dot) => name(dot).includes(` ${wanted}`))
  );
}
