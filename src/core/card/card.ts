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
}

/** Reflectance of the bare card, 0…1 per band. */
export const groundOfCard = (card: Card): Spectrum => reflectanceOfHex(card.colour);
