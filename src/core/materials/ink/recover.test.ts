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

test('a bright colour that lacks a primary of sRGB has nearly the spectrum of one with a trace of it', () => {
  // What an ink absorbs goes with the inverse of the least it gives back: at a hundred times that, a trace of it shows as a hard line.
  for (const hex of srgbLattice(6).filter((hex) => /[9cf]{2}/.test(hex))) {
    const lacking = recoverReflectance(xyzOfHex(hex));
    for (const at of [1, 3, 5]) {
      if (hex.slice(at, at + 2) !== '00') continue;
      const trace = recoverReflectance(xyzOfHex(`${hex.slice(0, at)}14${hex.slice(at + 2)}`));
      const times = trace.map((value, band) => value / (lacking[band] ?? 0));
      expect(Math.max(...times), `${hex}, ${channelAt(at)}`).toBeLessThan(3);
    }
  }
});

const channelAt = (at: number): string => ['red', 'green', 'blue'][(at - 1) / 2] as string;
