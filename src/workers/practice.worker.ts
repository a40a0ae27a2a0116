import { expose } from 'comlink';
import type { Unit } from '../core/base/length';
import { faultPicture } from '../core/keep/trouble/faultPicture';
import type { Card } from '../core/materials/card/card';
import type { Ink } from '../core/materials/ink/ink';
import type { ExerciseId, PracticeShelf } from '../core/practice/exercises/definition';
import { type Asked, askNext, type Practised } from '../core/practice/schedule';
import { shelfToPractise } from '../core/practice/shelf';

/** The shelf as it dries on the card that is practised on: dried once. */
let shelf: PracticeShelf | undefined;

const door = {
  setShelf(inks: readonly Ink[], card: Card, lengths: Unit): void {
    shelf = shelfToPractise(inks, card, lengths);
  },
  /** What to ask next; undefined where the shelf has nothing for it. */
  ask: (practised: Practised, of: readonly ExerciseId[], now: number): Asked | undefined =>
    shelf && askNext(shelf, practised, of, now, Math.random),
  faultPicture,
};

export type PracticeDoor = typeof door;
expose(door);
