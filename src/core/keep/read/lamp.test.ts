import { describe, expect, test } from 'vitest';
import type { Pixels } from '../../choose/photo/pixels';
import type { LinearRgb } from '../../materials/colour/lab';
import { srgbByteOf } from '../../picture/signal';
import { type Lamp, readLamp } from './lamp';

const [WIDTH, HEIGHT, MARGIN, PER_MM] = [40, 50, 12, 4];
const CARD: LinearRgb = { r: 0.8, g: 0.78, b: 0.7 };
const INK: LinearRgb = { r: 0.1, g: 0.3, b: 0.5 };

/** A photograph from straight above: a panel with ink on it, bare card all round, under a lamp. */
function photograph(
  lamp: Lamp,
  change: (x: number, y: number, rgb: LinearRgb) => LinearRgb = (_x, _y, c) => c,
): Pixels {
  const [width, height] = [(WIDTH + 2 * MARGIN) * PER_MM, (HEIGHT + 2 * MARGIN) * PER_MM];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const [x, y] = [(column + 0.5) / PER_MM - MARGIN, (row + 0.5) / PER_MM - MARGIN];
      const isPanel = x >= 0 && x <= WIDTH && y >= 0 && y <= HEIGHT;
      const own = isPanel ? INK : CARD;
      const light = lamp(x, y);
      const seen = change(x, y, { r: own.r * light.r, g: own.g * light.g, b: own.b * light.b });
      data.set([srgbByteOf(seen.r), srgbByteOf(seen.g), srgbByteOf(seen.b), 255], 4 * (row * width + column));
    }
  return { width, height, data };
}
const project = (x: number, y: number) => ({
  x: (x + MARGIN) * PER_MM - 0.5,
  y: (y + MARGIN) * PER_MM - 0.5,
});
const read = (picture: Pixels) => readLamp(picture, project, { width: WIDTH, height: HEIGHT }, 4, CARD);
/** The largest part by which two lamps differ over the panel. */
function farthest(one: Lamp, other: Lamp): number {
  let most = 0;
  for (let x = 0; x <= WIDTH; x += 5)
    for (let y = 0; y <= HEIGHT; y += 5)
      for (const channel of ['r', 'g', 'b'] as const)
        most = Math.max(most, Math.abs(one(x, y)[channel] / other(x, y)[channel] - 1));
  return most;
}

const even: Lamp = () => ({ r: 0.95, g: 0.9, b: 0.8 });
/** Warmer and weaker to the right and the foot, with a bow, as of a lamp near by. */
const falling: Lamp = (x, y) => {
  const far = Math.exp(-0.006 * x - 0.004 * y - 0.00008 * x * y);
  return { r: far, g: 0.95 * far, b: 0.85 * far * Math.exp(-0.002 * x) };
};

describe('the lamp over a panel', () => {
  test('is read from the bare card around it: its colour, and how it falls off', () => {
    for (const lamp of [even, falling]) {
      const told = read(photograph(lamp));
      expect(told?.places).toBeGreaterThan(30);
      expect(told?.uneven).toBeLessThan(0.01);
      // A pixel has 256 steps: two in a hundred of a dark channel.
      expect(farthest(told?.lampAt ?? even, lamp)).toBeLessThan(0.02);
      expect(told?.isEven(20, 25)).toBe(true);
    }
  });

  test('is not misled by something that lies on the card, nor by the mat beyond it', () => {
    const thing = photograph(even, (x, y, rgb) =>
      Math.hypot(x - 10, y + 4) < 3
        ? { r: 0.3, g: 0.05, b: 0.05 }
        : y > HEIGHT + 6
          ? { r: 0.05, g: 0.05, b: 0.06 }
          : rgb,
    );
    const told = read(thing);
    expect(farthest(told?.lampAt ?? falling, even)).toBeLessThan(0.02);
    expect(told?.places).toBeLessThan(read(photograph(even))?.places ?? 0);
  });

  test('is not bent by a shadow over one side, deep or light; what lies in it is not lit as the rest', () => {
    for (const lamp of [even, falling])
      for (const edge of [27, 31])
        for (const part of [0.4, 0.6, 0.8]) {
          const told = read(
            photograph(lamp, (x, _y, { r, g, b }) =>
              x > edge ? { r: part * r, g: part * g, b: part * b } : { r, g, b },
            ),
          );
          for (const y of [5, 25, 45]) {
            const off = (told?.lampAt(5, y).g ?? Number.NaN) / lamp(5, y).g - 1;
            expect(Math.abs(off), `edge ${edge}, part ${part}, at ${y}`).toBeLessThan(0.02);
          }
          expect(told?.isEven(38, 25)).toBe(false);
          expect(told?.isEven(5, 25)).toBe(true);
        }
  });

  test('cannot be read where no bare card is seen, or where it is burnt out', () => {
    expect(read(photograph(() => ({ r: 2, g: 2, b: 2 })))).toBeUndefined();
    expect(read(photograph(() => ({ r: 0.005, g: 0.005, b: 0.005 })))).toBeUndefined();
    const cropped = photograph(even);
    const none = (x: number, y: number) => ({ x: 3 * x * PER_MM - 200, y: 3 * y * PER_MM - 260 });
    expect(readLamp(cropped, none, { width: WIDTH, height: HEIGHT }, 4, CARD)).toBeUndefined();
  });
});
