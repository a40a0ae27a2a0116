import { param } from '../../base/params';
import { asPigment } from '../../materials/ink/ink';
import { DRY, type FilmEffect } from './effects';
import type { PassKind } from './passes';

/** White pigment over the whole panel before the blend, for card on which colour sinks. */
export const whiteBase: PassKind = {
  id: 'whiteBase',
  label: 'White base',
  explains: 'White pigment over the whole panel, dried before the blend: colour shows on dark card.',
  stage: 'under',
  ink: 'white',
  placements: { most: 1, noun: 'base' },
  params: [
    { key: 'coats', label: 'Coats', choices: ['one', 'two'], initial: () => 0 },
    { key: 'dried', label: 'Before the blend', choices: ['left wet', 'dried'], initial: () => 1 },
  ],
  dries: false,
  on: ({ params, ink }) => {
    const film: FilmEffect = { does: 'film', ...(ink ? { ink: asPigment(ink) } : {}), coverAt: () => 1 };
    return {
      borders: [],
      effects: [
        film,
        ...(param(params, 'coats', 0) === 1 ? [DRY, film] : []),
        ...(param(params, 'dried', 1) === 1 ? [DRY] : []),
      ],
      traces: [],
    };
  },
  steps: ([scene]) => {
    const params = scene?.params ?? {};
    const two = param(params, 'coats', 0) === 1;
    const lay = {
      title: 'White base',
      work: 'White pigment over the whole panel, from edge to edge.',
      care: ['A brush kept for white only. Expect pastel colours over it.'],
      minutes: 2.5,
    };
    const dry = (minutes: number) => ({
      title: 'Dry the white',
      work: 'In air, or with a heat tool, face then back, until it is no longer cool to the touch.',
      care: ['Laid on it wet, colour pushes the white about and sinks.'],
      minutes,
      waits: true,
      dangers: ['heat'] as const,
    });
    return [
      lay,
      ...(two ? [dry(30), { ...lay, title: 'White base, second coat' }] : []),
      ...(param(params, 'dried', 1) === 1 ? [dry(60)] : []),
    ];
  },
};
