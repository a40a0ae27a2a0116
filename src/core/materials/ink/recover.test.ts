import { expect, test } from 'vitest';
import { STANDARD_1912, srgbLattice } from '../../../testing/colourSets';
import { deltaE00 } from '../colour/difference';
import { labOfHex, xyzOfHex } from '../colour/hex';
import { labOfSpectrum } from '../colour/lab';
import { recoverReflectance } from './recover';

test.each([
  ['a lattice of sRGB', srgbLattice(6)],
  ['all 1,117 colours of the 1912 standard', STANDARD_1912.map(({ hex }) => hex)],
])('a spectrum recovered for %s lies in 0…1 and integrates back within ΔE00 0.1', (_, colours) => {
  for (const hex of colours) {
    const reflectance = recoverReflectance(xyzOfHex(hex));
    expect(deltaE00(labOfSpectrum(reflectance), labOfHex(hex))).toBeLessThan(0.1);
    expect(Math.min(...reflectance)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...reflectance)).toBeLessThanOrEqual(1);
  }
});
