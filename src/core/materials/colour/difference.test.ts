import Color from 'colorjs.io';
import { differenceCie94 } from 'culori';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { STANDARD_1912 } from '../../../testing/colourSets';
import { deltaE00, deltaE94 } from './difference';
import { labOfHex } from './hex';
import type { Lab } from './lab';

// Source: G. Sharma, W. Wu, E. N. Dalal, Color Res. Appl. 30 (2005) 21, table 1: L1 a1 b1 L2 a2 b2 ΔE00.
const PUBLISHED = `
50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.02 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1
50 -1.1848 -84.8006 50 0 -82.7485 1
50 -0.9009 -85.5211 50 0 -82.7485 1
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.49 -0.001 50 -2.49 0.0009 7.1792
50 2.49 -0.001 50 -2.49 0.001 7.1792
50 2.49 -0.001 50 -2.49 0.0011 7.2195
50 2.49 -0.001 50 -2.49 0.0012 7.2195
50 -0.001 2.49 50 0.0009 -2.49 4.8045
50 -0.001 2.49 50 0.001 -2.49 4.8045
50 -0.001 2.49 50 0.0011 -2.49 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.903
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1
50 2.5 0 50 3.2972 0 1
50 2.5 0 50 1.8634 0.5757 1
50 2.5 0 50 3.2592 0.335 1
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.263
61.2901 3.7196 -5.3901 61.4292 2.248 -4.962 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.694 23.0331 14.973 -42.5619 2.0373
36.4612 47.858 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.441 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.135 0.9033 -0.0636 -0.5514 0.9082`
  .trim()
  .split('\n')
  .map((row) => row.split(' ').map(Number));

test('CIEDE2000 agrees with all 34 published pairs to 4 decimals', () => {
  expect(PUBLISHED).toHaveLength(34);
  for (const [l1 = 0, a1 = 0, b1 = 0, l2 = 0, a2 = 0, b2 = 0, published = 0] of PUBLISHED) {
    const found = deltaE00({ l: l1, a: a1, b: b1 }, { l: l2, a: a2, b: b2 });
    expect(found).toBeCloseTo(published, 4);
  }
});

test('Lab and CIEDE2000 agree with an independent library over the 1912 standard', () => {
  // Its difference is taken between coordinates called `lab`, whatever white they are for.
  const theirLab = (hex: string) => new Color(hex).to('lab-d65').coords;
  STANDARD_1912.slice(1).forEach(({ hex }, i) => {
    const before = STANDARD_1912[i]?.hex ?? hex;
    const [l, a, b] = theirLab(hex);
    const ours = labOfHex(hex);
    expect(Math.hypot(ours.l - (l ?? 0), ours.a - (a ?? 0), ours.b - (b ?? 0))).toBeLessThan(1e-3);
    const difference = new Color('lab', theirLab(before)).deltaE2000(new Color('lab', theirLab(hex)));
    expect(deltaE00(labOfHex(before), ours)).toBeCloseTo(difference, 3);
  });
});

const anyLab = fc.record({
  l: fc.double({ min: 0, max: 100, noNaN: true }),
  a: fc.double({ min: -90, max: 90, noNaN: true }),
  b: fc.double({ min: -90, max: 90, noNaN: true }),
});

test('CIE94 is what culori makes of the same pairs', () => {
  // culori's, with the constants for graphic arts; a colour of it says its space.
  const peer = differenceCie94();
  const lab65 = ({ l, a, b }: Lab) => ({ mode: 'lab65' as const, l, a, b });
  fc.assert(
    fc.property(anyLab, anyLab, (one, other) => {
      expect(deltaE94(one, other)).toBeCloseTo(peer(lab65(one), lab65(other)), 6);
    }),
  );
});

test('colours a hair’s breadth from grey differ by what their lightness says', () => {
  for (const tiny of [0, 5e-324, 1e-170, 1e-9])
    expect(deltaE00({ l: 50, a: tiny, b: -tiny }, { l: 51, a: -tiny, b: tiny })).toBeCloseTo(1, 2);
});
