import type { RefObject } from 'react';
import { describePoint, Handle } from '../../app/Handle';
import type { Edit } from '../../app/useBench';
import type { Point } from '../../core/base/geometry';
import type { Unit } from '../../core/base/length';
import { describeParam, type ParamSpecs } from '../../core/base/params';
import { setRunParams, setShare } from '../../core/recipe/editLadder';
import { setPlacement } from '../../core/recipe/editPasses';
import { PASS_KINDS, placementsOf } from '../../core/recipe/passes/passes';
import { patchesOf } from '../../core/recipe/recipe';
import { placedPasses, type ResolvedRecipe } from '../../core/recipe/resolved';
import { RUNS } from '../../core/recipe/runs/runs';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** Handles on the panel that are no marks: a glow's centre, the one number of a frame or of each torn line, and inks in corners. */
export function PanelHandles({ resolved, unit, board, edit, onDone }: Props) {
  const { recipe, inks } = resolved;
  const { panel, run } = recipe;
  const { handle } = RUNS[run.id];
  const patches = patchesOf(recipe);
  const shared = { board, panel, onDone };
  return (
    <>
      {handle && (
        <Handle
          {...shared}
          label={handle.label}
          shape="ring"
          at={handle.at(panel, run.params)}
          description={describePoint(handle.at(panel, run.params), panel.height, unit)}
          onMove={(to) =>
            edit(
              (current) => setRunParams(current, handle.moved(panel, current.run.params, to)),
              'run handle',
            )
          }
        />
      )}
      {recipe.passes.flatMap((pass) => {
        const { enabled, id, kind } = pass;
        const { label, placements, design } = PASS_KINDS[kind];
        const params: ParamSpecs = PASS_KINDS[kind].params;
        if (!enabled || design) return [];
        const laid = placedPasses(resolved, pass);
        return placementsOf(pass).flatMap((placement, i) => {
          const grip = laid[i]?.handle;
          const spec = grip && params[grip.param];
          if (!spec) return [];
          return (
            <Handle
              key={`${id} ${placement.id}`}
              {...shared}
              label={laid.length > 1 ? `${label}, ${placements.noun} ${i + 1}` : label}
              shape="diamond"
              at={grip.at}
              description={describeParam(spec, placement.params[grip.param], unit, panel)}
              onMove={(to) =>
                edit(
                  (current) =>
                    setPlacement(current, id, placement.id, { params: { [grip.param]: grip.valueAt(to) } }),
                  `pass ${id} ${placement.id}`,
                )
              }
            />
          );
        });
      })}
      {patches?.places.map(
        (place, i) =>
          place.name && (
            <Handle
              key={place.name}
              {...shared}
              label={`${inks[place.rung]?.name} from ${place.name}`}
              shape="ring"
              at={reachPoint(place, panel, recipe.rungs[place.rung]?.share ?? 0)}
              description={`${Math.round((recipe.rungs[place.rung]?.share ?? 0) * 100)} % of the panel`}
              onMove={(to) =>
                edit((current) => setShare(current, place.rung, shareAt(place, panel, to)), `patch ${i}`)
              }
            />
          ),
      )}
    </>
  );
}

/** A corner's handle stands so far toward the middle as its ink's share is of the panel; the middle's stands above it. */
function reachPoint(
  place: Point,
  { width, height }: { width: number; height: number },
  share: number,
): Point {
  const middle = { x: width / 2, y: height / 2 };
  if (place.x === middle.x) return { x: middle.x, y: middle.y - Math.sqrt(share) * middle.y };
  const reach = Math.sqrt(share);
  return { x: place.x + (middle.x - place.x) * reach, y: place.y + (middle.y - place.y) * reach };
}

/** The inverse of `reachPoint`. */
function shareAt(place: Point, { width, height }: { width: number; height: number }, to: Point): number {
  const middle = { x: width / 2, y: height / 2 };
  const from = place.x === middle.x ? middle : place;
  const far = Math.hypot(to.x - from.x, to.y - from.y) / Math.hypot(middle.x, middle.y);
  return place.x === middle.x ? ((to.y - middle.y) / middle.y) ** 2 : far ** 2;
}
