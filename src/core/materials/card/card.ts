import type { Hex } from '../colour/hex';
import type { Spectrum } from '../colour/spectrum';
import { reflectanceOfHex } from '../ink/reflectance';
import type { FinishId } from './finishes';

/** A cardstock on the shelf. */
export interface Card {
  readonly id: string;
  readonly name: string;
  readonly colour: Hex;
  readonly finish: FinishId;
  /** Weight in g/m². */
  readonly grammage: number;
  /** Size of a whole sheet in mm. */
  readonly sheet?: { readonly width: number; readonly height: number };
  /** Whole sheets in the drawer. */
  readonly stock?: number;
  readonly note?: string;
}

/** Lightest and heaviest card, g/m²; shortest and longest side of a sheet, mm; whole sheets; letters of a note. */
export const CARD_LIMITS = {
  grammage: { min: 40, max: 1200 },
  sheet: { min: 50, max: 1200 },
  stock: { min: 0, max: 100_000 },
  note: 2000,
} as const;

/** Reflectance of the bare card, 0…1 per band. */
export const groundOfCard = (card: Card): Spectrum => reflectanceOfHex(card.colour);
