import {
  type DriedInks,
  dryInks,
  type Joins,
  type PairTable,
  pairJudge,
  type RowJudge,
} from '../core/choose/search/pairs/pairTable';
import type { TrioQuery } from '../core/choose/search/query';
import { searchTrios, type TrioResult, wantedJoints } from '../core/choose/search/trios';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import { breathe } from './breathe';
import { nounsPrepared } from './nouns';
import { type SharedFilms, solveNext, takeSolved } from './sharedFilms';

/** How far a search is: first the joints it reads are judged, then every trio weighed. */
export interface SearchProgress {
  readonly stage: 'joints' | 'trios';
  /** 0…1. */
  readonly part: number;
}

/** What the workers of one search share; on shared memory where the browser has it. */
export interface SharedSearch {
  readonly films: SharedFilms;
  readonly pairs: PairTable;
  /** What is known of the joints on white, whatever the card. */
  readonly onWhite: Uint8Array;
  /** Four counts; their places stand below. */
  readonly counts: Int32Array;
}

/** Places in `counts`: blocks of joints given out, blocks judged, palest inks given out, and whether to stop. */
const BLOCKS = 0;
const JUDGED = 1;
const PALEST = 2;
const STOP = 3;
export const COUNTS = 4;

export const stopAll = ({ counts }: SharedSearch): void => void Atomics.store(counts, STOP, 1);

export const isStopped = ({ counts }: SharedSearch): boolean => Atomics.load(counts, STOP) === 1;

/** Makes ready for a search; nobody may be searching. Joints that are judged stay so. */
export const beginAgain = ({ counts }: SharedSearch): void => void counts.fill(0);

/** One worker's own view of the shelf that is searched. */
export interface Bench {
  readonly dried: DriedInks;
  readonly judgeRow: RowJudge;
}

/**
 * Dries a shelf on a card. Solving a thousand films takes a while, so messages are let in on the way, and those who share
 * the search share the films out.
 *
 * @param wanted  asked now and then; once it returns false the answer is null
 */
export async function benchOf(
  inks: readonly Ink[],
  card: Card,
  { films, onWhite }: Pick<SharedSearch, 'films' | 'onWhite'>,
  wanted: () => boolean,
): Promise<Bench | null> {
  const nouns = nounsPrepared();
  let breathed = performance.now();
  while (solveNext(inks, films)) {
    if (performance.now() - breathed < SLICE) continue;
    await breathe();
    breathed = performance.now();
    if (!wanted()) return null;
  }
  takeSolved(inks, films);
  await nouns;
  const dried = dryInks(inks, card);
  return { dried, judgeRow: pairJudge(dried, card, { onWhite }) };
}

/** How long a worker searches before it lets messages in, and before it reports, in ms. */
const SLICE = 16;
const REPORT = 100;
/** Joints judged before a worker looks whether to stop, and pairs of inks weighed with their thirds. */
const BLOCK = 128;
const PAIRS = 64;

/** The joints of a shelf in blocks of one ink with some of the darker ones, the same for every worker. */
function blocksOf(count: number): readonly (readonly [row: number, from: number])[] {
  return Array.from({ length: count }, (_, row) =>
    Array.from(
      { length: Math.ceil((count - 1 - row) / BLOCK) },
      (_, i) => [row, row + 1 + i * BLOCK] as const,
    ),
  ).flat();
}

/** Told how far it is; work that gets false from it is stopped for all. */
type Report = (progress: SearchProgress) => boolean;

/** What looks now and then whether to stop, reports, and lets messages in. */
function watcher(shared: SharedSearch, report: Report) {
  let breathed = performance.now();
  let reported = breathed;
  return async (stage: SearchProgress['stage'], part: () => number): Promise<boolean> => {
    if (isStopped(shared)) return true;
    const now = performance.now();
    if (now - breathed < SLICE) return false;
    if (now - reported >= REPORT) {
      reported = now;
      if (!report({ stage, part: part() })) stopAll(shared);
    }
    await breathe();
    breathed = performance.now();
    return isStopped(shared);
  };
}
type Watcher = ReturnType<typeof watcher>;

/**
 * Judges the wanted joints that no other worker has taken, and waits for those that one has.
 *
 * @returns whether all are judged: false when it was stopped
 */
async function judgeJoints(
  { judgeRow }: Bench,
  { pairs, counts }: SharedSearch,
  stopped: Watcher,
  wanted?: Joins,
): Promise<boolean> {
  const blocks = blocksOf(pairs.count);
  const judgedPart = (): number => Atomics.load(counts, JUDGED) / blocks.length;
  while (Atomics.load(counts, BLOCKS) < blocks.length) {
    const [row, from] = blocks[Atomics.add(counts, BLOCKS, 1)] ?? [];
    if (row === undefined || from === undefined) break;
    judgeRow(row, pairs, from, from + BLOCK, wanted);
    Atomics.add(counts, JUDGED, 1);
    if (await stopped('joints', judgedPart)) return false;
  }
  // The last blocks may still be in another worker's hands.
  while (Atomics.load(counts, JUDGED) < blocks.length) {
    await breathe();
    if (await stopped('joints', judgedPart)) return false;
  }
  return true;
}

/** Judges all joints, before anybody asks for them, until it is stopped. */
export const judgeAhead = async (bench: Bench, shared: SharedSearch): Promise<void> =>
  void (await judgeJoints(
    bench,
    shared,
    watcher(shared, () => true),
  ));

/**
 * Takes part in a search: judges the joints it reads and weighs the trios, those that no other worker has taken.
 *
 * @returns what this worker found, or null when the search was stopped
 */
export async function takePart(
  bench: Bench,
  shared: SharedSearch,
  query: TrioQuery,
  report: Report,
): Promise<TrioResult | null> {
  const { pairs, counts } = shared;
  const stopped = watcher(shared, report);
  if (!(await judgeJoints(bench, shared, stopped, wantedJoints(bench.dried, query)))) return null;
  const search = searchTrios({ dried: bench.dried, pairs }, query, () => Atomics.add(counts, PALEST, 1));
  for (let steps = 1; search.step(); steps++)
    if (steps % PAIRS === 0 && (await stopped('trios', search.progress))) return null;
  return isStopped(shared) ? null : search.result();
}
