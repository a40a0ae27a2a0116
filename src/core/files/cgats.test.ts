import { readFileSync } from 'node:fs';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { deltaE00 } from '../materials/colour/difference';
import { labOfSpectrum } from '../materials/colour/lab';
import { BANDS } from '../materials/colour/spectrum';
import { readCgats, writeCgats } from './cgats';

const file = (format: string, rows: readonly string[], head = '') =>
  ['CGATS.17', head, 'BEGIN_DATA_FORMAT', format, 'END_DATA_FORMAT', 'BEGIN_DATA', ...rows, 'END_DATA'].join(
    '\n',
  );

test('what is written is read the same', () => {
  const spectrum = fc.float64Array({ minLength: BANDS, maxLength: BANDS, min: 0.01, max: 0.99, noNaN: true });
  fc.assert(
    fc.property(fc.array(spectrum, { minLength: 1, maxLength: 4 }), (spectra) => {
      const samples = spectra.map((one, i) => ({
        name: `place ${i}`,
        lab: labOfSpectrum(one),
        spectrum: one,
      }));
      const back = readCgats(writeCgats(samples, new Date(0)));
      back.forEach((sample, i) => {
        expect(sample.name).toBe(`place ${i}`);
        expect(deltaE00(sample.lab, samples[i]?.lab ?? sample.lab)).toBeLessThan(0.01);
      });
    }),
  );
});

test('colours under D50 come under D65 as an independent library brings them', () => {
  for (const [l, a, b] of [
    [50, 40, -20],
    [80, -30, 60],
    [25, 5, 5],
  ] as const) {
    const [read] = readCgats(file('SAMPLE_ID LAB_L LAB_A LAB_B', [`1 ${l} ${a} ${b}`]));
    const theirs = new Color('lab', [l, a, b]).to('lab-d65').coords;
    expect(read?.lab.l).toBeCloseTo(theirs[0] ?? 0, 1);
    expect(read?.lab.a).toBeCloseTo(theirs[1] ?? 0, 1);
    expect(read?.lab.b).toBeCloseTo(theirs[2] ?? 0, 1);
    const [stays] = readCgats(
      file('SAMPLE_ID LAB_L LAB_A LAB_B', [`1 ${l} ${a} ${b}`], 'ILLUMINATION "D65"'),
    );
    expect(stays?.lab.a).toBeCloseTo(a, 6);
  }
});

test('spectra are found by other names, out of order, in per cent and in steps of their own', () => {
  const nm = Array.from({ length: 16 }, (_, i) => 400 + 20 * i).reverse();
  const text = file(['SAMPLE_NAME', ...nm.map((one) => `nm${one}`)].join('\t'), [
    ['"a name"', ...nm.map(() => '50')].join('\t'),
  ]);
  const [read] = readCgats(text);
  expect(read?.name).toBe('a name');
  expect(read?.lab.l).toBeCloseTo(76.07, 1);
  expect(Math.abs(read?.lab.a ?? 9)).toBeLessThan(0.1);
});

test('what is no such file is told, with what is missing and where', () => {
  expect(() => readCgats('hello')).toThrow(/BEGIN_DATA_FORMAT/);
  expect(() => readCgats(file('SAMPLE_ID CMYK_C', ['1 2']))).toThrow(/neither spectra/);
  expect(() => readCgats(file('LAB_L LAB_A LAB_B', ['50 1', '50 x 1']))).toThrow(
    /line 7.*2 values for 3 fields[\s\S]*line 8.*not three numbers/,
  );
  expect(() =>
    readCgats(
      file('LAB_L LAB_A LAB_B', ['50 1 1'])
        .replace('END_DATA\n', '')
        .replace(/END_DATA$/, ''),
    ),
  ).toThrow(/END_DATA is missing/);
});

test('spectra give the colours that an independent colour management suite gives', () => {
  // Computed once by spec2cie of Argyll CMS 2.3.1 (Debian), illuminant D65, 1931 2° observer, from the same file.
  const theirs = [
    [80.5605, 4.05684, 73.462],
    [32.452, -0.528696, -29.1062],
    [39.8834, 55.5184, 30.9691],
    [54.2089, -33.0377, 39.077],
    [53.585, 0, 0],
    [56.8963, 59.4037, -2.52818],
  ] as const;
  const read = readCgats(readFileSync('src/testing/readings/spectra.ti3', 'utf8'));
  expect(read).toHaveLength(theirs.length);
  read.forEach(({ lab }, i) => {
    const [l, a, b] = theirs[i] ?? [0, 0, 0];
    expect(deltaE00(lab, { l, a, b })).toBeLessThan(0.02);
  });
});
