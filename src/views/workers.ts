import { type Remote, wrap } from 'comlink';
import type { MatchDoor } from '../workers/match.worker';
import type { PaperDoor } from '../workers/paper.worker';
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

let matches: { worker: Worker; door: Remote<MatchDoor> } | undefined;

/** The worker that reads pictures a maker opens. */
export function matcher(): Remote<MatchDoor> {
  if (!matches) {
    const worker = new Worker(new URL('../workers/match.worker.ts', import.meta.url), { type: 'module' });
    matches = { worker, door: wrap<MatchDoor>(worker) };
  }
  return matches.door;
}

/** Ends whatever the picture reader is at; the next call starts a new one. */
export function stopMatcher(): void {
  matches?.worker.terminate();
  matches = undefined;
}

let papers: Remote<PaperDoor> | undefined;

/** The worker that makes pictures and pages for paper. */
export function paperWorker(): Remote<PaperDoor> {
  papers ??= wrap<PaperDoor>(
    new Worker(new URL('../workers/paper.worker.ts', import.meta.url), { type: 'module' }),
  );
  return papers;
}
