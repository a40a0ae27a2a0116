import { readFileSync } from 'node:fs';
import { converter } from 'culori';
import { expect, test } from 'vitest';
import { STANDARD_1912 } from '../../../testing/colourSets';
import { labOfHex } from './hex';
import { chroma, hueDegrees, labOfSpectrum, linearRgbOfXyz, xyzOfSpectrum } from './lab';
import { D65, OBSERVER, WEIGHTS, WHITE } from './observer';
import { BANDS, flatSpectrum } from './spectrum';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

test('the weights give the CIE white point of D65 for 2° to 4 decimals, and the raw tables nearly', () => {
  // Source: CIE 15, x 0.3127, y 0.3290.
  const [x, y, z] = [WEIGHTS.x, WEIGHTS.y, WEIGHTS.z].map((row) => sum([...row])) as [number, number, number];
  expect(x / (x + y + z)).toBeCloseTo(0.3127, 4);
  expect(y / (x + y + z)).toBeCloseTo(0.329, 4);
  // Steps of 10 nm miss the white of the 1 nm tables by about 0.05 %, which the weights are scaled to take up.
  const raw = [OBSERVER.x, OBSERVER.y, OBSERVER.z].map((row) =>
    sum(row.map((value, band) => value * (D65[band] ?? 0))),
  );
  expect((raw[0] ?? 0) / (raw[1] ?? 1)).toBeCloseTo(WHITE.x, 3);
  expect((raw[2] ?? 0) / (raw[1] ?? 1)).toBeCloseTo(WHITE.z, 2);
});

test('a perfect white is white: L* 100, no colour, all of sRGB', () => {
  const { l, a, b } = labOfSpectrum(flatSpectrum(1));
  expect([l, a, b].map((v) => Math.round(v * 1e6) / 1e6 + 0)).toEqual([100, 0, 0]);
  const { r, g, b: blue } = linearRgbOfXyz(xyzOfSpectrum(flatSpectrum(1)));
  for (const channel of [r, g, blue]) expect(channel).toBeCloseTo(1, 4);
});

test('our tables agree with the weights an independent library carries', () => {
  // The registry package spectral.js carries D65 weights for 380–750 nm; its first 36 of 38 bands are ours.
  const source = readFileSync('node_modules/spectral.js/spectral.js', 'utf8');
  const theirs = source
    .slice(source.indexOf('CMF: ['))
    .match(/\d+\.\d+/g)
    ?.slice(0, 3 * 38)
    .map(Number);
  const luminance = sum(OBSERVER.y.map((value, band) => value * (D65[band] ?? 0)));
  [OBSERVER.x, OBSERVER.y, OBSERVER.z].forEach((row, k) => {
    for (let band = 0; band < BANDS; band++) {
      const ours = ((row[band] ?? 0) * (D65[band] ?? 0)) / luminance;
      expect(Math.abs(ours - (theirs?.[k * 38 + band] ?? Number.NaN))).toBeLessThan(1e-5);
    }
  });
});

test('LCh agrees with an independent library', () => {
  const lch = converter('lch65');
  for (const { hex } of STANDARD_1912.slice(0, 200)) {
    const theirs = lch(hex);
    expect(chroma(labOfHex(hex))).toBeCloseTo(theirs?.c ?? Number.NaN, 3);
    if ((theirs?.c ?? 0) > 1) expect(hueDegrees(labOfHex(hex))).toBeCloseTo(theirs?.h ?? Number.NaN, 2);
  }
});
