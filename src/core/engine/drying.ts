import { type Ink, isBare } from '../materials/ink/ink';
import type { Effect } from '../recipe/passes/effects';
import { PASS_KINDS, type Pass } from '../recipe/passes/passes';
import { contextsOf, placedPasses, type ResolvedRecipe } from '../recipe/resolved';
import { finished, type Progress, passesDone } from './progress';

/**
 * What is wet on the panel after some of the work: the inks laid since all was last dry, anywhere on it. Whether a step
 * finds the panel wet is asked here and nowhere else; it follows from the same effects that the layers are laid by.
 */
export function wetInks(resolved: ResolvedRecipe, progress: Progress): readonly Ink[] {
  const passes = passesDone(resolved.recipe, progress);
  const isUnder = ({ kind }: Pass) => PASS_KINDS[kind].stage === 'under';
  const blend = resolved.inks.filter((ink, rung) => progress.laid[rung] && !isBare(ink));
  const lay = (of: readonly Pass[], before: readonly Ink[]) =>
    of.reduce((wet, pass) => wetAfterPass(resolved, pass, wet), before);
  const under = lay(passes.filter(isUnder), NONE);
  return lay(
    passes.filter((pass) => !isUnder(pass)),
    [...under, ...blend],
  );
}
const NONE: readonly Ink[] = [];

/** Whether nothing is wet once all is done: then a panel looks wet as it does dried. */
export const endsDry = (resolved: ResolvedRecipe): boolean =>
  wetInks(resolved, finished(resolved.recipe)).length === 0;

/** What is wet once a pass is done, of what was wet before and what it lays. */
export function wetAfterPass(resolved: ResolvedRecipe, pass: Pass, before: readonly Ink[]): readonly Ink[] {
  const contexts = contextsOf(resolved, pass);
  return placedPasses(resolved, pass).reduce<readonly Ink[]>(
    (wet, { effects }, i) =>
      effects.reduce<readonly Ink[]>((now, effect) => wetAfter(effect, resolved, contexts[i]?.ink, now), wet),
    before,
  );
}

function wetAfter(
  effect: Effect,
  { inks }: ResolvedRecipe,
  own: Ink | undefined,
  wet: readonly Ink[],
): readonly Ink[] {
  switch (effect.kind) {
    case 'dry':
      return NONE;
    case 'film': {
      // Laid as a pigment or not, it dries as the ink it is.
      const ink = own ?? effect.ink;
      return ink ? [...wet, ink] : wet;
    }
    case 'ladder':
    case 'piece':
      return [...wet, ...inks.filter((ink) => !isBare(ink))];
    case 'thin':
    case 'guard':
      return wet;
  }
}

/** Whether the first film of a pass is laid into wet ink, when the passes before it are done. */
export function isLaidWet(resolved: ResolvedRecipe, pass: Pass, before: readonly Ink[]): boolean {
  const [first] = placedPasses(resolved, pass);
  const film = first?.effects.findIndex(({ kind }) => kind === 'film') ?? -1;
  const dries = first?.effects.slice(0, Math.max(film, 0)).some(({ kind }) => kind === 'dry') ?? false;
  return !dries && before.length > 0;
}
