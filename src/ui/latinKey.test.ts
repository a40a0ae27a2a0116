import { expect, test } from 'vitest';
import { figureKey, latinKey } from './latinKey';

// What keyboards of these languages send, common practice.
test('a command’s key is the one with its letter on it, and on a keyboard of other letters the one in its place', () => {
  expect(latinKey({ key: 'z', code: 'KeyZ' })).toBe('z');
  expect(latinKey({ key: 'Z', code: 'KeyZ' })).toBe('z');
  // German and French keyboards have their letters elsewhere, and they count.
  expect(latinKey({ key: 'z', code: 'KeyY' })).toBe('z');
  expect(latinKey({ key: 'w', code: 'KeyZ' })).toBe('w');
  expect(latinKey({ key: 'é', code: 'Digit2' })).toBe('é');
  for (const key of ['я', 'Я', 'ζ', 'ז', 'ئ']) expect(latinKey({ key, code: 'KeyZ' })).toBe('z');
  expect(latinKey({ key: '?', code: 'Digit7' })).toBe('?');
  expect(latinKey({ key: 'ArrowLeft', code: 'ArrowLeft' })).toBe('ArrowLeft');
  expect(latinKey({ key: 'ю', code: 'Period' })).toBe('ю');
});

test('a figure is meant by its key, in whatever figures, and where a sign stands in front of it', () => {
  expect(figureKey({ key: '3', code: 'Digit3', shiftKey: false })).toBe(3);
  expect(figureKey({ key: '3', code: 'Numpad3', shiftKey: false })).toBe(3);
  expect(figureKey({ key: '٣', code: 'Digit3', shiftKey: false })).toBe(3);
  // French and Czech: figures are over signs and letters.
  expect(figureKey({ key: '"', code: 'Digit3', shiftKey: false })).toBe(3);
  expect(figureKey({ key: 'é', code: 'Digit2', shiftKey: false })).toBe(2);
  expect(figureKey({ key: '3', code: 'Digit3', shiftKey: true })).toBe(3);
  expect(figureKey({ key: '#', code: 'Digit3', shiftKey: true })).toBeUndefined();
  expect(figureKey({ key: 'a', code: 'KeyA', shiftKey: false })).toBeUndefined();
});
