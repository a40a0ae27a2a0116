import { readFileSync } from 'node:fs';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { deltaE00 } from '../materials/colour/difference';
import { labOfSpectrum } from '../materials/colour/lab';
import { BANDS } from '../materials/colour/spectrum';
import { readCgats, writeCgats } from './cgats';
import type { FileError } from './fileError';

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

describe('the ways in which readers write', () => {
  const LAB = 'SAMPLE_NAME LAB_L LAB_A LAB_B';

  test('XYZ is read as L*a*b* of the same colour is', () => {
    // Half the light of D65 at every band is Y = 50; source: CIE 15, L* = 116 (Y/Yn)^(1/3) − 16.
    const [grey] = readCgats(
      file('SAMPLE_ID XYZ_X XYZ_Y XYZ_Z', ['1 47.523 50 54.44'], 'ILLUMINATION_NAME "D65"'),
    );
    expect(grey?.lab.l).toBeCloseTo(76.069, 2);
    expect(Math.hypot(grey?.lab.a ?? 9, grey?.lab.b ?? 9)).toBeLessThan(0.05);
    const [paper] = readCgats(file('SAMPLE_ID XYZ_X XYZ_Y XYZ_Z', ['1 96.42 100 82.49']));
    expect(paper?.lab.l).toBeCloseTo(100, 2);
    expect(Math.hypot(paper?.lab.a ?? 9, paper?.lab.b ?? 9)).toBeLessThan(0.05);
  });

  test('decimal commas, tabs, quoted names with spaces, carriage returns and a byte order mark', () => {
    const text = file(LAB, ['"Leat, mid"\t52,5\t-10,25\t-20'], 'ILLUMINATION "D65"');
    const [one] = readCgats(`\uFEFF${text.replaceAll('\n', '\r\n')}`);
    expect(one).toEqual({
      name: 'Leat, mid',
      lab: {
        l: expect.closeTo(52.5, 6) as number,
        a: expect.closeTo(-10.25, 6) as number,
        b: expect.closeTo(-20, 6) as number,
      },
    });
    expect(readCgats(text.replaceAll('\n', '\r'))).toHaveLength(1);
  });

  test('a name is looked for in several fields, and is empty where there is none', () => {
    expect(readCgats(file('SAMPLE_LOC LAB_L LAB_A LAB_B', ['A1 50 0 0']))[0]?.name).toBe('A1');
    expect(readCgats(file('LAB_L LAB_A LAB_B', ['50 0 0']))[0]?.name).toBe('');
  });

  test('D65 counts where it is said of the colours: not in remarks, and not of the reader’s own lamp', () => {
    const a = (head: string) => readCgats(file(LAB, ['x 50 40 -20'], head))[0]?.lab.a ?? 0;
    const [under50, under65] = [a(''), a('WEIGHTING_FUNCTION "ILLUMINANT, D65"')];
    expect(under65).toBeCloseTo(40, 6);
    expect(Math.abs(under50 - under65)).toBeGreaterThan(0.5);
    for (const head of ['# like D65', 'MEASUREMENT_SOURCE "D65"', 'DESCRIPTOR "not D65"'])
      expect(a(head)).toBe(under50);
  });

  test('a spectrum in parts of one is read as the same in per cent, and a slip below nought as nought', () => {
    const nm = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);
    const of = (value: (i: number) => number) =>
      readCgats(
        file(nm.map((one) => `SPECTRAL_NM_${one}`).join(' '), [nm.map((_, i) => value(i)).join(' ')]),
      )[0]?.lab;
    const rising = (i: number) => 0.1 + i / 40;
    const [parts, percent] = [of(rising), of((i) => 100 * rising(i))];
    expect(percent?.l).toBeCloseTo(parts?.l ?? 0, 6);
    expect(of((i) => (i === 0 ? -0.02 : rising(i)))).toEqual(of((i) => (i === 0 ? 0 : rising(i))));
  });
});

test('values that are none are told with their line, up to twenty of them', () => {
  const LAB = 'LAB_L LAB_A LAB_B';
  expect(() => readCgats(file(LAB, ['50 "" 1']))).toThrow(/line 7.*not three numbers/);
  expect(() => readCgats(file(LAB, ['101.5 0 0']))).toThrow(/line 7.*L\* 101.5 is not from 0 to 100/);
  const nm = Array.from({ length: 12 }, (_, i) => `nm${400 + 20 * i}`).join(' ');
  expect(() => readCgats(file(nm, [`${'50 '.repeat(11)}x`]))).toThrow(/line 7.*not a reflectance/);
  expect(() => readCgats(file(nm, [`${'50 '.repeat(11)}300`]))).toThrow(/not a reflectance/);
  expect(() => readCgats(file(LAB, []))).toThrow(/line 6.*no samples/);
  expect(() => readCgats(file(Array.from({ length: 601 }, (_, i) => `F${i}`).join(' '), []))).toThrow(
    /601 fields; at most 600/,
  );
  const faults = (() => {
    try {
      readCgats(
        file(
          LAB,
          Array.from({ length: 40 }, () => 'x'),
        ),
      );
    } catch (error) {
      return (error as FileError).faults;
    }
    return [];
  })();
  expect(faults).toHaveLength(20);
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
