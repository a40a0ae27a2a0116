import { gridOf } from '../base/grid';
import { memo } from '../base/memo';
import { areaCurveOf } from '../engine/areaCurve';
import { blended, blendGround } from '../engine/blend';
import { coverageOf } from '../engine/coverage';
import type { Card } from '../materials/card/card';
import { deltaE00 } from '../materials/colour/difference';
import { type Lab, labOfSpectrum } from '../materials/colour/lab';
import type { Design } from '../materials/design/design';
import type { Ink } from '../materials/ink/ink';
import type { Laid } from '../materials/ink/laid';
import { bandsOf, jointSpans, partsAt, type Recipe } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';

/** Places along a run at which it is asked which ink a colour reads as. */
const SAMPLES = 600;
/** Points along the longer side of a panel of patches. */
const POINTS = 40;

/**
 * What the eye sees of each rung: the part of the panel whose dried colour is nearer to that rung's own than to any
 * other's (CIEDE2000). They sum to 1. What lies over the ladder is left out.
 */
export const perceivedShares = ({
  recipe,
  card,
  inks,
  passInks,
  designs,
}: ResolvedRecipe): readonly number[] => sharesOf(recipe, card, inks, passInks, designs);

/** Readings and rules ask for the same recipe's shares: they are counted once. */
const sharesOf = memo(
  8,
  (
    recipe: Recipe,
    card: Card,
    inks: readonly Ink[],
    passInks: readonly Ink[],
    designs: readonly Design[],
  ): readonly number[] => countPerceived({ recipe, card, inks, passInks, designs }),
);

function countPerceived(resolved: ResolvedRecipe): number[] {
  const { recipe, inks } = resolved;
  const readsAs = readerOf(resolved);
  const shares = inks.map(() => 0);
  const count = (parts: ArrayLike<number>, area: number): void => {
    const rung = readsAs(parts);
    shares[rung] = (shares[rung] ?? 0) + area;
  };
  const bands = bandsOf(recipe);
  if (bands) {
    const { upTo } = areaCurveOf(recipe);
    const spans = jointSpans(recipe);
    for (let i = 0; i < SAMPLES; i++) {
      const area = upTo(((i + 1) / SAMPLES) * bands.length) - upTo((i / SAMPLES) * bands.length);
      if (area > 0) count(partsAt(recipe, spans, ((i + 0.5) / SAMPLES) * bands.length), area);
    }
    return shares;
  }
  const coverage = coverageOf(recipe);
  const points = gridOf(recipe.panel, POINTS);
  const parts = new Float64Array(inks.length);
  for (const [x, y] of points) {
    coverage(x, y, parts);
    count(parts, 1 / points.length);
  }
  return shares;
}

/** Which rung a mixture reads as. */
function readerOf(resolved: ResolvedRecipe): (parts: ArrayLike<number>) => number {
  const { inks } = resolved;
  const ground = blendGround(resolved);
  const labOf = (parts: ArrayLike<number>): Lab => {
    const laid: Laid[] = [];
    for (let rung = 0; rung < inks.length; rung++)
      if ((parts[rung] as number) > 0) laid.push({ ink: inks[rung] as Ink, coats: parts[rung] as number });
    return labOfSpectrum(blended(laid, ground));
  };
  const own = inks.map((_, i) => labOf(inks.map((__, k) => (k === i ? 1 : 0))));
  return (parts) => {
    for (let rung = 0; rung < inks.length; rung++) if (parts[rung] === 1) return rung;
    const lab = labOf(parts);
    let best = 0;
    let least = Number.POSITIVE_INFINITY;
    own.forEach((colour, rung) => {
      const difference = deltaE00(lab, colour);
      if (difference < least) {
        least = difference;
        best = rung;
      }
    });
    return best;
  };
}

/** What is laid of each rung, as parts of the panel between the middles of its joints; they sum to 1. */
export function laidShares({ recipe }: Pick<ResolvedRecipe, 'recipe'>): number[] {
  if (!bandsOf(recipe)) return recipe.rungs.map(({ share }) => share);
  const { upTo } = areaCurveOf(recipe);
  const borders = [...jointSpans(recipe).map(({ start, end }) => upTo((start + end) / 2)), 1];
  return borders.map((border, i) => border - (borders[i - 1] ?? 0));
}

/** How an ink holds its own in its joints. */
export interface Potency {
  /** Part of its joints, 0…1, that reads as this ink; ½ is even. */
  readonly holds: number;
  /** In words, after the ink's name. */
  readonly description: string;
}

/**
 * How strongly each rung stands in its joints, on an evenly laid one: what part of it reads as this ink. It depends on
 * the inks and on what they are laid on and with.
 */
export function potencies(resolved: ResolvedRecipe): Potency[] {
  const { inks } = resolved;
  const readsAs = readerOf(resolved);
  const held = inks.slice(1).map((_, joint) => {
    let first = 0;
    for (let i = 0; i < STEPS; i++) {
      const parts = inks.map(() => 0);
      const mix = (i + 0.5) / STEPS;
      parts[joint] = 1 - mix;
      parts[joint + 1] = mix;
      if (readsAs(parts) === joint) first++;
    }
    return first / STEPS;
  });
  return inks.map((_, rung) => {
    const joints = [
      ...(rung > 0 ? [1 - (held[rung - 1] as number)] : []),
      ...(rung < held.length ? [held[rung] as number] : []),
    ];
    const holds = joints.reduce((sum, part) => sum + part, 0) / joints.length;
    return { holds, description: describePotency(holds) };
  });
}
const STEPS = 60;

/** Parts of its joints an ink has to hold for each word that is said of it; by eye. */
export const HOLDS = { weak: 0.3, evenFrom: 0.43, evenTo: 0.57, strong: 0.7 } as const;

function describePotency(holds: number): string {
  if (holds < HOLDS.weak) return 'is overpowered';
  if (holds < HOLDS.evenFrom) return 'gives way';
  if (holds <= HOLDS.evenTo) return 'holds even';
  if (holds <= HOLDS.strong) return 'pulls strongly';
  return 'overpowers';
}
