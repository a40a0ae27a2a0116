import type { PassStep, Taken } from './definition';

/** What embossing takes, beside the stamp. Common practice. */
export const EMBOSSING = [
  'clear embossing ink',
  'clear embossing powder',
  'anti-static pouch',
  'small dry brush for stray grains',
  'heat tool',
  'tweezers',
] as const;

/** Melted powder cools in a minute; common practice. */
export const COOLING: PassStep = {
  title: 'Cool',
  work: 'Flat, until the design is no longer warm to the touch.',
  care: ['Ink sticks to powder that is still warm.'],
  minutes: 1,
  waits: 'air',
  noHeat: true,
  does: ['cool'],
};

/** What lies on a melted design is taken off it again. */
export const BUFFING: PassStep = {
  title: 'Buff the resist',
  work: 'A soft dry cloth over the design in small circles, until it shines clean.',
  care: ['Turn the cloth to a clean part each time; do not press.'],
  minutes: 0.75,
  does: ['buff'],
  needs: ['soft dry cloth'],
};

/** A coat of powder that melts to a film of about a tenth of a millimetre; from memory. */
export const CLEAR_POWDER: Taken = { thing: 'clear embossing powder', unit: 'g', perSquareMetre: 120 };
