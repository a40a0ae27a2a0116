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

/** Lightest and heaviest card, g/m². */
export const GRAMMAGE_LIMITS = { least: 40, most: 1200 } as const;
/** Shortest and longest side of a sheet, mm. */
export const SHEET_LIMITS = { least: 50, most: 1200 } as const;

/** Reflectance of the bare card, 0…1 per band. */
export const groundOfCard = (card: Card): Spectrum => reflectanceOfHex(card.colour);
