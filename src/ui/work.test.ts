import { expect, test, vi } from 'vitest';
import { startWork } from './work';

test('work tells those who listen how far it is, when it is done, and that it was stopped', () => {
  const work = startWork();
  const heard = vi.fn();
  const silence = work.subscribe(heard);
  expect([work.part(), work.isDone(), work.signal.aborted]).toEqual([0, false, false]);
  work.reach(0.4);
  expect(work.part()).toBe(0.4);
  expect(heard).toHaveBeenCalledTimes(1);
  work.stop();
  expect(work.signal.aborted).toBe(true);
  work.end();
  expect(work.isDone()).toBe(true);
  expect(heard).toHaveBeenCalledTimes(2);
  silence();
  work.reach(0.9);
  expect(heard).toHaveBeenCalledTimes(2);
});
