import { alikeRungs } from './alikeRungs';
import { badCard } from './badCard';
import { clingingCoat } from './clingingCoat';
import { crowded } from './crowded';
import { darkCard } from './darkCard';
import { darkGround } from './darkGround';
import type { Rule } from './definition';
import { dipped } from './dipped';
import { fineLines } from './fineLines';
import { freshSilhouette } from './freshSilhouette';
import { greyedWhite } from './greyedWhite';
import { heatedFoil } from './heatedFoil';
import { hidden } from './hidden';
import { lateMist } from './lateMist';
import { littleLifted } from './littleLifted';
import { lostImage } from './lostImage';
import { lostInk } from './lostInk';
import { mixedKinds } from './mixedKinds';
import { muddyCoat } from './muddyCoat';
import { muddyJoint } from './muddyJoint';
import { offPanel } from './offPanel';
import { oneDrop } from './oneDrop';
import { oneWay } from './oneWay';
import { otherBase } from './otherBase';
import { outerEdge } from './outerEdge';
import { overlapping } from './overlapping';
import { paleEdge } from './paleEdge';
import { paleTone } from './paleTone';
import { paperStencil } from './paperStencil';
import { sharedWhite } from './sharedWhite';
import { smallStencil } from './smallStencil';
import { soaked } from './soaked';
import { sprayed } from './sprayed';
import { thinCard } from './thinCard';
import { undoable } from './undoable';
import { wetWhite } from './wetWhite';

/** Every rule, a line each, the weightiest first. */
export const RULES: readonly Rule[] = [
  undoable,
  offPanel,
  lostInk,
  otherBase,
  darkCard,
  badCard,
  thinCard,
  dipped,
  soaked,
  mixedKinds,
  oneWay,
  clingingCoat,
  darkGround,
  lostImage,
  freshSilhouette,
  heatedFoil,
  lateMist,
  muddyJoint,
  muddyCoat,
  alikeRungs,
  wetWhite,
  sharedWhite,
  oneDrop,
  overlapping,
  outerEdge,
  smallStencil,
  sprayed,
  paperStencil,
  crowded,
  littleLifted,
  greyedWhite,
  paleTone,
  fineLines,
  hidden,
  paleEdge,
];
