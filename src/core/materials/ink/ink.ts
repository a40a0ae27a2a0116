import { memoByKey, memoOf } from '../../base/memo';
import { type Hex, labOfHex, xyzOfHex } from '../colour/hex';
import { flatSpectrum } from '../colour/spectrum';
import { type Film, filmFromSwatch } from './film';
import { INK_KINDS, type InkKindId, usualScattering } from './kinds';
import { reflectanceOfHex } from './reflectance';
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
  /** How strongly it stands against another ink in a mixture, 0.25…4; 1 where left out. */
  readonly potency?: number;
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
const BLACK_GROUND = flatSpectrum(0.02);

/** Swatches are read relative to the white they stand on, so their ground is the perfect white. */
const SWATCH_GROUND = flatSpectrum(1);

/** Films kept by what decides them: a shelf and a card's worth of other copies. */
const MAX_FILMS = 8192;

/** The ink's film per coat, solved from its swatch; remembered as long as the ink is. */
export const filmOfInk = memoOf((ink: Ink): Film => filmOfSwatch(signOf(ink), ink));

/** A worker gets a new copy of the same ink with a request: so films are remembered by their swatches, too. */
const filmOfSwatch = memoByKey(MAX_FILMS, (_: string, ink: Ink): Film => solveFilm(ink));

const signOf = ({ kind, overWhite, overBlack }: Ink): string => `${kind} ${overWhite} ${overBlack ?? ''}`;

function solveFilm({ kind, overWhite, overBlack }: Ink): Film {
  if (kind === 'bare') return { absorption: flatSpectrum(0), scattering: 0 };
  const onWhite = reflectanceOfHex(overWhite);
  const likely = usualScattering(kind, labOfHex(overWhite).l);
  if (!overBlack) return filmFromSwatch(onWhite, SWATCH_GROUND, likely);
  return filmFromTwoSwatches(
    onWhite,
    SWATCH_GROUND,
    { lab: labOfHex(overBlack), ground: BLACK_GROUND },
    likely,
  );
}

/**
 * Contrast ratio of two swatches: luminous reflectance over black by that over white, 0…1; 1 hides fully.
 * As in ISO 6504-3 and ASTM D2805.
 */
export const contrastRatio = (overWhite: Hex, overBlack: Hex): number =>
  xyzOfHex(overBlack).y / Math.max(xyzOfHex(overWhite).y, 1e-6);

/** How strongly this ink stands against others in a mixture. */
export const potencyOf = (ink: Ink): number => ink.potency ?? 1;
/** How strongly an ink may stand, and lose by drying; how long its texts may be, in letters. */
export const INK_LIMITS = {
  potency: { min: 0.25, max: 4 },
  dryBack: { min: 0, max: 0.9 },
  name: 120,
  brush: 60,
  line: 120,
  note: 2000,
} as const;

/** Part of the wet film's strength that this ink loses by drying, 0…1. */
export const dryBackOf = (ink: Ink): number => ink.dryBack ?? INK_KINDS[ink.kind].dryBack;

/** White blending ink that is stamped, or laid on as a base, lies like the pigment it is made of: thick, not softened out. */
export const asPigment = memoOf(
  (ink: Ink): Ink => (ink.kind === 'white' ? { ...ink, kind: 'pigment' } : ink),
);
