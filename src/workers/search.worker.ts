import { expose } from 'comlink';
import type { Card } from '../core/card/card';
import type { Ink } from '../core/ink/ink';
import { type Bridging, bridgeBetween, type Quieting, quietPair } from '../core/search/bridges';
import { dryInks, emptyPairTable, pairJudge, type RowJudge } from '../core/search/pairTable';
import type { Judged } from '../core/search/relations';
import { type FoundTrio, tellTrio } from '../core/search/tell';
import { foldTrios, searchTrios, type TrioQuery } from '../core/search/trios';
import { breathe } from './breathe';

/** How far a search is: first every joint is judged, then every trio weighed. */
export interface SearchProgress {
  readonly stage: 'joints' | 'trios';
  /** 0…1. */
  readonly part: number;
}

export interface SearchAnswer {
  readonly found: readonly FoundTrio[];
  /** How many trios fit, how many of them are told above with those folded under them, and how many there are. */
  readonly count: number;
  readonly outOf: number;
}

/** How long the worker searches before it reports and looks whether it shall stop, in ms. */
const SLICE = 40;
/** Found trios told with their full readings. */
const MOST_TOLD = 60;

/** The shelf being judged, kept from one search to the next while shelf and card stay the same. */
let bench: { key: string; judged: Judged; judgeRow: RowJudge; rows: number } | undefined;
let newest = 0;

function benchFor(inks: readonly Ink[], card: Card) {
  const key = JSON.stringify([card.colour, inks]);
  if (bench?.key !== key) {
    const dried = dryInks(inks, card);
    const judged = { dried, pairs: emptyPairTable(inks.length) };
    bench = { key, judged, judgeRow: pairJudge(dried, card), rows: 0 };
  }
  return bench;
}

const door = {
  /**
   * Searches all trios of the inks on a card. A newer search, or `cancel`, ends it with null; joints judged until
   * then are kept.
   */
  async search(
    inks: readonly Ink[],
    card: Card,
    query: TrioQuery,
    onProgress: (progress: SearchProgress) => void,
  ): Promise<SearchAnswer | null> {
    const mine = ++newest;
    await breathe();
    if (mine !== newest) return null;
    const here = benchFor(inks, card);
    let since = performance.now();
    const due = (): boolean => performance.now() - since >= SLICE;
    /** Reports, lets messages in, and tells whether to stop. */
    const interrupted = async (stage: SearchProgress['stage'], part: number): Promise<boolean> => {
      onProgress({ stage, part });
      await breathe();
      since = performance.now();
      return mine !== newest;
    };
    const count = inks.length;
    while (here.rows < count) {
      here.judgeRow(here.rows++, here.judged.pairs);
      const left = count - here.rows;
      if (due() && (await interrupted('joints', 1 - (left * left) / (count * count)))) return null;
    }
    const search = searchTrios(here.judged, query);
    while (search.step()) if (due() && (await interrupted('trios', search.progress()))) return null;
    const { best, count: fits, outOf } = search.result();
    const found = foldTrios(best, here.judged)
      .slice(0, MOST_TOLD)
      .map((trio) => tellTrio(here.judged, card, trio));
    return { found, count: fits, outOf };
  },

  /** Ends the search that is going on. */
  cancel(): void {
    newest++;
  },

  bridge: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging =>
    bridgeBetween(first, last, shelf, card),

  quiet: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Quieting[] =>
    quietPair(first, last, shelf, card),
};

export type SearchDoor = typeof door;
expose(door);
