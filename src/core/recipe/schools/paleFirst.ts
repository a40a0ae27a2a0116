import { byLightness, isYellow, type LaidRung, type School } from './definition';

/** The pale brush stays clean; yellow always first. Common practice. */
export const paleFirst = {
  id: 'paleFirst',
  label: 'Pale first',
  reason: 'The pale brush stays clean; yellow before all others, since everything is blended over onto it.',
  brews: false,
  joinsWait: false,
  order: (rungs: readonly LaidRung[]) => {
    const order = byLightness(rungs);
    const yellow = order.filter((i) => rungs[i] !== undefined && isYellow(rungs[i]));
    return [...yellow, ...order.filter((i) => !yellow.includes(i))];
  },
} as const satisfies School;
