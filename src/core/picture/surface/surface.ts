import type { Point, Size } from '../../base/geometry';
import { memo } from '../../base/memo';
import type { Ink } from '../../materials/ink/ink';
import type { InkKindId } from '../../materials/ink/kinds';
import { layingOf } from '../../recipe/laying';
import { bandsOf } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { Rolled } from '../../recipe/tools/marks';
import { TOOLS } from '../../recipe/tools/tools';
import { glintsOf } from './glints';
import { type Track, tracksOf } from './rolled';
import { A_COAT, ALL_BARE, PERIOD, type SurfaceTiles, tilesFor } from './tiles';
import { type Slow, SPAN, slowOver } from './warp';

/**
 * What each pixel of some rows of a picture has beside its colour: more or less ink, bare card, and how it faces the
 * light. It hangs on the panel in millimetres, so it stays where it is while the blend is changed, and is the same at every
 * size up to what pixels can show.
 */
export interface Surface {
  /** In coats, times `A_COAT`. */
  readonly grain: Int8Array;
  /** Bare part, times `ALL_BARE`. */
  readonly bare: Uint8Array;
  /** As a part of the light, times `A_LIGHT`. */
  readonly light: Int8Array;
  /** Of ink that is wet: how brightly it mirrors the lamp, 8-bit signal, by the byte of its light (`glintsOf`). */
  readonly glints?: Uint8Array | undefined;
  /** By what standard deviation of coats the grain spreads, and what part is bare: colours are held to their mean by it. */
  readonly spread: number;
  readonly bareShare: number;
  /** Sees to it that rows [from, to) of the whole picture are there. */
  readonly fill: (from: number, to: number) => void;
}

/** Where a picture lies: all of its pixels, and which rows of them. */
export interface Frame {
  readonly panel: Size;
  readonly width: number;
  readonly height: number;
  readonly from: number;
  readonly to: number;
}

/** Which sort of ink most of a ladder is. */
function mostlyOf(inks: readonly Ink[]): InkKindId {
  const counts = new Map<InkKindId, number>();
  for (const { kind } of inks) if (kind !== 'bare') counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].reduce<[InkKindId, number]>(
    (most, one) => (one[1] > most[1] ? one : most),
    ['hybrid', 0],
  )[0];
}

/** So many are kept: a panel is painted whole or in halves, fine or coarse. */
const KEPT = 6;

/**
 * What makes surfaces, one after another. As long as the card, the tool and the way the ink is laid stay, so does the
 * surface: while a mark is dragged it is only looked up. Of a blend that is still wet it says so.
 */
export function surfaceMaker(): (resolved: ResolvedRecipe, frame: Frame, isWet?: boolean) => Surface {
  const keep = memo(
    KEPT,
    (
      tiles: SurfaceTiles,
      hand: number,
      rolled: Rolled | undefined,
      streaks: number,
      towardX: number,
      towardY: number,
      panelWidth: number,
      panelHeight: number,
      width: number,
      height: number,
      from: number,
      to: number,
      glints: Uint8Array | undefined,
    ): Surface => {
      const frame = { panel: { width: panelWidth, height: panelHeight }, width, height, from, to };
      const tracks = rolled && { rolled, toward: { x: towardX, y: towardY }, streaks };
      return { ...surfaceOf(tiles, hand, tracks, frame), glints };
    },
  );
  return (resolved, { panel, width, height, from, to }, isWet = false) => {
    const { recipe, card, inks } = resolved;
    const laying = layingOf(resolved);
    const { look, wets } = TOOLS[recipe.tool];
    const inkKind = mostlyOf(inks);
    const perMm = width / panel.width;
    const tiles = tilesFor(card.finish, recipe.tool, inkKind, laying.mottle, perMm, isWet);
    const toward = look.rolled ? (bandsOf(recipe)?.toward ?? DOWN) : DOWN;
    const hand = look.hand * laying.mottle;
    const { streaks } = laying;
    const glints = isWet && tiles.lit > 0 ? glintsOf(inkKind, wets, tiles.lit) : undefined;
    return keep(
      tiles,
      hand,
      look.rolled,
      streaks,
      toward.x,
      toward.y,
      panel.width,
      panel.height,
      width,
      height,
      from,
      to,
      glints,
    );
  };
}
const DOWN: Point = { x: 0, y: 1 };

interface Tracks {
  readonly rolled: Rolled;
  readonly toward: Point;
  readonly streaks: number;
}

function surfaceOf(tiles: SurfaceTiles, hand: number, tracks: Tracks | undefined, frame: Frame): Surface {
  const { panel, width, from, to } = frame;
  const count = width * (to - from);
  const [grain, bare, light] = [new Int8Array(count), new Uint8Array(count), new Int8Array(count)];
  const slow = slowOver(panel.width, panel.height, tiles.isWoven);
  const filled = new Uint8Array(to - from);
  const surface = { grain, bare, light };
  const roll = tracks && roller(tracks, tiles.spread, frame, surface);
  return {
    ...surface,
    spread: Math.hypot(tiles.spread, hand, roll?.spread ?? 0),
    bareShare: tiles.bareShare + (roll?.bareShare ?? 0),
    fill: (first, last) => {
      for (let row = first; row < last; row++) {
        if (filled[row - from] === 1) continue;
        filled[row - from] = 1;
        fillRow(surface, (row - from) * width, row, tiles, slow, hand, frame);
        roll?.overRow(row);
      }
    },
  };
}

type Bytes = Pick<Surface, 'grain' | 'bare' | 'light'>;

/** One row out of the tiles, looked up through the warp: from span to span the way along them is all but straight. */
function fillRow(
  { grain, bare, light }: Bytes,
  at: number,
  row: number,
  tiles: SurfaceTiles,
  slow: Slow,
  hand: number,
  { panel, width, height }: Frame,
): void {
  const { side } = tiles;
  const perMm = side / PERIOD;
  const y = ((row + 0.5) * panel.height) / height;
  const down = Math.min(y / SPAN, slow.rows - 1.001);
  const top = Math.floor(down) * slow.columns;
  const v = down - Math.floor(down);
  const level = (values: Float32Array, column: number): number =>
    values[top + column] * (1 - v) + values[top + slow.columns + column] * v;
  const pixel = panel.width / width;
  const far = 1000 * side;
  for (let span = 0, begin = 0; begin < width; span++) {
    const end = Math.min(Math.ceil(((span + 1) * SPAN) / pixel - 0.5), width);
    const x = (begin + 0.5) * pixel - span * SPAN;
    const column = Math.min(span, slow.columns - 2);
    const [aside, below, press] = [slow.aside, slow.below, slow.hand].map((values) => {
      const left = level(values, column);
      const slope = (level(values, column + 1) - left) / SPAN;
      return [left + slope * x, slope * pixel] as const;
    }) as [readonly [number, number], readonly [number, number], readonly [number, number]];
    let u = ((span * SPAN + x + aside[0]) * perMm + far) % side;
    let w = ((y + below[0]) * perMm + far) % side;
    const start = [u, w] as const;
    const du = (pixel + aside[1]) * perMm;
    const dw = below[1] * perMm;
    let pressed = A_COAT * hand * press[0];
    const pressing = A_COAT * hand * press[1];
    for (let i = at + begin; i < at + end; i++) {
      const place = (w | 0) * side + (u | 0);
      grain[i] = tiles.grain[place] + pressed;
      light[i] = tiles.light[place];
      u += du;
      if (u >= side) u -= side;
      w += dw;
      if (w >= side) w -= side;
      else if (w < 0) w += side;
      pressed += pressing;
    }
    if (tiles.bareShare > 0) copyBare(tiles, bare, at + begin, at + end, start, du, dw);
    begin = end;
  }
}

/** What of a stretch stays bare, looked up as its grain is. */
function copyBare(
  { bare, side }: SurfaceTiles,
  into: Uint8Array,
  begin: number,
  end: number,
  start: readonly [u: number, w: number],
  du: number,
  dw: number,
): void {
  let [u, w] = start;
  for (let i = begin; i < end; i++) {
    into[i] = bare[(w | 0) * side + (u | 0)];
    u += du;
    if (u >= side) u -= side;
    w += dw;
    if (w >= side) w -= side;
    else if (w < 0) w += side;
  }
}

/** Places along each side of a panel at which a roller's tracks are looked at beforehand. */
const LOOKED_AT = 160;

/** Nine places a ninth apart in a normal distribution of specks. */
const SPECKS = [-1.59, -0.97, -0.59, -0.28, 0, 0.28, 0.59, 0.97, 1.59] as const;

/**
 * Lays a roller's tracks over what a row has already; on the whole panel they neither add ink nor take any.
 *
 * @param specks  by how much of a coat what lies there spreads
 */
function roller(
  { rolled, toward, streaks }: Tracks,
  specks: number,
  { panel, width, height, from }: Frame,
  { grain, bare }: Bytes,
) {
  const track = tracksOf(rolled, toward, streaks);
  const here: Track = { cover: 0, bare: 0 };
  let [sum, squares, bareSum] = [0, 0, 0];
  for (let row = 0; row < LOOKED_AT; row++)
    for (let column = 0; column < LOOKED_AT; column++) {
      const speck = SPECKS[(row * 7 + column * 3) % 9] ?? 0;
      track(
        ((column + 0.5) / LOOKED_AT) * panel.width,
        ((row + 0.5) / LOOKED_AT) * panel.height,
        speck,
        here,
      );
      sum += here.cover;
      squares += here.cover ** 2;
      bareSum += here.bare;
    }
  const mean = sum / LOOKED_AT ** 2;
  return {
    spread: Math.sqrt(squares / LOOKED_AT ** 2 - mean ** 2),
    bareShare: bareSum / LOOKED_AT ** 2,
    overRow: (row: number): void => {
      const y = ((row + 0.5) * panel.height) / height;
      for (let column = 0, i = (row - from) * width; column < width; column++, i++) {
        track(((column + 0.5) * panel.width) / width, y, grain[i] / (specks * A_COAT), here);
        grain[i] = Math.max(-127, Math.min(127, grain[i] + A_COAT * (here.cover - mean)));
        bare[i] = Math.min(ALL_BARE, bare[i] + ALL_BARE * here.bare);
      }
    },
  };
}
