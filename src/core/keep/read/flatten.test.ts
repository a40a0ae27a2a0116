import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Corners, projectionOf } from '../../base/perspective';
import type { Pixels } from '../../choose/photo/pixels';
import { flatten } from './flatten';

/** A picture in which red rises from left to right and green from the head to the foot. */
function ramps(width: number, height: number): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data.set([(255 * (x + 0.5)) / width, (255 * (y + 0.5)) / height, 40, 255], 4 * (y * width + x));
  return { width, height, data };
}
const picture = ramps(200, 160);
/** Where a pixel of a flattened panel was taken from, in the picture's own pixels. */
const takenFrom = ({ data, width }: Pixels, x: number, y: number) => {
  const at = 4 * (y * width + x);
  return { x: ((data[at] ?? 0) / 255) * picture.width, y: ((data[at + 1] ?? 0) / 255) * picture.height };
};

test('each pixel of the panel is what is seen there, whatever the camera’s angle', () => {
  const jitter = fc.integer({ min: -18, max: 18 });
  fc.assert(
    fc.property(fc.tuple(jitter, jitter, jitter, jitter, jitter, jitter, jitter, jitter), (by) => {
      const corners: Corners = [
        { x: 40 + by[0], y: 30 + by[1] },
        { x: 160 + by[2], y: 30 + by[3] },
        { x: 160 + by[4], y: 130 + by[5] },
        { x: 40 + by[6], y: 130 + by[7] },
      ];
      const flat = flatten(picture, corners, 30, 24);
      expect([flat.width, flat.height]).toEqual([30, 24]);
      const seen = projectionOf(corners, 1, 1);
      for (const [x, y] of [
        [3, 3],
        [15, 12],
        [27, 4],
        [8, 20],
      ] as const) {
        const [from, there] = [takenFrom(flat, x, y), seen((x + 0.5) / 30, (y + 0.5) / 24)];
        // A rim is left out, and bytes are steps of nearly a pixel.
        expect(Math.hypot(from.x - there.x, from.y - there.y)).toBeLessThan(3);
      }
    }),
  );
});

test('a panel that lies straight is read with a rim left out, and beyond the picture its edge goes on', () => {
  const straight = flatten(
    picture,
    [
      { x: 0, y: 0 },
      { x: 200, y: 0 },
      { x: 200, y: 160 },
      { x: 0, y: 160 },
    ],
    200,
    160,
  );
  expect(takenFrom(straight, 0, 0).x).toBeGreaterThan(1.5);
  expect(takenFrom(straight, 199, 159).x).toBeLessThan(198.5);
  const beyond = flatten(
    picture,
    [
      { x: -60, y: 20 },
      { x: 100, y: 20 },
      { x: 100, y: 140 },
      { x: -60, y: 140 },
    ],
    40,
    40,
  );
  const [first, inside] = [takenFrom(beyond, 0, 20), takenFrom(beyond, 20, 20)];
  expect(first.x).toBeLessThan(1);
  expect(inside.x).toBeCloseTo(22, -1);
  for (let at = 3; at < beyond.data.length; at += 4) expect(beyond.data[at]).toBe(255);
});
