import { groundOf } from '../engine/ground';
import { deltaE00, hueApart } from '../materials/colour/difference';
import { chroma, hueDegrees } from '../materials/colour/lab';
import { nameColour } from '../materials/colour/names';
import { isBare } from '../materials/ink/ink';
import { driedColour } from '../materials/ink/laid';
import { type Kit, patchesOf } from '../recipe/recipe';
import { type LaidRung, SCHOOLS, type School, type SchoolId } from '../recipe/schools/schools';

/** Each rung as it dries on the kit's card. */
export function laidRungs(kit: Kit): LaidRung[] {
  const ground = groundOf(kit);
  return kit.inks.map((ink) => {
    const lab = driedColour(ink, ground);
    return { lab, noun: nameColour(lab).noun };
  });
}

/** Nearer than this in hue, degrees, inks count as depths of one colour. */
const ONE_HUE = 30;
/** Farther apart than this two ends make a middle of their own. CIEDE2000. */
const FAR_APART = 30;

/** The school that follows from the run and the inks, and why. Common practice. */
export function suggestSchool(kit: Kit): { readonly id: SchoolId; readonly because: string } {
  const { recipe, inks } = kit;
  const rungs = laidRungs(kit);
  if (recipe.run.id === 'glow') return { id: 'middleOut', because: 'a glow is laid from its middle' };
  if (inks.some(isBare)) return { id: 'darkFirst', because: 'an ink that fades to bare card is dragged out' };
  if (patchesOf(recipe))
    return { id: 'paleFirst', because: 'patches side by side keep the pale brush clean' };
  const [first, last] = [rungs[0], rungs.at(-1)] as [LaidRung, LaidRung];
  if (rungs.length === 2 && deltaE00(first.lab, last.lab) > FAR_APART)
    return { id: 'bothEnds', because: 'two inks far apart want a brewed middle' };
  const coloured = rungs.filter(({ lab }) => chroma(lab) > 8).map(({ lab }) => hueDegrees(lab));
  const isTonal = coloured.every((p) => coloured.every((q) => hueApart(p, q) < ONE_HUE));
  const isYellow = rungs.some(({ noun }) => noun === 'yellow' || noun === 'orange yellow');
  if (isTonal && !isYellow)
    return { id: 'darkFirst', because: 'depths of one colour are dragged out of the deepest' };
  return {
    id: 'paleFirst',
    because: isYellow ? 'yellow goes down before all others' : 'the pale brush stays clean',
  };
}

/** The school a recipe is laid by. */
export const schoolOf = (kit: Kit): School =>
  SCHOOLS[kit.recipe.school === 'suggested' ? suggestSchool(kit).id : kit.recipe.school];

/** Rung indices in the order they are laid; bare card is not laid. */
export const layingOrder = (kit: Kit): number[] =>
  schoolOf(kit)
    .order(laidRungs(kit))
    .filter((rung) => {
      const ink = kit.inks[rung];
      return ink !== undefined && !isBare(ink);
    });
