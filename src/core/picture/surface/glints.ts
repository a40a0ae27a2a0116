import { memo } from '../../base/memo';
import { INK_KINDS, type InkKindId } from '../../materials/ink/kinds';
import { A_LIGHT } from './tiles';
import { TOOTH_LIGHT } from './tooth';

/** Which slopes of a card's tooth send the lamp to the eye, in deviations of all there are: few, and never all at once. */
const MIRRORS = { at: 2.8, spread: 0.3 } as const;
/** How brightly what stays open longest shines on the roughest card, 8-bit signal; for how long, min; how rough. By eye. */
const BRIGHTEST = { signal: 110, open: 10, slope: 0.3 } as const;

/**
 * How brightly a wet film on the tooth of a card mirrors the lamp, by the byte of the light there and 128 more (8-bit
 * signal). What stays open long lies on the card and shines; dye is drawn in within two minutes and hardly does.
 *
 * @param wets    how much wetter than a brush's the tool leaves the card (`Tool.wets`)
 * @param spread  deviation of the light as the picture's pixels show it, in bytes
 */
export const glintsOf = memo(12, (ink: InkKindId, wets: number, spread: number): Uint8Array => {
  const lies = Math.min(Math.sqrt((wets * INK_KINDS[ink].openMinutes) / BRIGHTEST.open), 1);
  const rough = Math.min(spread / (A_LIGHT * TOOTH_LIGHT) / BRIGHTEST.slope, 1);
  return Uint8Array.from({ length: 256 }, (_, byte) => {
    const off = ((byte - 128) / spread - MIRRORS.at) / MIRRORS.spread;
    return Math.round(BRIGHTEST.signal * lies * rough * Math.exp(-(off * off) / 2));
  });
});
