import { prepareNouns } from '../core/choose/search/pairs/pairTable';
import packed from './nouns.bin?url';

let prepared: Promise<void> | undefined;

/** Has the designations of colours at hand before the first search; without them they are worked out as they are met. */
export function nounsPrepared(): Promise<void> {
  prepared ??= fetch(packed)
    .then(async ({ body }) => {
      if (!body) return;
      const names = await new Response(
        body.pipeThrough(new DecompressionStream('deflate-raw')),
      ).arrayBuffer();
      prepareNouns(new Int16Array(names));
    })
    // A browser that cannot unpack it, or a server that is gone: the search is slower once, and finds the same.
    .catch(() => {});
  return prepared;
}
