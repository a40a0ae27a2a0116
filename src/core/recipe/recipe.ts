import type { Millimetres } from '../base/length';
import { hardFade } from '../base/smoothStep';
import type { Card } from '../materials/card/card';
import type { Design } from '../materials/design/design';
import type { Ink } from '../materials/ink/ink';
import type { Panel } from './panel';
import type { Pass } from './passes/passes';
import { type Lie, type Patches, RUNS, type RunChoice } from './runs/runs';
import type { SchoolId } from './schools/schools';
import { TOOLS, type ToolId } from './tools/tools';

/** One ink in the recipe and its share of the run; all shares sum to 1. On a run of patches, its share of the panel. */
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
  readonly run: RunChoice;
  /** What is done beside the blend: those before it, then those over it, each in the order of work. */
  readonly passes: readonly Pass[];
  readonly tool: ToolId;
  /** The order of laying; `suggested` follows from the run and the inks. */
  readonly school: SchoolId | 'suggested';
  readonly rungs: readonly Rung[];
  readonly joints: readonly Joint[];
  /** The parts of the panel the maker wants to see of each rung; equal ones where left out. */
  readonly wanted?: readonly number[];
  /** The maker's own notes, by the key of the step they belong to. */
  readonly notes?: Readonly<Record<string, string>>;
}

/** A recipe with the card and the inks it asks for, one ink a rung: all that is needed to compute from it. */
export interface Kit {
  readonly recipe: Recipe;
  readonly card: Card;
  readonly inks: readonly Ink[];
  /** The inks of `recipe.passes`, each once. */
  readonly passInks: readonly Ink[];
  /** The designs of `recipe.passes`, each once. */
  readonly designs: readonly Design[];
}

export const RUNG_LIMITS = { least: 2, most: 5 } as const;
/** Every ink keeps at least this much of itself, solid, in mm of the run. */
export const LEAST_SOLID: Millimetres = 1;
/** No joint is narrower than this: a brush cannot lay a harder line without a mask. */
export const LEAST_JOINT: Millimetres = 1;

/** The recipe's bands on its panel; undefined on a run of patches. */
export function lieOf({ run, panel }: Pick<Recipe, 'run' | 'panel'>): Lie | undefined {
  const definition = RUNS[run.id];
  return definition.lies === 'bands' ? definition.on(panel, run.params) : undefined;
}

/** The recipe's places of ink on its panel; undefined on a run of bands. */
export function patchesOf({
  run,
  panel,
  rungs,
}: Pick<Recipe, 'run' | 'panel' | 'rungs'>): Patches | undefined {
  const definition = RUNS[run.id];
  return definition.lies === 'patches' ? definition.on(panel, run.params, rungs.length) : undefined;
}

/**
 * Length of the recipe's run in mm. Patches have no run; there the panel's height stands for it, so that shares and
 * joints keep their meaning when the run is changed.
 */
export const runLength = (recipe: Pick<Recipe, 'run' | 'panel'>): Millimetres =>
  lieOf(recipe)?.length ?? recipe.panel.height;

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

/**
 * How much of each rung's ink lies at a place along the run, as parts that sum to 1.
 * At most two neighbours are above 0.
 *
 * @param into  one place a rung; what stands there is written over
 */
export function layCoats(
  tool: ToolId,
  laps: readonly Overlap[],
  along: Millimetres,
  into: Float64Array | number[],
): void {
  into.fill(0);
  let joint = 0;
  while (joint < laps.length && along >= (laps[joint] as Overlap).end) joint++;
  const lap = laps[joint];
  if (!lap) {
    into[into.length - 1] = 1;
    return;
  }
  const left =
    along <= lap.start ? 1 : hardFade((along - lap.start) / (lap.end - lap.start), TOOLS[tool].hardness);
  into[joint] = left;
  into[joint + 1] = 1 - left;
}

/** `layCoats` into a new list. */
export function coatsAt(
  { rungs, tool }: Pick<Recipe, 'rungs' | 'tool'>,
  laps: readonly Overlap[],
  along: Millimetres,
): number[] {
  const coats = rungs.map(() => 0);
  layCoats(tool, laps, along, coats);
  return coats;
}
