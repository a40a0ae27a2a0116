import { type Corners, canBeSeen, projectionOf } from '../../base/perspective';
import type { Pixels } from '../../choose/photo/pixels';
import { boxAround, labOfRgb, sampleBox } from '../../choose/photo/sample';
import { groundOfCard } from '../../materials/card/card';
import { deltaE00 } from '../../materials/colour/difference';
import { type Lab, linearRgbOfXyz, xyzOfSpectrum } from '../../materials/colour/lab';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { panelPlaces } from '../learn/fromLog';
import { type Place, placeColour, trustOf } from '../learn/tell';
import { madeOf } from '../log/made';
import { readLamp } from './lamp';
import { READ_REACH, type ReadingPlace, readingPlaces } from './places';

/** What was read at one place of a photographed panel. */
export interface PlaceReading extends ReadingPlace {
  readonly lab: Lab;
  /** How far its pixels stray, ΔE00 at the median. */
  readonly spread: number;
  /** Why it is left out; undefined where it can be trusted. */
  readonly doubt: string | undefined;
}

export interface PhotoReading {
  readonly places: readonly PlaceReading[];
  /** Bare places the light was told from, and how far they still differ from it, in parts. */
  readonly lamp: { readonly places: number; readonly uneven: number };
}

/** How far out of the panel bare card is asked for, mm. */
export const BARE_MARGIN = 5;
/** Beyond these a reading is not trusted. */
const SPREAD = 3.5;
const GLARE = 1.04;
const CLIPPED = 0.2;
/** Signals that count as an end. */
const ENDS = { low: 3, high: 254 } as const;
/** So many times as far from what is predicted as it is trusted, and at least so far, ΔE00: no ink is so unlike its swatch. */
const UNBELIEVABLE = { darker: 3, lighter: 2, least: 13 } as const;

/**
 * Reads a photographed panel at its joints and solids: perspective taken out by its four corners, the lamp's colour,
 * exposure and fall-off by bare card around it, then the median of each place.
 *
 * @returns or why nothing can be read
 */
export function readPanel(
  picture: Pixels,
  corners: Corners,
  resolved: ResolvedRecipe,
): PhotoReading | { readonly problem: string } {
  if (!canBeSeen(corners))
    return { problem: 'Those four corners make no panel: put each on its own corner, the right way round.' };
  const { panel } = resolved.recipe;
  const project = projectionOf(corners, panel.width, panel.height);
  const card = linearRgbOfXyz(xyzOfSpectrum(groundOfCard(resolved.card)));
  const lamp = readLamp(picture, project, panel, BARE_MARGIN, card);
  if (!lamp)
    return {
      problem:
        'There is too little bare card around the panel to tell the light by. Lay the panel on a larger piece of the same card and photograph both.',
    };
  const placeAt = panelPlaces(madeOf(resolved), ({ id }) => resolved.inks.find((ink) => ink.id === id));
  const places = readingPlaces(resolved).map((place): PlaceReading => {
    const at = project(place.x, place.y);
    const side = project(place.x + READ_REACH, place.y);
    const reach = Math.max(1, Math.hypot(side.x - at.x, side.y - at.y));
    const box = boxAround(at.x, at.y, reach);
    const { rgb, spread } = sampleBox(picture, box);
    const light = lamp.lampAt(place.x, place.y);
    const part = { r: rgb.r / light.r, g: rgb.g / light.g, b: rgb.b / light.b };
    const clipped = clippedPart(picture, at.x, at.y, reach);
    const doubt =
      clipped > CLIPPED
        ? 'the picture is clipped there: too bright, or a colour that a photograph cannot show'
        : Math.max(part.r, part.g, part.b) > GLARE
          ? 'glare: it is brighter than bare card'
          : spread > SPREAD + READ_REACH * place.steep
            ? 'uneven: a glint, a shadow’s edge, a design or texture'
            : lamp.isEven(place.x, place.y)
              ? undefined
              : 'the bare card near by lies in shadow';
    const lab = labOfRgb(part);
    return { ...place, lab, spread, doubt: doubt ?? unbelievable(lab, placeAt(place.x, place.y)) };
  });
  return { places, lamp: { places: lamp.places, uneven: lamp.uneven } };
}

/** So far from what lies there that it was misread, or another ink was laid. */
function unbelievable(lab: Lab, place: Place): string | undefined {
  const predicted = placeColour(place);
  const isLighter = lab.l > predicted.l;
  const times = isLighter ? UNBELIEVABLE.lighter : UNBELIEVABLE.darker;
  if (deltaE00(lab, predicted) < Math.max(UNBELIEVABLE.least, times * trustOf(place))) return undefined;
  return isLighter
    ? 'far lighter than this ink can be there: glare, or the corners are off'
    : 'far from what this ink can be there: a shadow, another ink, or the corners are off';
}

/** The part of a place's pixels with a channel at an end. */
function clippedPart({ width, height, data }: Pixels, x: number, y: number, reach: number): number {
  let [clipped, all] = [0, 0];
  const [x0, y0] = [Math.max(Math.round(x - reach), 0), Math.max(Math.round(y - reach), 0)];
  for (let j = y0; j <= Math.min(y + reach, height - 1); j++)
    for (let i = x0; i <= Math.min(x + reach, width - 1); i++) {
      const at = (j * width + i) * 4;
      const [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number];
      all++;
      if (Math.max(r, g, b) >= ENDS.high || Math.min(r, g, b) <= ENDS.low) clipped++;
    }
  return all === 0 ? 1 : clipped / all;
}
