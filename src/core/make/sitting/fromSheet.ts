import { INK_KINDS } from '../../materials/ink/kinds';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { compileSheet } from '../../sheet/compile';
import type { Step } from '../../sheet/desk';
import type { Operation, PanelGroup } from './sitting';

/** Kinds of steps in which ink is blended into ink: between two of them a join is open. */
const BLENDED: readonly Step['kind'][] = ['lay', 'go back', 'brew'];
/** Steps in which nobody's hands are timed by the sheet take this long, minutes; from memory. */
const UNTIMED = 0.5;

/**
 * So many panels of a recipe as a planner sees them: the sheet's steps, the wipe of the mat told apart from the laying, and
 * drying in air as waiting without hands. A next ink begins while the one before is open, and going back ends while it is.
 */
export function groupOf(resolved: ResolvedRecipe, count: number): PanelGroup {
  const { steps } = compileSheet(resolved, 'mm');
  const operations: Operation[] = [];
  steps.forEach((step, i) => {
    if (step.kind === 'prepare') return;
    if (step.waits === 'air') {
      const before = operations.at(-1);
      if (before)
        operations[operations.length - 1] = {
          ...before,
          rest: { min: (before.rest?.min ?? 0) + (step.minutes ?? 0) },
        };
      return;
    }
    const wiped = step.deeds.reduce((sum, deed) => sum + (deed.does === 'wipe mat' ? deed.minutes : 0), 0);
    const next = steps[i + 1];
    // Going back is with what the brush still holds: no ink is taken from a mat.
    const takesInk = step.ink !== undefined && step.deeds.some(({ does }) => does === 'load');
    const isOpen = step.ink && BLENDED.includes(step.kind) && next && BLENDED.includes(next.kind);
    operations.push({
      name: step.title,
      minutes: Math.max((step.minutes ?? UNTIMED) - wiped, 0.1),
      ...(takesInk && step.ink ? { ink: step.ink.name } : {}),
      ...(step.waits === 'heat' ? { heat: true } : {}),
      ...(isOpen && step.ink ? { rest: { max: openAfter(step.ink.kind, next) } } : {}),
    });
  });
  return { name: resolved.recipe.name, count, operations };
}

/** How long after a step its join may wait for the next one: going back has to end while it is open. */
function openAfter(kind: keyof typeof INK_KINDS, next: Step): number {
  const open = INK_KINDS[kind].openMinutes;
  return next.kind === 'go back' ? Math.max(open - (next.minutes ?? 0), 0.5) : open;
}
