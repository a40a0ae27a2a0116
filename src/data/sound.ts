import { isPlain } from '../core/files/plain';
import type { SittingRecord } from '../core/make/sitting/record';
import type { Card } from '../core/materials/card/card';
import { FINISHES } from '../core/materials/card/finishes';
import { isHex } from '../core/materials/colour/hex';
import { DESIGN_USES, type Design } from '../core/materials/design/design';
import { INK_DEPTHS, type Ink } from '../core/materials/ink/ink';
import { INK_KIND_IDS } from '../core/materials/ink/kinds';
import { PANEL_LIMITS } from '../core/recipe/panel';
import { PASS_KIND_IDS, PASS_LIMITS } from '../core/recipe/passes/passes';
import { type Recipe, RUNG_LIMITS } from '../core/recipe/recipe';
import { RUN_IDS } from '../core/recipe/runs/runs';
import { TOOL_IDS } from '../core/recipe/tools/tools';
import type { RecipeRecord } from './records';

/**
 * Whether what a table holds is what this program may compute with. A list of a thousand is looked at in a moment, so these
 * look only at what would stop a view; the whole schema is asked when a file is read.
 */
const isText = (value: unknown): value is string => typeof value === 'string';
const isSize = (value: unknown, { min, max }: { readonly min: number; readonly max: number }): boolean =>
  typeof value === 'number' && value >= min && value <= max;
const among = (values: readonly string[], value: unknown): boolean => isText(value) && values.includes(value);

export const isSoundInk = (value: unknown): value is Ink =>
  isPlain(value) &&
  isText(value.id) &&
  isText(value.name) &&
  isText(value.family) &&
  among(INK_DEPTHS, value.depth) &&
  among(INK_KIND_IDS, value.kind) &&
  isHex(String(value.overWhite));

export const isSoundCard = (value: unknown): value is Card =>
  isPlain(value) &&
  isText(value.id) &&
  isText(value.name) &&
  isHex(String(value.colour)) &&
  among(Object.keys(FINISHES), value.finish) &&
  typeof value.grammage === 'number';

export const isSoundDesign = (value: unknown): value is Design =>
  isPlain(value) &&
  isText(value.id) &&
  isText(value.name) &&
  among(DESIGN_USES, value.use) &&
  isSize(value.width, { min: 0.1, max: 5000 }) &&
  isSize(value.height, { min: 0.1, max: 5000 }) &&
  Array.isArray(value.shapes) &&
  value.shapes.every((shape) => isPlain(shape) && isText(shape.d));

export const isSoundRecipe = (value: unknown): value is Recipe =>
  isPlain(value) &&
  isText(value.id) &&
  isText(value.name) &&
  isText(value.cardId) &&
  isPlain(value.panel) &&
  isSize(value.panel.width, PANEL_LIMITS) &&
  isSize(value.panel.height, PANEL_LIMITS) &&
  isPlain(value.run) &&
  among(RUN_IDS, value.run.id) &&
  isPlain(value.run.params) &&
  among(TOOL_IDS, value.tool) &&
  Array.isArray(value.rungs) &&
  isSize(value.rungs.length, RUNG_LIMITS) &&
  value.rungs.every(
    (rung) =>
      isPlain(rung) && isText(rung.id) && isText(rung.inkId) && isSize(rung.share, { min: 0, max: 1 }),
  ) &&
  Array.isArray(value.joints) &&
  value.joints.length === value.rungs.length - 1 &&
  value.joints.every((joint) => isPlain(joint) && isSize(joint.width, { min: 0, max: 2000 })) &&
  Array.isArray(value.passes) &&
  value.passes.length <= PASS_LIMITS.passes &&
  value.passes.every(
    (pass) =>
      isPlain(pass) &&
      isText(pass.id) &&
      among(PASS_KIND_IDS, pass.kind) &&
      Array.isArray(pass.placements) &&
      pass.placements.every((placement) => isPlain(placement) && isPlain(placement.params)),
  );

export const isSoundRecord = (value: unknown): value is RecipeRecord =>
  isPlain(value) &&
  isText(value.id) &&
  typeof value.revision === 'number' &&
  typeof value.createdAt === 'number' &&
  typeof value.updatedAt === 'number' &&
  isSoundRecipe(value.recipe);

export const isSoundSitting = (value: unknown): value is SittingRecord =>
  isPlain(value) &&
  isText(value.id) &&
  isText(value.name) &&
  isText(value.date) &&
  isText(value.start) &&
  isPlain(value.atHand) &&
  isPlain(value.atHand.brushes) &&
  Array.isArray(value.breaks) &&
  Array.isArray(value.lots) &&
  value.lots.every(
    (lot) => isPlain(lot) && isText(lot.recipeId) && isSize(lot.count, { min: 0, max: 1e4 }),
  ) &&
  (value.run === undefined ||
    (isPlain(value.run) &&
      isPlain(value.run.with) &&
      isPlain(value.run.logged) &&
      [value.run.lines, value.run.out, value.run.order, value.run.away ?? []].every(Array.isArray)));

/** Something in a table that this program cannot compute with. */
export interface Damaged {
  readonly table: 'inks' | 'cards' | 'designs' | 'recipes';
  readonly id: string;
  /** What it calls itself, as far as it does. */
  readonly name: string;
  readonly value: unknown;
}

/** What of a table is sound, and what is not. */
export function soundOnes<Value>(
  values: readonly unknown[],
  isSound: (value: unknown) => value is Value,
): { readonly sound: Value[]; readonly damaged: unknown[] } {
  const sound: Value[] = [];
  const damaged: unknown[] = [];
  for (const value of values) (isSound(value) ? sound : damaged).push(value as Value);
  return { sound, damaged };
}
