import type { Millimetres } from '../../base/length';
import type { Corners } from '../../base/perspective';
import type { Card } from '../../materials/card/card';
import type { Hex } from '../../materials/colour/hex';
import type { Lab } from '../../materials/colour/lab';
import type { Design } from '../../materials/design/design';
import type { Ink } from '../../materials/ink/ink';
import type { VerdictKind } from '../../readings/joints/joint';
import type { Recipe } from '../../recipe/recipe';
import { type Materials, type ResolvedRecipe, resolveAnyway } from '../../recipe/resolved';
import type { NextTime } from './changes';
import type { ReadingSource } from './source';
import { STEP_MINUTES, type StepTime } from './stepTime';
import type { TroubleId } from './troubles';

/** A recipe as it was when a panel was made of it, whole: what it was made with may change or go. */
export interface MadeOf {
  readonly recipe: Recipe;
  readonly card: Card;
  readonly alsoOn?: Card;
  readonly inks: readonly Ink[];
  readonly designs: readonly Design[];
}

/** So many coats of an ink, by its name. */
export interface NamedCoats {
  readonly ink: string;
  readonly coats: number;
}

/** A colour read on a panel, and where. */
export interface LoggedReading {
  /** In mm from the panel's top left corner, where the panel has a recipe. */
  readonly at?: { readonly x: Millimetres; readonly y: Millimetres };
  /** What lies there instead, the lowest layer first: each the inks laid wet into each other. */
  readonly layers?: readonly (readonly NamedCoats[])[];
  /** What that lies on. */
  readonly card?: Hex;
  readonly lab: Lab;
  readonly source: ReadingSource;
  /** Root mean square ΔE00 that such a reading is off. */
  readonly noise: number;
  /** Read before it had dried. */
  readonly wet?: boolean;
}

/** A photograph of a panel, and where in it the panel lies. */
export interface PanelPhoto {
  readonly id: string;
  /** In pixels of the photograph as it is kept. */
  readonly corners?: Corners;
  /** The same photograph at its full size, where that is kept too. */
  readonly fullSize?: string;
}

/** What a maker guesses of a join before it is made, and what it turned out to be. */
export interface JoinGuess {
  readonly said?: VerdictKind;
  readonly came?: VerdictKind;
}

export const RATINGS = { min: 1, max: 5 } as const;

/** A panel that was made. */
export interface MadePanel {
  readonly id: string;
  /** Running number, from 1. */
  readonly number: number;
  /** The day it was made, `2026-05-01`. */
  readonly date: string;
  readonly name: string;
  /** None where it was made without the application. */
  readonly made?: MadeOf;
  /** Inks by their names in order, where there is no recipe. */
  readonly inkNames?: readonly string[];
  /** Who it was for or where it went. */
  readonly occasion?: string;
  readonly rating?: number;
  /** The best of its sitting. */
  readonly favourite?: boolean;
  readonly tags?: readonly string[];
  readonly times?: readonly StepTime[];
  readonly troubles?: readonly TroubleId[];
  /** How long it took to dry in air, minutes. */
  readonly dryMinutes?: number;
  /** What the maker said beforehand of each join, and what came of it, from the first to the last. */
  readonly guesses?: readonly JoinGuess[];
  /** What would be done differently, in the maker's words. */
  readonly differently?: string;
  /** What of that the recipe knows how to change. */
  readonly changes?: readonly NextTime[];
  readonly note?: string;
  readonly readings: readonly LoggedReading[];
  /** Its photographs, the first shown. */
  readonly photos?: readonly PanelPhoto[];
  /** The panel that this one tried again. */
  readonly after?: string;
}

export const MADE_LIMITS = {
  name: 120,
  occasion: 200,
  differently: 1000,
  note: 4000,
  tags: 20,
  tag: 40,
  photos: 12,
  readings: 500,
  times: 200,
  inks: 12,
  changes: 20,
  layers: 16,
  minutes: STEP_MINUTES,
  coats: { min: 0, max: 10 },
  noise: { min: 0.01, max: 50 },
  number: { min: 1, max: 1_000_000 },
} as const;

export const madeOf = ({ recipe, card, alsoOn, inks, passInks, designs }: ResolvedRecipe): MadeOf => ({
  recipe,
  card,
  ...(alsoOn ? { alsoOn } : {}),
  inks: [...new Map([...inks, ...passInks].map((ink) => [ink.id, ink])).values()].filter(
    ({ kind }) => kind !== 'bare',
  ),
  designs,
});

/** A made panel's recipe, ready to be compiled; what it was made with is all there. */
export const resolveMade = ({ recipe, card, alsoOn, inks, designs }: MadeOf): ResolvedRecipe =>
  resolveAnyway(recipe, {
    inks,
    cards: alsoOn ? [card, alsoOn] : [card],
    designs,
  } satisfies Materials);

/** Every ink's name on a panel, those of the ladder first and in its order. */
export function inkNamesOf({ made, inkNames }: Pick<MadePanel, 'made' | 'inkNames'>): readonly string[] {
  if (!made) return inkNames ?? [];
  const named = new Map(made.inks.map(({ id, name }) => [id, name]));
  const ladder = made.recipe.rungs.flatMap(({ inkId }) => named.get(inkId) ?? []);
  return [...new Set([...ladder, ...named.values()])];
}

/** The number the next panel gets. */
export const nextNumber = (panels: readonly Pick<MadePanel, 'number'>[]): number =>
  panels.reduce((most, { number }) => Math.max(most, number), 0) + 1;
