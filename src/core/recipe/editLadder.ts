import type { Millimetres } from '../base/length';
import type { Params } from '../base/params';
import type { Lab } from '../materials/colour/lab';
import { paleToDark } from '../materials/colour/order';
import type { Panel } from './panel';
import { passMovedWith } from './passes/passes';
import {
  type JointSpan,
  jointSpans,
  MIN_JOINT,
  MIN_SOLID,
  nextId,
  patchesOf,
  type Recipe,
  RUNG_LIMITS,
  runLength,
} from './recipe';
import { chooseRun, type RunId, startRun } from './runs/runs';

/** Which end of a joint: where the upper ink stops being solid, or where the lower one starts. */
export type MarkEnd = 'start' | 'end';
export type PaleEnd = 'foot' | 'top';

/**
 * A joint that a new rung brings with it, as part of the shorter of its two rungs: an ink is solid over the first third
 * and faded out by two thirds to three quarters. Common practice.
 */
const FRESH_JOINT = 0.85;

/**
 * The same recipe with one mark moved. A mark stops short of its neighbours: a joint never crosses another, every
 * ink stays solid somewhere and every joint keeps some width. All other marks stay where they are.
 *
 * @param along where the mark is wanted, mm along the run
 */
export function moveMark(recipe: Recipe, joint: number, end: MarkEnd, along: Millimetres): Recipe {
  const spans = jointSpans(recipe);
  const span = spans[joint];
  if (!span) return recipe;
  const [least, most] = markRange(recipe, joint, end);
  const place = Math.min(Math.max(along, least), most);
  return withSpans(
    recipe,
    spans.map((other, i) => (i === joint ? { ...other, [end]: place } : other)),
  );
}

/** How far a mark can move without touching its neighbours, in mm along the run: [least, most]. */
export function markRange(recipe: Recipe, joint: number, end: MarkEnd): [Millimetres, Millimetres] {
  const spans = jointSpans(recipe);
  const span = spans[joint];
  if (!span) throw new RangeError(`the recipe has no joint ${joint + 1}`);
  return end === 'start'
    ? [(spans[joint - 1]?.end ?? 0) + MIN_SOLID, span.end - MIN_JOINT]
    : [span.start + MIN_JOINT, (spans[joint + 1]?.start ?? runLength(recipe)) - MIN_SOLID];
}

/** Shares and widths from overspans given in mm along the run. */
function withSpans(recipe: Recipe, spans: readonly JointSpan[]): Recipe {
  const length = runLength(recipe);
  const borders = [0, ...spans.map(({ start, end }) => (start + end) / 2 / length), 1];
  return {
    ...recipe,
    rungs: recipe.rungs.map((rung, i) => ({
      ...rung,
      share: (borders[i + 1] as number) - (borders[i] as number),
    })),
    joints: spans.map(({ start, end }) => ({ width: end - start })),
  };
}

/**
 * Gives one rung the share asked for and takes it from, or hands it to, all others in proportion.
 * No rung goes under what it needs to be seen.
 */
export function setShare(recipe: Recipe, index: number, share: number): Recipe {
  const others = recipe.rungs.filter((_, i) => i !== index);
  const least = leastShare(recipe);
  const wanted = Math.min(Math.max(share, least), 1 - least * others.length);
  const rest = others.reduce((sum, rung) => sum + rung.share, 0);
  return settle({
    ...recipe,
    rungs: recipe.rungs.map((rung, i) => ({
      ...rung,
      share: i === index ? wanted : (rung.share / rest) * (1 - wanted),
    })),
  });
}

/** The smallest share that leaves a rung its solid part and room for half a joint on both sides. */
const leastShare = (recipe: Recipe): number => (MIN_SOLID + MIN_JOINT) / runLength(recipe);

/** Puts an ink on a rung. Shares and joints stay. */
export const setInk = (recipe: Recipe, index: number, inkId: string): Recipe => ({
  ...recipe,
  rungs: recipe.rungs.map((rung, i) => (i === index ? { ...rung, inkId } : rung)),
});

/**
 * Puts a further rung at `index`; it takes an equal share from all others.
 * The recipe comes back as it was when it has five rungs already.
 */
export function addRung(recipe: Recipe, index: number, inkId: string): Recipe {
  if (recipe.rungs.length >= RUNG_LIMITS.max) return recipe;
  const share = 1 / (recipe.rungs.length + 1);
  const shrunk = recipe.rungs.map((rung) => ({ ...rung, share: rung.share * (1 - share) }));
  const width = FRESH_JOINT * share * runLength(recipe);
  return settle({
    ...withoutWishes(recipe),
    rungs: shrunk.toSpliced(index, 0, { id: nextId('r', recipe.rungs), inkId, share }),
    joints: recipe.joints.toSpliced(Math.min(index, recipe.joints.length), 0, { width }),
  });
}

/** Shares to see belong to the rungs there are: with another number of them, equal ones are meant again. */
function withoutWishes({ wanted: _, ...recipe }: Recipe): Recipe {
  return recipe;
}

/** The rung whose dried colour is nearest in L* to a lightness. */
export const nearestRung = (dried: readonly Lab[], l: number): number =>
  dried.reduce((best, lab, i) => (Math.abs(lab.l - l) < Math.abs((dried[best]?.l ?? 0) - l) ? i : best), 0);

/** Where a new rung of lightness `l` keeps the ladder in order: before the first rung it should precede. */
export function placeForNew(dried: readonly Lab[], l: number): number {
  const paleFirst = (dried[0]?.l ?? 0) >= (dried.at(-1)?.l ?? 0);
  const at = dried.findIndex((lab) => (paleFirst ? lab.l < l : lab.l > l));
  return at < 0 ? dried.length : at;
}

/** Takes a rung off; the others share what it had. Two rungs are the least: then nothing changes. */
export function removeRung(recipe: Recipe, index: number): Recipe {
  const gone = recipe.rungs[index];
  if (!gone || recipe.rungs.length <= RUNG_LIMITS.min) return recipe;
  return settle({
    ...withoutWishes(recipe),
    rungs: recipe.rungs
      .filter((_, i) => i !== index)
      .map((rung) => ({ ...rung, share: rung.share / (1 - gone.share) })),
    joints: recipe.joints.toSpliced(Math.min(index, recipe.joints.length - 1), 1),
  });
}

/** Lets two rungs trade places, each keeping its share. */
export function swapRungs(recipe: Recipe, i: number, j: number): Recipe {
  const [first, second] = [recipe.rungs[i], recipe.rungs[j]];
  if (!first || !second) return recipe;
  return settle({ ...recipe, rungs: recipe.rungs.with(i, second).with(j, first) });
}

/** Turns the ladder end for end, joints and wishes and all. */
export const reverse = (recipe: Recipe): Recipe => ({
  ...recipe,
  rungs: recipe.rungs.toReversed(),
  joints: recipe.joints.toReversed(),
  ...(recipe.wanted ? { wanted: recipe.wanted.toReversed() } : {}),
});

/**
 * Rungs from pale to dark, by the L* each dries to on its card, each keeping its share.
 *
 * @param dried  each rung's dried colour, in rung order
 * @param paleEnd  where the palest shall lie: dark at the foot grounds a scene, pale at the foot lifts it
 */
export function orderLightToDark(recipe: Recipe, dried: readonly Lab[], paleEnd: PaleEnd): Recipe {
  const order = paleToDark(dried);
  const rungs = order.flatMap((i) => recipe.rungs[i] ?? []);
  return settle({ ...recipe, rungs: paleEnd === 'top' ? rungs : rungs.toReversed() });
}

/** The recipe on a panel of another size: shares stay, joints grow or shrink with the run. */
export const setPanel = (recipe: Recipe, panel: Panel): Recipe =>
  relaid(recipe, {
    ...recipe,
    panel,
    passes: recipe.passes.map((pass) => passMovedWith(pass, recipe.panel, panel)),
  });

/** The ladder on another run, with the numbers that run starts with; shares stay, joints grow or shrink with it. */
export const setRun = (recipe: Recipe, id: RunId): Recipe =>
  recipe.run.id === id ? recipe : relaid(recipe, { ...recipe, run: startRun(id, recipe.panel) });

/** The run with some of its numbers changed, each held inside its range. */
export const setRunParams = (recipe: Recipe, params: Params): Recipe =>
  relaid(recipe, {
    ...recipe,
    run: chooseRun(recipe.run.id, { ...recipe.run.params, ...params }, recipe.panel),
  });

/** The ladder with all its joints so many times as wide, as far as there is room; on patches they have one width. */
export function scaleJoints(recipe: Recipe, times: number): Recipe {
  const patches = patchesOf(recipe);
  return patches
    ? setRunParams(recipe, { soft: patches.soft * times })
    : settle({ ...recipe, joints: recipe.joints.map(({ width }) => ({ width: width * times })) });
}

function relaid(before: Recipe, after: Recipe): Recipe {
  const scale = runLength(after) / runLength(before);
  return settle({ ...after, joints: before.joints.map(({ width }) => ({ width: width * scale })) });
}

/** The run, its numbers and its passes, as another recipe has them. */
export const copyRun = (to: Recipe, from: Recipe): Recipe =>
  relaid(to, {
    ...to,
    run: from.run,
    passes: from.passes.map((pass) => passMovedWith(pass, from.panel, to.panel)),
    tool: from.tool,
  });

/** Shares, joints and wishes as another recipe of as many rungs has them; joints to the scale of the run. */
export function copyShares(to: Recipe, from: Recipe): Recipe {
  if (to.rungs.length !== from.rungs.length) return to;
  const scale = runLength(to) / runLength(from);
  return settle({
    ...to,
    rungs: to.rungs.map((rung, i) => ({ ...rung, share: from.rungs[i]?.share ?? rung.share })),
    joints: from.joints.map(({ width }) => ({ width: width * scale })),
    ...(from.wanted ? { wanted: from.wanted } : {}),
  });
}

/** The recipe with these shares, as near as rungs and joints leave room; one for each rung, and 1 in all. */
export const setShares = (recipe: Recipe, shares: readonly number[]): Recipe =>
  settle({ ...recipe, rungs: recipe.rungs.map((rung, i) => ({ ...rung, share: shares[i] ?? rung.share })) });

/** All shares equal and every joint as wide as a fresh one. */
export function shareEqually(recipe: Recipe): Recipe {
  const share = 1 / recipe.rungs.length;
  const width = FRESH_JOINT * share * runLength(recipe);
  return settle({
    ...recipe,
    rungs: recipe.rungs.map((rung) => ({ ...rung, share })),
    joints: recipe.joints.map(() => ({ width })),
  });
}

/**
 * The nearest recipe in which no two joints touch: too small shares are raised, then each joint is narrowed until
 * both of its rungs keep their solid part.
 */
export function settle(recipe: Recipe): Recipe {
  const length = runLength(recipe);
  const least = leastShare(recipe);
  const short = recipe.rungs.reduce((sum, { share }) => sum + Math.max(least - share, 0), 0);
  const spare = recipe.rungs.reduce((sum, { share }) => sum + Math.max(share - least, 0), 0);
  const rungs = recipe.rungs.map((rung) => ({
    ...rung,
    share: rung.share <= least ? least : least + (rung.share - least) * (1 - short / spare),
  }));
  const excess = recipe.joints.map(({ width }) => Math.max(width - MIN_JOINT, 0));
  const squeeze = rungs.map(({ share }, i) => {
    const beside = excess.slice(Math.max(i - 1, 0), i + 1);
    // A hair below nothing, where a rung has just its least, is nothing.
    const room = Math.max(share * length - MIN_SOLID - (beside.length * MIN_JOINT) / 2, 0);
    const taken = beside.reduce((sum, width) => sum + width / 2, 0);
    return taken <= room ? 1 : room / taken;
  });
  return {
    ...recipe,
    rungs,
    joints: excess.map((width, i) => ({
      width: MIN_JOINT + width * Math.min(squeeze[i] as number, squeeze[i + 1] as number),
    })),
  };
}
