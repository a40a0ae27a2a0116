import { memo } from '../../base/memo';
import type { BorderDetail } from '../../engine/layers';
import { LAMP, lightOnSlope, shadowOf, shineOnSlope } from './lamp';
import type { Frame } from './surface';
import { A_LIGHT } from './tiles';

/** Twice the coat, as a byte tells more or less of it. */
export const A_MARK = 127;

/** What passes do to the pixels of some rows of a picture, beside their colours. */
export interface Details {
  /** More or less ink, as a part of what lies there, times `A_MARK`. */
  readonly cover: Int8Array;
  /** As a part of the light, times `A_LIGHT`. */
  readonly light: Int8Array;
  /** What is mirrored of the lamp, 8-bit signal. */
  readonly shine: Uint8Array;
  /** Sees to it that rows [from, to) of the whole picture are there. */
  readonly fill: (from: number, to: number) => void;
}

/** Pixels along a side of the squares in which a border is looked for, counted from the picture's upper left corner. */
const BLOCK = 16;
/** A picture of more pixels is painted once, and what is found for it is not kept. */
const KEPT_UP_TO = 1_000_000;

/** One detail in one block, where it does anything there. */
type Patch = Pick<Details, 'cover' | 'light' | 'shine'>;

/**
 * What makes details, one picture after another. They follow borders and nothing else, so while the blend is changed they
 * are only looked up.
 */
export function detailMaker(): (details: readonly BorderDetail[], frame: Frame) => Details | undefined {
  const patchesOf = memo(
    80,
    (
      _along: BorderDetail['along'],
      _detail: BorderDetail['detail'],
      _width: number,
      _height: number,
      _panelWidth: number,
      _panelHeight: number,
    ) => new Map<number, Patch | null>(),
  );
  const made: {
    readonly details: readonly BorderDetail[];
    readonly frame: Frame;
    readonly found: Details;
  }[] = [];
  return (details, frame) => {
    if (details.length === 0) return undefined;
    const { panel, width, height } = frame;
    if (width * height > KEPT_UP_TO)
      return detailsOf(
        details,
        details.map(() => new Map()),
        frame,
      );
    const known = made.findIndex((one) => sameFrame(one.frame, frame) && sameDetails(one.details, details));
    const found =
      made[known]?.found ??
      detailsOf(
        details,
        details.map(({ along, detail }) =>
          patchesOf(along, detail, width, height, panel.width, panel.height),
        ),
        frame,
      );
    if (known >= 0) made.splice(known, 1);
    made.unshift({ details, frame, found });
    if (made.length > 3) made.pop();
    return found;
  };
}

const sameFrame = (p: Frame, q: Frame): boolean =>
  p.width === q.width &&
  p.height === q.height &&
  p.from === q.from &&
  p.to === q.to &&
  p.panel.width === q.panel.width &&
  p.panel.height === q.panel.height;

const sameDetails = (p: readonly BorderDetail[], q: readonly BorderDetail[]): boolean =>
  p.length === q.length &&
  p.every(
    ({ along, detail, under }, i) =>
      along === q[i].along &&
      detail === q[i].detail &&
      under.length === q[i].under.length &&
      under.every((piece, k) => piece === q[i].under[k]),
  );

function detailsOf(
  all: readonly BorderDetail[],
  known: readonly Map<number, Patch | null>[],
  frame: Frame,
): Details {
  const { width, from, to } = frame;
  const count = width * (to - from);
  const [cover, light, shine] = [new Int8Array(count), new Int8Array(count), new Uint8Array(count)];
  const columns = Math.ceil(width / BLOCK);
  const done = new Set<number>();
  const patchAt = (i: number, block: number): Patch | null => {
    const there = known[i].get(block);
    if (there !== undefined) return there;
    const found = look(all[i], block % columns, Math.floor(block / columns), frame);
    known[i].set(block, found);
    return found;
  };
  const fillBlocks = (blockRow: number): void => {
    const [first, last] = [Math.max(blockRow * BLOCK, from), Math.min((blockRow + 1) * BLOCK, to)];
    for (let column = 0; column < columns; column++)
      for (let i = 0; i < all.length; i++) {
        const patch = patchAt(i, blockRow * columns + column);
        if (!patch) continue;
        const until = Math.min((column + 1) * BLOCK, width);
        for (let row = first; row < last; row++) {
          let at = (row - from) * width + column * BLOCK;
          let own = (row - blockRow * BLOCK) * BLOCK;
          for (let pixel = column * BLOCK; pixel < until; pixel++, at++, own++) {
            const more = cover[at] + patch.cover[own];
            cover[at] = more > 127 ? 127 : more < -127 ? -127 : more;
            const lit = light[at] + patch.light[own];
            light[at] = lit > 127 ? 127 : lit < -127 ? -127 : lit;
            if (patch.shine[own] > shine[at]) shine[at] = patch.shine[own];
          }
        }
      }
  };
  return {
    cover,
    light,
    shine,
    fill: (first, last) => {
      for (let row = Math.floor(first / BLOCK); row * BLOCK < last; row++) {
        if (done.has(row)) continue;
        done.add(row);
        fillBlocks(row);
      }
    },
  };
}

/** One detail over one block of pixels; null where it does nothing there. */
function look(
  { along, detail, under }: BorderDetail,
  column: number,
  row: number,
  { panel, width, height }: Frame,
): Patch | null {
  const [pixel, below] = [panel.width / width, panel.height / height];
  const half = (BLOCK / 2 + 1) * Math.hypot(pixel, below);
  const [left, top] = [column * BLOCK, row * BLOCK];
  const middle = along((left + BLOCK / 2) * pixel, (top + BLOCK / 2) * below);
  if (middle < -detail.reach - half || (!detail.fills && middle > detail.reach + half)) return null;
  // One more each way, so that every pixel knows how fast the distance changes.
  const side = BLOCK + 1;
  const distances = new Float64Array(side * side);
  for (let y = 0, at = 0; y < side; y++)
    for (let x = 0; x < side; x++, at++)
      distances[at] = along((left + x + 0.5) * pixel, (top + y + 0.5) * below);
  const patch: Patch = {
    cover: new Int8Array(BLOCK * BLOCK),
    light: new Int8Array(BLOCK * BLOCK),
    shine: new Uint8Array(BLOCK * BLOCK),
  };
  for (let y = 0, own = 0; y < BLOCK; y++)
    for (let x = 0; x < BLOCK; x++, own++) {
      const at = y * side + x;
      const inside = distances[at];
      if (inside < -detail.reach || (!detail.fills && inside > detail.reach)) continue;
      const [atX, atY] = [(left + x + 0.5) * pixel, (top + y + 0.5) * below];
      if (under.some((piece) => piece(atX, atY) > 0)) continue;
      const across = (distances[at + 1] - inside) / pixel;
      const down = (distances[at + side] - inside) / below;
      if (detail.cover) {
        const more = A_MARK * detail.cover(inside, atX, atY);
        patch.cover[own] = more > 127 ? 127 : more < -127 ? -127 : more;
      }
      if (detail.height) standUp(detail, detail.height, inside, across, down, atX, atY, pixel, patch, own);
    }
  return patch;
}

/** How what has a height takes the lamp at one pixel, and how it keeps it from what lies beside it. */
function standUp(
  { reach, bumps, gloss = 0 }: BorderDetail['detail'],
  heightAt: (inside: number) => number,
  inside: number,
  across: number,
  down: number,
  x: number,
  y: number,
  pixel: number,
  patch: Patch,
  own: number,
): void {
  if (inside <= 0) {
    patch.light[own] = A_LIGHT * shadowOf(heightAt(reach), -inside, across, down);
    return;
  }
  // Over a pixel's width, so that what is finer than one does not glitter.
  const near = Math.max(pixel / 2, 0.02);
  const rises = (heightAt(inside + near) - heightAt(inside - near)) / (2 * near);
  let slopeX = rises * across;
  let slopeY = rises * down;
  if (bumps) {
    const here = bumps(x, y);
    slopeX += (bumps(x + 2 * near, y) - here) / (2 * near);
    slopeY += (bumps(x, y + 2 * near) - here) / (2 * near);
  }
  const lit = A_LIGHT * lightOnSlope(slopeX, slopeY);
  patch.light[own] = lit > 127 ? 127 : lit < -127 ? -127 : lit;
  patch.shine[own] = gloss === 0 ? 0 : LAMP.signal * gloss * shineOnSlope(slopeX, slopeY);
}
