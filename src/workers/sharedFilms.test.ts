import { expect, test } from 'vitest';
import { BANDS } from '../core/materials/colour/spectrum';
import { filmOfInk, type Ink } from '../core/materials/ink/ink';
import { DEMO_INKS } from '../data/demo/inks';
import { emptyFilms, solveNext, takeSolved } from './sharedFilms';

test('each film is solved by one worker and remembered by the others as it was solved; one under way is solved by both', () => {
  const inks = DEMO_INKS.slice(0, 6);
  const theirs = structuredClone(inks) as Ink[];
  const films = emptyFilms(inks.length);
  let solved = 0;
  while (solveNext(solved % 2 === 0 ? inks : theirs, films)) solved++;
  expect(solved).toBe(inks.length);
  expect(films.there.every((there) => there === 1)).toBe(true);
  films.values.fill(0.25, 0, BANDS);
  films.there[5] = 0;
  const copies = structuredClone(inks) as Ink[];
  takeSolved(copies, films);
  const [told, ...rest] = copies.map(filmOfInk);
  expect(told?.absorption.every((k) => k === 0.25)).toBe(true);
  expect(rest).toEqual(inks.slice(1).map(filmOfInk));
});
