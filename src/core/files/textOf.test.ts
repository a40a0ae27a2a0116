import fc from 'fast-check';
import { expect, test } from 'vitest';
import { textOf } from './textOf';

test('UTF-8 is read as it is meant, whatever the text, and without a word about it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (text) => {
      const { text: read, note } = textOf(new TextEncoder().encode(`a${text}`));
      expect(read).toBe(`a${text}`);
      expect(note).toBeUndefined();
    }),
  );
});

test('an old spreadsheet’s Café stays a café, and is told; UTF-16 is known by its mark', () => {
  const old = textOf(Uint8Array.of(0x43, 0x61, 0x66, 0xe9));
  expect(old.text).toBe('Café');
  expect(old.note).toContain('Windows-1252');
  expect(textOf(Uint8Array.of(0xff, 0xfe, 0x43, 0x00, 0xe9, 0x00))).toMatchObject({ text: 'Cé' });
  expect(textOf(Uint8Array.of(0xfe, 0xff, 0x00, 0x43))).toMatchObject({ text: 'C' });
});
