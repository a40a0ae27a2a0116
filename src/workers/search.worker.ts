import { expose, type Remote, wrap } from 'comlink';
import { shareWith } from '../core/base/share';
import { type Bridging, bridgeBetween, type Quieting, quietPair } from '../core/choose/search/bridges';
import { describeTrio, type FoundTrio } from '../core/choose/search/foundTrio';
import { emptyDullnesses, emptyPairTable } from '../core/choose/search/pairs/pairTable';
import type { TrioQuery } from '../core/choose/search/query';
import { pagesOf } from '../core/choose/search/trioPages';
import { mergeResults } from '../core/choose/search/trios';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { breathe } from './breathe';
import type { SearchHelperDoor } from './searchHelper.worker';
import {
  type Bench,
  beginAgain,
  benchOf,
  COUNTS,
  judgeAhead,
  type SearchProgress,
  type SharedSearch,
  stopAll,
  takePart,
} from './searchPart';

export type { SearchProgress } from './searchPart';

export interface SearchAnswer {
  /** The first page of them. */
  readonly found: readonly FoundTrio[];
  /** How many more there are to ask for with `more`. */
  readonly left: number;
  /** How many trios fit, and how many there are. */
  readonly count: number;
  readonly outOf: number;
  /** How long the search took, ms. */
  readonly took: number;
}

/** Two workers can fill one table where pages may share memory, which needs the headers that server/app.ts sends. */
const shares = self.crossOriginIsolated && navigator.hardwareConcurrency > 1;
const memory = (bytes: number): ArrayBufferLike =>
  shares ? new SharedArrayBuffer(bytes) : new ArrayBuffer(bytes);

let helper: Remote<SearchHelperDoor> | undefined;
function theHelper(): Remote<SearchHelperDoor> | undefined {
  if (shares)
    helper ??= wrap<SearchHelperDoor>(
      new Worker(new URL('./searchHelper.worker.ts', import.meta.url), { type: 'module' }),
    );
  return helper;
}

/** The shelf being judged, kept from one search to the next while shelf and card stay the same. */
let bench: { inks: readonly Ink[]; colour: Card['colour']; here: Bench; shared: SharedSearch } | undefined;
let newest = 0;
/** The search before this one, and what its helper still does: the next waits until nobody works on the table. */
let before: Promise<unknown> = Promise.resolve();
let busy: Promise<unknown> = Promise.resolve();

async function benchFor(asked: readonly Ink[], card: Card, wanted: () => boolean) {
  const inks = shareWith(bench?.inks, asked);
  if (bench && bench.inks === inks && bench.colour === card.colour) return bench;
  const onWhite = bench?.inks === inks ? bench.shared.onWhite : emptyDullnesses(inks.length, memory);
  const here = await benchOf(inks, card, onWhite, wanted);
  if (!here) return null;
  const shared = {
    onWhite,
    pairs: emptyPairTable(inks.length, memory),
    counts: new Int32Array(memory(4 * COUNTS)),
  };
  bench = { inks, colour: card.colour, here, shared };
  return bench;
}

async function search(
  mine: number,
  inks: readonly Ink[],
  card: Card,
  query: TrioQuery,
  onProgress: (progress: SearchProgress) => void,
): Promise<SearchAnswer | null> {
  const begun = performance.now();
  await breathe();
  if (mine !== newest) return null;
  const helping = theHelper();
  const found = await benchFor(inks, card, () => mine === newest);
  if (!found || mine !== newest) return null;
  const { here, shared } = found;
  beginAgain(shared);
  const report = (progress: SearchProgress): boolean => {
    onProgress(progress);
    return mine === newest;
  };
  const helped = helping?.help(inks, card, shared, query);
  // Told as stopped at once; the next search waits for the helper.
  busy = Promise.allSettled([helped]);
  const own = await takePart(here, shared, query, report);
  if (own === null || mine !== newest) return null;
  const theirs = await helped;
  if (theirs === null || mine !== newest) return null;
  const judged = { dried: here.dried, pairs: shared.pairs };
  const { best, count, outOf } = mergeResults(theirs ? [own, theirs] : [own], query.keep);
  const pages = pagesOf(best, judged, query);
  const most = Math.max(...best.map(({ fit }) => fit));
  nextPage = () => ({
    found: pages.next().map((trio) => describeTrio(judged, card, trio, query.relation, most)),
    left: pages.left(),
  });
  return {
    ...nextPage(),
    count,
    outOf,
    took: performance.now() - begun,
  };
}

/** Tells the next page of what the last search found. */
let nextPage: () => Pick<SearchAnswer, 'found' | 'left'> = () => ({ found: [], left: 0 });

/** Dries a shelf and judges its joints; what is judged when it is stopped stays so. */
async function prepare(mine: number, inks: readonly Ink[], card: Card): Promise<void> {
  const found = await benchFor(inks, card, () => mine === newest);
  if (!found || mine !== newest) return;
  busy = Promise.allSettled([theHelper()?.prepare(inks, card, found.shared)]);
  await goOn(mine);
}

/** Judges the joints that no search has read, for the next one. */
async function goOn(mine: number): Promise<void> {
  if (!bench || mine !== newest) return;
  beginAgain(bench.shared);
  await judgeAhead(bench.here, bench.shared);
}

const door = {
  /** Makes ready for a search that nobody has asked for yet. A search, or `cancel`, ends it. */
  prepare(inks: readonly Ink[], card: Card): void {
    const mine = ++newest;
    before = before
      .then(() => busy)
      .then(() => prepare(mine, inks, card))
      .catch(() => {});
  },

  /**
   * Searches all trios of the inks on a card. A newer search, or `cancel`, ends it with null; joints judged until
   * then are kept. Once it has answered it goes on with the joints that other relations read.
   */
  search(
    inks: readonly Ink[],
    card: Card,
    query: TrioQuery,
    onProgress: (progress: SearchProgress) => void,
  ): Promise<SearchAnswer | null> {
    const mine = ++newest;
    if (bench) stopAll(bench.shared);
    const answer = before.then(() => busy).then(() => search(mine, inks, card, query, onProgress));
    before = answer.then(() => goOn(mine)).catch(() => {});
    return answer;
  },

  /** The next page of the last search that was answered. */
  more: (): Pick<SearchAnswer, 'found' | 'left'> => nextPage(),

  /** Ends the search that is going on. */
  cancel(): void {
    newest++;
    if (bench) stopAll(bench.shared);
  },

  bridge: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging =>
    bridgeBetween(first, last, shelf, card),

  quiet: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Quieting[] =>
    quietPair(first, last, shelf, card),
};

export type SearchDoor = typeof door;
expose(door);
