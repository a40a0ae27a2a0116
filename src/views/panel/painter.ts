import { wrap } from 'comlink';
import type { PictureDoor } from '../../workers/picture.worker';

/** The worker that paints panels; started when the first picture is asked for. */
let door: ReturnType<typeof wrap<PictureDoor>> | undefined;

export function painter() {
  door ??= wrap<PictureDoor>(
    new Worker(new URL('../../workers/picture.worker.ts', import.meta.url), { type: 'module' }),
  );
  return door;
}
