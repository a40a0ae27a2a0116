import { formatHex, parse, xyz65 } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hexOfLab, hexOfLinearRgb, labOfHex, linearRgbOfHex, parseColour, xyzOfHex } from './hex';

const byte = fc.integer({ min: 0, max: 255 });
const hexes = fc
  .tuple(byte, byte, byte)
  .map((bytes) => `#${bytes.map((one) => one.toString(16).padStart(2, '0')).join('')}`);

describe('colours written in hexadecimal', () => {
  it('are the same tristimulus values to a general-purpose colour library', () => {
    fc.assert(
      fc.property(hexes, (hex) => {
        const theirs = xyz65(parse(hex));
        const ours = xyzOfHex(hex);
        for (const axis of ['x', 'y', 'z'] as const) expect(ours[axis]).toBeCloseTo(theirs?.[axis] ?? -1, 12);
      }),
    );
  });

  it('come back as they were written', () => {
    fc.assert(
      fc.property(hexes, (hex) => {
        expect(hexOfLinearRgb(linearRgbOfHex(hex))).toBe(hex);
        expect(hexOfLab(labOfHex(hex))).toBe(hex);
      }),
    );
  });

  it('are clipped where they lie outside sRGB, as the library clips them', () => {
    fc.assert(
      fc.property(
        fc.tuple(...Array.from({ length: 3 }, () => fc.double({ min: -0.5, max: 1.5, noNaN: true }))),
        (rgb) => {
          const [r = 0, g = 0, b = 0] = rgb;
          expect(hexOfLinearRgb({ r, g, b })).toBe(formatHex({ mode: 'lrgb', r, g, b }));
        },
      ),
    );
  });

  it('are refused by name when they are none', () => {
    for (const text of ['', '#fff', '123456', '#12345g', '#1234567', 'tomato'])
      expect(() => labOfHex(text)).toThrow(
        new RangeError(`"${text}" is not a colour written as # and six hexadecimal digits`),
      );
  });
});

describe('a colour as a maker has it', () => {
  it('is read with its hash, without, and as a reading of L*, a* and b*', () => {
    expect(parseColour(' 2A8F8A ')).toBe('#2a8f8a');
    expect(parseColour('#2a8f8a')).toBe('#2a8f8a');
    for (const text of ['54.2 -28 -8', 'Lab(54.2 -28 -8)', '54,2; -28; -8', '54.2/-28/-8'])
      expect(parseColour(text)).toBe(hexOfLab({ l: 54.2, a: -28, b: -8 }));
  });

  it('is none where a lightness cannot be, or a part is missing', () => {
    for (const text of ['101 0 0', '-1 0 0', '54 -28', 'teal', '#2a8f8', '54 -28 -8 3'])
      expect(parseColour(text)).toBeUndefined();
    expect(parseColour('100 0 0')).toBeDefined();
    expect(parseColour('0 0 0')).toBe('#000000');
  });
});
