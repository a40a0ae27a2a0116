import type { RefObject } from 'react';
import { describePoint, Handle } from '../../../app/Handle';
import type { Edit } from '../../../app/useBench';
import { endWithin, type Point, type Size } from '../../../core/base/geometry';
import { formatLength, type Unit } from '../../../core/base/length';
import { fitParams, type Params } from '../../../core/base/params';
import type { Design } from '../../../core/materials/design/design';
import { type DesignParams, ontoPanel, placingOf } from '../../../core/materials/design/placement';
import { setPlacement } from '../../../core/recipe/editPasses';
import { PASS_KINDS, type Pass, passName, placementsOf } from '../../../core/recipe/passes/passes';
import { IMAGE_PARAMS } from '../../../core/recipe/passes/placed';
import { designOf, type ResolvedRecipe } from '../../../core/recipe/resolved';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly pass: Pass;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** Handles of the pass in hand: each placement is moved by its middle, turned at its top, drawn larger at a corner. */
export function PassHandles({ resolved, pass, unit, board, edit, onDone }: Props) {
  const { panel } = resolved.recipe;
  const { noun } = PASS_KINDS[pass.kind].placements;
  const placements = placementsOf(pass);
  const label = passName(resolved.recipe.passes, pass);
  const design = designOf(resolved, pass);
  return placements.flatMap(({ id, params }, i) => {
    const { x, y } = params;
    if (typeof x !== 'number' || typeof y !== 'number') return [];
    const name = placements.length > 1 ? `${label}, ${noun} ${i + 1}` : label;
    const change = (what: string, next: Params) =>
      edit((recipe) => setPlacement(recipe, pass.id, id, { params: next }), `${pass.id} ${id} ${what}`);
    const middle = { x, y };
    const shared = { board, panel, onDone };
    return [
      <Handle
        key={name}
        {...shared}
        label={name}
        shape="ring"
        at={middle}
        description={describePoint(middle, panel.height, unit)}
        onMove={(to) => change('move', { x: to.x, y: to.y })}
      />,
      ...(design ? designHandles(design, fitParams(IMAGE_PARAMS, params, panel), panel) : []).map(
        ({ key, at, description, shape, moved }) => (
          <Handle
            key={`${name} ${key}`}
            {...shared}
            label={`${name}, ${key}`}
            shape={shape}
            at={at}
            description={description(unit)}
            onMove={(to) => change(key, moved(to))}
          />
        ),
      ),
    ];
  });
}

interface DesignHandle {
  readonly key: 'turn' | 'size';
  readonly at: Point;
  readonly shape: 'ring' | 'diamond';
  readonly description: (unit: Unit) => string;
  readonly moved: (to: Point) => Params;
}

/** Turned at the middle of its top, or where the way there leaves the panel; made larger at the lower right corner. */
function designHandles(design: Design, params: DesignParams, panel: Size): DesignHandle[] {
  const placing = placingOf(design, params);
  const { middle, turn, scale, flip } = placing;
  const corner = { x: flip ? 0 : design.width, y: design.height };
  return [
    {
      key: 'turn',
      shape: 'diamond',
      at: endWithin(middle, ontoPanel(design, placing, { x: design.width / 2, y: 0 }), panel),
      description: () => `${Math.round(turn)}°`,
      moved: ({ x, y }) => {
        const angle = (Math.atan2(x - middle.x, middle.y - y) * 180) / Math.PI;
        return { turn: Math.round(angle) };
      },
    },
    {
      key: 'size',
      shape: 'diamond',
      at: ontoPanel(design, placing, corner),
      description: (unit) => `${formatLength(design.width * scale, unit)} wide`,
      moved: ({ x, y }) => {
        const far = Math.hypot(x - middle.x, y - middle.y);
        const own = Math.hypot(design.width, design.height) / 2;
        return { width: Math.round(((2 * far * design.width) / (2 * own)) * 2) / 2 };
      },
    },
  ];
}
