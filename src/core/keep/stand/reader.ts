import { seededRandom } from '../../base/random';
import { probePanel } from '../../engine/probe';
import { type Card, groundOfCard } from '../../materials/card/card';
import { type Lab, labOfSpectrum } from '../../materials/colour/lab';
import { BANDS, type Spectrum } from '../../materials/colour/spectrum';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { BARE_CARD, type ReadingPlace } from '../read/places';
import { normal } from './trueInks';

/** What the simulated reader tells of a place. */
export interface ReadPlace {
  readonly name: string;
  readonly lab: Lab;
  readonly spectrum: Spectrum;
}

/** A reader's noise: all bands together, and each its own, in parts; and how often it slips off its place. */
const NOISE = { whole: 0.004, band: 0.003 } as const;
const MISREAD = 1 / 25;

/** Reads places of a panel as the simulated colour reader does: with a little noise, and now and then beside the place. */
export function readPlaces(made: ResolvedRecipe, places: readonly ReadingPlace[], seed: number): ReadPlace[] {
  const draw = seededRandom(seed);
  const { reflectanceOf, stackAt } = probePanel(made);
  const { width, height } = made.recipe.panel;
  return places.map(({ x, y, label }) => {
    const slips = draw() < MISREAD;
    const at = slips ? { x: draw() * width, y: draw() * height } : { x, y };
    const whole = 1 + NOISE.whole * normal(draw);
    const true_ = reflectanceOf(stackAt(at.x, at.y));
    const spectrum = Float64Array.from({ length: BANDS }, (_, band) =>
      Math.max((true_[band] ?? 0) * whole * (1 + NOISE.band * normal(draw)), 0),
    );
    return { name: label, lab: labOfSpectrum(spectrum), spectrum };
  });
}

/** Bare card beside the panel, as the reader reads it. */
export function readBareCard(card: Card, seed: number): ReadPlace {
  const draw = seededRandom(seed + 1);
  const whole = 1 + NOISE.whole * normal(draw);
  const spectrum = groundOfCard(card).map((value) => value * whole * (1 + NOISE.band * normal(draw)));
  return { name: BARE_CARD, lab: labOfSpectrum(spectrum), spectrum };
}
