import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { inSlices } from './inSlices';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** Work of so many ms for each of so many things, by a clock that only work moves on. */
function slowly(count: number, each: number) {
  const done: number[] = [];
  const told: number[] = [];
  const stop = new AbortController();
  const work = (item: number) => {
    vi.advanceTimersByTime(each);
    done.push(item);
  };
  const items = Array.from({ length: count }, (_, i) => i);
  return { done, told, stop, run: () => inSlices(items, work, (n) => told.push(n), stop.signal) };
}

test('all is done in order, and the page may answer after each slice', async () => {
  const { done, told, run } = slowly(10, 3);
  const running = run();
  // The first slice ends with what made it too long.
  expect(done).toEqual([0, 1, 2]);
  await vi.runAllTimersAsync();
  await running;
  expect(done).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  expect(told).toEqual([3, 6, 9, 10]);
});

test('little work is done at once; what is stopped goes no further and tells no more', async () => {
  const quick = slowly(4, 1);
  await quick.run();
  expect(quick.told).toEqual([4]);
  const slow = slowly(10, 9);
  const running = slow.run();
  slow.stop.abort();
  await vi.runAllTimersAsync();
  await running;
  expect(slow.done).toEqual([0]);
  expect(slow.told).toEqual([1]);
});
