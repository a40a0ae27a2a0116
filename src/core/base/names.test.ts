import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cleanName, withCleanName } from './names';

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
