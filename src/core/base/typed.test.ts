import fc from 'fast-check';
import { expect, test } from 'vitest';
import { parseGrammage } from '../materials/card/paper';
import { parseColour } from '../materials/colour/hex';
import { parseLength } from './length';
import { plainSigns, readNumber } from './typed';

/** As an East Asian input method gives what is typed in wide letters. */
const wide = (text: string) =>
  text.replace(/[!-~]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) + 0xfee0));

test('a number is read with a point or a comma, plain or wide, and a minus of either kind', () => {
  fc.assert(
    fc.property(fc.integer({ min: -99_999, max: 99_999 }), (hundredths) => {
      const number = hundredths / 100;
      const typed = String(number);
      for (const text of [typed, typed.replace('.', ','), typed.replace('-', '−'), wide(typed), ` ${typed} `])
        expect(readNumber(text)).toBe(number);
    }),
  );
});

test('figures of other scripts are figures: all of them are worth what Unicode says', () => {
  expect(readNumber('٦٣٫٥')).toBe(63.5);
  expect(readNumber('۶۳٫۵')).toBe(63.5);
  expect(readNumber('−६३')).toBe(-63);
  expect(parseLength('٤ ½', 'in')).toBe(parseLength('4 ½', 'in'));
  // Numerals of each script in their order. Source: CLDR numbering systems, as the platform has them.
  for (const system of Intl.supportedValuesOf('numberingSystem')) {
    const one = new Intl.NumberFormat(`en-u-nu-${system}`, { useGrouping: false });
    const ten = Array.from({ length: 10 }, (_, figure) => one.format(figure));
    if (ten.every((figure) => /^\p{Nd}$/u.test(figure)))
      expect(
        ten.map((figure) => readNumber(figure)),
        system,
      ).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  }
});

test('what is no number is none, though the language would make one of it', () => {
  for (const text of ['', ' ', 'ten', '1e3', '0x10', 'Infinity', '1.2.3', '1,2,3', '-', '.', '5 mm'])
    expect(readNumber(text), text).toBeUndefined();
});

test('lengths, weights and colours are read from wide signs, and other letters stay', () => {
  expect(parseLength(wide('63.5 mm'), 'in')).toBe(63.5);
  expect(parseLength(wide('4 1/2'), 'in')).toBeCloseTo(114.3, 10);
  expect(parseGrammage(wide('130 lb cover'))).toBe(parseGrammage('130 lb cover'));
  expect(parseColour(wide('#2A8f8a'))).toBe('#2a8f8a');
  expect(parseColour('54.2 −28 −8')).toBe(parseColour('54.2 -28 -8'));
  expect(plainSigns('春 × ½ – 4')).toBe('春 × ½ – 4');
});
