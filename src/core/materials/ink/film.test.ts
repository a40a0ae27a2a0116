import fc from 'fast-check';
import { expect, test } from 'vitest';
import { BANDS, flatSpectrum } from '../colour/spectrum';
import { bandReflectance, filmFromSwatch, filmReflectance, mixedReflectance } from './film';

const absorption = fc.double({ min: 0, max: 6, noNaN: true });
const scattering = fc.double({ min: 0, max: 4, noNaN: true });
const reflectance = fc.double({ min: 0.005, max: 1, noNaN: true });
const flat = (k: number, s: number) => ({ absorption: flatSpectrum(k), scattering: flatSpectrum(s) });

test('no film is the bare ground', () => {
  fc.assert(fc.property(reflectance, (ground) => Math.abs(bandReflectance(0, 0, ground) - ground) < 1e-12));
});

test('a very thick film hides its ground and shows its own K/S', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      reflectance,
      reflectance,
      (ratio, one, other) => {
        const thick = (ground: number) => bandReflectance(400 * ratio, 400, ground);
        const own = 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
        expect(thick(one)).toBeCloseTo(thick(other), 9);
        expect(thick(one)).toBeCloseTo(own, 6);
      },
    ),
  );
});

test('with vanishing scattering a film is a filter passed twice', () => {
  fc.assert(
    fc.property(absorption, reflectance, (k, ground) => {
      const filter = ground * Math.exp(-2 * k);
      expect(bandReflectance(k, 0, ground)).toBeCloseTo(filter, 12);
      expect(bandReflectance(k, 2e-6, ground)).toBeCloseTo(filter, 5);
    }),
  );
});

test('reflectance stays in 0…1, and more absorption is never brighter', () => {
  fc.assert(
    fc.property(absorption, absorption, scattering, reflectance, (k, more, s, ground) => {
      const r = bandReflectance(k, s, ground);
      expect(r).toBeGreaterThanOrEqual(0);
      expect(r).toBeLessThanOrEqual(1 + 1e-12);
      expect(bandReflectance(k + more, s, ground)).toBeLessThanOrEqual(r + 1e-9);
    }),
  );
});

test('two coats laid as one film look like one coat dried over the other', () => {
  // Layers of one material add up: Kubelka 1948.
  fc.assert(
    fc.property(absorption, scattering, reflectance, (k, s, ground) => {
      const over = bandReflectance(k, s, bandReflectance(k, s, ground));
      // A scattering under 1e-6 counts as none, which is what the two ways may differ by.
      expect(bandReflectance(2 * k, 2 * s, ground)).toBeCloseTo(over, 5);
    }),
  );
});

test('a film solved from its swatch shows that swatch again', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.002, max: 0.99, noNaN: true }), scattering, (swatch, s) => {
      const film = filmFromSwatch(flatSpectrum(swatch), flatSpectrum(1), flatSpectrum(s));
      for (const r of filmReflectance(film, flatSpectrum(1))) expect(r).toBeCloseTo(swatch, 6);
    }),
  );
});

test('films laid into each other add up, whatever their order', () => {
  const [first, second] = [flat(0.3, 0.1), flat(1.2, 0.4)];
  const ground = flatSpectrum(0.8);
  const parts = [
    { film: first, coats: 0.25 },
    { film: second, coats: 0.75 },
  ];
  const mixed = mixedReflectance(parts, ground);
  expect(mixed).toEqual(mixedReflectance(parts.toReversed(), ground));
  expect(mixed[0]).toBeCloseTo(bandReflectance(0.975, 0.325, 0.8), 12);
  expect(mixed).toHaveLength(BANDS);
});

test('a film over a film over a ground is what the closed form for two layers gives', () => {
  // R = R1 + T1²·R2 / (1 − R1·R2): P. Kubelka, J. Opt. Soc. Am. 44 (1954) 330, with R1 and T1 of the upper layer alone.
  const alone = (k: number, s: number) => {
    const a = 1 + k / s;
    const b = Math.sqrt(a * a - 1);
    const [sinh, cosh] = [Math.sinh(b * s), Math.cosh(b * s)];
    const below = a * sinh + b * cosh;
    return { reflects: sinh / below, transmits: b / below };
  };
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 4, noNaN: true }),
      fc.double({ min: 0.01, max: 3, noNaN: true }),
      absorption,
      scattering,
      reflectance,
      (k, s, under, scatters, ground) => {
        const lower = bandReflectance(under, scatters, ground);
        const { reflects, transmits } = alone(k, s);
        const closed = reflects + (transmits * transmits * lower) / (1 - reflects * lower);
        expect(bandReflectance(k, s, lower)).toBeCloseTo(closed, 9);
      },
    ),
  );
});
