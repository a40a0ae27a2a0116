import { expect, test } from 'vitest';
import { describeHiding, inkFields, inkOfFields } from './inkFields';
import { inksOfReadings } from './newInks';

test('typed numbers take a comma, colours a reading in Lab, and what is empty is left out', () => {
  const typed = {
    ...inkFields(undefined),
    name: ' Leat ',
    family: 'Leat',
    overWhite: '50 0 0',
    dryBack: '12,5',
  };
  expect(inkOfFields(typed, 'leat')).toEqual({
    id: 'leat',
    name: 'Leat',
    family: 'Leat',
    depth: 'mid',
    kind: 'hybrid',
    overWhite: '#777777',
    dryBack: 0.125,
  });
});

test('hiding is told by the contrast ratio: alike over white and black it hides, black over black it is clear', () => {
  expect(describeHiding('#808080', '#808080')).toBe('Contrast ratio 100 %: it hides.');
  expect(describeHiding('#ffffff', '#d0d0d0')).toMatch(/6\d %: it half hides/);
  expect(describeHiding('#f0c040', '#0a0a0a')).toMatch(/1 %: it is clear/);
});

test('swatches become inks under names of their own, even where two are called alike', () => {
  let count = 0;
  const inks = inksOfReadings(
    [
      { name: 'Tarn', hex: '#133f7c' },
      { name: ' Tarn ', hex: '#133f7d' },
    ],
    ['Tarn'],
    () => `new-${++count}`,
  );
  expect(inks.map(({ id, name, family }) => [id, name, family])).toEqual([
    ['new-1', 'Tarn (2)', 'Tarn (2)'],
    ['new-2', 'Tarn (3)', 'Tarn (3)'],
  ]);
});
