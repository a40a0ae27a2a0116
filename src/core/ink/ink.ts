import type { Hex } from '../colour/hex';
import { flatSpectrum } from '../colour/spectrum';
import { type Film, filmFromSwatch } from './film';
import { INK_KINDS, type InkKindId } from './kinds';
import { reflectanceOfHex } from './reflectance';

/** How deep an ink stands inside its family. */
export type InkDepth = 'deep' | 'mid' | 'pale';

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
  /** Part of the wet film's strength lost by drying, 0…0.9; the kind's own where left out. */
  readonly dryBack?: number;
}

/** Swatches are read relative to the white they stand on, so their ground is the perfect white. */
const SWATCH_GROUND = flatSpectrum(1);

/** By the ink itself, and by what decides its film: a worker gets a new copy of the same ink with every request. */
const filmsByInk = new WeakMap<Ink, Film>();
const filmsBySwatch = new Map<string, Film>();

/** The ink's film per coat, solved from its swatch; remembered. */
export function filmOfInk(ink: Ink): Film {
  const known = filmsByInk.get(ink);
  if (known) return known;
  const swatch = `${ink.kind} ${ink.overWhite}`;
  const film =
    filmsBySwatch.get(swatch) ??
    filmFromSwatch(reflectanceOfHex(ink.overWhite), SWATCH_GROUND, INK_KINDS[ink.kind].scattering);
  filmsByInk.set(ink, film);
  filmsBySwatch.set(swatch, film);
  return film;
}

/** Part of the wet film's strength that this ink loses by drying, 0…1. */
export const dryBackOf = (ink: Ink): number => ink.dryBack ?? INK_KINDS[ink.kind].dryBack;
