import { expose } from 'comlink';
import { dryShelf } from '../core/readings/driedShelf';
import { findTwins } from '../core/shelf/twins';

/** Work on the whole shelf, which may hold a thousand inks. */
const door = { dryShelf, findTwins };

export type ShelfDoor = typeof door;
expose(door);
