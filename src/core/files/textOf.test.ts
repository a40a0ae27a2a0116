import fc from 'fast-check';
import { expect, test } from 'vitest';
import { bytesOf } from './bytesOf';
import { FileError } from './fileError';
import { looksLikeText, textOf } from './textOf';

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

test('text is told from pictures by its first bytes, wide text too, whatever the file is called', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (text) => {
      expect(looksLikeText(new TextEncoder().encode(text.replaceAll('\0', '')))).toBe(true);
    }),
  );
  expect(looksLikeText(Uint8Array.of(0xff, 0xfe, 0x43, 0x00))).toBe(true);
  // The heads of a PNG, a JPEG and an HEIC picture. Source: ISO/IEC 15948, 10918-5 and 23008-12.
  const png = Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0x0d);
  const jpeg = Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0x00, 0x10, 0x4a, 0x46, 0x49, 0x46, 0x00);
  const heic = Uint8Array.of(0, 0, 0, 0x18, 0x66, 0x74, 0x79, 0x70, 0x68, 0x65, 0x69, 0x63);
  expect([png, jpeg, heic].map(looksLikeText)).toEqual([false, false, false]);
});

test('a file that is gone by the time it is read is refused with what to do', async () => {
  const gone = { arrayBuffer: () => Promise.reject(new DOMException('', 'NotReadableError')) } as Blob;
  await expect(bytesOf(gone)).rejects.toThrow(FileError);
  await expect(bytesOf(gone)).rejects.toThrow(/Choose it again/);
});
