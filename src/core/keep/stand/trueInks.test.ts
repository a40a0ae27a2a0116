import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { deltaE00 } from '../../materials/colour/difference';
import { labOfHex } from '../../materials/colour/hex';
import { labOfSpectrum } from '../../materials/colour/lab';
import { flatSpectrum } from '../../materials/colour/spectrum';
import { laidReflectance } from '../../materials/ink/laid';
import { trueInk } from './trueInks';

test('a true ink laid as strongly as its swatch shows the swatch, and mixes in its own way', () => {
  const white = flatSpectrum(1);
  const off = DEMO_INKS.map((ink) => {
    const { taught, ...rest } = trueInk(ink, 1);
    if (!taught) throw new Error('nothing is hidden');
    const same = { ...rest, taught: { ...taught, strength: 1 } };
    return deltaE00(
      labOfSpectrum(laidReflectance([{ ink: same, coats: 1 }], white)),
      labOfHex(ink.overWhite),
    );
  }).toSorted((p, q) => p - q);
  expect(off[Math.floor(0.9 * off.length)]).toBeLessThan(1);
  expect(trueInk(DEMO_INKS[0] as never, 1)).toEqual(trueInk(DEMO_INKS[0] as never, 1));
  expect(trueInk(DEMO_INKS[0] as never, 2)).not.toEqual(trueInk(DEMO_INKS[0] as never, 1));
});
