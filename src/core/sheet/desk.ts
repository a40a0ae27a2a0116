import type { Unit } from '../base/length';
import { capitalised } from '../base/words';
import type { Wetness } from '../engine/mixing';
import { type Neighbours, neighboursOf } from '../engine/neighbours';
import { type Progress, untouched } from '../engine/progress';
import { FINISHES } from '../materials/card/finishes';
import { type Ink, isBare } from '../materials/ink/ink';
import { potencies } from '../readings/perceived';
import { USUAL_PANEL } from '../recipe/panel';
import type { Danger } from '../recipe/passes/definition';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { School } from '../recipe/schools/definition';
import type { Tool } from '../recipe/tools/definition';
import { TOOLS } from '../recipe/tools/tools';
import type { Brush, BrushUse } from './brushes';
import type { MeasuredWords } from './measuredWords';
import { measuredWords } from './measures';
import { schoolOf } from './schoolChoice';
import type { Pace } from './times';

export type StepKind = 'prepare' | 'lay' | 'brew' | 'go back' | 'pass' | 'dry' | 'check';

/** One numbered step of the order of work. */
export interface Step {
  /** What stays the same when the sheet is compiled anew: a note or a timing belongs to it. */
  readonly key: string;
  readonly kind: StepKind;
  readonly title: string;
  /** The measured work in one line. */
  readonly work: string;
  /** Brush, cleaning, hand: what else to mind. */
  readonly care: readonly string[];
  readonly ink?: Ink;
  readonly brush?: Brush;
  /** Hands-on or waiting time; absent where the maker takes what it takes. */
  readonly minutes?: number;
  /** How the panel stands once it is done, and whether anything on it is still wet. */
  readonly after: Progress;
  readonly stands: Wetness;
  /** Where a design, an edge or a piece goes in this step, as SVG paths in mm. */
  readonly traces?: readonly string[];
  /** The maker's own words. */
  readonly note?: string;
}

/** A joint that will have dried before it is gone back over, with what would mend it. */
export interface DryJoint {
  readonly rungs: readonly [number, number];
  readonly message: string;
}

/** What is set out before the work begins, and stays as it is: the recipe, its measures, the maker's pace. */
export interface Setting {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly pace: Pace;
  readonly school: School;
  readonly tool: Tool;
  /** How the brush or its like is moved on this card. */
  readonly stroke: string;
  readonly words: MeasuredWords;
  readonly neighbours: readonly Neighbours[];
  /** What part of its joints each rung holds, 0…1. */
  readonly holds: readonly number[];
  /** A panel's size against the usual one: how much farther the brush has to go over all of it, and over its width. */
  readonly larger: { readonly over: (area: number) => number; readonly across: number };
}

/** Work on a small panel takes at least this part of what it takes on a usual one. */
const LEAST = { over: 0.75, across: 0.67 } as const;

export function settingOf(resolved: ResolvedRecipe, unit: Unit, pace: Pace): Setting {
  const { recipe, card } = resolved;
  const tool = TOOLS[recipe.tool];
  const { width, height } = recipe.panel;
  const usual = USUAL_PANEL.width * USUAL_PANEL.height;
  return {
    resolved,
    unit,
    pace,
    school: schoolOf(resolved),
    tool,
    stroke: tool.stroke ?? FINISHES[card.finish].stroke,
    words: measuredWords(recipe, unit),
    neighbours: neighboursOf(recipe),
    holds: potencies(resolved).map(({ holds }) => holds),
    larger: {
      over: (area) => Math.max(Math.sqrt((area * width * height) / usual), LEAST.over),
      across: Math.max(width / USUAL_PANEL.width, LEAST.across),
    },
  };
}

/** How far the work has come, step after step. */
export interface Desk {
  readonly steps: readonly Step[];
  readonly warnings: readonly DryJoint[];
  readonly progress: Progress;
  /** Minutes with the brush in hand so far. */
  readonly clock: number;
  readonly dangers: ReadonlySet<Danger>;
  /** What has been laid since all was last dry. */
  readonly wet: readonly Ink[];
  /** When each rung's ink came into the joints it has, minutes. */
  readonly entered: ReadonlyMap<number, number>;
}

export const clearDesk = ({ resolved: { recipe } }: Setting): Desk => ({
  steps: [],
  warnings: [],
  progress: untouched(recipe),
  clock: 0,
  dangers: new Set(),
  wet: [],
  entered: new Map(),
});

/** One piece of the work: what the desk looks like once it is done. */
export type Job = (desk: Desk, setting: Setting) => Desk;

/** The desk with one more step done, as the panel stands by then. */
export function addStep(
  desk: Desk,
  { resolved: { recipe } }: Setting,
  step: Omit<Step, 'after' | 'stands' | 'note'>,
): Desk {
  const note = recipe.notes?.[step.key];
  const stands = desk.wet.some((ink) => !isBare(ink)) ? 'wet' : 'dry';
  return {
    ...desk,
    steps: [...desk.steps, { ...step, after: desk.progress, stands, ...(note ? { note } : {}) }],
    clock: desk.clock + (step.kind === 'dry' ? 0 : (step.minutes ?? 0)),
  };
}

/** What is to be cleaned before a brush is taken up. */
export function cleaning({ brush, usedBefore }: BrushUse, { tool }: Setting): string {
  const wiped = 'Wipe and dry the mat.';
  return usedBefore
    ? `${wiped} ${capitalised(tool.noun)} ${brush.letter} worked with ${usedBefore.name}: wipe it clean on kitchen paper first.`
    : `${wiped} Fresh ${tool.noun}.`;
}
