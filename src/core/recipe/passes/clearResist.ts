import { param } from '../../base/params';
import { INK_KINDS } from '../../materials/ink/kinds';
import type { PassKind } from './passes';
import { guardedBy, IMAGE_PARAMS } from './placed';
import { tellAllPlaced } from './words';

/** Long enough for melted powder to cool, minutes; common practice. */
const COOL_MINUTES = 1;

/** A design clear-embossed on the dried blend: what is laid over it later is wiped off the design. */
export const clearResist: PassKind = {
  id: 'clearResist',
  label: 'Clear resist',
  explains:
    'A design clear-embossed on the dried blend: the blend shows as the design through a dark top coat.',
  stage: 'over',
  design: { use: 'image', starts: 'reeds' },
  placements: { most: 6, noun: 'impression' },
  params: [
    ...IMAGE_PARAMS,
    { key: 'cool', label: 'Cools', choices: ['not at all', 'for a minute'], initial: () => 1 },
  ],
  dries: true,
  on: (scene) => guardedBy(scene, { keepsOff: (kind) => 1 - INK_KINDS[kind].clings, lasts: 'for good' }),
  steps: (scenes, unit) => {
    const cools = scenes.every(({ params }) => param(params, 'cool', 1) === 1);
    return [
      {
        title: 'Emboss the resist',
        work: `Anti-static pouch. ${tellAllPlaced(scenes, unit)}, in clear embossing ink. Clear powder, tap off, heat until it melts.`,
        care: ['Brush off stray grains before the heat: each one keeps its own speck.'],
        minutes: 3.5,
        dangers: ['heat', 'powder'],
      },
      ...(cools
        ? [
            {
              title: 'Cool',
              work: 'Flat, until the design is no longer warm to the touch.',
              care: ['Ink sticks to powder that is still warm.'],
              minutes: COOL_MINUTES,
              waits: true,
            },
          ]
        : []),
    ];
  },
};
