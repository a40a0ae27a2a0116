import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Corners, Point } from '../../base/perspective';
import type { Pixels } from '../../choose/photo/pixels';
import { lightOfByte, srgbByteOf } from '../../picture/signal';
import { findPanel } from './findPanel';

const CARD = [236, 232, 224];
/** A photograph of a panel with three inks on bare card: its corners clockwise from the top left, in pixels. */
function photograph(width: number, height: number, corners: Corners, lamp = [1, 1, 1], table = 0): Pixels {
  const under = (colour: readonly number[]) =>
    colour.map((byte, i) => srgbByteOf(lightOfByte(byte) * (lamp[i] ?? 1)));
  const data = new Uint8ClampedArray(4 * width * height);
  const inks = [
    [248, 212, 111],
    [0, 154, 171],
    [0, 84, 135],
  ].map(under);
  const card = under(CARD);
  const wood = under([70, 52, 44]);
  const isTable = (x: number, y: number) => Math.min(x, y, width - x, height - y) < table;
  const isLeftOf = (from: Point, to: Point, x: number, y: number) =>
    (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x) >= 0;
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const [x, y] = [column + 0.5, row + 0.5];
      const isPanel = corners.every((corner, i) => isLeftOf(corner, corners[(i + 1) % 4] as Point, x, y));
      const [top, foot] = [corners[0].y, corners[3].y];
      const band = Math.min(Math.max(Math.floor((3 * (y - top)) / (foot - top)), 0), 2);
      const seen = isPanel ? inks[band] : isTable(x, y) ? wood : card;
      data.set([...(seen as number[]), 255], 4 * (row * width + column));
    }
  return { width, height, data };
}
const box = (left: number, top: number, right: number, foot: number): Corners => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: foot },
  { x: left, y: foot },
];
/** How far the corner that is farthest off lies from where it is, px. */
const farthest = (found: Corners | undefined, corners: Corners): number =>
  found
    ? Math.max(...corners.map(({ x, y }, i) => Math.hypot(x - (found[i]?.x ?? 0), y - (found[i]?.y ?? 0))))
    : Infinity;

describe('a panel in a photograph', () => {
  test('is found however little card is seen around it', () => {
    for (const margin of [4, 8, 20, 60]) {
      const corners = box(margin, margin, 240 - margin, 300 - margin);
      expect(farthest(findPanel(photograph(240, 300, corners)), corners), `${margin} px`).toBeLessThan(2);
    }
  });

  test('is found turned and seen aslant, its top left corner first', () => {
    const near = fc.integer({ min: -14, max: 14 });
    fc.assert(
      fc.property(fc.array(near, { minLength: 8, maxLength: 8 }), (off) => {
        const corners = box(50, 45, 190, 250).map(({ x, y }, i) => ({
          x: x + (off[2 * i] ?? 0),
          y: y + (off[2 * i + 1] ?? 0),
        })) as unknown as Corners;
        expect(farthest(findPanel(photograph(240, 300, corners)), corners)).toBeLessThan(3);
      }),
      { numRuns: 12 },
    );
  });

  test('is found under a warm lamp, and in a picture so large that it is looked at in parts', () => {
    const corners = box(140, 150, 1060, 1350);
    expect(farthest(findPanel(photograph(1200, 1500, corners, [1, 0.7, 0.4])), corners)).toBeLessThan(8);
  });

  test('is found on its card on a darker table, as it is to be photographed', () => {
    const corners = box(70, 80, 170, 220);
    for (const lamp of [
      [1, 1, 1],
      [1, 0.7, 0.4],
    ])
      expect(farthest(findPanel(photograph(240, 300, corners, lamp, 25)), corners)).toBeLessThan(2);
  });

  test('is none where it reaches the picture’s edge, is too small, or is not there', () => {
    expect(findPanel(photograph(240, 300, box(-5, 40, 200, 260)))).toBeUndefined();
    expect(findPanel(photograph(240, 300, box(100, 100, 118, 125)))).toBeUndefined();
    expect(findPanel(photograph(240, 300, box(-9, -9, -5, -5)))).toBeUndefined();
  });
});
