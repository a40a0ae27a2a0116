import { layered, smoothNoise } from '../../base/noise';
import type { Corners } from '../../base/perspective';
import { seededRandom } from '../../base/random';
import { LINEAR, type Pixels } from '../../choose/photo/pixels';
import { linearRgbOfHex } from '../../materials/colour/hex';
import type { LinearRgb } from '../../materials/colour/lab';
import { paintPanel } from '../../picture/paint';
import { srgbByteOf } from '../../picture/signal';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { normal } from './trueInks';

/** How a panel is photographed at the simulated desk. */
export interface Shot {
  readonly seed: number;
  /** Pixels of the picture. */
  readonly width: number;
  readonly height: number;
  /** Something goes wrong on purpose: a glint on the panel, a shadow across it, too long an exposure. */
  readonly mishap?: 'glare' | 'shadow' | 'clipped';
}

/** A simulated photograph, and where the panel's corners really are in it, for tests. */
export interface Photograph {
  readonly picture: Pixels;
  readonly corners: Corners;
}

/** Bare card around the panel, mm: a larger piece of the same card that it lies on. */
const CARD_MARGIN = 16;
/** The mat, linear light. */
const MAT: LinearRgb = { r: 0.035, g: 0.036, b: 0.04 };
/** Pixels a mm the panel is painted with before it is photographed. */
const PAINTED = 6;

/** A flat thing's picture, put on bare card of that colour. */
export interface OnCard {
  readonly picture: Pixels;
  /** mm. */
  readonly width: number;
  readonly height: number;
  readonly card: LinearRgb;
}

export function photographPanel(resolved: ResolvedRecipe, shot: Shot): Photograph {
  const { width, height } = resolved.recipe.panel;
  const painted = paintPanel(resolved, 'dry', Math.round(width * PAINTED), Math.round(height * PAINTED));
  const picture = { width: painted.width, height: painted.height, data: painted.pixels };
  return photograph({ picture, width, height, card: linearRgbOfHex(resolved.card.colour) }, shot);
}

/**
 * A photograph of something flat on a larger piece of bare card on a dark mat: a little askew, under a lamp that is warm or
 * cool and falls off toward one side, with a sensor's noise and the card's grain.
 */
export function photograph(flat: OnCard, { seed, width, height, mishap }: Shot): Photograph {
  const draw = seededRandom(seed);
  const between = (from: number, to: number) => from + (to - from) * draw();
  const lamp = lampOf(between, mishap === 'clipped');
  const corners = cornersOf(flat, width, height, between);
  const back = inverse(corners, flat.width, flat.height);
  const grain = smoothNoise(1, seed + 1);
  const paper = layered(smoothNoise(1, seed + 2));
  const noise = between(0.002, 0.006);
  const glint = {
    x: between(0.3, 0.7) * flat.width,
    y: between(0.25, 0.75) * flat.height,
    size: 0.22 * flat.width,
  };
  const sensed = (lit: number): number =>
    srgbByteOf(lit + noise * Math.sqrt(Math.max(lit, 0.002)) * normal(draw));
  const data = new Uint8ClampedArray(width * height * 4);
  const shade = shadowOf(mishap, flat);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const { x: u, y: v } = back(x + 0.5, y + 0.5);
      const inside = u >= 0 && v >= 0 && u < flat.width && v < flat.height;
      const onCard =
        u > -CARD_MARGIN && v > -CARD_MARGIN && u < flat.width + CARD_MARGIN && v < flat.height + CARD_MARGIN;
      const surface = inside ? colourAt(flat, u, v) : onCard ? flat.card : MAT;
      const texture = onCard ? 1 + 0.008 * paper(u / 1.7, v / 1.7) : 1 + 0.1 * grain(x / 3, y / 3);
      const light = shade(u, v) * texture * lamp.light(u / flat.width, v / flat.height);
      const gloss = mishap === 'glare' && inside ? shine(u, v, glint) : 0;
      const at = (y * width + x) * 4;
      data[at] = sensed(surface.r * light * lamp.red + gloss);
      data[at + 1] = sensed(surface.g * light + gloss);
      data[at + 2] = sensed(surface.b * light * lamp.blue + gloss);
      data[at + 3] = 255;
    }
  return { picture: { width, height, data }, corners };
}

/** A lamp: its light by place, 0…1 of the way across and down, and how much of that is red and blue. */
function lampOf(between: (from: number, to: number) => number, isTooLong: boolean) {
  const exposure = isTooLong ? 1.5 : between(0.62, 0.88);
  const warm = between(-0.12, 0.2);
  const [slopeX, slopeY, bow] = [between(-0.18, 0.18), between(-0.2, 0.2), between(-0.12, 0)];
  return {
    light: (u: number, v: number): number =>
      exposure * Math.exp(slopeX * (u - 0.5) + slopeY * (v - 0.5) + bow * ((u - 0.5) ** 2 + (v - 0.5) ** 2)),
    red: 1 + warm / 2,
    blue: 1 - warm,
  };
}

/** How much of the lamp a hand's shadow lets through. */
const shadowOf =
  (mishap: Shot['mishap'], { width, height }: OnCard) =>
  (u: number, v: number): number =>
    mishap === 'shadow' && u / width + 0.6 * (v / height) > 0.85 ? 0.45 : 1;

const shine = (u: number, v: number, { x, y, size }: { x: number; y: number; size: number }): number =>
  0.9 * Math.exp(-(((u - x) ** 2 + (v - y) ** 2) / size ** 2));

function colourAt({ picture, width, height }: OnCard, u: number, v: number): LinearRgb {
  const x = Math.min(Math.floor((u / width) * picture.width), picture.width - 1);
  const y = Math.min(Math.floor((v / height) * picture.height), picture.height - 1);
  const at = (y * picture.width + x) * 4;
  const { data } = picture;
  return {
    r: LINEAR[data[at] as number] as number,
    g: LINEAR[data[at + 1] as number] as number,
    b: LINEAR[data[at + 2] as number] as number,
  };
}

/** Where the corners are seen: turned a little, and seen a little from one side. */
function cornersOf(
  flat: OnCard,
  width: number,
  height: number,
  between: (from: number, to: number) => number,
): Corners {
  const scale =
    0.82 * Math.min(width / (flat.width + 2 * CARD_MARGIN), height / (flat.height + 2 * CARD_MARGIN));
  const turn = between(-0.06, 0.06);
  const [leanX, leanY] = [between(-0.06, 0.06), between(-0.06, 0.06)];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const seen = (u: number, v: number) => {
    const [dx, dy] = [scale * (u - flat.width / 2), scale * (v - flat.height / 2)];
    const far = 1 + (leanX * dx) / (width / 2) + (leanY * dy) / (height / 2);
    return { x: width / 2 + (cos * dx - sin * dy) / far, y: height / 2 + (sin * dx + cos * dy) / far };
  };
  return [seen(0, 0), seen(flat.width, 0), seen(flat.width, flat.height), seen(0, flat.height)];
}

/** From a pixel back to the flat thing's mm: the corners' projection turned round, a 3 × 3 matrix inverted. */
function inverse([p0, p1, p2, p3]: Corners, width: number, height: number) {
  const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const below = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / below;
  const h = (dx1 * sy - sx * dy1) / below;
  const [a, b, c] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x, p0.x];
  const [d, e, f] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y, p0.y];
  return (x: number, y: number) => {
    const u = (e - f * h) * x + (c * h - b) * y + (b * f - c * e);
    const v = (f * g - d) * x + (a - c * g) * y + (c * d - a * f);
    const w = (d * h - e * g) * x + (b * g - a * h) * y + (a * e - b * d);
    return { x: (width * u) / w, y: (height * v) / w };
  };
}
