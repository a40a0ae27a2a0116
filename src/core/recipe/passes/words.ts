import type { Size } from '../../base/geometry';
import { formatLength, type Millimetres, type Unit } from '../../base/length';
import type { Design } from '../../materials/design/design';
import type { PassDeed } from './definition';
import type { Placed } from './placed';

/** "42 mm from the left, 60 mm from the foot". */
export const describePlace = (x: Millimetres, y: Millimetres, panel: Size, unit: Unit): string =>
  `${formatLength(x, unit)} from the left, ${formatLength(panel.height - y, unit)} from the foot`;

interface PlacedOnPanel extends Placed {
  readonly panel: Size;
}

/** A placed design: "Glaze drips, 80 mm wide, its middle 42 mm from the left, 60 mm from the foot, turned 15°". */
export function describePlaced({ design, params, panel }: PlacedOnPanel, unit: Unit): string {
  if (!design) return 'All over';
  const turn = Math.round(params.turn);
  const gap = params.gap ?? 0;
  return [
    `${design.name}, ${formatLength(params.width, unit)} wide`,
    `its middle ${describePlace(params.x, params.y, panel, unit)}`,
    ...(turn === 0 ? [] : [`turned ${Math.abs(turn)}° ${turn > 0 ? 'clockwise' : 'the other way'}`]),
    ...(params.flip === 'yes' ? ['flipped over'] : []),
    ...(params.repeat === 'tiles'
      ? [
          gap > 0
            ? `moved on and repeated ${formatLength(gap, unit)} apart`
            : 'moved on and repeated edge to edge',
        ]
      : []),
  ].join(', ');
}

/** The stamp or the stencil that placements are made with, as it is laid out: there is one of it. */
const toolOf =
  (noun: string) =>
  (contexts: readonly { readonly design?: Design }[]): string[] => [
    ...new Set(contexts.flatMap(({ design }) => (design ? [`${noun}: ${design.name}`] : []))),
  ];
export const stampsOf = toolOf('stamp');
export const stencilsOf = toolOf('stencil');
export const isOneOfAKind = (thing: string): boolean => /^(stamp|stencil): /.test(thing);

/** A placing that may lie over the one before it: that has to have gone matt first. */
export const layAgain = (place: number, deed: 'lay' | 'stamp' = 'lay'): readonly PassDeed[] =>
  place === 0 ? [deed] : ['dry', deed];
export const waitFor = (place: number): readonly string[] =>
  place === 0 ? [] : ['Only once the one before has gone matt.'];

/** All placements of a pass, numbered where there are several. */
export const describeAllPlaced = (contexts: readonly PlacedOnPanel[], unit: Unit): string =>
  contexts.length === 1
    ? contexts.map((context) => describePlaced(context, unit)).join('')
    : contexts.map((context, i) => `(${i + 1}) ${describePlaced(context, unit)}`).join('; ');
