import { trioKey } from '../../choose/search/query';
import type { MadePanel } from './made';

/**
 * Keys of the trios that panels were made of, whatever the order of their inks.
 *
 * @param of  ids of the inks that count; all, and bare card, where left out
 */
export const madeTrios = (log: readonly MadePanel[], of?: ReadonlySet<string>): ReadonlySet<string> =>
  new Set(
    log.flatMap(({ made }) => {
      const ids = [...new Set(made?.recipe.rungs.map(({ inkId }) => inkId) ?? [])];
      return ids.length === 3 && (!of || ids.every((id) => of.has(id))) ? [trioKey(ids)] : [];
    }),
  );
