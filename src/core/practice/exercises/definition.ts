import type { Millimetres, Unit } from '../../base/length';
import type { BlendGround } from '../../engine/blend';
import type { TroubleId } from '../../keep/log/troubles';
import type { Card } from '../../materials/card/card';
import type { Hex } from '../../materials/colour/hex';
import type { DriedInk } from '../../readings/driedShelf';
import type { ResolvedRecipe } from '../../recipe/resolved';

/** What items are made from: the maker's own inks, as they dry on one of their cards. */
export interface PracticeShelf {
  readonly inks: readonly DriedInk[];
  readonly card: Card;
  readonly ground: BlendGround;
  /** What the maker measures in. */
  readonly lengths: Unit;
}

/** Something to look at. */
export type Face =
  | { readonly kind: 'swatch'; readonly hex: Hex }
  | { readonly kind: 'panel'; readonly resolved: ResolvedRecipe }
  | { readonly kind: 'fault'; readonly resolved: ResolvedRecipe; readonly trouble: TroubleId }
  | { readonly kind: 'greeting'; readonly ground: Hex; readonly ink: Hex };

/** What is told once it is judged. */
export interface Lesson {
  /** Why, in a sentence. */
  readonly reason: string;
  readonly numbers: string;
  /** The true picture. */
  readonly shows: readonly Face[];
  /** The same to try with real ink. */
  readonly tryIt: string;
}

interface ItemBase {
  readonly exercise: ExerciseId;
  /** What is known once it is known: inks and what of them. The same again has the same key. */
  readonly key: string;
  readonly asks: string;
  readonly faces: readonly Face[];
  readonly lesson: Lesson;
  /** What has to be told apart, in the exercise's own unit; see `Exercise.unit`. */
  readonly level: number;
  /** Names of the inks it is about. */
  readonly inks: readonly string[];
  /** Hue sectors it is about; see `HUE_SECTORS`. */
  readonly hues: readonly number[];
}

export interface Option {
  readonly label: string;
  readonly face?: Face;
}

/** One of several is right; or so many of them. */
export interface PickItem extends ItemBase {
  readonly mode: 'pick';
  readonly options: readonly Option[];
  /** Places of those that are right. */
  readonly right: readonly number[];
}

/** Several are put in order. */
export interface OrderItem extends ItemBase {
  readonly mode: 'order';
  readonly options: readonly Option[];
  /** Their places as they are right, first to last. */
  readonly right: readonly number[];
}

/** Marks are set on a panel, or parts on a scale. */
export interface PlaceItem extends ItemBase {
  readonly mode: 'place';
  /** How far the scale goes, in the exercise's unit. */
  readonly length: Millimetres;
  readonly marks: readonly { readonly label: string; readonly start: number }[];
  readonly right: readonly number[];
  /** Looked at while they are set, from the scale's beginning to its end; none for a blank card. */
  readonly on?: Face;
}

export type Item = PickItem | OrderItem | PlaceItem;

/** What a maker says: places picked, an order, or marks. */
export type Answer = readonly number[];

export interface Judged {
  readonly isRight: boolean;
  /** 0…1: 1 is all right. */
  readonly score: number;
  /** How far off, in the exercise's unit, where something was set. */
  readonly off?: number;
}

/** One way of practising. Adding one is adding one of these in a file of its own, and a line in the table. */
export interface Exercise {
  readonly id: ExerciseId;
  readonly label: string;
  /** What it trains, in a sentence. */
  readonly trains: string;
  /**
   * How it follows the eye: a difference that is judged, made smaller or larger; something known or not, come back to when
   * it would be forgotten; or something set, measured by how far off it is.
   */
  readonly follows: 'difference' | 'knowledge' | 'setting';
  /** What is told apart or set off: L*, ΔE00, times, mm, %. */
  readonly unit: string;
  /** The smallest difference that is asked: below it the model itself is not sure. */
  readonly least: number;
  /** A beginner's, and the largest. */
  readonly start: number;
  readonly most: number;
  /** Chances of guessing right. */
  readonly guess: number;
  /**
   * @param level  the difference wanted; nearest to it that the shelf has
   * @returns undefined where the shelf has nothing for it
   */
  readonly make: (shelf: PracticeShelf, level: number, draw: () => number) => Item | undefined;
}

export const EXERCISE_IDS = [
  'values',
  'darker',
  'join',
  'stronger',
  'border',
  'thirds',
  'wet',
  'greeting',
  'twins',
  'middle',
  'wrong',
  'mix',
  'marks',
] as const;
export type ExerciseId = (typeof EXERCISE_IDS)[number];
