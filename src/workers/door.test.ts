import { type Endpoint, expose } from 'comlink';
import { expect, test, vi } from 'vitest';
import { doorAt, heard, openDoor, WorkerFailed } from './door';

/** A worker that answers what it is asked for, but for one thing that it never does; it can be made to break down. */
function fakeWorker() {
  const { port1: here, port2: there } = new MessageChannel();
  expose(
    {
      double: (n: number) => 2 * n,
      refuse: () => Promise.reject(new Error('not that')),
      never: () => new Promise(() => {}),
    },
    there,
  );
  const terminate = vi.fn();
  const breaks = new EventTarget();
  const worker = {
    postMessage: here.postMessage.bind(here),
    addEventListener: (type: string, listener: EventListener) =>
      (type === 'error' ? breaks : here).addEventListener(type, listener),
    removeEventListener: here.removeEventListener.bind(here),
    terminate,
  };
  here.start();
  return {
    worker: worker as unknown as Worker,
    terminate,
    breakDown: () => breaks.dispatchEvent(new Event('error')),
  };
}
interface Door {
  double(n: number): number;
  refuse(): void;
  never(): void;
}

test('a worker answers through its door, and what it throws itself is told as it is', async () => {
  const onFail = vi.fn();
  const door = openDoor<Door>(fakeWorker().worker, onFail);
  expect(await door.double(21)).toBe(42);
  await expect(door.refuse()).rejects.toThrow('not that');
  expect(onFail).not.toHaveBeenCalled();
  // An async function may hand it on.
  expect(await Promise.resolve(door)).toBe(door);
});

test('where a worker fails, what waits for it and what is asked later is rejected, and it is let go of', async () => {
  const onFail = vi.fn();
  const { worker, terminate, breakDown } = fakeWorker();
  const door = openDoor<Door>(worker, onFail);
  expect(await door.double(1)).toBe(2);
  const waiting = [door.never(), door.never()];
  breakDown();
  for (const one of [...waiting, door.double(1)]) await expect(one).rejects.toThrow(WorkerFailed);
  expect(onFail).toHaveBeenCalledTimes(1);
  expect(terminate).toHaveBeenCalled();
});

test('at a line that does not tell, who asks is told once somebody says that it is broken', async () => {
  const { port1, port2 } = new MessageChannel();
  expose({ double: (n: number) => 2 * n, never: () => new Promise(() => {}) }, port2);
  const { door, fail } = doorAt<Door>(port1 as unknown as Endpoint);
  expect(await door.double(4)).toBe(8);
  const waiting = door.never();
  fail();
  for (const one of [waiting, door.double(1)]) await expect(one).rejects.toThrow(WorkerFailed);
  port1.close();
});

test('what is told on the way is heard until the answer is there, however that comes', async () => {
  const told: number[] = [];
  let late = (_part: number) => {};
  const ask = async (report: (part: number) => void) => {
    late = report;
    report(0.5);
    return 'done';
  };
  expect(await heard((part: number) => told.push(part), ask)).toBe('done');
  late(0.9);
  const refused = heard(
    (part: number) => told.push(part),
    async (report) => {
      late = report;
      throw new Error('not that');
    },
  );
  await expect(refused).rejects.toThrow('not that');
  late(0.9);
  expect(told).toEqual([0.5]);
});
