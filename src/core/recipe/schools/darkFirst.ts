import { byLightness, type LaidRung, type School } from './definition';

/** Set the depth, then drag it out toward the pale end. Common practice. */
export const darkFirst = {
  id: 'darkFirst',
  label: 'Dark first',
  reason:
    'Sets the depth at once; the dark is then dragged out toward the pale end on less and less pressure.',
  fading: 'Drag it out toward the pale end on less and less pressure, no new ink.',
  brews: false,
  joinsWait: false,
  order: (rungs: readonly LaidRung[]) => byLightness(rungs).toReversed(),
} as const satisfies School;
