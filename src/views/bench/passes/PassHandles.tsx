import type { RefObject } from 'react';
import { Handle, tellPoint } from '../../../app/Handle';
import type { Edit } from '../../../app/useBench';
import { formatLength, type Unit } from '../../../core/base/length';
import type { Params } from '../../../core/base/params';
import { designOf } from '../../../core/engine/layers';
import type { Design } from '../../../core/materials/design/design';
import { ontoPanel, placingOf } from '../../../core/materials/design/placement';
import { setPlacement } from '../../../core/recipe/editPasses';
import { PASS_KINDS, type Pass, passName } from '../../../core/recipe/passes/passes';
import type { Kit } from '../../../core/recipe/recipe';
import type { Point } from '../../../core/recipe/runs/runs';

interface Props {
  readonly kit: Kit;
  readonly pass: Pass;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** Handles of the pass in hand: each placement is moved by its middle, turned at its top, drawn larger at a corner. */
export function PassHandles({ kit, pass, unit, board, edit, onDone }: Props) {
  const { panel } = kit.recipe;
  const { placements } = PASS_KINDS[pass.kind];
  const label = passName(kit.recipe.passes, pass);
  const design = designOf(kit, pass);
  return pass.placements.flatMap(({ params }, i) => {
    if (params.x === undefined || params.y === undefined) return [];
    const name = pass.placements.length > 1 ? `${label}, ${placements.noun} ${i + 1}` : label;
    const change = (what: string, next: Params) =>
      edit((recipe) => setPlacement(recipe, pass.id, i, { params: next }), `${pass.id} ${i} ${what}`);
    const middle = { x: params.x, y: params.y };
    const shared = { board, panel, onDone };
    return [
      <Handle
        {...shared}
        key={name}
        label={name}
        shape="ring"
        at={middle}
        told={tellPoint(middle, panel.height, unit)}
        onMove={({ x, y }) => change('move', { x, y })}
      />,
      ...(design ? designHandles(design, params) : []).map(({ key, at, told, shape, moved }) => (
        <Handle
          {...shared}
          key={`${name} ${key}`}
          label={`${name}, ${key}`}
          shape={shape}
          at={at}
          told={told(unit)}
          onMove={(to) => change(key, moved(to))}
        />
      )),
    ];
  });
}

interface DesignHandle {
  readonly key: 'turn' | 'size';
  readonly at: Point;
  readonly shape: 'ring' | 'diamond';
  readonly told: (unit: Unit) => string;
  readonly moved: (to: Point) => Params;
}

/** Turned at the middle of its top, made larger at the lower right corner. */
function designHandles(design: Design, params: Params): DesignHandle[] {
  const placing = placingOf(design, params);
  const { middle, turn, scale, flip } = placing;
  const corner = { x: flip ? 0 : design.width, y: design.height };
  return [
    {
      key: 'turn',
      shape: 'diamond',
      at: ontoPanel(design, placing, { x: design.width / 2, y: 0 }),
      told: () => `${Math.round(turn)}°`,
      moved: ({ x, y }) => {
        const angle = (Math.atan2(x - middle.x, middle.y - y) * 180) / Math.PI;
        return { turn: Math.round(angle) };
      },
    },
    {
      key: 'size',
      shape: 'diamond',
      at: ontoPanel(design, placing, corner),
      told: (unit) => `${formatLength(design.width * scale, unit)} wide`,
      moved: ({ x, y }) => {
        const far = Math.hypot(x - middle.x, y - middle.y);
        const own = Math.hypot(design.width, design.height) / 2;
        return { width: Math.round(((2 * far * design.width) / (2 * own)) * 2) / 2 };
      },
    },
  ];
}
