import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tourPlace } from './tourPlace';

const page = fc.record({
  width: fc.integer({ min: 320, max: 2560 }),
  height: fc.integer({ min: 360, max: 1440 }),
});
const side = fc.constantFrom('left', 'right', 'top', 'bottom' as const);

test('wherever a control lies, its words have room on the page, and stand beside it where they can', () => {
  fc.assert(
    fc.property(
      page,
      side,
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
      (window, wanted, at) => {
        const [x, y] = [at.slice(0, 2), at.slice(2)].map((ends) => ends.sort((p, q) => p - q)) as [
          number[],
          number[],
        ];
        const control = {
          left: (x[0] as number) * window.width,
          right: (x[1] as number) * window.width,
          top: (y[0] as number) * window.height,
          bottom: (y[1] as number) * window.height,
        };
        const { side, box } = tourPlace(control, wanted, window, 1);
        const room = {
          left: box.left,
          right: window.width - box.right,
          top: box.top,
          bottom: window.height - box.bottom,
        };
        expect(room[side]).toBeGreaterThanOrEqual(side === 'left' || side === 'right' ? 344 : 220);
        if (side === wanted) expect(box).toEqual({ ...control, bottom: box.bottom });
      },
    ),
  );
});

test('a rail as wide as a phone has its words below its middle, not beside the page', () => {
  const rail = { left: 0, top: 48, right: 390, bottom: 700 };
  expect(tourPlace(rail, 'right', { width: 390, height: 844 }, 1)).toEqual({
    side: 'bottom',
    box: { ...rail, bottom: 624 },
  });
});
