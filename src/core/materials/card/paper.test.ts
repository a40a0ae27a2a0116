import { expect, test } from 'vitest';
import { grammageOfPounds, isoASize, parseGrammage, poundsOfGrammage } from './paper';

test('ISO 216: A4 is 210 × 297 mm and A6 is 105 × 148 mm', () => {
  expect(isoASize(4)).toEqual([210, 297]);
  expect(isoASize(6)).toEqual([105, 148]);
});

test('basis weight by its definition: 1 lb cover is 2.704 g/m², 1 lb text 1.480 g/m²', () => {
  // 500 sheets of 20 × 26 in and of 25 × 38 in; pound and inch are defined by the metre and the kilogram.
  expect(grammageOfPounds(1, 'cover')).toBeCloseTo(2.704, 3);
  expect(grammageOfPounds(1, 'text')).toBeCloseTo(1.48, 3);
  expect(Math.round(grammageOfPounds(65, 'cover'))).toBe(176);
});

test('a weight is read as makers write it, and what is none is not', () => {
  for (const text of ['350', ' 350 gsm ', '350g', '350 g/m²', '350 g/m2', '350,0'])
    expect(parseGrammage(text)).toBe(350);
  expect(parseGrammage('130 lb')).toBe(grammageOfPounds(130, 'cover'));
  expect(parseGrammage('130# Cover')).toBe(grammageOfPounds(130, 'cover'));
  expect(parseGrammage('80 lbs text')).toBe(grammageOfPounds(80, 'text'));
  for (const text of ['', 'thick', '-300', '350 cover', '350 g text', '80 kg'])
    expect(parseGrammage(text)).toBeUndefined();
  expect(poundsOfGrammage(grammageOfPounds(65, 'cover'), 'cover')).toBeCloseTo(65, 9);
});
