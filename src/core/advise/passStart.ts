import { blendGround, solidColour } from '../engine/blend';
import type { Design } from '../materials/design/design';
import { coversPanel } from '../materials/design/placement';
import { type Ink, isBare } from '../materials/ink/ink';
import { buffsOff } from '../materials/ink/kinds';
import { NEEDS, standsOff } from '../readings/legibility/contrast';
import { rankTopCoats } from '../readings/legibility/topCoat';
import { betterStamping, designContrast } from '../readings/passReadings';
import { addPass, type PassStart } from '../recipe/editPasses';
import type { DesignNeed } from '../recipe/passes/definition';
import { greetingStrip } from '../recipe/passes/greetingStrip';
import { PASS_KINDS, type PassKindId } from '../recipe/passes/passes';
import { patternStencil } from '../recipe/passes/patternStencil';
import { silhouette } from '../recipe/passes/silhouette';
import { passesInOrder } from '../recipe/recipe';
import { contextsOf, type ResolvedRecipe } from '../recipe/resolved';

/** A coat that has to cover is laid at full strength, per cent. */
const FULL = 100;

/**
 * What a new pass starts in and with: the darkest ink that lies there already, over a resist one that buffs off it, and as a
 * coat over one the dark that reads best; white for a base; detail black for a stamp, or white where only that would read; a
 * shadow under a strip that would not stand off; the first design meant for it, moved on where a pattern is smaller than the
 * panel. Some tens of milliseconds for what is to stand out.
 */
export function startFor(
  kindId: PassKindId,
  resolved: ResolvedRecipe,
  shelf: readonly Ink[],
  designs: readonly Design[],
): PassStart {
  const { ink: need, design: drawn, coversAll } = PASS_KINDS[kindId];
  const ink = need && inkFor(kindId, resolved, shelf);
  const design = drawn && !drawn.optional && firstFor(drawn, designs);
  const start = {
    ...(ink ? { inkId: ink.id } : {}),
    ...(design ? { design } : {}),
    // Over a resist a veil is no use: the coat has to cover.
    ...(coversAll && hasResist(resolved) ? { params: { strength: FULL } } : {}),
  };
  return {
    ...start,
    ...(design && isTooSmall(kindId, design, resolved) ? { params: { repeat: 'tiles' } } : {}),
    ...asItReads(kindId, start, ink, resolved, shelf),
  };
}

/** A pattern that is to go over the whole panel and does not reach that far is moved on. */
function isTooSmall(kindId: PassKindId, design: Design, { recipe: { panel } }: ResolvedRecipe): boolean {
  if (kindId !== patternStencil.id || design.use !== 'pattern') return false;
  const middle = { x: panel.width / 2, y: panel.height / 2 };
  return !coversPanel(design, { middle, scale: 1, turn: 0, flip: false }, panel);
}

/** Cells along the panel at which that is looked at: a press waits for it. */
const LOOKED_AT = 24;

/** What is to stand out is looked at as it would lie: black that does not read where white would, a strip that hardly stands off. */
function asItReads(
  kindId: PassKindId,
  start: PassStart,
  ink: Ink | undefined,
  resolved: ResolvedRecipe,
  shelf: readonly Ink[],
): PassStart {
  if (kindId !== silhouette.id && kindId !== greetingStrip.id) return {};
  const recipe = addPass(resolved.recipe, kindId, start);
  const pass = recipe.passes.find(({ id }) => !resolved.recipe.passes.some((other) => other.id === id));
  if (!pass) return {};
  const laid = {
    ...resolved,
    recipe,
    passInks: [...resolved.passInks, ...(ink ? [ink] : [])],
    designs: [...resolved.designs, ...(start.design ? [start.design] : [])],
  };
  const contrast = designContrast(laid, pass.id, LOOKED_AT);
  if (!contrast) return {};
  if (kindId === greetingStrip.id)
    return standsOff(contrast.places.map(({ ratio }) => ratio)) ? {} : { params: { shadow: 'black' } };
  const needed = NEEDS['bold shape'];
  if (contrast.least >= needed) return {};
  const better = betterStamping(laid, pass, contrast.least, shelf, LOOKED_AT);
  return better && better.least >= needed
    ? { inkId: better.ink.id, params: { strength: better.strength } }
    : {};
}

const firstFor = ({ use, starts }: DesignNeed, designs: readonly Design[]): Design | undefined =>
  designs.find(({ id }) => id === starts) ?? designs.find((one) => one.use === use) ?? designs[0];

const hasResist = ({ recipe }: ResolvedRecipe): boolean =>
  passesInOrder(recipe).some(({ kind }) => PASS_KINDS[kind].keepsGround);

function inkFor(kindId: PassKindId, resolved: ResolvedRecipe, shelf: readonly Ink[]): Ink | undefined {
  const owned = shelf.filter(({ wished }) => !wished);
  const { ink: need, coversAll } = PASS_KINDS[kindId];
  if (need === 'white') {
    const pigments = owned.filter(({ kind }) => kind === 'pigment');
    return owned.find(({ kind }) => kind === 'white') ?? byLightness(resolved, pigments).at(-1);
  }
  const detail = owned.find(({ kind }) => kind === 'detail');
  if (need === 'stamped' && detail) return detail;
  const best = coversAll && hasResist(resolved) ? rankTopCoats(resolved, shelf)[0]?.ink : undefined;
  const laid = [...resolved.inks, ...coatedInks(resolved)];
  const buffed = hasResist(resolved) ? laid.filter(({ kind }) => buffsOff(kind)) : [];
  return best ?? byLightness(resolved, buffed.length > 0 ? buffed : laid)[0];
}

/** The inks blended over the ladder so far. */
const coatedInks = (resolved: ResolvedRecipe): Ink[] =>
  passesInOrder(resolved.recipe)
    .filter(({ kind }) => PASS_KINDS[kind].ink === 'blended')
    .flatMap((pass) => contextsOf(resolved, pass).flatMap(({ ink }) => ink ?? []));

/** Inks from the darkest to the palest, as they dry in the recipe's blend; bare card is none. */
function byLightness(resolved: ResolvedRecipe, inks: readonly Ink[]): Ink[] {
  const ground = blendGround(resolved);
  return inks
    .filter((ink) => !isBare(ink))
    .map((ink) => ({ ink, l: solidColour(ink, ground).l }))
    .sort((p, q) => p.l - q.l)
    .map(({ ink }) => ink);
}
