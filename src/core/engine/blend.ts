import { listKeeper, memo } from '../base/memo';
import { type Card, groundOfCard } from '../materials/card/card';
import { type Lab, labOfSpectrum } from '../materials/colour/lab';
import type { Spectrum } from '../materials/colour/spectrum';
import type { Design } from '../materials/design/design';
import type { Ink } from '../materials/ink/ink';
import { type Laid, laidReflectance } from '../materials/ink/laid';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { equalRungs, MIN_JOINT, type Recipe } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { STRAIGHT } from '../recipe/runs/runs';
import { TOOLS, type ToolId } from '../recipe/tools/tools';
import { compileLayers } from './layers';
import { dryReflectance } from './mixing';
import { finished } from './progress';

/**
 * What inks are blended on and how thick, all over a panel: what everything that is said of a ladder apart from its
 * places is said of. A wet base is part of every mixture; a tool that lays more than a brush deepens every colour.
 */
export interface BlendGround {
  /** Reflectance of what has dried under the blend, 0…1 per band. */
  readonly dried: Spectrum;
  /** What lies on that, still wet, when the blend is laid. */
  readonly wet: readonly Laid[];
  /** Coats that a solid part carries. */
  readonly coats: number;
}

/** A bare card, and a brush: what inks are compared on before there is a recipe. */
export const bareGround = (card: Card): BlendGround => ({ dried: groundOfCard(card), wet: [], coats: 1 });

/** What a recipe's blend is laid on and with, by the layers its picture is painted from. */
export const blendGround = ({ recipe, card, inks, passInks, designs }: ResolvedRecipe): BlendGround =>
  groundFor(
    keepPasses(recipe.passes.filter(({ kind, enabled }) => enabled && PASS_KINDS[kind].stage === 'under')),
    recipe.panel,
    recipe.tool,
    card,
    inks,
    passInks,
    designs,
  );

const keepPasses = listKeeper<Pass>(16);

/**
 * Where marks lie, and what lies over the blend, does not matter to it: while they are moved the ground stays the same
 * value.
 */
const groundFor = memo(
  16,
  (
    passes: Recipe['passes'],
    panel: Recipe['panel'],
    tool: ToolId,
    card: Card,
    inks: readonly Ink[],
    passInks: readonly Ink[],
    designs: readonly Design[],
  ): BlendGround => {
    const recipe: Recipe = {
      id: 'ground',
      name: 'ground',
      cardId: card.id,
      panel,
      run: STRAIGHT,
      passes,
      tool,
      school: 'suggested',
      rungs: equalRungs(inks.map(({ id }) => id)),
      joints: inks.slice(1).map(() => ({ width: MIN_JOINT })),
    };
    const program = compileLayers({ recipe, card, inks, passInks, designs }, finished(recipe));
    const stack = program.stack();
    program.layUnder(stack);
    const from = stack.dried * stack.inks;
    const wet = program.palette.flatMap((ink, i) => {
      const coats = stack.wet ? (stack.amounts[from + i] ?? 0) : 0;
      return coats > 0 ? [{ ink, coats }] : [];
    });
    const dried = dryReflectance(program.palette, stack, groundOfCard(card), stack.dried);
    return { dried, wet, coats: TOOLS[tool].coats };
  },
);

/** Dried reflectance of inks blended on a ground, in parts of what a solid part carries. */
export const blended = (parts: readonly Laid[], { dried, wet, coats }: BlendGround): Spectrum =>
  laidReflectance([...wet, ...parts.map(({ ink, coats: part }) => ({ ink, coats: coats * part }))], dried);

/** Dried reflectance of the ground alone. */
export const groundReflectance = ({ dried, wet }: BlendGround): Spectrum =>
  wet.length === 0 ? dried : laidReflectance(wet, dried);

/** The colour one ink dries to where it is solid. */
export const solidColour = (ink: Ink, ground: BlendGround): Lab =>
  labOfSpectrum(blended([{ ink, coats: 1 }], ground));
