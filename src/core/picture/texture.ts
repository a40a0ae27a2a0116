import type { Point } from '../base/geometry';
import { memo } from '../base/memo';
import { FINISHES, type FinishId } from '../materials/card/finishes';
import { layingOf } from '../recipe/laying';
import type { ResolvedRecipe } from '../recipe/resolved';
import { TOOLS, type ToolId } from '../recipe/tools/tools';
import { fibreTile, grainTile, TILE } from './grain';
import { SIGNAL_SLOPE } from './signal';

/** One as a factor of light, in whole numbers. */
export const ONE = 4096;
/** A colour, in 256ths, times a light stands so many bits higher than a pixel. */
export const BITS = 20;

const GRAIN_SEED = 1912;
const DITHER_SEED = 2005;
const MOTTLE_SEED = 77;
const STREAK_SEED = 1931;
const FIBRE_SEED = 405;
/** How much longer streaks are than wide, and how far they lighten on average; by eye. */
const STREAK = { length: 24, lighter: 0.4 } as const;

/** How much lighter or darker each pixel is than its colour. */
export interface Texture {
  /** The card's tooth and fibres and the tool's unevenness: TILE × TILE factors that repeat without a seam. */
  readonly tile: Int32Array;
  /** What streaks along the run add to the factor. */
  readonly streak?: (column: number, row: number) => number;
}

/** @param toward  which way the ladder goes, where it goes one way */
export function textureOf(resolved: ResolvedRecipe, toward: Point = { x: 0, y: 1 }, width: number): Texture {
  const { recipe, card } = resolved;
  const perMm = width / recipe.panel.width;
  const { streaks } = TOOLS[recipe.tool];
  const laying = layingOf(resolved);
  const tile = tileFor(card.finish, recipe.tool, laying.mottle, Math.round(perMm * 100) / 100);
  if (streaks.depth === 0) return { tile };
  const noise = grainTile(streaks.size * perMm, STREAK_SEED);
  const depth = ONE * streaks.depth * laying.streaks * SIGNAL_SLOPE;
  const mask = TILE - 1;
  return {
    tile,
    // Across the run the noise changes fast, along it slowly.
    streak: (column, row) => {
      const across = (column * toward.y - row * toward.x) & mask;
      const along = ((column * toward.x + row * toward.y) / STREAK.length) & mask;
      return (depth * (STREAK.lighter + noise[along * TILE + across])) | 0;
    },
  };
}

/** One tile of all that repeats; a few sizes of a few cards and tools are remembered. */
const tileFor = memo(24, (finishId: FinishId, toolId: ToolId, even: number, perMm: number): Int32Array => {
  const finish = FINISHES[finishId];
  const { mottle } = TOOLS[toolId];
  const tooth = grainTile(finish.grain * perMm, GRAIN_SEED);
  const cloud = grainTile(mottle.size * perMm, MOTTLE_SEED);
  const fibre = fibreTile(FIBRE_SEED);
  return Int32Array.from(tooth, (grain, i) => {
    const uneven = finish.tooth * grain + even * mottle.depth * cloud[i] + finish.fibres * fibre[i];
    return Math.round(ONE * (1 + SIGNAL_SLOPE * uneven));
  });
});

/** Half a pixel's step of noise and the half that rounding adds, as high as a colour times a light. */
export const ditherTile = memo(
  1,
  (): Int32Array =>
    Int32Array.from(grainTile(1, DITHER_SEED), (noise) => Math.round(2 ** BITS * (0.5 + 0.5 * noise))),
);
