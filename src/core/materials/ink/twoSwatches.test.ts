import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DEMO_INKS } from '../../../data/demo/inks';
import { deltaE00 } from '../colour/difference';
import { hexOfLab, labOfHex } from '../colour/hex';
import { type Lab, labOfSpectrum } from '../colour/lab';
import { flatSpectrum, type Spectrum } from '../colour/spectrum';
import { type Film, filmFromSwatch, filmReflectance, mixedReflectance } from './film';
import { usualScattering } from './kinds';
import { reflectanceOfHex } from './reflectance';
import { filmFromTwoSwatches } from './twoSwatches';

const WHITE = flatSpectrum(1);
const BLACK = flatSpectrum(0.02);
const inks = DEMO_INKS.filter(({ kind }) => kind === 'hybrid' || kind === 'pigment');

const colourOf = (film: Film, ground: Spectrum): Lab => labOfSpectrum(filmReflectance(film, ground));
/** What both swatches tell of a film, as a maker gives them: colours of eight bits. */
const readFrom = (film: Film, swatch: Spectrum, likely: number): Film =>
  filmFromTwoSwatches(
    swatch,
    WHITE,
    { lab: labOfHex(hexOfLab(colourOf(film, BLACK))), ground: BLACK },
    likely,
  );

test('a second swatch that says what the kind says leaves every mixture as it was', () => {
  const films = inks.map(({ kind, overWhite }) => {
    const swatch = reflectanceOfHex(overWhite);
    const likely = usualScattering(kind, labOfHex(overWhite).l);
    const alone = filmFromSwatch(swatch, WHITE, flatSpectrum(likely));
    return { alone, read: readFrom(alone, swatch, likely) };
  });
  const evenly = (one: Film, other: Film) =>
    labOfSpectrum(
      mixedReflectance(
        [
          { film: one, coats: 0.5 },
          { film: other, coats: 0.5 },
        ],
        WHITE,
      ),
    );
  const off = films.flatMap((p, i) =>
    films.slice(i + 1).map((q) => deltaE00(evenly(p.alone, q.alone), evenly(p.read, q.read))),
  );
  expect(Math.max(...off)).toBeLessThan(1);
});

test('an ink that scatters unlike its kind is read from its swatches, and both are met', () => {
  const times = fc.constantFrom(0.25, 0.5, 2, 4);
  fc.assert(
    fc.property(fc.constantFrom(...inks), times, ({ kind, overWhite }, factor) => {
      const swatch = reflectanceOfHex(overWhite);
      const likely = usualScattering(kind, labOfHex(overWhite).l);
      const made = filmFromSwatch(swatch, WHITE, flatSpectrum(likely * factor));
      const read = readFrom(made, swatch, likely);
      expect(deltaE00(colourOf(read, WHITE), colourOf(made, WHITE))).toBeLessThan(0.1);
      expect(deltaE00(colourOf(read, BLACK), colourOf(made, BLACK))).toBeLessThan(2);
      // Drawn toward its kind, and never past it.
      expect(Math.log((read.scattering[0] ?? 0) / likely) * Math.sign(factor - 1)).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});
