import { type Endpoint, type ProxyMarked, proxy, type Remote, wrap } from 'comlink';

/** What was asked of a worker is not answered: its script did not come, or it broke down. */
export class WorkerFailed extends Error {
  override readonly name = 'WorkerFailed';
  constructor() {
    super('a worker could not be started, or broke down');
  }
}

/**
 * Asks for work that tells on the way how far it is. That comes by a line of its own, and what comes later than the answer
 * is not heard: it would show as going on what is done.
 */
export async function heard<Told extends readonly unknown[], Asked>(
  hear: (...told: Told) => void,
  ask: (report: ((...told: Told) => void) & ProxyMarked) => Asked,
): Promise<Awaited<Asked>> {
  let isThere = false;
  try {
    return await ask(proxy((...told: Told) => void (isThere || hear(...told))));
  } finally {
    isThere = true;
  }
}

/** Something asked in passing: where that fails it is told by what wants it later. */
export const inPassing = (asked: Promise<unknown>): void => void asked.catch(() => {});

/**
 * The door of a worker. Where the worker fails, all that waits there and all that is asked later is rejected with
 * `WorkerFailed`: nobody waits for ever.
 *
 * @param onFail  told when it has failed, and is no longer to be used
 */
export function openDoor<Door>(worker: Worker, onFail: () => void): Remote<Door> {
  const { door, fail } = doorAt<Door>(worker);
  worker.addEventListener('error', () => {
    worker.terminate();
    onFail();
    fail();
  });
  return door;
}

/** A door at the end of a line that does not tell by itself when there is nobody at the other: `fail` says so. */
export function doorAt<Door>(end: Endpoint): { readonly door: Remote<Door>; readonly fail: () => void } {
  const door = wrap<Door>(end) as unknown as Record<string, (...args: unknown[]) => Promise<unknown>>;
  const waiting = new Set<(reason: WorkerFailed) => void>();
  let failed: WorkerFailed | undefined;
  const ask = (name: string, args: unknown[]): Promise<unknown> =>
    new Promise((resolve, reject) => {
      if (failed) return reject(failed);
      waiting.add(reject);
      const done = () => waiting.delete(reject);
      door[name]?.(...args)
        .then(resolve, reject)
        .finally(done);
    });
  const asking = new Proxy(door, {
    // A door is no promise, though it would have a `then`.
    get: (_, name) =>
      typeof name === 'string' && name !== 'then' ? (...args: unknown[]) => ask(name, args) : undefined,
  }) as unknown as Remote<Door>;
  const fail = () => {
    failed = new WorkerFailed();
    for (const reject of waiting) reject(failed);
    waiting.clear();
  };
  return { door: asking, fail };
}
