import { readFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';
import { expect, test } from 'vitest';
import { openFont } from './openFont';

const bytesOf = (name: string) => new Uint8Array(readFileSync(`node_modules/${name}`));
const PACKED = bytesOf('@fontsource/literata/files/literata-latin-400-italic.woff');

test('an independent reader finds the same letters in an unpacked font as in the packed one', () => {
  const [packed, plain] = [fontkit.create(PACKED), fontkit.create(openFont(PACKED))];
  expect(plain.postscriptName).toBe(packed.postscriptName);
  expect(plain.characterSet).toEqual(packed.characterSet);
  expect(plain.numGlyphs).toBeGreaterThan(100);
  // As on a sheet: with kerning and the figures of a fraction.
  const text = 'Gorsé Pale, 42½ mm; AV To';
  const [asPacked, asPlain] = [packed.layout(text), plain.layout(text)];
  expect(asPlain.positions).toEqual(asPacked.positions);
  expect(asPlain.glyphs.map(({ path }) => path.toSVG())).toEqual(
    asPacked.glyphs.map(({ path }) => path.toSVG()),
  );
});

test('a font that is not packed stays as it is', () => {
  const plain = bytesOf('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf');
  expect(openFont(plain)).toBe(plain);
});
