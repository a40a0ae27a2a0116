import * as spectral from 'spectral.js';
import { expect, test } from 'vitest';
import { hueApart } from '../core/materials/colour/difference';
import { type Hex, labOfHex } from '../core/materials/colour/hex';
import { chroma, hueDegrees, labOfSpectrum } from '../core/materials/colour/lab';
import { flatSpectrum } from '../core/materials/colour/spectrum';
import type { InkKindId } from '../core/materials/ink/kinds';
import { laidReflectance } from '../core/materials/ink/laid';
import { ink } from './resolvedRecipes';

/**
 * Even mixtures of two colours by two mixers that know nothing of ours nor of each other: the registry package
 * spectral.js (Kubelka–Munk of opaque paints), asked here, and libmypaint 1.6.0 of Debian 12 (weighted geometric mean of
 * ten bands), asked once by its `mix_colors` with `paint_mode` 1 and even parts (`fac` ⅔), in linear light. Neither mixes ink on card, so they
 * say which way a mixture goes and not how far.
 */
const PAIRS: readonly (readonly [one: Hex, other: Hex, byLibmypaint: Hex])[] = [
  ['#7a7433', '#6d3a5e', '#735547'],
  ['#e8762c', '#2d4fa0', '#6d6762'],
  ['#6b3fa0', '#f2c230', '#9f7967'],
  ['#b3262f', '#5b8f3a', '#855735'],
  ['#1f4f7a', '#e8762c', '#616554'],
  ['#cf9b2a', '#40648c', '#768058'],
  ['#154a5c', '#e23b82', '#584a6e'],
  ['#a5dcc8', '#e23b82', '#c581a2'],
  ['#7fd0bf', '#e8762c', '#b0a168'],
  ['#6fb04a', '#7d93a6', '#75a272'],
  ['#e8762c', '#9c4526', '#bf5b29'],
  ['#9c4526', '#43302a', '#683a29'],
  ['#a2432f', '#cf9b2a', '#b8692e'],
  ['#e2568f', '#1f4f7a', '#615685'],
  ['#1f4f7a', '#f2c230', '#5f8159'],
  ['#b3262f', '#f2c230', '#d26331'],
  ['#e2568f', '#2a8f8a', '#71768d'],
];

/** A mixture may lie so far outside what the two mixers span, degrees of hue. */
const BEYOND = 20;
/** A mixture this grey has no hue to speak of. */
const GREY = 10;
const WHITE = flatSpectrum(1);

/** How far a hue lies outside the shorter arc between two others, degrees. */
function beyond(hue: number, one: number, other: number): number {
  const outside = hueApart(hue, one) + hueApart(hue, other) > hueApart(one, other) + 1e-9;
  return outside ? Math.min(hueApart(hue, one), hueApart(hue, other)) : 0;
}

test.each<[InkKindId, number]>([
  // A pink and a turquoise dye are filters one behind the other and leave a redder violet than paints do.
  ['dye', 1],
  ['hybrid', 0],
  // A deep blue pigment hides much of an orange or a yellow: its mixtures stay nearer to the blue than theirs.
  ['pigment', 2],
])('even mixtures of %s inks go the way of two other mixers', (kind, exceptions) => {
  const astray = PAIRS.filter(([one, other, mixed]) => {
    const ours = labOfSpectrum(
      laidReflectance(
        [one, other].map((hex) => ({ ink: ink(hex, hex, kind), coats: 0.5 })),
        WHITE,
      ),
    );
    const peers = [
      labOfHex(
        spectral.mix([new spectral.Color(one), 0.5], [new spectral.Color(other), 0.5]).toString() as Hex,
      ),
      labOfHex(mixed),
    ] as const;
    if (Math.min(...[ours, ...peers].map(chroma)) < GREY) return false;
    return beyond(hueDegrees(ours), hueDegrees(peers[0]), hueDegrees(peers[1])) > BEYOND;
  });
  expect(astray.length, astray.map(([one, other]) => `${one} and ${other}`).join(', ')).toBeLessThanOrEqual(
    exceptions,
  );
});
