import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Box, tourPlace } from './tourPlace';

const page = fc.record({
  width: fc.integer({ min: 320, max: 2560 }),
  height: fc.integer({ min: 360, max: 1440 }),
});
const side = fc.constantFrom('left', 'right', 'top', 'bottom' as const);
/** Where something begins and ends, in hundredths of the page. */
const span = fc
  .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }))
  .map(([p, q]) => ({ from: Math.min(p, q) / 100, to: Math.max(p, q) / 100 }));

test('wherever a control lies, its words have room on the page, beside it where there is some', () => {
  fc.assert(
    fc.property(page, side, span, span, fc.constantFrom(1, 1.5), (window, wanted, x, y, scale) => {
      const control = {
        left: x.from * window.width,
        right: x.to * window.width,
        top: y.from * window.height,
        bottom: y.to * window.height,
      };
      const roomBeside = (box: Box) => ({
        left: box.left,
        right: window.width - box.right,
        top: box.top,
        bottom: window.height - box.bottom,
      });
      const needed = { left: 344, right: 344, top: 220, bottom: 220 };
      const { side, box } = tourPlace(control, wanted, window, scale);
      expect(roomBeside(box)[side]).toBeGreaterThanOrEqual(needed[side] * scale);
      if (roomBeside(control)[wanted] >= needed[wanted] * scale)
        expect({ side, box }).toEqual({ side: wanted, box: control });
    }),
    { numRuns: 1000 },
  );
});

test('a rail as wide as a phone has its words below its middle, not beside the page', () => {
  const rail = { left: 0, top: 48, right: 390, bottom: 700 };
  expect(tourPlace(rail, 'right', { width: 390, height: 844 }, 1)).toEqual({
    side: 'bottom',
    box: { ...rail, bottom: 624 },
  });
});
