import { expose } from 'comlink';
import { dryShelf } from '../core/readings/driedShelf';

/** Work on the whole shelf, which may hold a thousand inks. */
const door = { dryShelf };

export type ShelfDoor = typeof door;
expose(door);
