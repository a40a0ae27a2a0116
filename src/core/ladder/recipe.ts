import type { Card } from '../card/card';
import type { Ink } from '../ink/ink';
import type { Millimetres } from '../panel/measure';
import type { Panel } from '../panel/panel';
import { RUNS, type RunId } from '../run/run';
import type { SchoolId } from '../sheet/schools';

/** One ink in the recipe and its share of the run; all shares sum to 1. */
export interface Rung {
  readonly inkId: string;
  readonly share: number;
}

/** Where two neighbouring rungs overlap. Its middle is the border of their shares. */
export interface Joint {
  /** Measured along the run. */
  readonly width: Millimetres;
}

/**
 * A design for one panel. Nothing that can be computed is in it: picture, readings and sheet are functions of it.
 * Rungs stand in run order, from the top of a straight panel to its foot; joint i lies between rungs i and i + 1.
 */
export interface Recipe {
  readonly id: string;
  readonly name: string;
  readonly cardId: string;
  readonly panel: Panel;
  readonly run: RunId;
  readonly school: SchoolId;
  readonly rungs: readonly Rung[];
  readonly joints: readonly Joint[];
}

/** A recipe with the card and the inks it asks for, one ink a rung: all that is needed to compute from it. */
export interface Kit {
  readonly recipe: Recipe;
  readonly card: Card;
  readonly inks: readonly Ink[];
}

export const RUNG_LIMITS = { least: 2, most: 5 } as const;
/** Every ink keeps at least this much of itself, solid, in mm of the run. */
export const LEAST_SOLID: Millimetres = 1;
/** No joint is narrower than this: a brush cannot lay a harder line without a mask. */
export const LEAST_JOINT: Millimetres = 1;

/** Length of the recipe's run in mm. */
export const runLength = (recipe: Recipe): Millimetres => RUNS[recipe.run].length(recipe.panel);

/** The stretch where one rung fades and the next comes in, in mm along the run. */
export interface Overlap {
  readonly start: Millimetres;
  readonly end: Millimetres;
}

/** The overlaps of all joints in run order. They do not touch: every inner rung is solid between two of them. */
export function overlaps(recipe: Recipe): Overlap[] {
  const length = runLength(recipe);
  let border = 0;
  return recipe.joints.map(({ width }, i) => {
    border += (recipe.rungs[i]?.share ?? 0) * length;
    return { start: border - width / 2, end: border + width / 2 };
  });
}

/** The stretch where an ink lies and the part of it where it is solid, in mm along the run. */
export interface Stretch {
  readonly from: Millimetres;
  readonly solidFrom: Millimetres;
  readonly solidTo: Millimetres;
  readonly to: Millimetres;
}

/** Where each rung's ink comes in, is solid, and has faded out. */
export function stretches(recipe: Recipe): Stretch[] {
  const length = runLength(recipe);
  const laps = overlaps(recipe);
  return recipe.rungs.map((_, i) => {
    const before = laps[i - 1];
    const after = laps[i];
    return {
      from: before?.start ?? 0,
      solidFrom: before?.end ?? 0,
      solidTo: after?.start ?? length,
      to: after?.end ?? length,
    };
  });
}

/** The ink of a fade that is left after the part t of it, 0…1 each: lifted pressure falls off softly at both ends. */
export const fade = (t: number): number => 1 - t * t * (3 - 2 * t);

/**
 * How much of each rung's ink lies at a place along the run, in coats; the amounts sum to 1.
 * At most two neighbours are above 0.
 */
export function coatsAt(recipe: Recipe, laps: readonly Overlap[], along: Millimetres): number[] {
  const coats = recipe.rungs.map(() => 0);
  const joint = laps.findIndex(({ end }) => along < end);
  if (joint < 0) {
    coats[coats.length - 1] = 1;
    return coats;
  }
  const { start, end } = laps[joint] as Overlap;
  const left = along <= start ? 1 : fade((along - start) / (end - start));
  coats[joint] = left;
  coats[joint + 1] = 1 - left;
  return coats;
}
