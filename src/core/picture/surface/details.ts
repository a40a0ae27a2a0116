import { memo } from '../../base/memo';
import type { BorderDetail } from '../../engine/layers';
import type { DistancesAt } from './distances';
import { LAMP, lightOnSlope, shadowOf, shineOnSlope } from './lamp';
import type { Frame } from './surface';
import { A_LIGHT } from './tiles';

/** As much again as lies there, as a byte tells more or less ink. */
const A_MARK = 127;
/** So much more or less ink at the most, as a part of what lies there: farther off its colour is not known (`shades.ts`). */
export const MOST_MORE = 0.35;
const MOST_COVER = A_MARK * MOST_MORE;

/** What passes do to the pixels of some rows of a picture, beside their colours. */
export interface Details {
  /** More or less ink, as a part of what lies there, times `A_MARK`. */
  readonly cover: Int8Array;
  /** As a part of the light, times `A_LIGHT`. */
  readonly light: Int8Array;
  /** What is mirrored of the lamp, 8-bit signal. */
  readonly shine: Uint8Array;
  /** Whether anything is on a block of pixels that has been filled, by its place from the left and from above. */
  readonly isOn: (column: number, row: number) => boolean;
  /** Sees to it that rows [from, to) of the whole picture are there. */
  readonly fill: (from: number, to: number) => void;
}

/** Pixels along a side of the blocks in which a border is looked for, counted from the picture's upper left corner. */
export const BLOCK = 8;
/** While a pass is dragged each of its places makes patches of its own: so many sets are kept, and so many whole pictures. */
const [MAX_SETS, MAX_MADE] = [24, 3];
/** A picture of more pixels is painted once, and what is found for it is not kept. */
const KEPT_UP_TO = 1_000_000;

/** One detail in one block: for each of its pixels the cover, then for each the light, then the half of what shines. */
type Patch = Int8Array;
const EACH = BLOCK * BLOCK;

/**
 * What makes details, one picture after another. They follow borders and nothing else, so while the blend is changed they
 * are only looked up.
 */
export function detailMaker(
  distancesAt: DistancesAt,
): (details: readonly BorderDetail[], frame: Frame) => Details | undefined {
  const patchesOf = memo(
    MAX_SETS,
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
    if (width * height > KEPT_UP_TO) return detailsOf(details, undefined, frame, distancesAt);
    const known = made.findIndex((one) => sameFrame(one.frame, frame) && sameDetails(one.details, details));
    const found =
      made[known]?.found ??
      detailsOf(
        details,
        details.map(({ along, detail }) =>
          patchesOf(along, detail, width, height, panel.width, panel.height),
        ),
        frame,
        distancesAt,
      );
    if (known >= 0) made.splice(known, 1);
    made.unshift({ details, frame, found });
    if (made.length > MAX_MADE) made.pop();
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
    ({ along, detail, under, stampedOver }, i) =>
      along === q[i].along &&
      detail === q[i].detail &&
      sameBorders(under, q[i].under) &&
      sameBorders(stampedOver, q[i].stampedOver),
  );

const sameBorders = (p: BorderDetail['under'], q: BorderDetail['under']): boolean =>
  p.length === q.length && p.every((border, i) => border === q[i]);

function detailsOf(
  all: readonly BorderDetail[],
  known: readonly Map<number, Patch | null>[] | undefined,
  frame: Frame,
  distancesAt: DistancesAt,
): Details {
  const { width, height, from, to } = frame;
  const count = width * (to - from);
  const [cover, light, shine] = [new Int8Array(count), new Int8Array(count), new Uint8Array(count)];
  const columns = Math.ceil(width / BLOCK);
  const done = new Set<number>();
  const on = new Uint8Array(columns * Math.ceil(height / BLOCK));
  const scratch = new Int8Array(3 * EACH);
  const patchAt = (i: number, block: number): Patch | null => {
    const kept = known?.[i];
    const there = kept?.get(block);
    if (there !== undefined) return there;
    const isThere = look(all[i], block % columns, Math.floor(block / columns), frame, distancesAt, scratch);
    const found = isThere ? scratch : null;
    kept?.set(block, found ? found.slice() : null);
    return found;
  };
  const bytes = { cover, light, shine };
  const [hiddenIn, coveredIn] = [blockLooker(frame), blockLooker(frame)];
  const fillBlocks = (blockRow: number): void => {
    const [first, last] = [Math.max(blockRow * BLOCK, from), Math.min((blockRow + 1) * BLOCK, to)];
    for (let column = 0; column < columns; column++) {
      const until = Math.min((column + 1) * BLOCK, width);
      for (let i = 0; i < all.length; i++) {
        const patch = patchAt(i, blockRow * columns + column);
        if (!patch) continue;
        on[blockRow * columns + column] = 1;
        const { under, stampedOver, detail } = all[i];
        // Asked here and not of the patch, which stays what it is while something is moved over it.
        const hidden = hiddenIn(under, column, blockRow);
        if (hidden === ALL) continue;
        const covered = coveredIn(stampedOver, column, blockRow);
        for (let row = first; row < last; row++) {
          const at = (row - from) * width + column * BLOCK;
          const own = (row - blockRow * BLOCK) * BLOCK;
          const pixels = until - column * BLOCK;
          if (detail.cover && covered !== ALL) addCover(bytes, at, patch, own, pixels, hidden, covered);
          if (detail.height) addLight(bytes, at, patch, own, pixels, hidden);
        }
      }
    }
  };
  return {
    cover,
    light,
    shine,
    isOn: (column, row) => on[row * columns + column] === 1,
    fill: (first, last) => {
      for (let row = Math.floor(first / BLOCK); row * BLOCK < last; row++) {
        if (done.has(row)) continue;
        done.add(row);
        fillBlocks(row);
      }
    },
  };
}

/** Of a block of pixels all or none lie inside borders; else it is told pixel by pixel, 1 for each that does. */
type Inside = Uint8Array;
const NONE: Inside = new Uint8Array(EACH);
const ALL: Inside = new Uint8Array(EACH).fill(1);

/** What tells which pixels of a block lie inside any of some borders; what it told last is written over. */
function blockLooker({ panel, width, height }: Frame) {
  const [pixel, below] = [panel.width / width, panel.height / height];
  const reach = (BLOCK / 2) * Math.hypot(pixel, below);
  const mixed: Inside = new Uint8Array(EACH);
  return (borders: BorderDetail['under'], column: number, row: number): Inside => {
    let found = NONE;
    for (let i = 0; i < borders.length; i++) {
      const border = borders[i];
      const middle = border((column + 0.5) * BLOCK * pixel, (row + 0.5) * BLOCK * below);
      if (middle > reach) return ALL;
      if (middle < -reach) continue;
      if (found === NONE) mixed.fill(0);
      found = mixed;
      for (let own = 0; own < EACH; own++) {
        if (mixed[own] === 1) continue;
        const x = (column * BLOCK + (own % BLOCK) + 0.5) * pixel;
        const y = (row * BLOCK + Math.floor(own / BLOCK) + 0.5) * below;
        if (border(x, y) > 0) mixed[own] = 1;
      }
    }
    return found;
  };
}

type Bytes = Pick<Details, 'cover' | 'light' | 'shine'>;

/** Adds a row of a patch's ink to what lies there, but for pixels that are hidden or that another ink covers. */
function addCover(
  { cover }: Bytes,
  at: number,
  patch: Patch,
  own: number,
  pixels: number,
  hidden: Inside,
  covered: Inside,
): void {
  for (let i = 0; i < pixels; i++) {
    if (hidden[own + i] + covered[own + i] > 0) continue;
    const lies = cover[at + i] + patch[own + i];
    cover[at + i] = Math.min(Math.max(lies, -MOST_COVER), MOST_COVER);
  }
}

/** Adds a row of a patch's light, and lets it shine where it does so more than what lies there. */
function addLight(
  { light, shine }: Bytes,
  at: number,
  patch: Patch,
  own: number,
  pixels: number,
  hidden: Inside,
): void {
  for (let i = 0; i < pixels; i++) {
    if (hidden[own + i] > 0) continue;
    light[at + i] = byteOf(light[at + i] + patch[EACH + own + i]);
    const shines = 2 * patch[2 * EACH + own + i];
    if (shines > shine[at + i]) shine[at + i] = shines;
  }
}

/** One more pixel each way than a block has, so that each knows how fast the distance changes. */
const ASKED = BLOCK + 1;
const NEAR = new Float64Array(ASKED * ASKED);
/** Deep inside a border its distance matters no more. */
const DEEP = new Float64Array(ASKED * ASKED);

/** Fills in one detail over one block of pixels; false where it does nothing there. */
function look(
  { along, detail }: BorderDetail,
  column: number,
  row: number,
  { panel, width, height }: Frame,
  distancesAt: DistancesAt,
  patch: Patch,
): boolean {
  const [pixel, below] = [panel.width / width, panel.height / height];
  const half = (BLOCK / 2 + 1) * Math.hypot(pixel, below);
  const [left, top] = [column * BLOCK, row * BLOCK];
  const { reach, deep = reach, fills, cover, height: heightAt } = detail;
  const middle = along((left + BLOCK / 2) * pixel, (top + BLOCK / 2) * below);
  const isDeep = middle > deep + half;
  if (middle < -reach - half || (isDeep && !fills)) return false;
  patch.fill(0);
  const distances = isDeep ? DEEP.fill(middle) : NEAR;
  if (!isDeep) distancesAt(along, { left, top, columns: ASKED, rows: ASKED }, NEAR);
  const most = fills ? Number.POSITIVE_INFINITY : deep;
  for (let y = 0, own = 0; y < BLOCK; y++)
    for (let x = 0; x < BLOCK; x++, own++) {
      const at = y * ASKED + x;
      const inside = distances[at];
      if (inside < -reach || inside > most) continue;
      const atX = (left + x + 0.5) * pixel;
      const atY = (top + y + 0.5) * below;
      if (cover) patch[own] = byteOf(A_MARK * cover(inside, atX, atY));
      if (!heightAt) continue;
      const across = (distances[at + 1] - inside) / pixel;
      const down = (distances[at + ASKED] - inside) / below;
      standUp(detail, heightAt, inside, across, down, atX, atY, pixel, patch, own);
    }
  return true;
}

const byteOf = (value: number): number => (value > 127 ? 127 : value < -127 ? -127 : value);

/** How what has a height takes the lamp at one pixel, and how it keeps it from what lies beside it. */
function standUp(
  { reach, bumps, gloss = 0, isMetal }: BorderDetail['detail'],
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
    patch[EACH + own] = A_LIGHT * shadowOf(heightAt(reach), -inside, across, down);
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
  const mirrored = gloss > 0 ? gloss * shineOnSlope(slopeX, slopeY) : 0;
  const ownLight = isMetal ? LAMP.onMetal * mirrored : 0;
  patch[EACH + own] = byteOf(A_LIGHT * (lightOnSlope(slopeX, slopeY) + ownLight));
  if (!isMetal) patch[2 * EACH + own] = 0.5 * LAMP.signal * mirrored;
}
