import type { Card } from '../card/card';
import type { Ink } from '../ink/ink';
import type { Kit, Recipe } from '../ladder/recipe';
import type { Readings } from '../readings/readings';
import { alikeRungs } from './alikeRungs';
import { badCard } from './badCard';
import { hidden } from './hidden';
import { lostInk } from './lostInk';
import { muddyJoint } from './muddyJoint';
import { paleEdge } from './paleEdge';
import { thinCard } from './thinCard';
import { wetWhite } from './wetWhite';

/** What a rule looks at: the recipe as it is judged, and what else the maker has. */
export interface Case {
  readonly kit: Kit;
  readonly readings: Readings;
  readonly shelf: readonly Ink[];
  readonly cards: readonly Card[];
}

/** Something to mind, and how it can be mended by one press, where it can. */
export interface Finding {
  /** The same as long as it is the same finding. */
  readonly key: string;
  readonly told: string;
  readonly fix?: { readonly label: string; readonly mend: (recipe: Recipe) => Recipe };
}

/** A rule of the trade. Adding one is adding one of these in a file of its own. */
export interface Rule {
  readonly id: string;
  readonly check: (of: Case) => readonly Finding[];
}

export const RULES: readonly Rule[] = [
  lostInk,
  badCard,
  thinCard,
  muddyJoint,
  alikeRungs,
  wetWhite,
  hidden,
  paleEdge,
];

/** Everything a recipe offends against, the weightiest first. */
export const findingsOf = (of: Case): Finding[] => RULES.flatMap(({ check }) => check(of));
