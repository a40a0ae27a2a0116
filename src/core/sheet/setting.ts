import type { Unit } from '../base/length';
import { type BlendGround, blendGround } from '../engine/blend';
import { type Neighbours, neighboursOf } from '../engine/neighbours';
import { FINISHES } from '../materials/card/finishes';
import { INK_KINDS } from '../materials/ink/kinds';
import { judgeJoint, walkJoint, walkOnWhite } from '../readings/joints/joint';
import { potencies } from '../readings/perceived';
import { layingOf } from '../recipe/laying';
import { USUAL_PANEL } from '../recipe/panel';
import type { AtEachInk } from '../recipe/passes/definition';
import { PASS_KINDS } from '../recipe/passes/passes';
import { jointSpans, passesInOrder, patchesOf, type Recipe } from '../recipe/recipe';
import { contextsOf, type ResolvedRecipe } from '../recipe/resolved';
import type { School } from '../recipe/schools/definition';
import type { Tool } from '../recipe/tools/definition';
import { TOOLS } from '../recipe/tools/tools';
import { joinLength } from './joinLength';
import type { MeasuredWords } from './measuredWords';
import { measuredWords } from './measures';
import { layingOrder, schoolOf } from './schoolChoice';
import type { Minutes, Pace } from './times';

/** What is set out before the work begins, and stays as it is: the recipe, its measures, the maker's pace. */
export interface Setting {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly pace: Pace;
  readonly school: School;
  /** The rungs in the order they are laid, bare card left out. */
  readonly order: readonly number[];
  readonly tool: Tool;
  /** How the tool is moved on this card: solid, over a join, and over a fade that is drawn out again. */
  readonly strokes: { readonly laying: string; readonly goingBack: string; readonly waking: string };
  readonly words: MeasuredWords;
  readonly ground: BlendGround;
  readonly neighbours: readonly Neighbours[];
  /** What part of its joints each rung holds, 0…1. */
  readonly holds: readonly number[];
  /** How much longer than alone the inks stay open with what is mixed into them. */
  readonly opens: number;
  /** What passes add to each laying of an ink. */
  readonly atEachInk: readonly AtEachInk[];
  /** Whether a middle may be brewed of two inks: they share a brush, and what they make is no mud. */
  readonly brews: boolean;
  /** Over how many mm two rungs fade into each other. */
  readonly joinWidth: (one: number, other: number) => number;
  /** How long it takes to get one ink out of a brush for another, where there are fewer brushes than inks; else 0. */
  readonly changing: Minutes;
  /** How many panels are laid at once. */
  readonly panels: number;
  /** Whether what is laid on is turned under the tool, as card is: a stamp stays in its positioner. */
  readonly turns: boolean;
  /** A panel's size against the usual one, times how many there are: how much farther the brush has to go over a part of it, and along the join of two rungs. */
  readonly larger: {
    readonly over: (area: number) => number;
    readonly along: (one: number, other: number) => number;
  };
}

/** Work on a small panel takes at least this part of what it takes on a usual one. */
const LEAST = { over: 0.75, along: 0.67 } as const;

export function settingOf(
  resolved: ResolvedRecipe,
  unit: Unit,
  pace: Pace,
  words: MeasuredWords = measuredWords(resolved.recipe, unit),
): Setting {
  const { recipe, card } = resolved;
  const tool = TOOLS[recipe.tool];
  const { stroke, everyWay } = FINISHES[card.finish];
  const ground = blendGround(resolved);
  const spans = jointSpans(recipe);
  const panels = resolved.alsoOn ? 2 : 1;
  const soft = patchesOf(recipe)?.soft;
  return {
    resolved,
    unit,
    pace,
    school: schoolOf(resolved),
    order: layingOrder(resolved),
    tool,
    strokes: strokesOf(tool, stroke, everyWay ? stroke : CIRCLES),
    words,
    ground,
    neighbours: neighboursOf(recipe),
    holds: potencies(resolved).map(({ holds }) => holds),
    opens: layingOf(resolved).opens,
    atEachInk: passesInOrder(recipe)
      .flatMap((pass) => PASS_KINDS[pass.kind].atEachInk?.(contextsOf(resolved, pass)) ?? [])
      // Two passes that ask for the same are one deed.
      .filter(({ care }, i, all) => all.findIndex((one) => one.care === care) === i),
    brews: canBrew(resolved, ground),
    joinWidth: (one, other) => {
      const { start = 0, end = 0 } = spans[Math.min(one, other)] ?? {};
      return soft ?? end - start;
    },
    changing: 0,
    panels,
    turns: true,
    larger: largerThanUsual(recipe, panels),
  };
}

/** How a tool is moved that has no stroke of its own, wherever nothing speaks against it. */
const CIRCLES = 'small circles';

function strokesOf(tool: Tool, stroke: string, back: string): Setting['strokes'] {
  const goingBack = tool.goBackStroke ?? `${back}, light hand`;
  return { laying: tool.stroke ?? stroke, goingBack, waking: tool.wakeStroke ?? goingBack };
}

function largerThanUsual(recipe: Recipe, panels: number): Setting['larger'] {
  const { width, height } = recipe.panel;
  const usual = USUAL_PANEL.width * USUAL_PANEL.height;
  return {
    over: (area) => panels * Math.max(Math.sqrt((area * width * height) / usual), LEAST.over),
    along: (one, other) =>
      panels * Math.max(joinLength(recipe, Math.min(one, other)) / USUAL_PANEL.width, LEAST.along),
  };
}

/** The same for a ladder that is laid on a stamp's rubber: one for all panels, without a grain, and fixed where it lies. */
export const onRubber = (setting: Setting): Setting => ({
  ...setting,
  tool: { ...setting.tool, loading: setting.tool.loadingRubber ?? setting.tool.loading },
  strokes: strokesOf(setting.tool, CIRCLES, CIRCLES),
  panels: 1,
  turns: false,
  larger: largerThanUsual(setting.resolved.recipe, 1),
});

function canBrew({ inks }: ResolvedRecipe, ground: BlendGround): boolean {
  const [first, last, ...others] = inks;
  if (!first || !last || others.length > 0) return false;
  const { brushSet } = INK_KINDS[first.kind];
  if (brushSet !== INK_KINDS[last.kind].brushSet || brushSet === 'none') return false;
  const stations = walkJoint(first, last, ground);
  return judgeJoint(stations, walkOnWhite(first, last, ground, stations)).kind !== 'mud';
}
