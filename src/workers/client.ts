import { type Remote, wrap } from 'comlink';
import type { Progress } from '../core/engine/progress';
import type { Wetness } from '../core/materials/ink/laid';
import type { Kit } from '../core/recipe/recipe';
import type { DesignDoor } from './design.worker';
import type { MatchDoor } from './match.worker';
import type { PaperDoor } from './paper.worker';
import type { PictureDoor } from './picture.worker';
import type { SearchDoor } from './search.worker';
import type { ShelfDoor } from './shelf.worker';

const pictures: Remote<PictureDoor>[] = [];
let shelves: Remote<ShelfDoor> | undefined;
let searches: Remote<SearchDoor> | undefined;

/** A worker that paints panels, the first or the second; started when first asked for. */
export function painter(which: 0 | 1 = 0): Remote<PictureDoor> {
  pictures[which] ??= wrap<PictureDoor>(
    new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }),
  );
  return pictures[which];
}

/** A picture of fewer pixels than this is not worth sharing out. */
const SHARED_FROM = 80_000;

/**
 * Paints a panel for one place on the screen, its upper and its lower half at once where there are cores for it.
 *
 * @returns the halves from the top down; null when a newer request came in between
 */
export async function paint(...[place, kit, wetness, width, height, progress]: PaintRequest) {
  const shares = navigator.hardwareConcurrency > 1 && pictures[1] && width * height > SHARED_FROM;
  const middle = shares ? Math.round(height / 2) : height;
  const part = (which: 0 | 1, from: number, to: number) =>
    painter(which).paint(place, kit, wetness, width, height, progress, { from, to });
  const halves = await Promise.all(
    middle < height ? [part(0, 0, middle), part(1, middle, height)] : [part(0, 0, height)],
  );
  const painted = halves.filter((half) => half !== null);
  return painted.length < halves.length ? null : painted;
}
type PaintRequest = [
  place: string,
  kit: Kit,
  wetness: Wetness,
  width: number,
  height: number,
  progress: Progress | undefined,
];

/** The worker that works on the whole shelf; apart from the painter, so that neither waits for the other. */
export function shelfWorker(): Remote<ShelfDoor> {
  shelves ??= wrap<ShelfDoor>(new Worker(new URL('./shelf.worker.ts', import.meta.url), { type: 'module' }));
  return shelves;
}

/** The worker that searches trios and bridges. */
export function searcher(): Remote<SearchDoor> {
  searches ??= wrap<SearchDoor>(
    new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }),
  );
  return searches;
}

/** A worker that is started when first asked for, and ended when the maker does not want to wait. */
function stoppable<Door>(start: () => Worker): {
  readonly door: () => Remote<Door>;
  readonly stop: () => void;
} {
  let running: { readonly worker: Worker; readonly door: Remote<Door> } | undefined;
  return {
    door: () => {
      if (!running) {
        const worker = start();
        running = { worker, door: wrap<Door>(worker) };
      }
      return running.door;
    },
    stop: () => {
      running?.worker.terminate();
      running = undefined;
    },
  };
}

/** Reads pictures a maker opens. */
export const { door: matcher, stop: stopMatcher } = stoppable<MatchDoor>(
  () => new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' }),
);

/** Makes pictures and pages for paper. */
export const { door: paperWorker, stop: stopPaper } = stoppable<PaperDoor>(
  () => new Worker(new URL('./paper.worker.ts', import.meta.url), { type: 'module' }),
);

/** Reads designs and measures them. */
export const { door: designer, stop: stopDesigner } = stoppable<DesignDoor>(
  () => new Worker(new URL('./design.worker.ts', import.meta.url), { type: 'module' }),
);
