import { memoByKey, memoOf } from '../../base/memo';
import { type Hex, labOfHex, xyzOfHex } from '../colour/hex';
import { flatSpectrum } from '../colour/spectrum';
import { type Film, filmFromSwatch, strongerFilm } from './film';
import { INK_KINDS, type InkKindId, usualScattering } from './kinds';
import { reflectanceOfHex } from './reflectance';
import { shiftedSpectrum, type TaughtInk, taughtScattering, taughtSign } from './taught';
import { filmFromTwoSwatches } from './twoSwatches';

/** How deep an ink stands inside its family. */
export const INK_DEPTHS = ['deep', 'mid', 'pale'] as const;
export type InkDepth = (typeof INK_DEPTHS)[number];

/** An ink on the shelf, known by its dried colour at full strength on white. */
export interface Ink {
  readonly id: string;
  readonly name: string;
  /** Inks of one hue are a family; they may share a brush. */
  readonly family: string;
  readonly depth: InkDepth;
  readonly kind: InkKindId;
  /** Dried, one full coat, over white. */
  readonly overWhite: Hex;
  /** Dried, one full coat, over black; with it hiding is fitted to both swatches instead of taken from the kind. */
  readonly overBlack?: Hex;
  /** Part of the wet film's strength lost by drying, 0…0.9; the kind's own where left out. */
  readonly dryBack?: number;
  /** Part of a coat that water takes off again, 0…1; the kind's own where left out. */
  readonly lifts?: number;
  /** How much of it this maker's hand lays in a coat, against its swatch, 0.25…4; 1 where left out. */
  readonly strength?: number;
  /** What panels that were made have taught of it; counts in place of `strength` unless switched off. */
  readonly taught?: TaughtInk;
  /** What is written on the brush that holds it. */
  readonly brush?: string;
  /** Which maker's line it belongs to, in the owner's words. */
  readonly line?: string;
  readonly note?: string;
  /** Wished for, not owned. */
  readonly wished?: boolean;
}

/** The rung on which nothing is laid: a ladder that ends in it fades to bare card. */
export const BARE: Ink = {
  id: 'bare-card',
  name: 'bare card',
  family: 'bare card',
  depth: 'pale',
  kind: 'bare',
  overWhite: '#ffffff',
};
export const isBare = ({ kind }: Ink): boolean => kind === 'bare';

/** Reflectance of the black a second swatch stands on: a black chart's, from memory. */
export const BLACK_GROUND = flatSpectrum(0.02);

/** Swatches are read relative to the white they stand on, so their ground is the perfect white. */
export const SWATCH_GROUND = flatSpectrum(1);

/** Films kept by what decides them: a shelf and a card's worth of other copies. */
const MAX_FILMS = 8192;

/** The ink's film per coat, solved from its swatch; remembered as long as the ink is. */
export const filmOfInk = memoOf((ink: Ink): Film => filmOfSwatch(signOf(ink), ink));

/** A worker gets a new copy of the same ink with a request: so films are remembered by their swatches, too. */
const filmOfSwatch = memoByKey(MAX_FILMS, (_: string, ink: Ink): Film => solveFilm(ink));

/** Takes an ink's film that another worker has solved: `filmOfInk` answers with it, for this ink as for its copies. */
export const rememberFilm = (ink: Ink, film: Film): void => filmOfSwatch.know(signOf(ink), film);

const signOf = (ink: Ink): string =>
  [ink.kind, ink.overWhite, ink.overBlack ?? '', strengthOf(ink), taughtSign(taughtOf(ink))].join(' ');

/**
 * The film of a coat as this maker lays it: what the swatch and the panels say of the ink, times its strength.
 */
const solveFilm = (ink: Ink): Film => strongerFilm(swatchFilm(ink, taughtOf(ink)), strengthOf(ink));

/** The film of a coat as strong as the swatch. */
function swatchFilm(ink: Ink, taught: TaughtInk | undefined): Film {
  if (isBare(ink)) return { absorption: flatSpectrum(0), scattering: flatSpectrum(0) };
  const swatch = reflectanceOfHex(ink.overWhite);
  const usual = swatchScattering(ink);
  return taught
    ? filmFromSwatch(shiftedSpectrum(swatch, taught.modes), SWATCH_GROUND, taughtScattering(usual, taught))
    : filmFromSwatch(swatch, SWATCH_GROUND, flatSpectrum(usual));
}

/** S of one coat as strong as the swatch, the same in all bands: by both swatches, or by what is usual for the kind. */
export function swatchScattering({ kind, overWhite, overBlack }: Ink): number {
  const likely = usualScattering(kind, labOfHex(overWhite).l);
  if (!overBlack) return likely;
  const second = { lab: labOfHex(overBlack), ground: BLACK_GROUND };
  return filmFromTwoSwatches(reflectanceOfHex(overWhite), SWATCH_GROUND, second, likely)
    .scattering[0] as number;
}

/**
 * Contrast ratio of two swatches: luminous reflectance over black by that over white, 0…1; 1 hides fully.
 * As in ISO 6504-3 and ASTM D2805.
 */
export const contrastRatio = (overWhite: Hex, overBlack: Hex): number =>
  xyzOfHex(overBlack).y / Math.max(xyzOfHex(overWhite).y, 1e-6);

/** What is taught of an ink and counts. */
export const taughtOf = ({ taught }: Pick<Ink, 'taught'>): TaughtInk | undefined =>
  taught?.off ? undefined : taught;
/** How much of an ink this maker's hand lays in a coat, against its swatch. */
export const strengthOf = (ink: Pick<Ink, 'strength' | 'taught'>): number =>
  taughtOf(ink)?.strength ?? ink.strength ?? 1;
/** How strong an ink may be, and lose by drying; how long its texts may be, in letters. */
export const INK_LIMITS = {
  strength: { min: 0.25, max: 4 },
  dryBack: { min: 0, max: 0.9 },
  lifts: { min: 0, max: 1 },
  name: 120,
  brush: 60,
  line: 120,
  note: 2000,
} as const;

/** Part of the wet film's strength that this ink loses by drying, 0…1. */
export const dryBackOf = (ink: Ink): number => ink.dryBack ?? INK_KINDS[ink.kind].dryBack;

/** Part of a coat of this ink that water takes off again, 0…1. */
export const liftsOf = (ink: Pick<Ink, 'lifts' | 'kind'>): number => ink.lifts ?? INK_KINDS[ink.kind].lifts;

/**
 * An ink as it is told anew, with what was learned of it before: how water lifts it, as long as it is of the same kind, and
 * what panels taught, as long as its swatches are the same.
 */
export function withLearned(told: Ink, before: Ink | undefined): Ink {
  if (!before || told.kind !== before.kind) return told;
  const isSame = told.overWhite === before.overWhite && told.overBlack === before.overBlack;
  return {
    ...told,
    ...(told.lifts === undefined && before.lifts !== undefined ? { lifts: before.lifts } : {}),
    ...(isSame && before.taught ? { taught: before.taught } : {}),
  };
}

/** White blending ink that is stamped, or laid on as a base, lies like the pigment it is made of: thick, not softened out. */
export const asPigment = memoOf(
  (ink: Ink): Ink => (ink.kind === 'white' ? { ...ink, kind: 'pigment' } : ink),
);
