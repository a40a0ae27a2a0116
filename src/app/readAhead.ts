import { type ComponentType, lazy } from 'react';
import { whenIdle } from '../ui/whenIdle';
import { handRests } from '../workers/client';
import { firstPicture } from './panel/firstPicture';

type Load = () => Promise<{ default: ComponentType }>;

/** So long the hand rests before a view is read ahead, ms: what it does first is not to wait for views it did not ask for. */
const RESTED = 1000;

/** Views that are read ahead, in the order in which they are declared. */
const waiting: Load[] = [];

/** A view that is read when it is first opened, or before, in moments in which nothing else is to be done. */
export function viewAhead(load: Load) {
  waiting.push(load);
  return lazy(load);
}

/** Reads the declared views one after another while the hand rests after the first panel, so that they open at once. */
export async function readAhead(): Promise<void> {
  await firstPicture;
  for (const load of waiting.splice(0)) {
    await handRests(RESTED);
    await new Promise<void>((resolve) => whenIdle(resolve));
    // What cannot be read now is read, and its failure told, when it is opened.
    await load().catch(() => {});
  }
}
