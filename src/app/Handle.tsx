import type { RefObject } from 'react';
import type { Point } from '../core/base/geometry';
import { formatLength, ruleStep, type Unit } from '../core/base/length';
import { useAppSelector } from '../store/hooks';
import { pointOn } from './pointOn';
import { movedByKey, useGrip } from './useGrip';

export const describePoint = ({ x, y }: Point, height: number, unit: Unit): string =>
  `${formatLength(x, unit)} from the left, ${formatLength(height - y, unit)} from the foot`;

/** Where on the panel a place is shown: what lies off it is taken hold of at its rim. */
const placed = (value: number, max: number): string => `${Math.min(Math.max((value / max) * 100, -2), 102)}%`;

interface Props {
  readonly board: RefObject<HTMLElement | null>;
  readonly onDone: () => void;
  readonly panel: { readonly width: number; readonly height: number };
  readonly label: string;
  readonly shape: 'ring' | 'diamond';
  readonly at: Point;
  /** Where it stands, in words. */
  readonly description: string;
  readonly onMove: (to: Point) => void;
}

const SHAPE = { ring: 'rounded-full', diamond: 'rotate-45' } as const;

/** A point that is dragged over the panel, or moved by keys: the least that a rule shows, ten times that with Shift; Home and End to its sides. */
export function Handle({ board, panel, label, shape, at, description, onMove, onDone }: Props) {
  const step = ruleStep(useAppSelector(({ view }) => view.unit));
  const grip = useGrip({
    onDrag: (to) => onMove(pointOn(board, panel, to)),
    onKey: (key) => onMove(movedByKey(key, at, step, panel.width)),
    onDone,
  });
  return (
    <button
      type="button"
      aria-label={`${label}: ${description}; move with the arrow keys`}
      title={`${label}: ${description}`}
      {...grip}
      className="group absolute z-10 flex size-6 -translate-1/2 cursor-grab touch-none items-center justify-center active:cursor-grabbing"
      style={{ left: placed(at.x, panel.width), top: placed(at.y, panel.height) }}
    >
      <span
        className={`size-3.5 border-2 border-white bg-black/25 shadow-[0_0_0_1px_#000] group-hover:bg-black group-focus-visible:bg-black ${SHAPE[shape]}`}
      />
    </button>
  );
}
