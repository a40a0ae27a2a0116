import { gridOf } from '../base/grid';
import { areaCurveOf } from '../engine/areaCurve';
import { coverageOf } from '../engine/coverage';
import { groundOf } from '../engine/ground';
import { deltaE00 } from '../materials/colour/difference';
import { type Lab, labOfSpectrum } from '../materials/colour/lab';
import type { Ink } from '../materials/ink/ink';
import { type Laid, laidReflectance } from '../materials/ink/laid';
import { coatsAt, type Kit, lieOf, overlaps, type Recipe } from '../recipe/recipe';

/** Places along a run at which it is asked which ink a colour reads as. */
const SAMPLES = 600;
/** Points along the longer side of a panel of patches. */
const POINTS = 40;

/**
 * What the eye sees of each rung: the part of the panel whose dried colour is nearer to that rung's own than to any
 * other's (CIEDE2000). They sum to 1. What lies over the ladder is left out.
 */
export function perceivedShares(kit: Kit): readonly number[] {
  const known = counted.get(kit.recipe);
  if (known && known.card === kit.card && known.inks.every((ink, i) => ink === kit.inks[i]))
    return known.seen;
  const seen = countSeen(kit);
  counted.set(kit.recipe, { card: kit.card, inks: kit.inks, seen });
  return seen;
}

/** Readings and rules ask for the same recipe's shares: they are counted once. */
const counted = new WeakMap<Recipe, Pick<Kit, 'card' | 'inks'> & { readonly seen: readonly number[] }>();

function countSeen(kit: Kit): number[] {
  const { recipe, inks } = kit;
  const readsAs = readerOf(kit);
  const seen = inks.map(() => 0);
  const count = (parts: ArrayLike<number>, area: number): void => {
    const rung = readsAs(parts);
    seen[rung] = (seen[rung] as number) + area;
  };
  const lie = lieOf(recipe);
  if (lie) {
    const { upTo } = areaCurveOf(recipe);
    const laps = overlaps(recipe);
    for (let i = 0; i < SAMPLES; i++) {
      const area = upTo(((i + 1) / SAMPLES) * lie.length) - upTo((i / SAMPLES) * lie.length);
      if (area > 0) count(coatsAt(recipe, laps, ((i + 0.5) / SAMPLES) * lie.length), area);
    }
    return seen;
  }
  const coverage = coverageOf(recipe);
  const points = gridOf(recipe.panel, POINTS);
  const parts = new Float64Array(inks.length);
  for (const [x, y] of points) {
    coverage(x, y, parts);
    count(parts, 1 / points.length);
  }
  return seen;
}

/** Which rung a mixture reads as. */
function readerOf(kit: Kit): (parts: ArrayLike<number>) => number {
  const { inks } = kit;
  const ground = groundOf(kit);
  const labOf = (parts: ArrayLike<number>): Lab => {
    const laid: Laid[] = [];
    for (let rung = 0; rung < inks.length; rung++)
      if ((parts[rung] as number) > 0) laid.push({ ink: inks[rung] as Ink, coats: parts[rung] as number });
    return labOfSpectrum(laidReflectance(laid, ground, 'dry'));
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
export function laidShares({ recipe }: Pick<Kit, 'recipe'>): number[] {
  if (!lieOf(recipe)) return recipe.rungs.map(({ share }) => share);
  const { upTo } = areaCurveOf(recipe);
  const borders = [...overlaps(recipe).map(({ start, end }) => upTo((start + end) / 2)), 1];
  return borders.map((border, i) => border - (borders[i - 1] ?? 0));
}

/** How an ink holds its own in its joints. */
export interface Potency {
  /** Part of its joints, 0…1, that reads as this ink; ½ is even. */
  readonly holds: number;
  readonly told: string;
}

/**
 * How strongly each rung stands in its joints, on an evenly laid one: what part of it reads as this ink. It depends on
 * the inks and the card alone.
 */
export function potencies(kit: Kit): Potency[] {
  const { inks } = kit;
  const readsAs = readerOf(kit);
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
    return { holds, told: tellPotency(holds) };
  });
}
const STEPS = 60;

function tellPotency(holds: number): string {
  if (holds < 0.3) return 'is overpowered';
  if (holds < 0.43) return 'gives way';
  if (holds <= 0.57) return 'holds even';
  if (holds <= 0.7) return 'pulls strongly';
  return 'overpowers';
}
