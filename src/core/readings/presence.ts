import { deltaE00 } from '../materials/colour/difference';
import { chroma, type Lab } from '../materials/colour/lab';

/** Whether an ink, dried, can be told from the card under it. */
export type Presence = 'shows' | 'soft' | 'vanishes';

/** CIEDE2000 from the bare card below which an ink is lost on it, and below which it is only a tint of it. */
const LOST = 12;
const SOFT = 18;
/**
 * Livelier than its card by so much, C*, an ink is a tint of it at least: a mustard on kraft, which CIEDE2000, made for small
 * differences, brings near.
 */
const LIVELIER = 20;
/** What is lost is worth half at most. */
const LOST_WORTH = 0.5;

/**
 * Presence of an ink from its colour as it dries, and that of the bare card. Thresholds by eye, so that on black dyes are
 * lost, hybrids are soft or show, and pigments show.
 */
export function presenceOf(dried: Lab, bare: Lab): Presence {
  const fromCard = deltaE00(dried, bare);
  if (fromCard >= SOFT) return 'shows';
  return fromCard < LOST && chroma(dried) - chroma(bare) < LIVELIER ? 'vanishes' : 'soft';
}

/** What an ink is worth on its card, 0…1: the whole, unless it is lost there. */
export const worthOnCard = (dried: Lab, bare: Lab): number =>
  presenceOf(dried, bare) === 'vanishes' ? (LOST_WORTH * deltaE00(dried, bare)) / LOST : 1;
