import { type ComponentType, lazy } from 'react';
import { firstPicture } from './panel/firstPicture';

type Load = () => Promise<{ default: ComponentType }>;

/** Views that are read ahead, in the order in which they are declared. */
const waiting: Load[] = [];

/** A view that is read when it is first opened, or before, in moments in which nothing else is to be done. */
export function viewAhead(load: Load) {
  waiting.push(load);
  return lazy(load);
}

/** Reads the declared views one after another once the first panel is on the screen, so that they open at once. */
export async function readAhead(): Promise<void> {
  await firstPicture;
  for (const load of waiting.splice(0)) {
    await new Promise((resolve) => requestIdleCallback(resolve));
    // What cannot be read now is read, and its failure told, when it is opened.
    await load().catch(() => {});
  }
}
