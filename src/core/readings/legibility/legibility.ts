import { blendGround, solidColour } from '../../engine/blend';
import { xyzOfSpectrum } from '../../materials/colour/lab';
import type { Spectrum } from '../../materials/colour/spectrum';
import { type Ink, isBare } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { laidReflectance } from '../../materials/ink/laid';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { contrastOf } from './contrast';
import { type PanelField, panelField } from './panelField';

/** An image that is stamped or lettered over the dried panel. */
export interface ImageInk {
  readonly id: 'black' | 'white' | 'darkest' | 'palest';
  readonly label: string;
  readonly ink: Ink;
  /** How many impressions lie on each other. */
  readonly impressions: number;
}

/** Where the shelf has none of its own. */
const BLACK: Ink = {
  id: 'black',
  name: 'detail black',
  family: 'black',
  depth: 'deep',
  kind: 'detail',
  overWhite: '#141416',
};
const WHITE: Ink = {
  id: 'white',
  name: 'white pigment',
  family: 'white',
  depth: 'pale',
  kind: 'pigment',
  overWhite: '#fdfdfb',
};

/** What an image could be made in: black, white, and the recipe's own darkest and palest inks. */
export function imageInks(resolved: ResolvedRecipe, shelf: readonly Ink[], impressions = 1): ImageInk[] {
  const ground = blendGround(resolved);
  const own = [...resolved.inks, ...resolved.passInks]
    // Detail black is offered as black; its own are those it is blended and coated with.
    .filter((ink) => !isBare(ink) && INK_KINDS[ink.kind].blends)
    .map((ink) => ({ ink, l: solidColour(ink, ground).l }))
    .sort((p, q) => p.l - q.l);
  const black = shelf.find(({ kind, wished }) => kind === 'detail' && !wished) ?? BLACK;
  const white = shelf.find(({ kind, wished }) => kind === 'white' && !wished) ?? WHITE;
  const [darkest, palest] = [own[0]?.ink ?? BLACK, own.at(-1)?.ink ?? WHITE];
  return [
    { id: 'black', label: `Black: ${black.name}`, ink: black, impressions: 1 },
    { id: 'white', label: `White: ${white.name}`, ink: { ...white, kind: 'pigment' }, impressions },
    { id: 'darkest', label: `Its own darkest: ${darkest.name}`, ink: darkest, impressions: 1 },
    { id: 'palest', label: `Its own palest: ${palest.name}`, ink: palest, impressions },
  ];
}

/** How an image reads over the panel, cell by cell. */
export interface Legibility {
  /** Contrast ratio of each cell, row by row. */
  readonly ratio: Float64Array;
  readonly least: number;
  readonly most: number;
}

/** Contrast of an image with the panel under it, everywhere. Its film lies on the dried panel. */
export function legibilityOf(field: PanelField, { ink, impressions }: ImageInk): Legibility {
  const stamped = new Map<Spectrum, number>();
  const ratio = Float64Array.from(field.spectra, (under, i) => {
    const known = stamped.get(under);
    const over = known ?? xyzOfSpectrum(laidReflectance([{ ink, coats: impressions }], under)).y;
    stamped.set(under, over);
    return contrastOf(over, field.luminance[i]);
  });
  let least = Number.POSITIVE_INFINITY;
  let most = 0;
  for (const value of ratio) {
    if (value < least) least = value;
    if (value > most) most = value;
  }
  return { ratio, least, most };
}

/** An image, and how it reads. */
export interface ImageSeen {
  readonly image: ImageInk;
  readonly legibility: Legibility;
}

/** Whatever an image could be made in, each with how it reads over the dried panel. */
export function imagesSeen(
  resolved: ResolvedRecipe,
  shelf: readonly Ink[],
  impressions: number,
): { readonly field: PanelField; readonly images: readonly ImageSeen[] } {
  const field = panelField(resolved);
  const images = imageInks(resolved, shelf, impressions).map((image) => ({
    image,
    legibility: legibilityOf(field, image),
  }));
  return { field, images };
}

/** The part of the panel, 0…1, on which the contrast needed is there. */
export const readsOn = ({ ratio }: Legibility, needed: number): number =>
  ratio.reduce((count, value) => count + (value >= needed ? 1 : 0), 0) / ratio.length;

/** Of several images the one that reads on most of the panel; of equals the one with the better worst place. */
export function bestImage(images: readonly ImageSeen[], needed: number): ImageInk | undefined {
  return images.toSorted(
    (p, q) =>
      readsOn(q.legibility, needed) - readsOn(p.legibility, needed) ||
      q.legibility.least - p.legibility.least,
  )[0]?.image;
}

/** A place for a greeting, mm from the panel's top left corner. */
export interface CalmPlace {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** The least contrast inside, and how much the lightness of the ground varies there, L*-like, 0 is even. */
  readonly least: number;
  readonly restless: number;
}

/** Up to where a ground is told as even, and as calm, by its unevenness in L*; by eye. */
const EVEN_BELOW = 1.5;
const CALM_BELOW = 5;

/** How restless a ground is, in a word. */
export const groundWord = ({ restless }: Pick<CalmPlace, 'restless'>): 'even' | 'calm' | 'restless' =>
  restless < EVEN_BELOW ? 'even' : restless < CALM_BELOW ? 'calm' : 'restless';

/**
 * The calmest place for a greeting of a given size: of all places where the contrast needed is there throughout, the one
 * whose ground varies least, and of equally calm ones the one nearest the middle; where there is none such, the one that
 * comes nearest to reading.
 *
 * @param size  mm; held to the panel
 */
export function calmestPlace(
  field: PanelField,
  legibility: Legibility,
  size: { readonly width: number; readonly height: number },
  needed: number,
): CalmPlace {
  const { cells, luminance } = field;
  const { columns, rows } = cells;
  const wide = Math.min(Math.max(Math.round(size.width / cells.width), 1), columns);
  const high = Math.min(Math.max(Math.round(size.height / cells.height), 1), rows);
  let best: CalmPlace | undefined;
  for (let top = 0; top + high <= rows; top++)
    for (let left = 0; left + wide <= columns; left++) {
      let least = Number.POSITIVE_INFINITY;
      let sum = 0;
      let squares = 0;
      for (let row = top; row < top + high; row++)
        for (let column = left; column < left + wide; column++) {
          const at = row * columns + column;
          const ratio = legibility.ratio[at];
          if (ratio < least) least = ratio;
          // The cube root of luminance is what lightness goes by.
          const light = 100 * Math.cbrt(luminance[at]);
          sum += light;
          squares += light * light;
        }
      const count = wide * high;
      const restless = Math.sqrt(Math.max(squares / count - (sum / count) ** 2, 0));
      const place = {
        x: left * cells.width,
        y: top * cells.height,
        width: wide * cells.width,
        height: high * cells.height,
        least,
        restless,
      };
      if (!best || isCalmer(place, best, needed, (columns * cells.width) / 2)) best = place;
    }
  return best as CalmPlace;
}

/** Grounds that vary about as little as each other are equally calm. */
const AS_CALM = 0.3;

function isCalmer(one: CalmPlace, other: CalmPlace, needed: number, middle: number): boolean {
  const [oneReads, otherReads] = [one.least >= needed, other.least >= needed];
  if (oneReads !== otherReads) return oneReads;
  if (!oneReads) return one.least > other.least;
  if (Math.abs(one.restless - other.restless) > AS_CALM) return one.restless < other.restless;
  const offMiddle = (place: CalmPlace) => Math.abs(place.x + place.width / 2 - middle);
  return (
    offMiddle(one) < offMiddle(other) - 1e-9 ||
    (offMiddle(one) < offMiddle(other) + 1e-9 && one.least > other.least)
  );
}
