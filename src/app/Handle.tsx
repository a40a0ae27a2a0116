import { type KeyboardEvent, type RefObject, useRef } from 'react';
import { formatLength, type Unit } from '../core/base/length';
import type { Point } from '../core/recipe/runs/runs';
import { pointOn } from './pointOn';

export const tellPoint = ({ x, y }: Point, height: number, unit: Unit): string =>
  `${formatLength(x, unit)} from the left, ${formatLength(height - y, unit)} from the foot`;

/** Where on the panel a place is shown: what lies off it is taken hold of at its rim. */
const placed = (value: number, most: number): string =>
  `${Math.min(Math.max((value / most) * 100, -2), 102)}%`;

interface Props {
  readonly board: RefObject<HTMLElement | null>;
  readonly onDone: () => void;
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
export function Handle({ board, panel, label, shape, at, told, onMove, onDone }: Props) {
  const dragged = useRef(false);
  const onKeyDown = (event: KeyboardEvent) => {
    const [right = 0, down = 0] = ARROWS[event.key] ?? [];
    if (right === 0 && down === 0) return;
    event.preventDefault();
    const step = event.shiftKey ? 5 : 0.5;
    onMove({ x: at.x + right * step, y: at.y + down * step });
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
      style={{ left: placed(at.x, panel.width), top: placed(at.y, panel.height) }}
    >
      <span
        className={`size-3.5 border-2 border-white bg-black/25 shadow-[0_0_0_1px_#000] group-hover:bg-black group-focus-visible:bg-black ${SHAPE[shape]}`}
      />
    </button>
  );
}
