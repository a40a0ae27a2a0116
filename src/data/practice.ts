import type { ExerciseId } from '../core/practice/exercises/definition';
import { afterAsking, type KnownThing, LATELY, type Practised } from '../core/practice/schedule';
import type { Trial } from '../core/practice/trial';
import type { Database } from './database';

/** Every answer there was, the first one first. */
export const listTrials = (db: Database): Promise<Trial[]> => db.practice.orderBy('at').toArray();

/**
 * Of all that was practised what the next question is made of: the latest answers, of every exercise and of each that is wished
 * for, the first one first. Years of practice are not read for it.
 */
export const readLately = (db: Database, of: readonly ExerciseId[]): Promise<Practised> =>
  db.transaction('r', db.practice, db.known, async () => {
    const latest = await Promise.all([
      db.practice.orderBy('at').reverse().limit(LATELY.all).toArray(),
      ...of.map((id) => db.practice.where('exercise').equals(id).reverse().limit(LATELY.each).toArray()),
    ]);
    const trials = new Map(latest.flat().map((trial) => [trial.id, trial]));
    return {
      trials: [...trials.values()].sort((p, q) => p.at - q.at),
      known: await db.known.toArray(),
    };
  });

/** Keeps an answer, and when to ask it again where it is something known or not: both or neither. */
export const keepAnswer = (db: Database, trial: Trial, isKnowledge: boolean, seed: number): Promise<void> =>
  db.transaction('rw', db.practice, db.known, async () => {
    await db.practice.add(trial);
    if (!isKnowledge) return;
    const { key, exercise, isRight, at } = trial;
    const before = await db.known.get(key);
    await db.known.put(afterAsking(before, { key, exercise, seed }, isRight, at));
  });

/** Forgets all practice; returns it, for `restorePractice`. */
export const clearPractice = (
  db: Database,
): Promise<{ readonly trials: Trial[]; readonly known: KnownThing[] }> =>
  db.transaction('rw', db.practice, db.known, async () => {
    const all = { trials: await db.practice.toArray(), known: await db.known.toArray() };
    await Promise.all([db.practice.clear(), db.known.clear()]);
    return all;
  });

export const restorePractice = (
  db: Database,
  { trials, known }: { readonly trials: readonly Trial[]; readonly known: readonly KnownThing[] },
): Promise<void> =>
  db.transaction('rw', db.practice, db.known, async () => {
    await db.practice.bulkPut([...trials]);
    await db.known.bulkPut([...known]);
  });
