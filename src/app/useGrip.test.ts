import { expect, test } from 'vitest';
import { gripKey, movedByKey } from './useGrip';

const press = (key: string, shiftKey = false) => gripKey({ key, shiftKey });

test('arrows move a grip a step, with Shift ten, pages ten up and down; Home and End go to its ends', () => {
  expect(press('ArrowLeft')).toEqual({ right: -1, down: 0 });
  expect(press('ArrowDown', true)).toEqual({ right: 0, down: 10 });
  expect([press('PageUp'), press('PageDown')]).toEqual([
    { right: 0, down: -10 },
    { right: 0, down: 10 },
  ]);
  expect([press('Home'), press('End')]).toEqual(['home', 'end']);
});

test('a point goes by steps, or to the side of what it lies on', () => {
  const at = { x: 20, y: 30 };
  expect(movedByKey({ right: -10, down: 1 }, at, 0.5, 100)).toEqual({ x: 15, y: 30.5 });
  expect(movedByKey('home', at, 0.5, 100)).toEqual({ x: 0, y: 30 });
  expect(movedByKey('end', at, 0.5, 100)).toEqual({ x: 100, y: 30 });
});

test('any other key is left to the page', () => {
  for (const key of ['Tab', 'Enter', ' ', 'z', 'Escape']) expect(press(key)).toBeUndefined();
});
