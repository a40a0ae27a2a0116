import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { hexOfLinearRgb } from '../../materials/colour/hex';
import type { Pixels } from './pixels';
import { againstWhite, boxAround, sampleBox } from './sample';

/** A picture whose pixels are told one by one, 0…255. */
function pictureOf(
  width: number,
  height: number,
  at: (x: number, y: number) => readonly [number, number, number],
): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([...at(x, y), 255], 4 * (y * width + x));
  return { width, height, data } as Pixels;
}
const hexAt = (pixels: Pixels, x: number, y: number, reach: number) =>
  hexOfLinearRgb(sampleBox(pixels, boxAround(x, y, reach)).rgb);

describe('what a picture shows inside a box', () => {
  test('is its colour; specks and glints on less than half of it do not move it, and are told as spread', () => {
    const plain = pictureOf(40, 40, () => [200, 120, 40]);
    expect(hexAt(plain, 20, 20, 6)).toBe('#c87828');
    expect(sampleBox(plain, boxAround(20, 20, 6)).spread).toBe(0);
    const specked = pictureOf(40, 40, (x, y) => ((x + 2 * y) % 5 < 2 ? [255, 255, 255] : [200, 120, 40]));
    expect(hexAt(specked, 20, 20, 6)).toBe('#c87828');
    const uneven = pictureOf(40, 40, (x) => [190 + 10 * (x % 3), 120, 40]);
    expect(sampleBox(uneven, boxAround(20, 20, 6)).spread).toBeGreaterThan(0.5);
  });

  test('is cut at the border of the picture, and of a large box a part is looked at that says the same', () => {
    const sides = pictureOf(40, 40, (x) => (x < 20 ? [10, 20, 30] : [200, 210, 220]));
    expect(hexAt(sides, 0, 0, 8)).toBe('#0a141e');
    expect(hexAt(sides, 39, 39, 8)).toBe('#c8d2dc');
    const large = pictureOf(300, 300, (x) => (x < 100 ? [10, 20, 30] : [200, 210, 220]));
    expect(hexAt(large, 150, 150, 149)).toBe('#c8d2dc');
  });
});

describe('a colour against the white beside it', () => {
  const light = fc.double({ min: 0.2, max: 1, noNaN: true });

  test('is the same under any light, once that is divided out', () => {
    const ink = { r: 0.5, g: 0.2, b: 0.1 };
    const own = hexOfLinearRgb(ink);
    fc.assert(
      fc.property(light, light, light, (r, g, b) => {
        const white = { r, g, b };
        const seen = { r: ink.r * r, g: ink.g * g, b: ink.b * b };
        const told = againstWhite(seen, white);
        expect(told.hex).toBe(own);
        expect(told.brightest).toBeCloseTo(0.5, 9);
      }),
    );
  });

  test('lies beyond the white where it shines, and that is told', () => {
    expect(againstWhite({ r: 0.9, g: 0.4, b: 0.4 }, { r: 0.6, g: 0.6, b: 0.6 }).brightest).toBeCloseTo(
      1.5,
      9,
    );
    expect(againstWhite({ r: 0, g: 0, b: 0 }, { r: 0, g: 0, b: 0 })).toEqual({
      hex: '#000000',
      brightest: 0,
    });
  });
});
