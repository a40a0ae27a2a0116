import { formatLength, type Millimetres, type Unit } from '../../base/length';
import { param } from '../../base/params';
import type { Panel } from '../panel';
import type { Scene } from './passes';

/** "42 mm from the left, 60 mm from the foot". */
export const tellPlace = (x: Millimetres, y: Millimetres, panel: Panel, unit: Unit): string =>
  `${formatLength(x, unit)} from the left, ${formatLength(panel.height - y, unit)} from the foot`;

/** A placed design: "Glaze drips, 80 mm wide, its middle 42 mm from the left, 60 mm from the foot, turned 15°". */
export function tellPlaced({ design, params, panel }: Scene, unit: Unit): string {
  if (!design) return 'All over';
  const turn = Math.round(param(params, 'turn', 0));
  const repeated = param(params, 'repeat', 0) === 1;
  const gap = param(params, 'gap', 0);
  return [
    `${design.name}, ${formatLength(param(params, 'width', design.width), unit)} wide`,
    `its middle ${tellPlace(param(params, 'x', 0), param(params, 'y', 0), panel, unit)}`,
    ...(turn === 0 ? [] : [`turned ${Math.abs(turn)}° ${turn > 0 ? 'clockwise' : 'the other way'}`]),
    ...(param(params, 'flip', 0) === 1 ? ['flipped over'] : []),
    ...(repeated
      ? [
          gap > 0
            ? `moved on and repeated ${formatLength(gap, unit)} apart`
            : 'moved on and repeated edge to edge',
        ]
      : []),
  ].join(', ');
}

/** All placements of a pass, numbered where there are several. */
export const tellAllPlaced = (scenes: readonly Scene[], unit: Unit): string =>
  scenes.length === 1
    ? scenes.map((scene) => tellPlaced(scene, unit)).join('')
    : scenes.map((scene, i) => `(${i + 1}) ${tellPlaced(scene, unit)}`).join('; ');

export const percent = (value: number): string => `${Math.round(value)} %`;
