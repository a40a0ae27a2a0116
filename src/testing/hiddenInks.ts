import { seededRandom } from '../core/base/random';
import { hexOfLab } from '../core/materials/colour/hex';
import { type Lab, labOfSpectrum } from '../core/materials/colour/lab';
import { flatSpectrum, type Spectrum, spectrumFrom } from '../core/materials/colour/spectrum';
import {
  type Film,
  filmFromSwatch,
  filmReflectance,
  mixedReflectance,
  strongerFilm,
} from '../core/materials/ink/film';
import type { Ink } from '../core/materials/ink/ink';
import { type InkKindId, usualScattering } from '../core/materials/ink/kinds';
import { nmOf, spectrumModes } from '../core/materials/ink/modes';
import { reflectanceOfHex } from '../core/materials/ink/reflectance';
import { shiftedSpectrum, slopedScattering } from '../core/materials/ink/taught';

/** An ink as its owner knows it, by a swatch, and as it really is under her hand. */
export interface HiddenInk {
  readonly ink: Ink;
  /** What a coat of it really is. */
  readonly film: Film;
  /** The strength that is in `film`. */
  readonly strength: number;
}

export type HiddenKind = 'modes' | 'peaks' | 'edges';
type Draw = () => number;

/** A normal number (G. E. P. Box, M. E. Muller, Ann. Math. Stat. 29 (1958) 610). */
export const normalOf = (draw: Draw): number =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
const between = (draw: Draw, from: number, to: number): number => from + (to - from) * draw();

/** Kinds as a shelf has them: mostly hybrid. */
const kindOf = (draw: Draw): InkKindId => {
  const at = draw();
  return at < 0.6 ? 'hybrid' : at < 0.85 ? 'dye' : 'pigment';
};

const WHITE = flatSpectrum(1);

/**
 * Inks that nobody knows the inside of, in three ways that share nothing but Kubelka and Munk: spectra that differ from
 * recovered ones as the learner thinks they do, absorptions made of peaks, and reflectances made of edges.
 *
 * @param swatchNoise  of the swatch as its owner reads it, ΔE00 in each of L*, a*, b*
 */
export function hiddenInks(kind: HiddenKind, count: number, seed: number, swatchNoise = 0.7): HiddenInk[] {
  const draw = seededRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const inkKind = kindOf(draw);
    const strength = Math.exp(0.4 * normalOf(draw));
    const alone = FILMS[kind](inkKind, draw);
    const seen = labOfSpectrum(filmReflectance(alone, WHITE));
    const read = {
      l: seen.l + swatchNoise * normalOf(draw),
      a: seen.a + swatchNoise * normalOf(draw),
      b: seen.b + swatchNoise * normalOf(draw),
    };
    const id = `hidden-${i}`;
    return {
      ink: { id, name: id, family: id, depth: 'mid', kind: inkKind, overWhite: hexOfLab(read) },
      film: strongerFilm(alone, strength),
      strength,
    };
  });
}

const FILMS: Readonly<Record<HiddenKind, (kind: InkKindId, draw: Draw) => Film>> = {
  modes: (kind, draw) => {
    const base = edges(draw);
    const colour = labOfSpectrum(base);
    const modes = spectrumModes().map(() => normalOf(draw));
    const shown = shiftedSpectrum(reflectanceOfHex(hexOfLab(colour)), modes);
    return filmFromSwatch(
      shown,
      WHITE,
      slopedScattering(scatteringOf(kind, colour, draw), 0.75 + 0.45 * normalOf(draw)),
    );
  },
  peaks: (kind, draw) => {
    const peaks = Array.from({ length: 1 + Math.floor(3 * draw()) }, () => ({
      at: between(draw, 400, 700),
      wide: between(draw, 20, 70),
      high: Math.exp(between(draw, Math.log(0.15), Math.log(2.5))),
    }));
    const base = between(draw, 0.005, 0.06);
    const absorption = spectrumFrom((nm) =>
      peaks.reduce((sum, { at, wide, high }) => sum + high * Math.exp(-0.5 * ((nm - at) / wide) ** 2), base),
    );
    const clear = labOfSpectrum(absorption.map((k) => Math.exp(-2 * k)));
    const s = scatteringOf(kind, clear, draw);
    const bump = { at: between(draw, 420, 680), high: between(draw, -0.2, 0.3) };
    const slope = between(draw, 0, 1.6);
    return {
      absorption,
      scattering: slopedScattering(s, slope).map(
        (value, band) => value * (1 + bump.high * Math.exp(-0.5 * ((nmOf(band) - bump.at) / 50) ** 2)),
      ),
    };
  },
  edges: (kind, draw) => {
    const shown = edges(draw);
    const colour = labOfSpectrum(shown);
    return filmFromSwatch(
      shown,
      WHITE,
      slopedScattering(scatteringOf(kind, colour, draw), between(draw, 0.1, 1.4)),
    );
  },
};

/** A reflectance with one or two soft edges, as most colourants have. */
function edges(draw: Draw): Spectrum {
  const [low, high] = [between(draw, 0.03, 0.15), between(draw, 0.65, 0.95)];
  const first = { at: between(draw, 420, 640), wide: between(draw, 8, 28) };
  const second = { at: first.at + between(draw, 60, 160), wide: between(draw, 10, 30) };
  const rises = draw() < 0.5;
  const isBand = draw() < 0.6;
  const depth = between(draw, 0.5, 1);
  return spectrumFrom((nm) => {
    const up = (edge: typeof first) => 1 / (1 + Math.exp(-(nm - edge.at) / edge.wide));
    const shape = isBand ? up(first) * (1 - up(second)) : up(first);
    const part = rises ? shape : 1 - shape;
    return Math.min(low + (high - low) * (1 - depth + depth * part), 0.97);
  });
}

function scatteringOf(kind: InkKindId, colour: Lab, draw: Draw): number {
  return usualScattering(kind, colour.l) * Math.exp(0.5 * normalOf(draw));
}

/** What is logged of hidden inks at a place: a mixture over a ground, as it is read. */
export const hiddenColour = (
  parts: readonly { readonly film: Film; readonly coats: number }[],
  ground: Spectrum,
): Lab => labOfSpectrum(mixedReflectance(parts, ground));
