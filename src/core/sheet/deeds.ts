import type { Point } from '../base/geometry';
import type { Ink } from '../materials/ink/ink';
import type { BrewMix } from '../readings/joints/brew';
import type { PassDeed } from '../recipe/passes/definition';
import type { InkExtent } from '../recipe/recipe';
import type { Cleaning } from './brushes';
import type { GivenMark } from './measuredWords';
import type { Minutes } from './times';

/** How much ink a brush is given: as much as a band takes, or a touch of the pad that hardly marks the paper. */
export type Load = 'full' | 'touch';

/** What a ladder is laid on: the panel, the panel once more, or a strip of its own; those with the pass they belong to. */
export type On = 'panel' | `second coat ${string}` | `strip ${string}`;
export const isStrip = (on: On): boolean => on.startsWith('strip ');

/**
 * What the hand does in a step, one thing after another: the same work that the step tells in words, for whoever carries
 * it out or times it. Rungs are told by their place in the ladder, brushes by their letters.
 */
export type Deed =
  | { readonly does: 'lay out'; readonly things: readonly string[] }
  | { readonly does: 'mark'; readonly on: On; readonly marks: readonly GivenMark[] }
  | { readonly does: 'wipe mat'; readonly minutes: Minutes }
  | {
      readonly does: 'clean';
      readonly brush: string;
      readonly how: Cleaning;
      readonly minutes: Minutes;
    }
  | { readonly does: 'load'; readonly brush: string; readonly inks: readonly Ink[]; readonly load: Load }
  /** Something is dropped beside the ink on the mat, and taken up with it. */
  | { readonly does: 'drop'; readonly minutes: Minutes }
  | LadderDeed
  | { readonly does: 'dry'; readonly minutes: Minutes }
  /** Something of a pass; see `PassDeed`. */
  | {
      readonly does: 'pass';
      readonly pass: string;
      /** The placement it is done with; all of them where left out. */
      readonly placement?: string;
      readonly deed: PassDeed;
      readonly brush?: string;
      readonly minutes: Minutes;
    };

/** What is done with a brush on a ladder; it takes so many minutes. */
export type LadderDeed = { readonly on: On; readonly brush: string; readonly minutes: Minutes } & (
  | {
      /** A rung solid: landed on a point where it is to be solid, and as far along the run as told. */
      readonly does: 'lay';
      readonly rung: number;
      readonly land: Point;
      readonly extent?: InkExtent;
    }
  /** Its fade into its join with another, over a part of the panel's width, 0…1. */
  | { readonly does: 'fade'; readonly rung: number; readonly toward: number; readonly part: number }
  /** The same drawn out again where it has dried, before the other comes there. */
  | { readonly does: 'wake'; readonly rung: number; readonly toward: number; readonly part: number }
  /** Back over that part of the join with no new ink. */
  | { readonly does: 'go back'; readonly rung: number; readonly toward: number; readonly part: number }
  /** Back over its own half of a join whose middle was brewed. */
  | { readonly does: 'own half'; readonly rung: number; readonly toward: number; readonly part: number }
  /** Mixtures of two rungs in the bare strip between them, over a part of the panel's width. */
  | {
      readonly does: 'brew';
      readonly between: readonly [number, number];
      readonly mixes: readonly BrewMix[];
      readonly part: number;
    }
);
