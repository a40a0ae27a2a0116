import { deltaE00 } from '../materials/colour/difference';
import { chroma, type Lab } from '../materials/colour/lab';

/** Whether an ink, dried, can be told from the card under it. */
export type Presence = 'shows' | 'soft' | 'vanishes';

/**
 * CIEDE2000 from the bare card below which an ink is lost on it. In the dark and on kraft, where CIEDE2000 counts more than
 * is seen, it is twice what it is on white: there a grey or a blush that is barely pale is still seen, though softly.
 */
const LOST = { dark: 12, white: 6 } as const;
/** Cards as dark as this, and as light, L*. */
const DARK = 65;
const WHITE = 90;
/** CIEDE2000 from the bare card below which an ink is only a tint of it. */
const SOFT = 18;
/**
 * Livelier than its card by so much, C*, an ink is a tint of it at least: a mustard on kraft, which CIEDE2000, made for small
 * differences, brings near.
 */
const LIVELIER = 20;
/** What is lost is worth half at most. */
const LOST_WORTH = 0.5;

const lostBelow = ({ l }: Lab): number => {
  const whiteness = Math.min(Math.max((l - DARK) / (WHITE - DARK), 0), 1);
  return LOST.dark + whiteness * (LOST.white - LOST.dark);
};

/**
 * Presence of an ink from its colour as it dries, and that of the bare card. Thresholds by eye, so that on black dyes are
 * lost, hybrids are soft or show, and pigments show.
 */
export function presenceOf(dried: Lab, bare: Lab): Presence {
  const fromCard = deltaE00(dried, bare);
  if (fromCard >= SOFT) return 'shows';
  return fromCard < lostBelow(bare) && chroma(dried) - chroma(bare) < LIVELIER ? 'vanishes' : 'soft';
}

/** What an ink is worth on its card, 0…1: the whole, unless it is lost there. */
export const worthOnCard = (dried: Lab, bare: Lab): number =>
  presenceOf(dried, bare) === 'vanishes' ? (LOST_WORTH * deltaE00(dried, bare)) / lostBelow(bare) : 1;
