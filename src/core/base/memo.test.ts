import { expect, test, vi } from 'vitest';
import { memo, memoByKey, memoOf } from './memo';

test('arguments are remembered by identity, the ones asked for longest ago forgotten first', () => {
  const compute = vi.fn((p: object, q: number) => ({ p, q }));
  const ask = memo(2, compute);
  const [a, b, c] = [{}, {}, {}];
  const first = ask(a, 1);
  expect(ask(a, 1)).toBe(first);
  ask(b, 1);
  expect(ask(a, 1)).toBe(first);
  ask(c, 1);
  expect(ask(a, 1)).toBe(first);
  expect(compute).toHaveBeenCalledTimes(3);
  ask(b, 1);
  expect(compute).toHaveBeenCalledTimes(4);
  expect(ask({}, 1)).not.toBe(first);
});

test('a table by key holds no more than it may', () => {
  const compute = vi.fn((key: string) => key.length);
  const ask = memoByKey(2, compute);
  for (const key of ['a', 'bb', 'a', 'ccc', 'bb', 'ccc']) expect(ask(key)).toBe(key.length);
  expect(compute).toHaveBeenCalledTimes(3);
  ask('a');
  expect(compute).toHaveBeenCalledTimes(4);
});

test('an answer that is undefined is remembered too', () => {
  const compute = vi.fn((_: object) => undefined);
  const ask = memoOf(compute);
  const value = {};
  ask(value);
  ask(value);
  expect(compute).toHaveBeenCalledTimes(1);
});
