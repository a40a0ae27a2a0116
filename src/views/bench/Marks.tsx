import { type KeyboardEvent, type PointerEvent, type RefObject, useRef } from 'react';
import { pointOn } from '../../app/pointOn';
import type { Edit } from '../../app/useBench';
import {
  formatBare,
  formatLength,
  type Millimetres,
  MM_AN_INCH,
  parseLength,
  type Unit,
} from '../../core/base/length';
import { type MarkEnd, markRange, moveMark } from '../../core/recipe/editLadder';
import { type Kit, overlaps } from '../../core/recipe/recipe';
import type { Lie, Point } from '../../core/recipe/runs/runs';
import { TypedField } from '../../ui/TypedField';
import { apartAlongBands } from './apart';
import { spread } from './spread';

interface Props {
  readonly kit: Kit;
  readonly lie: Lie;
  readonly unit: Unit;
  /** Size of the panel on the screen, px. */
  readonly width: number;
  readonly height: number;
  /** Little room: labels stand under their figures and say only what is solid. */
  readonly narrow: boolean;
  /** The panel's own element: a drag is measured against it. */
  readonly board: RefObject<HTMLElement | null>;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** One mark: where an ink stops being solid, which is also where its neighbour has faded out. */
interface Mark {
  readonly joint: number;
  readonly end: MarkEnd;
  readonly along: Millimetres;
  readonly solid: string;
  readonly faded: string;
}

const LABEL_APART = 40;
const NARROW_LABEL_APART = 62;
const LEADER = 26;
/** Handles nearer than this on the screen, px, could not be told apart by a finger. */
const APART = 28;

/** The solid and fade marks of every rung: dragged on the panel, moved by arrow keys, or typed. */
export function Marks(props: Props) {
  const { kit, lie, unit, width, height, narrow, board, edit, onDone } = props;
  const { panel } = kit.recipe;
  const scale = height / panel.height;
  const level = lie.level && lie.toward.x === 0;
  const all = marksOf(kit);
  const points = level
    ? all.map(({ along }) => lie.handleAt(along))
    : apartAlongBands(
        lie,
        all.map(({ along }) => along),
        panel,
        APART / scale,
      );
  const marks = all
    .map((mark, i) => {
      const { x, y } = points[i] as Point;
      return { mark, left: x * scale - width, top: y * scale };
    })
    .sort((p, q) => p.top - q.top);
  const apart = narrow ? NARROW_LABEL_APART : LABEL_APART;
  const places = spread(
    marks.map(({ top }) => top),
    apart,
    [apart / 2, Math.max(height - apart / 2, marks.length * apart)],
  );
  return (
    <div className="group/marks relative min-w-0 flex-1" style={{ height }}>
      <svg
        aria-hidden="true"
        width={LEADER}
        height={height}
        className="pointer-events-none absolute top-0 left-0 overflow-visible"
      >
        {marks.map(({ mark: { joint, end }, left, top }, i) => (
          <polyline
            key={`${joint}${end}`}
            points={`${left},${top} ${level ? `10,${top} ` : ''}${LEADER},${places[i]}`}
            className={`fill-none stroke-text ${level ? '' : 'opacity-60'}`}
            strokeDasharray={level ? undefined : '2 3'}
          />
        ))}
      </svg>
      {marks.map(({ mark, left, top }, i) => (
        <div key={`${mark.joint}${mark.end}`}>
          <Handle {...{ mark, kit, lie, unit, board, edit, onDone, left, top, level }} />
          <MarkLabel {...{ mark, kit, lie, unit, narrow, edit, onDone }} top={places[i] as number} />
        </div>
      ))}
    </div>
  );
}

function marksOf({ recipe, inks }: Kit): Mark[] {
  const name = (rung: number) => inks[rung]?.name ?? '';
  return overlaps(recipe).flatMap(({ start, end }, joint) => [
    { joint, end: 'start' as const, along: start, solid: `${name(joint)} solid to`, faded: name(joint + 1) },
    { joint, end: 'end' as const, along: end, solid: `${name(joint + 1)} solid from`, faded: name(joint) },
  ]);
}

const gestureOf = ({ joint, end }: Mark) => `mark ${joint} ${end}`;

interface HandleProps extends Omit<Props, 'width' | 'height' | 'narrow'> {
  readonly mark: Mark;
  /** Where it stands beside the panel's right edge and below its top, px. */
  readonly left: number;
  readonly top: number;
  /** Bands are level: the grip reaches in from the panel's edge. */
  readonly level: boolean;
}

/** The grip of a mark. */
function Handle({ mark, kit, lie, unit, board, edit, onDone, left, top, level }: HandleProps) {
  const { recipe } = kit;
  const { markOf, measuredFrom } = lie;
  const grabbedAt = useRef<number | null>(null);
  const measured = markOf(mark.along);
  const range = markRange(recipe, mark.joint, mark.end).map(markOf);
  const moveTo = (along: Millimetres) =>
    edit((current) => moveMark(current, mark.joint, mark.end, along), gestureOf(mark));

  const alongOf = (event: PointerEvent): Millimetres => {
    const { x, y } = pointOn(board, recipe.panel, event);
    return lie.alongAt(x, y);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const up = event.key === 'ArrowUp' || event.key === 'ArrowRight';
    if (!up && event.key !== 'ArrowDown' && event.key !== 'ArrowLeft') return;
    event.preventDefault();
    const step = (unit === 'mm' ? 0.5 : MM_AN_INCH / 16) * (event.shiftKey ? 10 : 1);
    moveTo(markOf(measured + (up ? step : -step)));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`${mark.solid}, ${mark.faded} faded out`}
      aria-valuemin={Math.round(Math.min(...range) * 10) / 10}
      aria-valuemax={Math.round(Math.max(...range) * 10) / 10}
      aria-valuenow={Math.round(measured * 10) / 10}
      aria-valuetext={`${formatLength(measured, unit)} ${measuredFrom}`}
      onKeyDown={onKeyDown}
      onBlur={onDone}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        grabbedAt.current = alongOf(event) - mark.along;
      }}
      onPointerMove={(event) => {
        if (grabbedAt.current !== null) moveTo(alongOf(event) - grabbedAt.current);
      }}
      onPointerUp={() => {
        grabbedAt.current = null;
        onDone();
      }}
      onPointerCancel={() => {
        grabbedAt.current = null;
        onDone();
      }}
      className={`group absolute z-10 flex h-6 -translate-y-1/2 touch-none items-center focus-visible:outline-offset-0 ${level ? '-left-11 w-13 cursor-ns-resize justify-end' : 'w-6 -translate-x-1/2 cursor-grab justify-center'}`}
      style={level ? { top } : { top, left }}
    >
      {level && <span className="h-[3px] w-8 border-y border-black/40 bg-white group-hover:w-11" />}
      <span
        className={`border border-black bg-white shadow-sm group-hover:bg-black group-focus-visible:bg-black ${level ? 'h-3.5 w-2.5 rounded-[2px]' : 'size-3.5 rounded-full'}`}
      />
    </div>
  );
}

type LabelProps = Pick<Props, 'kit' | 'lie' | 'unit' | 'narrow' | 'edit' | 'onDone'> & {
  readonly mark: Mark;
  readonly top: number;
};

/** What a mark means, with its measure to be typed. */
function MarkLabel({ mark, lie, unit, narrow, edit, onDone, top }: LabelProps) {
  const { markOf, measuredFrom } = lie;
  const commit = (text: string): string | undefined => {
    const typed = parseLength(text, unit);
    if (typed === undefined)
      return `“${text}” is not a length. Type it as ${unit === 'mm' ? '63 or 63.5' : '2 1/2'}, ${measuredFrom}.`;
    edit((current) => moveMark(current, mark.joint, mark.end, markOf(typed)));
    onDone();
    return undefined;
  };
  return (
    <div
      className={`absolute right-0 flex -translate-y-1/2 ${narrow ? 'flex-col items-start' : 'items-center gap-2'}`}
      style={{ top, left: LEADER + 6 }}
    >
      <TypedField
        label={`${mark.solid}, ${unit} ${measuredFrom}`}
        shown={formatBare(markOf(mark.along), unit)}
        onCommit={commit}
        className={unit === 'mm' ? 'w-14 text-right' : 'w-16 text-right'}
      />
      <span className="w-full min-w-0 text-[12px] leading-tight">
        <span className={narrow ? 'block' : 'block truncate'}>{mark.solid}</span>
        {!narrow && <span className="block truncate text-mute">{mark.faded} faded out</span>}
      </span>
    </div>
  );
}
