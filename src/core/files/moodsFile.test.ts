import { expect, test } from 'vitest';
import type { Mood } from '../choose/search/moods/mood';
import { OWN_MOODS } from '../choose/search/moods/moods';
import { FileError } from './fileError';
import { readMoodsFile, writeMoodsFile } from './moodsFile';

const faultsOf = (text: string): string => {
  try {
    readMoodsFile(text);
  } catch (error) {
    if (error instanceof FileError) return error.message;
  }
  return 'was read';
};
const withMood = (change: Partial<Record<keyof Mood, unknown>>): string =>
  JSON.stringify({
    format: 'tint-ladder-moods',
    version: 1,
    moods: [{ ...OWN_MOODS[0], ...change }],
  });

test('moods go out and come back as they were', () => {
  expect(readMoodsFile(writeMoodsFile(OWN_MOODS))).toEqual(OWN_MOODS);
});

test('what is no list of moods, or asks what cannot be, is refused with its place', () => {
  expect(faultsOf('no json')).toMatch(/not JSON.*a list of moods/);
  expect(faultsOf('{"format":"tint-ladder-recipe"}')).toMatch(/format: is not tint-ladder-moods/);
  expect(faultsOf('{"format":"tint-ladder-moods","version":9}')).toMatch(/version: is 9/);
  expect(faultsOf(withMood({ hues: ['teal'] }))).toMatch(/hues\[0\].*must be one of red, orange/);
  expect(faultsOf(withMood({ limits: { warmth: { min: 50, max: 20 } } }))).toMatch(
    /limits\.warmth.*must not end before it begins/,
  );
  expect(faultsOf(withMood({ limits: { warmth: { min: 500 } } }))).toMatch(/limits\.warmth\.min/);
  expect(faultsOf(withMood({ limits: { shininess: { min: 5 } } }))).toMatch(/shininess/);
  expect(faultsOf(withMood({ name: '' }))).toMatch(/name/);
  expect(faultsOf(withMood({ needs: [{ hues: [], chroma: 0, count: 1 }] }))).toMatch(/needs\[0\]\.hues/);
});
