import { choice } from '../../base/params';
import { definePass } from './definition';
import { CLEAR_POWDER } from './embossing';
import { IMAGE_PARAMS, placed } from './placed';
import { STAMPED } from './surface';
import { describeAllPlaced, stampsOf } from './words';

/** In how many light layers it is printed. */
const LAYERS = { two: 'two', three: 'three' } as const;
const PRINTS = { two: 2, three: 3 } as const;
/** An ink goes lightly over its part of the rubber once more in so many minutes; from memory. */
const INKED_AGAIN = 1;

/** The ladder blended on a large stamp instead of on the card, and printed: the card stays bare between its lines. */
export const backgroundStamp = definePass({
  id: 'backgroundStamp',
  label: 'Background stamp',
  description:
    'The ladder is blended on a large background stamp and printed in light layers; the card stays bare between its lines.',
  stage: 'under',
  design: { use: 'image', starts: 'crackle' },
  placements: { max: 1, noun: 'stamp' },
  params: {
    ...IMAGE_PARAMS,
    layers: choice('Printed in layers', LAYERS, 'two'),
    emboss: choice('Clear-embossed after', { no: 'no', yes: 'yes' }, 'yes'),
  },
  needsDry: true,
  printsLadder: true,
  finestLine: 0.2,
  layOn: (context) => ({
    ...placed(context),
    surface: [STAMPED],
    effects: [
      { kind: 'dry' },
      {
        kind: 'guard',
        coverAt: (_x, _y, inside) => (context.design && !inside(0) ? 1 : 0),
        keepsOff: () => 1,
        lasts: 'until dry',
      },
    ],
  }),
  steps: (contexts, unit) =>
    contexts.map(({ params }) => ({
      title: 'Background stamp',
      work: `${describeAllPlaced(contexts, unit)}, rubber up beside the panel; the positioner set so that it prints there each time. All inks of the blend go on the rubber, to the same marks.`,
      care: [
        `Blend lightly and print, ${LAYERS[params.layers]} times over, rather than once heavily; or pad straight to the rubber, and blend that out.`,
      ],
      minutes: 2,
      once: true,
      does: ['cover'],
      needs: [...stampsOf(contexts), 'stamp positioner'],
    })),
  takes: ({ emboss }) => (emboss === 'yes' ? CLEAR_POWDER : undefined),
  later: (contexts) =>
    contexts.flatMap(({ params }) => [
      {
        when: 'blended' as const,
        step: {
          title: 'Print it',
          work: `Close the positioner, press all over, lift; ink the rubber again in the same order and print once more, ${LAYERS[params.layers]} layers in all.`,
          care: ['Breathe on the rubber first where it has gone matt.'],
          minutes: 0.5 * PRINTS[params.layers],
          inksAgain: { times: PRINTS[params.layers] - 1, minutesAnInk: INKED_AGAIN },
          does: ['uncover'] as const,
          whileWet: true as const,
          needs: stampsOf(contexts),
        },
      },
      ...(params.emboss === 'yes'
        ? [
            {
              when: 'dry' as const,
              step: {
                title: 'Clear-emboss the print',
                work: 'The rubber wiped clean and dried where it is: once more in clear embossing ink; clear powder, heat until it melts, and let it cool.',
                care: ['The white between the lines can then not smear.'],
                minutes: 4.5,
                does: ['melt', 'cool'] as const,
                needs: [
                  ...stampsOf(contexts),
                  'damp cloth',
                  'clear embossing ink',
                  'clear embossing powder',
                  'anti-static pouch',
                  'heat tool',
                ],
                dangers: ['heat', 'powder'] as const,
              },
            },
          ]
        : []),
    ]),
});
