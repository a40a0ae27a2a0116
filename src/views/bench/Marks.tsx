import { type KeyboardEvent, type PointerEvent, type RefObject, useRef } from 'react';
import { type MarkEnd, markRange, moveMark } from '../../core/ladder/edit';
import { type Kit, overlaps, runLength } from '../../core/ladder/recipe';
import {
  formatBare,
  formatLength,
  type Millimetres,
  MM_AN_INCH,
  parseLength,
  type Unit,
} from '../../core/panel/measure';
import { RUNS } from '../../core/run/run';
import { TypedField } from '../../ui/TypedField';
import { spread } from './spread';
import type { Edit } from './useBench';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
  /** Height of the panel on the screen, px. */
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

/** The solid and fade marks of every rung: dragged on the panel, moved by arrow keys, or typed. */
export function Marks({ kit, unit, height, narrow, board, edit, onDone }: Props) {
  const { recipe } = kit;
  const marks = marksOf(kit);
  const scale = height / runLength(recipe);
  const apart = narrow ? NARROW_LABEL_APART : LABEL_APART;
  const places = spread(
    marks.map(({ along }) => along * scale),
    apart,
    [apart / 2, Math.max(height - apart / 2, marks.length * apart)],
  );
  return (
    <div className="relative min-w-0 flex-1" style={{ height }}>
      <svg
        aria-hidden="true"
        width={LEADER}
        height={height}
        className="absolute top-0 left-0 overflow-visible"
      >
        {marks.map(({ joint, end, along }, i) => (
          <polyline
            key={`${joint}${end}`}
            points={`0,${along * scale} 10,${along * scale} ${LEADER},${places[i]}`}
            className="fill-none stroke-text"
          />
        ))}
      </svg>
      {marks.map((mark, i) => (
        <div key={`${mark.joint}${mark.end}`}>
          <Handle {...{ mark, kit, unit, board, edit, onDone }} top={mark.along * scale} />
          <MarkLabel {...{ mark, kit, unit, narrow, edit, onDone }} top={places[i] as number} />
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

type HandleProps = Omit<Props, 'height' | 'narrow'> & { readonly mark: Mark; readonly top: number };

/** The grip of a mark on the panel's edge. */
function Handle({ mark, kit, unit, board, edit, onDone, top }: HandleProps) {
  const { recipe } = kit;
  const { markOf, measuredFrom } = RUNS[recipe.run];
  const grabbedAt = useRef<number | null>(null);
  const fromFoot = markOf(recipe.panel, mark.along);
  const range = markRange(recipe, mark.joint, mark.end).map((along) => markOf(recipe.panel, along));
  const moveTo = (along: Millimetres) =>
    edit((current) => moveMark(current, mark.joint, mark.end, along), gestureOf(mark));

  const alongOf = (event: PointerEvent): Millimetres => {
    const box = board.current?.getBoundingClientRect();
    return box ? ((event.clientY - box.top) / box.height) * runLength(recipe) : mark.along;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const up = event.key === 'ArrowUp' || event.key === 'ArrowRight';
    if (!up && event.key !== 'ArrowDown' && event.key !== 'ArrowLeft') return;
    event.preventDefault();
    const step = (unit === 'mm' ? 0.5 : MM_AN_INCH / 16) * (event.shiftKey ? 10 : 1);
    moveTo(markOf(recipe.panel, fromFoot + (up ? step : -step)));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`${mark.solid}, ${mark.faded} faded out`}
      aria-valuemin={Math.round(Math.min(...range) * 10) / 10}
      aria-valuemax={Math.round(Math.max(...range) * 10) / 10}
      aria-valuenow={Math.round(fromFoot * 10) / 10}
      aria-valuetext={`${formatLength(fromFoot, unit)} ${measuredFrom}`}
      onKeyDown={onKeyDown}
      onKeyUp={onDone}
      onBlur={onDone}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        // The hand keeps the distance it grabbed the grip at, so that the mark does not jump.
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
      className="group absolute -left-11 z-10 flex h-6 w-13 -translate-y-1/2 cursor-ns-resize touch-none items-center justify-end focus-visible:outline-offset-0"
      style={{ top }}
    >
      <span className="h-[3px] w-8 border-y border-black/40 bg-white group-hover:w-11" />
      <span className="h-3.5 w-2.5 rounded-[2px] border border-black bg-white shadow-sm group-hover:bg-black group-focus-visible:bg-black" />
    </div>
  );
}

type LabelProps = Pick<Props, 'kit' | 'unit' | 'narrow' | 'edit' | 'onDone'> & {
  readonly mark: Mark;
  readonly top: number;
};

/** What a mark means, with its measure to be typed. */
function MarkLabel({ mark, kit, unit, narrow, edit, onDone, top }: LabelProps) {
  const { recipe } = kit;
  const { markOf, measuredFrom } = RUNS[recipe.run];
  const commit = (text: string): string | undefined => {
    const typed = parseLength(text, unit);
    if (typed === undefined)
      return `“${text}” is not a length. Type it as ${unit === 'mm' ? '63 or 63.5' : '2 1/2'}, ${measuredFrom}.`;
    edit((current) => moveMark(current, mark.joint, mark.end, markOf(recipe.panel, typed)));
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
        shown={formatBare(markOf(recipe.panel, mark.along), unit)}
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
