import { choice } from '../../base/params';
import { asPigment, type Ink } from '../../materials/ink/ink';
import { INK_KINDS } from '../../materials/ink/kinds';
import { definePass, type PassStep } from './definition';
import { DRY, type FilmEffect } from './effects';

const lay = (ink: Ink | undefined, again: boolean): PassStep => ({
  title: again ? 'White base, second coat' : 'White base',
  work: 'Over the whole panel, from edge to edge.',
  care: [
    `${ink && INK_KINDS[ink.kind].brushSet === 'white only' ? 'A brush kept for white only. ' : ''}Expect pastel colours over it.`,
  ],
  minutes: 2.5,
});
/** Minutes in air until a second coat, and until colour, may lie on it: pigment dries slowly. Common practice. */
const DRY_MINUTES = { betweenCoats: 30, beforeBlend: 60 } as const;

const dryFor = (minutes: number, why: string): PassStep => ({
  title: 'Dry the white',
  work: 'In air, or with a heat tool, face then back, until it is no longer cool to the touch.',
  care: [why],
  minutes,
  waits: 'air',
  needs: ['heat tool'],
  dangers: ['heat'],
});

/** White pigment over the whole panel before the blend, for card on which colour sinks. */
export const whiteBase = definePass({
  id: 'whiteBase',
  label: 'White base',
  description: 'White pigment over the whole panel, dried before the blend: colour shows on dark card.',
  stage: 'under',
  ink: 'white',
  placements: { max: 1, noun: 'base' },
  params: {
    coats: choice('Coats', { one: 'one', two: 'two' }, 'one'),
    dried: choice('Before the blend', { wet: 'left wet', dried: 'dried' }, 'dried'),
  },
  needsDry: false,
  isBase: true,
  layOn: ({ params, ink }) => {
    const film: FilmEffect = { kind: 'film', ...(ink ? { ink: asPigment(ink) } : {}), coverAt: () => 1 };
    return {
      borders: [],
      effects: [
        film,
        ...(params.coats === 'two' ? [DRY, film] : []),
        ...(params.dried === 'dried' ? [DRY] : []),
      ],
      traces: [],
    };
  },
  steps: (contexts) =>
    contexts.flatMap(({ params, ink }) => [
      lay(ink, false),
      ...(params.coats === 'two'
        ? [dryFor(DRY_MINUTES.betweenCoats, 'A second coat rubs a wet first one off again.'), lay(ink, true)]
        : []),
      ...(params.dried === 'dried'
        ? [dryFor(DRY_MINUTES.beforeBlend, 'Laid on it wet, colour pushes the white about and sinks.')]
        : []),
    ]),
});
