import { byLightness, type LaidRung, type School } from './definition';

/** For a glow: the middle first, then outward. Common practice. */
export const middleOut = {
  id: 'middleOut',
  label: 'Middle out',
  reason: 'The middle first, while all round it is clean; then outward, ring by ring, the dark last.',
  brews: false,
  joinsWait: true,
  // The palest end of a glow is its middle; a ladder that is palest inside starts there.
  order: (rungs: readonly LaidRung[]) => {
    const palest = byLightness(rungs)[0] ?? 0;
    return rungs.map((_, i) => i).sort((p, q) => Math.abs(p - palest) - Math.abs(q - palest) || q - p);
  },
} as const satisfies School;
