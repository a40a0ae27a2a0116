import { trioKey } from '../../choose/search/query';
import type { MadePanel } from './made';

/** Keys of the trios that panels were made of, whatever the order of their inks. */
export const madeTrios = (log: readonly MadePanel[]): ReadonlySet<string> =>
  new Set(
    log.flatMap(({ made }) => {
      const ids = [...new Set(made?.recipe.rungs.map(({ inkId }) => inkId) ?? [])];
      return ids.length === 3 ? [trioKey(ids)] : [];
    }),
  );
