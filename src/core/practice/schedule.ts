import { type CardInput, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { seededRandom } from '../base/random';
import type { ExerciseId, Item, PracticeShelf } from './exercises/definition';
import { EXERCISES } from './exercises/exercises';
import { LATEST, nextLevel } from './threshold';
import type { Trial } from './trial';

/** Something that was asked and is known or not: when it is to be asked again. */
export interface KnownThing {
  readonly key: string;
  readonly exercise: ExerciseId;
  /** Of the item that was asked: the same shelf and seed make it again. */
  readonly seed: number;
  /** Milliseconds since 1970. */
  readonly due: number;
  /** The scheduler's own account of it. */
  readonly memory: CardInput;
}

const scheduler = fsrs({ enable_fuzz: false });

/**
 * When something is asked again, after it was known or not.
 *
 * Source: the FSRS algorithm (ts-fsrs): J. Ye et al., A Stochastic Shortest Path Algorithm for Optimizing Spaced Repetition
 * Scheduling, KDD (2022).
 */
export function afterAsking(
  before: KnownThing | undefined,
  asked: Pick<KnownThing, 'key' | 'exercise' | 'seed'>,
  isRight: boolean,
  now: number,
): KnownThing {
  const today = new Date(now);
  const { card } = scheduler.next(
    before ? memoryBy(before, today) : createEmptyCard(today),
    today,
    isRight ? Rating.Good : Rating.Again,
  );
  return { ...asked, memory: card, due: card.due.getTime() };
}

/** The scheduler knows no time before the last asking: on a clock that was put back since, none has gone by. */
const memoryBy = (known: KnownThing, today: Date): CardInput =>
  lastAsked(known) > today.getTime() ? { ...known.memory, last_review: today } : known.memory;

/** When something was last asked, milliseconds since 1970: later than now where the clock was put back meanwhile. */
const lastAsked = ({ memory }: KnownThing): number =>
  memory.last_review ? new Date(memory.last_review).getTime() : Number.NEGATIVE_INFINITY;

/** Asked on a clock that ran ahead, nobody knows when it was to be asked again: so it is asked now. */
const isDue = (one: KnownThing, now: number): boolean => one.due <= now || lastAsked(one) > now;

/** What a practice is to draw on. */
export interface Practised {
  /** The first one first. What comes next hangs on the latest of them alone (`LATELY`). */
  readonly trials: readonly Trial[];
  readonly known: readonly KnownThing[];
}

/** An item with the seed it was made of. */
export interface Asked {
  readonly item: Item;
  readonly seed: number;
}

/** How often what is due comes before anything new. */
const DUE_FIRST = 0.7;
/** So many makings are tried before it is said that the shelf has nothing. */
const TRIED = 24;
/** The latest trials that say what has had its turn. */
const TURNS = 40;
/** So many of the latest answers say what is asked next, of all and of each exercise. */
export const LATELY = { all: TURNS, each: LATEST } as const;
/** What was asked among so many of the latest is not asked again. */
const FRESH = 8;

/**
 * What to ask next: what is due to be asked again, or else the exercise that has had the fewest turns, as hard as the eye is
 * sharp.
 *
 * @param of  the exercises that are wished for
 */
export function askNext(
  shelf: PracticeShelf,
  { trials, known }: Practised,
  of: readonly ExerciseId[],
  now: number,
  draw: () => number,
): Asked | undefined {
  const latest = new Set(trials.slice(-FRESH).map(({ key }) => key));
  const due = known
    .filter((one) => of.includes(one.exercise) && isDue(one, now) && !latest.has(one.key))
    .toSorted((p, q) => p.due - q.due)[0];
  if (due && draw() < DUE_FIRST) {
    const item = makeItem(due.exercise, shelf, trials, due.seed);
    // Another shelf makes something else of the same seed.
    if (item?.key === due.key) return { item, seed: due.seed };
  }
  const turns = (id: ExerciseId) => trials.slice(-TURNS).filter(({ exercise }) => exercise === id).length;
  const inTurn = of.map((id) => ({ id, turns: turns(id) + draw() })).toSorted((p, q) => p.turns - q.turns);
  for (const { id } of inTurn)
    for (let i = 0; i < TRIED; i++) {
      const seed = Math.floor(draw() * 2 ** 31);
      const item = makeItem(id, shelf, trials, seed);
      if (item && !latest.has(item.key)) return { item, seed };
    }
  return undefined;
}

/** An item of an exercise, as hard as its earlier ones say. */
export function makeItem(
  id: ExerciseId,
  shelf: PracticeShelf,
  trials: readonly Trial[],
  seed: number,
): Item | undefined {
  const exercise = EXERCISES[id];
  const draw = seededRandom(seed);
  const own = trials.filter((trial) => trial.exercise === id);
  const level = exercise.follows === 'difference' ? nextLevel(own, exercise, draw) : exercise.start;
  return exercise.make(shelf, level, draw);
}
