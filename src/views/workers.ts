import { type Remote, wrap } from 'comlink';
import type { PictureDoor } from '../workers/picture.worker';
import type { SearchDoor } from '../workers/search.worker';
import type { ShelfDoor } from '../workers/shelf.worker';

let pictures: Remote<PictureDoor> | undefined;
let shelves: Remote<ShelfDoor> | undefined;
let searches: Remote<SearchDoor> | undefined;

/** The worker that paints panels; started when first asked for. */
export function painter(): Remote<PictureDoor> {
  pictures ??= wrap<PictureDoor>(
    new Worker(new URL('../workers/picture.worker.ts', import.meta.url), { type: 'module' }),
  );
  return pictures;
}

/** The worker that works on the whole shelf; apart from the painter, so that neither waits for the other. */
export function shelfWorker(): Remote<ShelfDoor> {
  shelves ??= wrap<ShelfDoor>(
    new Worker(new URL('../workers/shelf.worker.ts', import.meta.url), { type: 'module' }),
  );
  return shelves;
}

/** The worker that searches trios and bridges. */
export function searcher(): Remote<SearchDoor> {
  searches ??= wrap<SearchDoor>(
    new Worker(new URL('../workers/search.worker.ts', import.meta.url), { type: 'module' }),
  );
  return searches;
}
