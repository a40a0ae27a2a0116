import fc from 'fast-check';
import { expect, test } from 'vitest';
import { plainLoops } from './rowLoops';
import { BENDS, colourRow, type RowShades, surfaceRow } from './shading';
import { lightOfByte, srgbByteOf } from './signal';
import type { Surface } from './surface/surface';

const WIDTH = 24;
const byte = fc.integer({ min: 0, max: 255 });
const grainy = fc.record({
  colour: fc.tuple(byte, byte, byte),
  slope: fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -4000, max: 4000 }))),
  grain: fc.array(fc.integer({ min: -128, max: 127 }), { minLength: WIDTH, maxLength: WIDTH }),
  light: fc.array(fc.integer({ min: -128, max: 127 }), { minLength: WIDTH, maxLength: WIDTH }),
  row: fc.nat(600),
});

/** A row that has one colour and one answer to the grain all along. */
function alike(colour: readonly number[], slope: readonly number[]): RowShades {
  const shades = plainLoops.emptyShades(WIDTH);
  for (const [i, channel] of [shades.reds, shades.greens, shades.blues].entries())
    channel.fill(256 * (colour[i] ?? 0));
  for (let i = 0; i < shades.slopes.length; i++) shades.slopes[i] = slope[i % 3] ?? 0;
  return shades;
}
const surfaceWith = (grain: readonly number[], light: readonly number[]): Surface => ({
  grain: Int8Array.from(grain),
  bare: new Uint8Array(WIDTH),
  light: Int8Array.from(light),
  spread: 0,
  bareShare: 0,
  fill: () => {},
});
const whole = { begin: 0, end: WIDTH };
const bytesOf = (pixels: Uint32Array) => [...new Uint8Array(pixels.buffer)];
const channel = (pixels: Uint32Array, pixel: number, at: number) => bytesOf(pixels)[4 * pixel + at] ?? 0;

test('where all pixels have the shade of the first, the short way and the long one paint the same', () => {
  fc.assert(
    fc.property(grainy, ({ colour, slope, grain, light, row }) => {
      const shades = alike(colour, slope);
      const surface = surfaceWith(grain, light);
      const [long, short] = [new Uint32Array(WIDTH), new Uint32Array(WIDTH)];
      plainLoops.grainRow(long, row, whole, shades, surface, 0);
      plainLoops.evenRow(short, row, whole, shades, surface, 0);
      expect(short).toEqual(long);
    }),
  );
});

test('a pixel is its colour, more by its grain and its light, rounded up or down by chance', () => {
  fc.assert(
    fc.property(grainy, ({ colour, slope, grain, light, row }) => {
      const pixels = new Uint32Array(WIDTH);
      plainLoops.grainRow(pixels, row, whole, alike(colour, slope), surfaceWith(grain, light), 0);
      for (let i = 0; i < WIDTH; i++)
        for (let at = 0; at < 3; at++) {
          const coat = (grain[i] ?? 0) / 256;
          const lit = 1 + (light[i] ?? 0) / 256;
          const wanted = ((256 * (colour[at] ?? 0) + (slope[at] ?? 0) * coat) / 256) * lit;
          const shown = channel(pixels, i, at);
          // Whole numbers all the way lose less than a hundredth.
          expect(shown).toBeGreaterThanOrEqual(Math.min(Math.max(Math.floor(wanted - 0.02), 0), 255));
          expect(shown).toBeLessThanOrEqual(Math.min(Math.max(Math.ceil(wanted + 0.02), 0), 255));
        }
      expect(bytesOf(pixels).filter((_, i) => i % 4 === 3)).toEqual(Array(WIDTH).fill(255));
    }),
  );
});

const nothing = () => ({
  cover: new Int8Array(WIDTH),
  light: new Int8Array(WIDTH),
  shine: new Uint8Array(WIDTH),
  at: 0,
});
const flat = surfaceWith(Array(WIDTH).fill(0), Array(WIDTH).fill(0));
const painted = (paint: (pixels: Uint32Array) => void): number[] => {
  const pixels = new Uint32Array(WIDTH);
  paint(pixels);
  return bytesOf(pixels);
};

test('without a grain each way of painting shows the plain colour', () => {
  fc.assert(
    fc.property(fc.tuple(byte, byte, byte), fc.nat(600), (colour, row) => {
      const shades = alike(colour, [700, -300, 0]);
      const over = { surface: flat, details: nothing(), at: 0, bare: [0.9, 0.9, 0.9] as const };
      const plain = Array.from({ length: WIDTH }, () => [...colour, 255]).flat();
      for (const paint of [
        (pixels: Uint32Array) => colourRow(pixels, row, whole, shades, false, 0),
        (pixels: Uint32Array) => colourRow(pixels, row, whole, shades, true, 0),
        (pixels: Uint32Array) => plainLoops.grainRow(pixels, row, whole, shades, flat, 0),
        (pixels: Uint32Array) => plainLoops.evenRow(pixels, row, whole, shades, flat, 0),
        (pixels: Uint32Array) => surfaceRow(pixels, row, whole, shades, false, over),
        (pixels: Uint32Array) => surfaceRow(pixels, row, whole, shades, true, over),
      ])
        expect(painted(paint)).toEqual(plain);
    }),
    { numRuns: 30 },
  );
});

test('what is all bare shows the card, half bare half of its light, and what shines is added to either', () => {
  const [ground, ink] = [200, 60];
  const shown = (bare: number, shine: number): number => {
    const surface = { ...flat, bare: new Uint8Array(WIDTH).fill(bare) };
    const details = { ...nothing(), shine: new Uint8Array(WIDTH).fill(shine) };
    const light = lightOfByte(ground);
    const over = { surface, details, at: 0, bare: [light, light, light] as const };
    return painted((pixels) =>
      surfaceRow(pixels, 0, whole, alike([ink, ink, ink], [0, 0, 0]), false, over),
    )[0] as number;
  };
  expect(shown(0, 0)).toBe(ink);
  expect(Math.abs(shown(255, 0) - ground)).toBeLessThanOrEqual(1);
  const half = srgbByteOf((lightOfByte(ground) + lightOfByte(ink)) / 2);
  expect(Math.abs(shown(128, 0) - half)).toBeLessThanOrEqual(2);
  expect(shown(0, 40)).toBe(ink + 40);
  expect(shown(255, 90)).toBe(255);
});

test('more ink goes by its slope and, where it is much, by its bend', () => {
  const shades = alike([120, 120, 120], [-2560, 0, 1280]);
  for (let i = 0; i < shades.bends.length; i += BENDS) shades.bends.set([512, 512, 512, 0], i);
  const over = {
    surface: surfaceWith(Array(WIDTH).fill(64), Array(WIDTH).fill(0)),
    details: nothing(),
    at: 0,
    bare: [1, 1, 1] as const,
  };
  const [r = 0, g = 0, b = 0] = painted((pixels) => surfaceRow(pixels, 0, whole, shades, false, over));
  // A quarter of a coat: slope times ¼ and bend times 1⁄16, in 256ths.
  for (const [value, wanted] of [
    [r, 120 + (-2560 / 4 + 512 / 16) / 256],
    [g, 120 + 512 / 16 / 256],
    [b, 120 + (1280 / 4 + 512 / 16) / 256],
  ] as const)
    expect(Math.abs(value - wanted)).toBeLessThan(1);
});

test('only the pixels that are asked for are painted', () => {
  const pixels = new Uint32Array(WIDTH);
  plainLoops.grainRow(
    pixels,
    3,
    { begin: 5, end: 9 },
    alike([10, 20, 30], [0, 0, 0]),
    surfaceWith(Array(WIDTH).fill(0), Array(WIDTH).fill(0)),
    0,
  );
  expect([...pixels].map((pixel) => pixel !== 0)).toEqual(
    Array.from({ length: WIDTH }, (_, i) => i >= 5 && i < 9),
  );
});
