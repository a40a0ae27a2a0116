import type { Recipe } from '../ladder/recipe';
import type { Pass } from './pass';

/** The passes that are on, in the order they are done: the list keeps those before the blend first. */
export const passesInOrder = ({ passes }: Pick<Recipe, 'passes'>): Pass[] => passes.filter(({ on }) => on);
