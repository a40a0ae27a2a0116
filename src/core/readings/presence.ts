/** Whether an ink, dried, can be told from the card under it. */
export type Presence = 'shows' | 'soft' | 'vanishes';

/** CIEDE2000 from the bare card below which an ink is lost on it, and below which it is only a tint of it. */
const LOST = 12;
const SOFT = 18;

/** Presence from the CIEDE2000 between ink and bare card. Thresholds chosen by eye, so that on black dyes are lost, hybrids are soft or show, and pigments show. */
export const presenceOf = (fromCard: number): Presence =>
  fromCard < LOST ? 'vanishes' : fromCard < SOFT ? 'soft' : 'shows';
