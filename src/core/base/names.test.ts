import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cleanName, fileNameOf, freeName, LONGEST_NAME, nameOrder, withCleanName } from './names';

test('letters of any script stay, and so do joined pictures; what nobody sees goes', () => {
  for (const name of ['Kiln-opening, run 2', 'Größe ½', 'Сумерки', '黄昏', '👩‍🎨 dusk'])
    expect(cleanName(name)).toBe(name);
  expect(cleanName('\u0000Dusk\u202e\u0007\n two\t\u200b ')).toBe('Dusk two');
  expect(withCleanName({ name: '\u200b' })).toEqual({ name: 'without a name' });
});

test('a clean name stays as it is, and holds nothing that a drawing’s XML refuses', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const clean = cleanName(text);
      expect(cleanName(clean)).toBe(clean);
      // Source: XML 1.0, W3C, production 2.
      expect(clean).toMatch(/^[\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]*$/u);
    }),
  );
});

test('a name that is taken gets the next number that is free, and does not grow at each copy', () => {
  expect(freeName('Dusk', new Set())).toBe('Dusk');
  expect(freeName('Dusk', new Set(['Dusk']))).toBe('Dusk (2)');
  expect(freeName('Dusk (2)', new Set(['Dusk', 'Dusk (2)']))).toBe('Dusk (3)');
  expect(freeName('Dusk', new Set(['Dusk', 'Dusk (2)', 'Dusk (3)']))).toBe('Dusk (4)');
});

test('whatever is taken, the name is free, and no longer than a name may be', () => {
  const name = fc.string({ minLength: 1, maxLength: 130 });
  fc.assert(
    fc.property(name, fc.array(name, { maxLength: 8 }), (wanted, taken) => {
      const names = new Set([...taken, wanted]);
      const free = freeName(wanted, names);
      expect(names.has(free)).toBe(false);
      expect(free.length).toBeLessThanOrEqual(LONGEST_NAME + 6);
    }),
  );
});

test('a file is called by small letters, figures and dashes, whatever its recipe is called', () => {
  expect(fileNameOf('Kiln-opening invitation, run 2')).toBe('kiln-opening-invitation-run-2');
  expect(fileNameOf('Été / Größe')).toBe('été-größe');
  expect(fileNameOf('../../')).toBe('recipe');
  fc.assert(
    fc.property(fc.string(), (name) => {
      expect(fileNameOf(name)).not.toMatch(/[\\/:*?"<>|\s]|^-|-$|^$/);
    }),
  );
});

test('names stand in order whatever the case and the accent, and figures in them as numbers', () => {
  expect(['Run 10', 'run 9', 'Étude', 'Estuary', 'Run 2'].toSorted(nameOrder)).toEqual([
    'Estuary',
    'Étude',
    'Run 2',
    'run 9',
    'Run 10',
  ]);
});
