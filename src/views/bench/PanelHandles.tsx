import { type KeyboardEvent, type RefObject, useRef } from 'react';
import { setOver, setRunParams, setShare } from '../../core/ladder/edit';
import { type Kit, patchesOf } from '../../core/ladder/recipe';
import { OVERS } from '../../core/over/over';
import { formatLength, type Unit } from '../../core/panel/measure';
import { type Point, RUNS } from '../../core/run/run';
import { pointOn } from './pointOn';
import type { Edit } from './useBench';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** Handles on the panel that are no marks: a glow's centre, what lies over the ladder, and inks in corners. */
export function PanelHandles({ kit, unit, board, edit, onDone }: Props) {
  const { recipe, inks } = kit;
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
          told={tellPoint(handle.at(panel, run.params), panel.height, unit)}
          onMove={(to) =>
            edit(
              (current) => setRunParams(current, handle.moved(panel, current.run.params, to)),
              'run handle',
            )
          }
        />
      )}
      {recipe.overs.map(({ id, params }) => {
        const { handle: grip } = OVERS[id].on(panel, params);
        return (
          grip && (
            <Handle
              {...shared}
              key={id}
              label={OVERS[id].label}
              shape="diamond"
              at={grip.at}
              told={formatLength(params[grip.param] ?? 0, unit)}
              onMove={(to) =>
                edit(
                  (current) => setOver(current, id, { params: { [grip.param]: grip.valueAt(to) } }),
                  `over ${id}`,
                )
              }
            />
          )
        );
      })}
      {patches &&
        patches.places.length <= 5 &&
        patches.places.map((place, i) => (
          <Handle
            {...shared}
            key={place.name}
            label={`${inks[place.rung]?.name} from ${place.name}`}
            shape="ring"
            at={reachPoint(place, panel, recipe.rungs[place.rung]?.share ?? 0)}
            told={`${Math.round((recipe.rungs[place.rung]?.share ?? 0) * 100)} % of the panel`}
            onMove={(to) =>
              edit((current) => setShare(current, place.rung, shareAt(place, panel, to)), `patch ${i}`)
            }
          />
        ))}
    </>
  );
}

const tellPoint = ({ x, y }: Point, height: number, unit: Unit): string =>
  `${formatLength(x, unit)} from the left, ${formatLength(height - y, unit)} from the foot`;

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

interface HandleProps extends Pick<Props, 'board' | 'onDone'> {
  readonly panel: { readonly width: number; readonly height: number };
  readonly label: string;
  readonly shape: 'ring' | 'diamond';
  readonly at: Point;
  /** Where it stands, in words. */
  readonly told: string;
  readonly onMove: (to: Point) => void;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const SHAPE = { ring: 'rounded-full', diamond: 'rotate-45' } as const;

/** A point that is dragged over the panel, or moved by arrow keys: half a millimetre, five with Shift. */
function Handle({ board, panel, label, shape, at, told, onMove, onDone }: HandleProps) {
  const dragged = useRef(false);
  const hold = (value: number, most: number) => Math.min(Math.max(value, 0), most);
  const onKeyDown = (event: KeyboardEvent) => {
    const [right = 0, down = 0] = ARROWS[event.key] ?? [];
    if (right === 0 && down === 0) return;
    event.preventDefault();
    const step = event.shiftKey ? 5 : 0.5;
    onMove({ x: hold(at.x + right * step, panel.width), y: hold(at.y + down * step, panel.height) });
  };
  return (
    <button
      type="button"
      aria-label={`${label}: ${told}; move with the arrow keys`}
      title={`${label}: ${told}`}
      onKeyDown={onKeyDown}
      onBlur={onDone}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragged.current = true;
      }}
      onPointerMove={(event) => dragged.current && onMove(pointOn(board, panel, event))}
      onPointerUp={() => {
        dragged.current = false;
        onDone();
      }}
      onPointerCancel={() => {
        dragged.current = false;
        onDone();
      }}
      className="group absolute z-10 flex size-6 -translate-1/2 cursor-grab touch-none items-center justify-center active:cursor-grabbing"
      style={{ left: `${(at.x / panel.width) * 100}%`, top: `${(at.y / panel.height) * 100}%` }}
    >
      <span
        className={`size-3.5 border-2 border-white bg-black/25 shadow-[0_0_0_1px_#000] group-hover:bg-black group-focus-visible:bg-black ${SHAPE[shape]}`}
      />
    </button>
  );
}
