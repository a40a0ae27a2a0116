import { expose } from 'comlink';
import type { TrioQuery } from '../core/choose/search/query';
import type { TrioResult } from '../core/choose/search/trios';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { type Bench, benchOf, isStopped, type SharedSearch, takePart } from './searchPart';

let bench: { pairs: SharedArrayBuffer; here: Bench } | undefined;

/** The shelf as this worker has it, for that memory; null when nobody wants it any more. */
async function benchFor(inks: readonly Ink[], card: Card, shared: SharedSearch): Promise<Bench | null> {
  const memory = shared.pairs.verdict.buffer as SharedArrayBuffer;
  if (bench?.pairs === memory) return bench.here;
  const here = await benchOf(inks, card, shared, () => !isStopped(shared));
  if (here) bench = { pairs: memory, here };
  return here;
}

/** A second pair of hands for the search worker, on the memory they share. */
const door = {
  /** Dries the shelf before anybody searches it. */
  async prepare(inks: readonly Ink[], card: Card, shared: SharedSearch): Promise<void> {
    await benchFor(inks, card, shared);
  },

  async help(
    inks: readonly Ink[],
    card: Card,
    shared: SharedSearch,
    query: TrioQuery,
  ): Promise<TrioResult | null> {
    const here = await benchFor(inks, card, shared);
    return here && takePart(here, shared, query, () => true);
  },
};

export type SearchHelperDoor = typeof door;
// The line to the search worker, which the page lays.
addEventListener('message', ({ data }) => expose(door, data as MessagePort), { once: true });
