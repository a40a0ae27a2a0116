import type { LaidRung, School } from './definition';

/** Two solid ends, then what lies between, outermost first. Common practice. */
export const bothEnds = {
  id: 'bothEnds',
  label: 'Both ends, then the middle',
  reason: 'Two solid ends stay pure; what lies between is laid last and worked into both.',
  brews: true,
  joinsWait: true,
  order: (rungs: readonly LaidRung[]) => {
    const order: number[] = [];
    for (let low = 0, high = rungs.length - 1; low <= high; low++, high--) {
      const paler = (rungs[low]?.lab.l ?? 0) >= (rungs[high]?.lab.l ?? 0) ? [low, high] : [high, low];
      order.push(...new Set(paler));
    }
    return order;
  },
} as const satisfies School;
