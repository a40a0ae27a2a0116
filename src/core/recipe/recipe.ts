import type { Millimetres } from '../base/length';
import { memo } from '../base/memo';
import { hardFade } from '../base/smoothStep';
import type { Panel } from './panel';
import type { Pass } from './passes/passes';
import type { BandGeometry, PatchLayout } from './runs/definition';
import { RUNS, type RunChoice } from './runs/runs';
import type { SchoolId } from './schools/schools';
import { TOOLS, type ToolId } from './tools/tools';

/** One ink in the recipe and its share of the run; all shares sum to 1. On a run of patches, its share of the panel. */
export interface Rung {
  /** The same wherever the rung stands in the ladder, so that what is noted of it goes with it. */
  readonly id: string;
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
  /** A second card of the same size that is laid at the same time, swapped under the tool; one panel where left out. */
  readonly alsoOn?: string;
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

export const RUNG_LIMITS = { min: 2, max: 5 } as const;
/** No run is longer than this, mm: the diagonal of the largest panel. Notes are counted, their letters and their keys'. */
export const RECIPE_LIMITS = {
  run: { max: 600 },
  name: 120,
  notes: { count: 100, letters: 1000, key: 80 },
} as const;
/** Every ink keeps at least this much of itself, solid, in mm of the run. */
export const MIN_SOLID: Millimetres = 1;
/** No joint is narrower than this: a brush cannot lay a harder line without a mask. */
export const MIN_JOINT: Millimetres = 1;

/** An id that none of these has yet: the letter and one more than the highest number that follows it. */
export function nextId(letter: string, taken: readonly { readonly id: string }[]): string {
  const numbers = taken.map(({ id }) => Number(id.slice(letter.length)) || 0);
  return `${letter}${Math.max(0, ...numbers) + 1}`;
}

/** Rungs of these inks from the top down, equally shared. */
export const equalRungs = (inkIds: readonly string[]): Rung[] =>
  inkIds.map((inkId, i) => ({ id: `r${i + 1}`, inkId, share: 1 / inkIds.length }));

/** The passes that are not left out, in the order they are done: the list keeps those before the blend first. */
export const passesInOrder = ({ passes }: Pick<Recipe, 'passes'>): Pass[] =>
  passes.filter(({ enabled }) => enabled);

/** The recipe's bands on its panel; undefined on a run of patches. */
export const bandsOf = ({ run, panel }: Pick<Recipe, 'run' | 'panel'>): BandGeometry | undefined =>
  layBands(run, panel);

/** The recipe's places of ink on its panel; undefined on a run of bands. */
export const patchesOf = ({
  run,
  panel,
  rungs,
}: Pick<Recipe, 'run' | 'panel' | 'rungs'>): PatchLayout | undefined => layPatches(run, panel, rungs.length);

/** Asked for many times a frame, and laying some runs takes a while. */
const layBands = memo(16, (run: RunChoice, panel: Panel): BandGeometry | undefined => {
  const definition = RUNS[run.id];
  return definition.layout === 'bands' ? definition.layOn(panel, run.params) : undefined;
});
const layPatches = memo(16, (run: RunChoice, panel: Panel, rungs: number): PatchLayout | undefined => {
  const definition = RUNS[run.id];
  return definition.layout === 'patches' ? definition.layOn(panel, run.params, rungs) : undefined;
});

/**
 * Length of the recipe's run in mm. Patches have no run; there the panel's height stands for it, so that shares and
 * joints keep their meaning when the run is changed.
 */
export const runLength = (recipe: Pick<Recipe, 'run' | 'panel'>): Millimetres =>
  bandsOf(recipe)?.length ?? recipe.panel.height;

/** The stretch where one rung fades and the next comes in, in mm along the run. */
export interface JointSpan {
  readonly start: Millimetres;
  readonly end: Millimetres;
}

/** The spans of all joints in run order. They do not touch: every inner rung is solid between two of them. */
export function jointSpans(recipe: Recipe): JointSpan[] {
  const length = runLength(recipe);
  let border = 0;
  return recipe.joints.map(({ width }, i) => {
    border += (recipe.rungs[i]?.share ?? 0) * length;
    return { start: border - width / 2, end: border + width / 2 };
  });
}

/** How far an ink reaches and the part of that where it is solid, in mm along the run. */
export interface InkExtent {
  readonly from: Millimetres;
  readonly solidFrom: Millimetres;
  readonly solidTo: Millimetres;
  readonly to: Millimetres;
}

/** Where each rung's ink comes in, is solid, and has faded out. */
export function inkExtents(recipe: Recipe): InkExtent[] {
  const length = runLength(recipe);
  const spans = jointSpans(recipe);
  return recipe.rungs.map((_, i) => {
    const before = spans[i - 1];
    const after = spans[i];
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
export function fillParts(
  tool: ToolId,
  spans: readonly JointSpan[],
  along: Millimetres,
  into: Float64Array | number[],
): void {
  into.fill(0);
  const joint = spans.findIndex(({ end }) => along < end);
  const span = spans[joint];
  if (!span) {
    into[into.length - 1] = 1;
    return;
  }
  const left =
    along <= span.start ? 1 : hardFade((along - span.start) / (span.end - span.start), TOOLS[tool].hardness);
  into[joint] = left;
  into[joint + 1] = 1 - left;
}

/** `fillParts` into a new list. */
export function partsAt(
  { rungs, tool }: Pick<Recipe, 'rungs' | 'tool'>,
  spans: readonly JointSpan[],
  along: Millimetres,
): number[] {
  const parts = rungs.map(() => 0);
  fillParts(tool, spans, along, parts);
  return parts;
}
