import { PASS_KINDS } from '../recipe/passes/passes';
import type { ResolvedRecipe } from '../recipe/resolved';
import type { Step } from './desk';

/** A note of the maker's whose step is not in the order of work now: another order, a rung less, a pass left out. */
export interface StrayNote {
  readonly key: string;
  readonly note: string;
  /** Which step it was, by its inks or its pass; empty where these are gone, too. */
  readonly of: string;
}

/** Notes that no step of a sheet carries, in the order they were written. */
export function strayNotes(resolved: ResolvedRecipe, steps: readonly Pick<Step, 'key'>[]): StrayNote[] {
  const there = new Set(steps.map(({ key }) => key));
  return Object.entries(resolved.recipe.notes ?? {}).flatMap(([key, note]) =>
    there.has(key) ? [] : [{ key, note, of: tellKey(key, resolved) }],
  );
}

/** As it is told on paper. */
export const tellStrayNote = ({ of, note }: StrayNote): string =>
  `Note to a step that is not in this order${of ? `, ${of}` : ''}: ${note}`;

/** A step's key holds the ids of its rungs, or of its pass. */
function tellKey(key: string, { recipe, inks }: ResolvedRecipe): string {
  const words = key.split(' ');
  const pass = recipe.passes.find(({ id }) => words.includes(id));
  if (pass) return PASS_KINDS[pass.kind].label;
  return words
    .flatMap((word) => inks[recipe.rungs.findIndex(({ id }) => id === word)]?.name ?? [])
    .join(' over ');
}
