import type { PassStep } from './definition';

/** Part of what water can take that has been taken after so many seconds; the pace is by eye, from common practice. */
export const takenAfter = (seconds: number): number => 1 - Math.exp(-seconds / 18);

/** A wetted panel dries before anything else touches it; the heat tool takes as long as for ink. Common practice. */
export const DRY_AFTER_WATER: PassStep = {
  title: 'Dry the panel',
  work: 'Face first, then the back, until it is no longer cool to the touch.',
  care: ['Dry your hands before you take the heat tool. Both sides, or the panel warps.'],
  minutes: 1.5,
  waits: 'heat',
  does: ['dry'],
  needs: ['heat tool'],
  dangers: ['heat'],
};

/** A bloom only forms where the drops dry by themselves, in minutes. Common practice. */
export const DRY_BY_ITSELF: PassStep = {
  title: 'Let the drops dry',
  work: 'Flat, in air, until the card is no longer cool to the touch; the bloom forms meanwhile.',
  care: ['No heat tool: it would drive the drops about.'],
  minutes: 15,
  waits: 'air',
  noHeat: true,
  does: ['dry'],
};
