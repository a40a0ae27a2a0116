import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  formatBare,
  formatFine,
  formatLength,
  formatPlace,
  formatRough,
  formatToKeep,
  MM_AN_INCH,
  parseLength,
} from './length';

describe('a length as it is read off a rule', () => {
  test.each([
    [63, '63 mm', '2 1/2 in'],
    [0.26, '0.5 mm', '0 in'],
    [0.24, '0 mm', '0 in'],
    [0.8, '1 mm', '1/16 in'],
    [3.2, '3 mm', '1/8 in'],
    [12.7, '12.5 mm', '1/2 in'],
    [25.4, '25.5 mm', '1 in'],
    [20.6, '20.5 mm', '13/16 in'],
    [139.7, '139.5 mm', '5 1/2 in'],
    [107.95, '108 mm', '4 1/4 in'],
    [63.24, '63 mm', '2 1/2 in'],
    [25.3, '25.5 mm', '1 in'],
    [-12.7, '-12.5 mm', '-1/2 in'],
    [-63.5, '-63.5 mm', '-2 1/2 in'],
  ])(
    '%d mm is told to the half millimetre, and to the sixteenth of an inch in the fewest parts',
    (mm, metric, inches) => {
      expect(formatLength(mm, 'mm')).toBe(metric);
      // Less than a sixteenth is none of one.
      expect(formatLength(mm, 'in')).toBe(inches.includes('/32') ? '1/16 in' : inches);
    },
  );

  test('nothing below nought is told as a nought with a sign', () => {
    expect([formatBare(-0.1, 'mm'), formatBare(-0.1, 'in'), formatBare(-0, 'mm')]).toEqual(['0', '0', '0']);
  });

  test('what is told is never farther off than half of the smallest part, in either unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 600, noNaN: true }), (mm) => {
        expect(Math.abs((parseLength(formatLength(mm, 'mm'), 'mm') ?? Number.NaN) - mm)).toBeLessThanOrEqual(
          0.25 + 1e-9,
        );
        expect(Math.abs((parseLength(formatLength(mm, 'in'), 'mm') ?? Number.NaN) - mm)).toBeLessThanOrEqual(
          MM_AN_INCH / 32 + 1e-9,
        );
      }),
    );
  });

  test('what a form begins with comes back as it was: by the rule where that says all of it, else in millimetres', () => {
    expect([formatToKeep(63.5, 'in'), formatToKeep(63.5, 'mm')]).toEqual(['2 1/2', '63.5']);
    expect([formatToKeep(210, 'in'), formatToKeep(215.9, 'mm'), formatToKeep(215.9, 'in')]).toEqual([
      '210 mm',
      '215.9',
      '8 1/2',
    ]);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 600, noNaN: true }),
        fc.constantFrom('mm' as const, 'in' as const),
        (mm, unit) => {
          expect(Math.abs((parseLength(formatToKeep(mm, unit), unit) ?? Number.NaN) - mm)).toBeLessThan(6e-4);
        },
      ),
    );
  });

  test('two places that would read the same are told finer, and only those', () => {
    expect(formatPlace(20, [40, 60], 'mm')).toBe('20');
    expect([formatPlace(20.1, [20.1, 20.2], 'mm'), formatPlace(20.2, [20.1, 20.2], 'mm')]).toEqual([
      '20.1',
      '20.2',
    ]);
    expect(formatPlace(25.4, [26], 'in')).toBe('1');
    expect([formatPlace(26, [25.4], 'in'), formatPlace(25.4, [26], 'in')]).toEqual(['1 1/32', '1']);
    // Five hundredths apart they are one place.
    expect(formatPlace(20, [20.05], 'mm')).toBe('20');
  });

  test('a fine one is told in tenths of a millimetre or hundredths of an inch, a rough one in whole centimetres or inches', () => {
    expect([formatFine(0.42, 'mm'), formatFine(0.42, 'in')]).toEqual(['0.4 mm', '0.02 in']);
    expect([formatRough(300, 'mm'), formatRough(300, 'in')]).toEqual(['30 cm', '12 in']);
  });
});

describe('a length as it is typed', () => {
  test.each([
    ['63', 'mm', 63],
    ['63', 'in', 63 * MM_AN_INCH],
    [' 63.5 mm ', 'in', 63.5],
    ['6,3 cm', 'in', 63],
    ['2 1/2', 'in', 63.5],
    ['2-1/2 in', 'mm', 63.5],
    ['2½', 'in', 63.5],
    ['½"', 'mm', 12.7],
    ['5/16"', 'mm', 7.9375],
    ['3″', 'mm', 76.2],
    ['-4 MM', 'mm', -4],
    ['0', 'mm', 0],
  ] as const)('%s is read where %s is meant', (text, unit, mm) => {
    expect(parseLength(text, unit)).toBeCloseTo(mm, 9);
  });

  test.each([
    '',
    '  ',
    'wide',
    '1/0',
    '2 1/0 in',
    '3 ft',
    '1.2.3',
    '5 5',
    '3 mm 4',
    '12 lb',
    '--3',
    '1/2/3',
    'NaN',
    'Infinity',
  ])('“%s” is no length', (text) => {
    expect(parseLength(text, 'mm')).toBeUndefined();
  });
});

test('a length told in sixteenths reads back as itself', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), (sixteenths) => {
      const mm = (sixteenths / 16) * 25.4;
      expect(parseLength(formatLength(mm, 'in'), 'mm')).toBeCloseTo(mm, 9);
    }),
  );
});
