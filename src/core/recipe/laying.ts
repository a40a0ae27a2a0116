import type { LayingChange } from './passes/definition';
import { PASS_KINDS } from './passes/passes';
import { passesInOrder, type Recipe } from './recipe';
import { contextsOf, type ResolvedRecipe } from './resolved';

/** Whether the ladder is laid on a stamp and printed, and not laid on the card. */
export const isPrinted = (recipe: Recipe): boolean =>
  passesInOrder(recipe).some(({ kind }) => PASS_KINDS[kind].printsLadder);

const AS_ALWAYS: LayingChange = { streaks: 1, mottle: 1, opens: 1 };

/** How what is mixed into the inks, or done to the wet blend, changes the way the tool lays it: all passes together. */
export const layingOf = (resolved: ResolvedRecipe): LayingChange =>
  passesInOrder(resolved.recipe).reduce<LayingChange>((all, pass) => {
    const change = PASS_KINDS[pass.kind].changesLaying?.(contextsOf(resolved, pass)) ?? {};
    const { streaks, mottle, opens } = { ...AS_ALWAYS, ...change };
    return { streaks: all.streaks * streaks, mottle: all.mottle * mottle, opens: all.opens * opens };
  }, AS_ALWAYS);
