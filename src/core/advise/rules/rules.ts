import type { Unit } from '../../base/length';
import type { Card } from '../../materials/card/card';
import type { Ink } from '../../materials/ink/ink';
import type { PassReading } from '../../readings/passReadings';
import type { Readings } from '../../readings/readings';
import type { Kit, Recipe } from '../../recipe/recipe';
import { alikeRungs } from './alikeRungs';
import { badCard } from './badCard';
import { clingingCoat } from './clingingCoat';
import { darkCard } from './darkCard';
import { darkGround } from './darkGround';
import { fineLines } from './fineLines';
import { freshSilhouette } from './freshSilhouette';
import { hidden } from './hidden';
import { lostImage } from './lostImage';
import { lostInk } from './lostInk';
import { muddyJoint } from './muddyJoint';
import { outerEdge } from './outerEdge';
import { overlapping } from './overlapping';
import { paleEdge } from './paleEdge';
import { sharedWhite } from './sharedWhite';
import { smallStencil } from './smallStencil';
import { sprayed } from './sprayed';
import { thinCard } from './thinCard';
import { warmPowder } from './warmPowder';
import { wetWhite } from './wetWhite';

/** What a rule looks at: the recipe as it is judged, and what else the maker has. */
export interface Case {
  readonly kit: Kit;
  readonly readings: Readings;
  /** What its passes do; empty as long as they have not been read. */
  readonly passes: readonly PassReading[];
  readonly shelf: readonly Ink[];
  readonly cards: readonly Card[];
  /** What lengths are told in. */
  readonly unit: Unit;
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
  darkCard,
  badCard,
  thinCard,
  clingingCoat,
  warmPowder,
  darkGround,
  lostImage,
  freshSilhouette,
  muddyJoint,
  alikeRungs,
  wetWhite,
  sharedWhite,
  overlapping,
  outerEdge,
  smallStencil,
  sprayed,
  fineLines,
  hidden,
  paleEdge,
];

/** Everything a recipe offends against, the weightiest first. */
export const findingsOf = (of: Case): Finding[] => RULES.flatMap(({ check }) => check(of));
