import { alikeRungs } from './alikeRungs';
import { badCard } from './badCard';
import { clingingCoat } from './clingingCoat';
import { darkCard } from './darkCard';
import { darkGround } from './darkGround';
import type { Rule } from './definition';
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

/** Every rule, a line each, the weightiest first. */
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
