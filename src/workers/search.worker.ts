import { expose } from 'comlink';
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
import { doorAt, WorkerFailed } from './door';
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
import { emptyFilms } from './sharedFilms';
import { CAN_SHARE } from './sharing';

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

const memory = (bytes: number): ArrayBufferLike =>
  CAN_SHARE ? new SharedArrayBuffer(bytes) : new ArrayBuffer(bytes);

/** Where the page has given one; one that has failed is done without. */
let helper: ReturnType<typeof doorAt<SearchHelperDoor>> | undefined;

/** A shelf on a card, and what all who search it fill; here it may not be dried yet. */
interface Shelf {
  readonly inks: readonly Ink[];
  readonly colour: Card['colour'];
  readonly shared: SharedSearch;
  here?: Bench;
}

/** The shelf being judged, kept from one search to the next while shelf and card stay the same. */
let shelf: Shelf | undefined;
let newest = 0;
/** The search before this one, and what its helper still does: the next waits until nobody works on the table. */
let before: Promise<unknown> = Promise.resolve();
let busy: Promise<unknown> = Promise.resolve();

function shelfFor(asked: readonly Ink[], { colour }: Card): Shelf {
  const inks = shareWith(shelf?.inks, asked);
  const known = shelf?.inks === inks ? shelf : undefined;
  if (known?.colour === colour) return known;
  const shared = {
    films: known?.shared.films ?? emptyFilms(inks.length, memory),
    onWhite: known?.shared.onWhite ?? emptyDullnesses(inks.length, memory),
    pairs: emptyPairTable(inks.length, memory),
    counts: new Int32Array(memory(4 * COUNTS)),
  };
  shelf = { inks, colour, shared };
  return shelf;
}

/** A shelf as it dries here; null once nobody wants it any more. */
async function dried(asked: Shelf, card: Card, wanted: () => boolean): Promise<Bench | null> {
  const here = asked.here ?? (await benchOf(asked.inks, card, asked.shared, wanted));
  if (here) asked.here = here;
  return wanted() ? here : null;
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
  const asked = shelfFor(inks, card);
  const { shared } = asked;
  beginAgain(shared);
  // It dries the shelf as this worker does, and goes on as soon as it has.
  const helped = helper?.door.help(inks, card, shared, query);
  // Told as stopped at once; the next search waits for the helper.
  busy = Promise.allSettled([helped]);
  const here = await dried(asked, card, () => mine === newest);
  if (!here) return null;
  const report = (progress: SearchProgress): boolean => {
    onProgress(progress);
    return mine === newest;
  };
  const own = await takePart(here, shared, query, report);
  // Stopped, though nobody wants another: the helper is lost, and that is thrown.
  if (own === null && mine === newest) await helped;
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
  const asked = shelfFor(inks, card);
  beginAgain(asked.shared);
  busy = Promise.allSettled([helper?.door.prepare(inks, card, asked.shared)]);
  if (await dried(asked, card, () => mine === newest)) await goOn(mine);
}

/** Judges the joints that no search has read, for the next one. */
async function goOn(mine: number): Promise<void> {
  if (!shelf?.here || mine !== newest) return;
  beginAgain(shelf.shared);
  await judgeAhead(shelf.here, shelf.shared);
}

const door = {
  /** The line to a second worker, which takes its part of every search from now on. */
  takeHelper(line: MessagePort): void {
    helper = doorAt<SearchHelperDoor>(line);
  },

  /** It has failed, and with it the search whose joints it had in hand: that begins anew. */
  loseHelper(): void {
    if (shelf) stopAll(shelf.shared);
    shelf = undefined;
    helper?.fail();
    helper = undefined;
  },

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
    if (shelf) stopAll(shelf.shared);
    const once = () => search(mine, inks, card, query, onProgress);
    const answer = before
      .then(() => busy)
      .then(once)
      .catch((error: unknown) => {
        // The helper was lost: all of it is done here.
        if (error instanceof WorkerFailed) return once();
        throw error;
      });
    before = answer.then(() => goOn(mine)).catch(() => {});
    return answer;
  },

  /** The next page of the last search that was answered. */
  more: (): Pick<SearchAnswer, 'found' | 'left'> => nextPage(),

  /** Ends the search that is going on. */
  cancel(): void {
    newest++;
    if (shelf) stopAll(shelf.shared);
  },

  bridge: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Bridging =>
    bridgeBetween(first, last, shelf, card),

  quiet: (first: Ink, last: Ink, shelf: readonly Ink[], card: Card): Quieting[] =>
    quietPair(first, last, shelf, card),
};

export type SearchDoor = typeof door;
expose(door);
