import type { Size } from '../base/geometry';
import { gridOf } from '../base/grid';
import type { Millimetres } from '../base/length';
import { memo } from '../base/memo';
import { fade } from '../base/smoothStep';
import { bandsOf, fillParts, jointSpans, patchesOf, type Recipe, type Rung } from '../recipe/recipe';
import type { PatchLayout } from '../recipe/runs/definition';
import type { RunChoice } from '../recipe/runs/runs';
import { TOOLS, type ToolId } from '../recipe/tools/tools';
import { type Progress, spansSoFar } from './progress';

/**
 * How much of each rung's ink lies at a point of the panel, as parts that sum to 1.
 *
 * @param into  one place a rung; what stands there is written over
 */
export type Coverage = (x: Millimetres, y: Millimetres, into: Float64Array) => void;

/**
 * The coverage of a recipe's ladder, whatever run it lies on; continuous over the panel.
 *
 * @param progress  how far the work has come; all joints blended where left out
 */
export function coverageOf(recipe: Recipe, progress?: Progress): Coverage {
  const bands = bandsOf(recipe);
  if (!bands) return patchCoverage(recipe);
  const spans = progress ? spansSoFar(jointSpans(recipe), progress) : jointSpans(recipe);
  return (x, y, into) => fillParts(recipe.tool, spans, bands.alongAt(x, y), into);
}

/**
 * What is left of an ink that is `t` of the joint farther off than the nearest one, relative to that one, 0…1. Of two
 * inks this makes the same soft step a band has.
 */
function behind(t: number): number {
  if (t >= 1) return 0;
  const nearer = 1 - fade((1 + t) / 2);
  return (1 - nearer) / nearer;
}

/** Each ink reaches from its places as far as its reach says before the next one; where they meet they share. */
function patchCoverage(recipe: Recipe): Coverage {
  const distances = distancesOf(layoutOf(recipe));
  const shareOut = sharer(recipe);
  return (x, y, into) => {
    distances(x, y, into);
    shareOut(into);
  };
}

const layoutOf = (recipe: Pick<Recipe, 'run' | 'panel' | 'rungs'>): PatchLayout =>
  patchesOf(recipe) ?? NO_PATCHES;

/** Turns distances from inks' places into parts that sum to 1. */
function sharer({ panel, run, rungs, tool }: Recipe): (into: Float64Array) => void {
  const reaches = reachesOf(panel, run, rungs, tool);
  const width = layoutOf({ panel, run, rungs }).soft / TOOLS[tool].hardness;
  return (into) => {
    for (let rung = 0; rung < into.length; rung++) into[rung] = into[rung] - reaches[rung];
    share(into, width);
  };
}

/** How far a point is from the nearest place of every ink, mm. */
function distancesOf({ places, wander }: PatchLayout): Coverage {
  // Asked for at every node of a picture: places lie as plain numbers, and roots are taken once an ink.
  const numbers = Float64Array.from(places.flatMap((place) => [place.x, place.y, place.rung]));
  return (x, y, into) => {
    const at = wander?.(x, y);
    const [atX, atY] = at ? [at.x, at.y] : [x, y];
    into.fill(Number.POSITIVE_INFINITY);
    for (let i = 0; i < numbers.length; i += 3) {
      const across = atX - numbers[i];
      const down = atY - numbers[i + 1];
      const rung = numbers[i + 2];
      const square = across * across + down * down;
      if (square < into[rung]) into[rung] = square;
    }
    for (let rung = 0; rung < into.length; rung++) into[rung] = Math.sqrt(into[rung]);
  };
}

/**
 * The coverage at the nodes of an even grid over the panel, its edges included, row by row. How far nodes are from
 * patches is kept: it stays while shares and joints are moved.
 */
export function coverageOnGrid(
  recipe: Recipe,
  progress: Progress,
  columns: number,
  rows: number,
): (node: number, into: Float64Array) => void {
  const { panel, rungs } = recipe;
  const [stepX, stepY] = [panel.width / (columns - 1), panel.height / (rows - 1)];
  if (bandsOf(recipe)) {
    const coverage = coverageOf(recipe, progress);
    return (node, into) => coverage((node % columns) * stepX, Math.floor(node / columns) * stepY, into);
  }
  const layout = layoutOf(recipe);
  const count = rungs.length;
  const far = nodeDistances(layout, panel, columns, rows, count);
  const distances = distancesOf(layout);
  const shareOut = sharer(recipe);
  return (node, into) => {
    const from = count * node;
    if (Number.isNaN(far[from])) {
      distances((node % columns) * stepX, Math.floor(node / columns) * stepY, into);
      far.set(into, from);
    } else for (let rung = 0; rung < count; rung++) into[rung] = far[from + rung];
    shareOut(into);
  };
}

/** Filled in node by node as they are asked for; NaN before. */
const nodeDistances = memo(
  4,
  (_layout: PatchLayout, _panel: Size, columns: number, rows: number, count: number): Float64Array =>
    new Float64Array(count * columns * rows).fill(Number.NaN),
);

/** Turns distances, each less its ink's reach, into parts that sum to 1. */
function share(into: Float64Array, width: Millimetres): void {
  let nearest = Number.POSITIVE_INFINITY;
  for (const far of into) if (far < nearest) nearest = far;
  let whole = 0;
  for (let rung = 0; rung < into.length; rung++) {
    const part = behind((into[rung] - nearest) / width);
    into[rung] = part;
    whole += part;
  }
  for (let rung = 0; rung < into.length; rung++) into[rung] = into[rung] / whole;
}

const NO_PATCHES: PatchLayout = { places: [], soft: 1, turning: '' };
/** Points along the longer side at which areas are counted. */
export const GRID = 44;
/** How often the reaches are stepped at the most, and how near areas have to come to their shares. */
const STEPS = 80;
const NEAR_ENOUGH = 5e-4;
/** Few of the points tell nearly all; from there all of them take a step or two. */
const EVERY = [5, 1];

function solveReaches(panel: Size, run: RunChoice, rungs: readonly Rung[], tool: ToolId): Float64Array {
  const layout = layoutOf({ panel, run, rungs });
  const width = layout.soft / TOOLS[tool].hardness;
  const far = farFrom(layout, panel, rungs.length);
  const reaches = new Float64Array(rungs.length);
  for (const every of EVERY) stepReaches(reaches, rungs, far, every, width, panel);
  return reaches;
}

/** How far every point is from the nearest place of every ink; that stays while shares are moved. */
const farFrom = memo(8, (layout: PatchLayout, panel: Size, count: number): Float64Array => {
  const points = gridOf(panel, GRID);
  const distances = distancesOf(layout);
  const far = new Float64Array(points.length * count);
  points.forEach(([x, y], i) => {
    distances(x, y, far.subarray(i * count, (i + 1) * count));
  });
  return far;
});

/** Steps reaches until areas come near enough to their shares, counted at every so-manieth point. */
function stepReaches(
  reaches: Float64Array,
  rungs: readonly Rung[],
  far: Float64Array,
  every: number,
  width: Millimetres,
  panel: Size,
): void {
  const covered = new Float64Array(rungs.length);
  let gain = 0.6 * Math.sqrt(panel.width * panel.height);
  let before = Number.POSITIVE_INFINITY;
  for (let step = 0; step < STEPS; step++) {
    const points = sumParts(far, reaches, width, every, covered);
    const lacks = rungs.map(({ share: part }, i) => part - covered[i] / points);
    const worst = Math.max(...lacks.map(Math.abs));
    if (worst < NEAR_ENOUGH) break;
    if (worst > before) gain *= 0.7;
    before = worst;
    lacks.forEach((lack, i) => {
      reaches[i] = reaches[i] + gain * lack;
    });
  }
}

/**
 * The parts of every so-manieth point together, by ink. A function of its own: in the midst of the steps it would be
 * compiled ever anew.
 *
 * @returns how many points those are
 */
function sumParts(
  far: Float64Array,
  reaches: Float64Array,
  width: Millimetres,
  every: number,
  into: Float64Array,
): number {
  const count = into.length;
  const parts = new Float64Array(count);
  let points = 0;
  into.fill(0);
  for (let i = 0; i < far.length; i += every * count) {
    for (let rung = 0; rung < count; rung++) parts[rung] = far[i + rung] - reaches[rung];
    share(parts, width);
    for (let rung = 0; rung < count; rung++) into[rung] = into[rung] + parts[rung];
    points++;
  }
  return points;
}

/**
 * How much farther each ink reaches from its places than from the others', in mm, so that each covers its share of the
 * panel. Found by stepping each reach with what its area lacks; remembered for the last few ladders.
 */
const reachesOf = memo(64, solveReaches);

/** The part of the panel each rung covers, summing to 1, over a grid of points. */
export function areasOf(recipe: Recipe): Float64Array {
  const coverage = coverageOf(recipe);
  const points = gridOf(recipe.panel, GRID);
  const sums = new Float64Array(recipe.rungs.length);
  const parts = new Float64Array(recipe.rungs.length);
  for (const [x, y] of points) {
    coverage(x, y, parts);
    for (let rung = 0; rung < sums.length; rung++) sums[rung] = sums[rung] + parts[rung];
  }
  return sums.map((sum) => sum / points.length);
}
