import type { PanelEvidence } from '../src/core/keep/learn/evidence';
import { lessonsOf } from '../src/core/keep/learn/lessons';
import { flatSpectrum } from '../src/core/materials/colour/spectrum';
import { type HiddenInk, hiddenColour, hiddenInks } from '../src/testing/hiddenInks';
import { learnTrial, type TrialPlan } from '../src/testing/learnTrial';
import { medianTime, quantile, type Row, row } from './row';

const SEEDS = 10;
const KINDS = ['modes', 'peaks', 'edges'] as const;

/** What is fed back, and the medians that were found before on other hidden inks. */
const PLANS: readonly (Pick<TrialPlan, 'panelsAnInk' | 'noise' | 'misread'> & {
  readonly name: string;
  readonly before: number;
})[] = [
  { name: '1-panel', panelsAnInk: 1, noise: 0.5, before: 1.07 },
  { name: '3-panels', panelsAnInk: 3, noise: 0.5, before: 0.56 },
  { name: '5-panels', panelsAnInk: 5, noise: 0.5, before: 0.4 },
  { name: '3-panels-misread', panelsAnInk: 3, noise: 0.5, misread: 0.1, before: 0.58 },
  { name: '1-panel-photo', panelsAnInk: 1, noise: 2, before: 1.69 },
  { name: '3-panels-photo', panelsAnInk: 3, noise: 2, before: 1.0 },
  { name: '5-panels-photo', panelsAnInk: 5, noise: 2, before: 0.79 },
  { name: '3-panels-photo-misread', panelsAnInk: 3, noise: 2, misread: 0.1, before: 1.1 },
];

/** How near joints that were never logged are told, on three generators of hidden inks; and how long learning takes. */
export function measure(): Row[] {
  const rows = KINDS.flatMap((kind) => [
    ...PLANS.flatMap(({ name, before, ...plan }, i): Row[] => {
      const runs = Array.from({ length: SEEDS }, (_, seed) => learnTrial({ ...plan, kind, seed: seed + 1 }));
      const after = runs.flatMap((run) => run.after);
      const held = runs.flatMap((run) => run.held);
      const untaught = runs.flatMap((run) => run.before);
      return [
        ...(i === 0
          ? [
              row(`learn-${kind}-nothing`, quantile(untaught, 0.5), 'ΔE00', null),
              row(`learn-${kind}-nothing-p90`, quantile(untaught, 0.9), 'ΔE00', null),
            ]
          : []),
        row(`learn-${kind}-${name}`, quantile(after, 0.5), 'ΔE00', null, {
          peer: 'prototype',
          value: before,
        }),
        row(`learn-${kind}-${name}-p90`, quantile(after, 0.9), 'ΔE00', null),
        row(`learn-${kind}-${name}-held`, (100 * held.filter(Boolean).length) / held.length, '%', null),
      ];
    }),
  ]);
  return [...rows, ...times()];
}

/** Learning from the first panel, and anew from a long log. */
export function times(): Row[] {
  const three = hiddenInks('peaks', 3, 5);
  const one = [panelOf(three)];
  const log = logOf(200);
  return [
    row(
      'learn-one-panel',
      medianTime(() => void lessonsOf(one, new Date(0))),
      'ms',
      100,
    ),
    row(
      'learn-40x200',
      medianTime(() => void lessonsOf(log, new Date(0)), 3),
      'ms',
      5000,
    ),
  ];
}

/** A log of so many panels, each of three out of forty inks. */
export function logOf(panels: number): PanelEvidence[] {
  const many = hiddenInks('peaks', 40, 5);
  return Array.from({ length: panels }, (_, p) =>
    panelOf([0, 1, 2].map((i) => many[(p * 7 + i * (11 + Math.floor(p / 40))) % 40] as HiddenInk)),
  );
}

const CARD = flatSpectrum(0.9);

/** Five readings of a ladder of three. */
function panelOf(inks: readonly HiddenInk[]): PanelEvidence {
  const places = [[1], [0.5, 0.5], [0, 1], [0, 0.5, 0.5], [0, 0, 1]];
  const readings = places.map((parts) => {
    const laid = parts.flatMap((coats, i) => (coats > 0 ? [{ ...(inks[i] as HiddenInk), coats }] : []));
    return {
      layers: [laid.map(({ ink, coats }) => ({ ink, coats }))],
      ground: CARD,
      lab: hiddenColour(laid, CARD),
      noise: 0.5,
    };
  });
  return { readings };
}
