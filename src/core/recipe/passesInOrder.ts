import type { Pass, PassKindId } from './passes/passes';
import type { Recipe } from './recipe';

/** The passes that are on, in the order they are done: the list keeps those before the blend first. */
export const passesInOrder = ({ passes }: Pick<Recipe, 'passes'>): Pass[] => passes.filter(({ on }) => on);

/** Kinds that leave nothing wet. Told here, so that whoever asks need not have the whole table of kinds. */
export const LEAVES_DRY: ReadonlySet<PassKindId> = new Set([
  'heatSet',
  'lift',
  'splash',
  'waterStamp',
  'greetingStrip',
  'penDots',
] as const);

/** Whether nothing is wet once all passes are done: then a panel looks wet as it does dried. */
export function endsDry(recipe: Pick<Recipe, 'passes'>): boolean {
  const last = passesInOrder(recipe).at(-1);
  return last !== undefined && LEAVES_DRY.has(last.kind);
}
