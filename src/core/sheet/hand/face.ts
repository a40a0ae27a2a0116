import { gridOf } from '../../base/grid';
import type { Millimetres } from '../../base/length';
import { hardFade } from '../../base/smoothStep';
import { coverageOf } from '../../engine/coverage';
import { compileLayers, type LayerProgram } from '../../engine/layers';
import { finished } from '../../engine/progress';
import { addWet, clearStack, countLayers, dryStack, type LayerStack, thinStack } from '../../engine/stack';
import { BARE, type Ink, isBare, liftsOf } from '../../materials/ink/ink';
import type { InkKindId } from '../../materials/ink/kinds';
import type { PlacedPass } from '../../recipe/passes/definition';
import type { Effect, GuardEffect } from '../../recipe/passes/effects';
import { bandsOf, type InkExtent, type Recipe } from '../../recipe/recipe';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { TOOLS } from '../../recipe/tools/tools';

/** One thing that was done to the panel's face, in the order it was done. */
export type Laid =
  | { readonly laid: 'dried' }
  /** A rung of the ladder, as far as it was told. */
  | {
      readonly laid: 'rung';
      readonly rung: number;
      readonly extent?: InkExtent;
      readonly covers: readonly Cover[];
    }
  | {
      readonly laid: 'effect';
      readonly effect: Exclude<Effect, { kind: 'dry' | 'guard' }>;
      readonly ink?: Ink;
      readonly placed: PlacedPass;
      readonly covers: readonly Cover[];
    };

/** Something on the panel that keeps ink off. */
export interface Cover {
  readonly effect: GuardEffect;
  readonly placed: PlacedPass;
  /** Whether something was laid over it since that lies on top of it. */
  readonly order: number;
}

/** Points along the panel's longer side that are compared. */
const GRID = 14;

/**
 * Where what a hand has laid differs most from what the picture shows, coats of one ink in one layer, at a grid of
 * points. The layers of the two must be the same ones.
 */
export function farthestOff(resolved: ResolvedRecipe, done: readonly Laid[]): number {
  const program = compileLayers(resolved, finished(resolved.recipe));
  const [shown, laid] = [program.stack(), program.stack()];
  const lay = layerOf(resolved, done, program);
  const isInk = program.palette.map((ink) => !isBare(ink));
  let worst = 0;
  for (const [x, y] of gridOf(resolved.recipe.panel, GRID)) {
    program.layAt(x, y, (border) => (program.borders[border]?.(x, y) ?? 0) > 0, shown);
    lay(x, y, laid);
    worst = Math.max(worst, apart(shown, laid, isInk));
  }
  return worst;
}

function apart(p: LayerStack, q: LayerStack, isInk: readonly boolean[]): number {
  const [one, other] = [inkedLayers(p, isInk), inkedLayers(q, isInk)];
  let worst = 0;
  for (let layer = 0; layer < Math.max(one.length, other.length); layer++)
    for (const [i, counts] of isInk.entries())
      if (counts) worst = Math.max(worst, Math.abs((one[layer]?.[i] ?? 0) - (other[layer]?.[i] ?? 0)));
  return worst;
}

/** The layers of a stack that have ink in them; a bare rung is none. */
const inkedLayers = (stack: LayerStack, isInk: readonly boolean[]): Float64Array[] =>
  Array.from({ length: countLayers(stack) }, (_, layer) =>
    stack.amounts.slice(layer * stack.inks, (layer + 1) * stack.inks),
  ).filter((layer) => layer.some((coats, i) => coats > NOTHING && isInk[i]));

/** Less than this of an ink, in coats, is none. */
const NOTHING = 1e-9;

/** Lays all that was done at one point, from what was told in the steps. */
function layerOf({ recipe, inks }: ResolvedRecipe, done: readonly Laid[], { palette }: LayerProgram) {
  const { coats } = TOOLS[recipe.tool];
  const coverage = coverageOf(recipe);
  const parts = new Float64Array(inks.length);
  const placeOf = (ink: Ink): number => palette.indexOf(ink, inks.length);
  const isInside =
    ({ borders }: PlacedPass, x: Millimetres, y: Millimetres) =>
    (border: number) =>
      (borders[border]?.(x, y) ?? 0) > 0;
  return (x: Millimetres, y: Millimetres, stack: LayerStack): void => {
    clearStack(stack);
    let laidOver = -1;
    const stays = (covers: readonly Cover[], kind: InkKindId): number =>
      covers
        .filter(({ order }) => order >= laidOver)
        .reduce(
          (part, { effect, placed }) =>
            part * (1 - effect.coverAt(x, y, isInside(placed, x, y)) * effect.keepsOff(kind)),
          1,
        );
    const ladder = (at: number, atY: number, amount: number, covers: readonly Cover[]) => {
      coverage(at, atY, parts);
      for (const [rung, part] of parts.entries())
        addWet(stack, rung, coats * amount * part * stays(covers, inks[rung]?.kind ?? 'bare'));
    };
    for (const [order, one] of done.entries()) {
      if (one.laid === 'dried') dryStack(stack);
      else if (one.laid === 'rung')
        addWet(
          stack,
          one.rung,
          coats * toldPart(recipe, one, x, y) * stays(one.covers, inks[one.rung]?.kind ?? 'bare'),
        );
      else {
        const { effect, ink, placed, covers } = one;
        const cover = effect.coverAt(x, y, isInside(placed, x, y));
        if (cover === 0) continue;
        if (effect.kind === 'film') {
          const of = effect.ink ?? ink;
          if (of) addWet(stack, placeOf(of), cover * stays(covers, of.kind));
        } else if (effect.kind === 'ladder') ladder(x, y, cover, covers);
        else if (effect.kind === 'thin') {
          const wetted = cover * stays(covers, 'dye');
          thinStack(stack, (i) => 1 - wetted * liftsOf(palette[i] ?? BARE));
        } else {
          const from = effect.shows(x, y);
          clearStack(stack);
          laidOver = order;
          ladder(from.x, from.y, 1, []);
        }
      }
    }
  };
}

/** How much of a rung lies at a point by the marks its step told; on a run of patches, by the picture itself. */
function toldPart(
  recipe: Recipe,
  { rung, extent }: { readonly rung: number; readonly extent?: InkExtent },
  x: Millimetres,
  y: Millimetres,
): number {
  const bands = bandsOf(recipe);
  if (!bands || !extent) {
    const parts = new Float64Array(recipe.rungs.length);
    coverageOf(recipe)(x, y, parts);
    return parts[rung] ?? 0;
  }
  const along = bands.alongAt(x, y);
  const { hardness } = TOOLS[recipe.tool];
  const { from, solidFrom, solidTo, to } = extent;
  if (along > solidTo) return along >= to ? 0 : hardFade((along - solidTo) / (to - solidTo), hardness);
  if (along < solidFrom)
    return along <= from ? 0 : hardFade((solidFrom - along) / (solidFrom - from), hardness);
  return 1;
}
