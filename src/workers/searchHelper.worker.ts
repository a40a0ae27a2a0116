import { expose } from 'comlink';
import type { TrioQuery } from '../core/choose/search/query';
import type { TrioResult } from '../core/choose/search/trios';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { type Bench, benchOf, isStopped, type SharedSearch, takePart } from './searchPart';

let bench: { pairs: SharedArrayBuffer; here: Bench } | undefined;

/** A second pair of hands for the search worker, on the memory they share. */
const door = {
  async help(
    inks: readonly Ink[],
    card: Card,
    shared: SharedSearch,
    query: TrioQuery,
  ): Promise<TrioResult | null> {
    const memory = shared.pairs.verdict.buffer as SharedArrayBuffer;
    if (bench?.pairs !== memory) {
      const here = await benchOf(inks, card, shared.onWhite, () => !isStopped(shared));
      if (!here) return null;
      bench = { pairs: memory, here };
    }
    return takePart(bench.here, shared, query, () => true);
  },
};

export type SearchHelperDoor = typeof door;
expose(door);
