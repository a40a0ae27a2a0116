import { expect, test } from 'vitest';
import { BANDS } from '../core/materials/colour/spectrum';
import { filmOfInk, type Ink } from '../core/materials/ink/ink';
import { DEMO_INKS } from '../data/demo/inks';
import { emptyFilms, solveNext, takeSolved } from './sharedFilms';

test('each film is solved by one worker, as it is solved alone', () => {
  const inks = DEMO_INKS.slice(0, 6);
  const films = emptyFilms(inks.length);
  let solved = 0;
  while (solveNext(inks, films)) solved++;
  expect(solved).toBe(inks.length);
  expect(films.there.every((there) => there === 1)).toBe(true);
  inks.map(filmOfInk).forEach(({ absorption, scattering }, i) => {
    const from = 2 * BANDS * i;
    expect(films.values.slice(from, from + BANDS)).toEqual(absorption);
    expect(films.values.slice(from + BANDS, from + 2 * BANDS)).toEqual(scattering);
  });
});

test('what another worker solved is remembered for an ink and its copies; what it has not solved yet is solved here', () => {
  const [one, other] = ['#3a5b01', '#3a5b02'].map((hex) => ({ ...DEMO_INKS[0], overWhite: hex }) as Ink);
  if (!one || !other) throw new Error('there are two');
  const films = emptyFilms(2);
  films.values.fill(0.25);
  films.there[0] = 1;
  takeSolved([one, other], films);
  expect(filmOfInk({ ...one }).absorption.every((k) => k === 0.25)).toBe(true);
  expect(filmOfInk(other).absorption.every((k) => k === 0.25)).toBe(false);
});
