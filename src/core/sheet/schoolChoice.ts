import { blendGround, solidColour } from '../engine/blend';
import { deltaE00, hueApart } from '../materials/colour/difference';
import { COLOURLESS, chroma, hueDegrees } from '../materials/colour/lab';
import { nameColour } from '../materials/colour/names';
import { isBare } from '../materials/ink/ink';
import { patchesOf } from '../recipe/recipe';
import type { ResolvedRecipe } from '../recipe/resolved';
import { RUNS } from '../recipe/runs/runs';
import { isYellow, type LaidRung, type School } from '../recipe/schools/definition';
import { SCHOOLS, type SchoolId } from '../recipe/schools/schools';

/** Each rung as it dries where it is solid. */
export function laidRungs(resolved: ResolvedRecipe): LaidRung[] {
  const ground = blendGround(resolved);
  return resolved.inks.map((ink) => {
    const lab = solidColour(ink, ground);
    return { lab, noun: nameColour(lab).noun };
  });
}

/** Nearer than this in hue, degrees, inks count as depths of one colour. */
const ONE_HUE = 30;
/** Farther apart than this two ends make a middle of their own. CIEDE2000. */
const FAR_APART = 30;

/** The school that follows from the run and the inks, and why. Common practice. */
export function suggestSchool(resolved: ResolvedRecipe): { readonly id: SchoolId; readonly because: string } {
  const { recipe, inks } = resolved;
  const rungs = laidRungs(resolved);
  if (RUNS[recipe.run.id].laidFromMiddle)
    return { id: 'middleOut', because: 'a glow is laid from its middle' };
  if (inks.some(isBare)) return { id: 'darkFirst', because: 'an ink that fades to bare card is dragged out' };
  if (patchesOf(recipe))
    return { id: 'paleFirst', because: 'patches side by side keep the pale brush clean' };
  const [first, last] = [rungs[0], rungs.at(-1)];
  if (first && last && rungs.length === 2 && deltaE00(first.lab, last.lab) > FAR_APART)
    return { id: 'bothEnds', because: 'two inks far apart want a brewed middle' };
  const coloured = rungs.filter(({ lab }) => chroma(lab) > COLOURLESS).map(({ lab }) => hueDegrees(lab));
  const isTonal = coloured.every((p) => coloured.every((q) => hueApart(p, q) < ONE_HUE));
  const hasYellow = rungs.some(isYellow);
  if (isTonal && !hasYellow)
    return { id: 'darkFirst', because: 'depths of one colour are dragged out of the deepest' };
  return {
    id: 'paleFirst',
    because: hasYellow ? 'yellow goes down before all others' : 'the pale brush stays clean',
  };
}

/** The id of the school a recipe is laid by. */
export const schoolIdOf = (resolved: ResolvedRecipe): SchoolId =>
  resolved.recipe.school === 'suggested' ? suggestSchool(resolved).id : resolved.recipe.school;

/** The school a recipe is laid by. */
export const schoolOf = (resolved: ResolvedRecipe): School => SCHOOLS[schoolIdOf(resolved)];

/** Rung indices in the order they are laid; bare card is not laid. */
export const layingOrder = (resolved: ResolvedRecipe): number[] =>
  schoolOf(resolved)
    .order(laidRungs(resolved))
    .filter((rung) => {
      const ink = resolved.inks[rung];
      return ink !== undefined && !isBare(ink);
    });
