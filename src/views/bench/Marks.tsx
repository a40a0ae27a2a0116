import { type KeyboardEvent, type PointerEvent, type RefObject, useRef, useState } from 'react';
import { type Pointed, pointOn } from '../../app/pointOn';
import type { Edit } from '../../app/useBench';
import { useGrip } from '../../app/useGrip';
import type { Point } from '../../core/base/geometry';
import {
  formatBare,
  formatLength,
  type Millimetres,
  parseLength,
  ruleStep,
  type Unit,
} from '../../core/base/length';
import { spread } from '../../core/base/spread';
import { plainSigns } from '../../core/base/typed';
import { markRange, moveMark } from '../../core/recipe/editLadder';
import { type Mark, marksOf } from '../../core/recipe/marks';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { BandGeometry, MarkPlace } from '../../core/recipe/runs/definition';
import { besideText } from '../../ui/besideText';
import { TypedField } from '../../ui/TypedField';
import { apartAlongBands, placeOf, pointOf } from './apart';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly bands: BandGeometry;
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

/** How far labels stand apart, px of usual text: two lines, three where they say from where they are measured, or as a column is narrow. */
const LABEL_APART = { level: 40, leaning: 56, narrow: 62 } as const;
const LEADER = 26;
/** Handles nearer than this on the screen, px, could not be told apart by a finger. */
const APART = 28;

/** The solid and fade marks of every rung: dragged on the panel, moved by arrow keys, or typed. */
export function Marks(props: Props) {
  const { resolved, bands, unit, width, height, narrow, board, edit, onDone } = props;
  const { panel } = resolved.recipe;
  const scale = height / panel.height;
  const level = bands.isHorizontal && bands.toward.x === 0;
  // Upright bands are marked side by side on one line: the left of two that touch gives way, so that no leaders cross.
  const upright = !level && bands.bordersAre === undefined;
  const all = upright
    ? marksOf(resolved).sort((p, q) => placeOf(bands, q.along).at - placeOf(bands, p.along).at)
    : marksOf(resolved);
  const points = level
    ? all.map(({ along }) => pointOf(placeOf(bands, along)))
    : apartAlongBands(
        bands,
        all.map(({ along }) => along),
        panel,
        APART / scale,
      );
  const marks = all
    .map((mark, i) => {
      const { x, y } = points[i] as Point;
      return { mark, left: x * scale - width, top: y * scale };
    })
    .sort((p, q) => (upright ? p.left - q.left : p.top - q.top));
  const apart = besideText(LABEL_APART[narrow ? 'narrow' : level ? 'level' : 'leaning']);
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
        {marks.map(({ mark: { id }, left, top }, i) => (
          <polyline
            key={id}
            points={`${left},${top} ${level ? `10,${top} ` : ''}${LEADER},${places[i]}`}
            className={`fill-none stroke-text ${level ? '' : 'opacity-60'}`}
            strokeDasharray={level ? undefined : '2 3'}
          />
        ))}
      </svg>
      {marks.map(({ mark, left, top }, i) => (
        <Handle
          key={mark.id}
          {...{ mark, resolved, bands, unit, narrow, board, edit, onDone, left, top, level }}
          labelAt={places[i] as number}
          room={Math.min(
            ...[marks[i - 1], marks[i + 1]].flatMap((other) => (other ? Math.abs(other.top - top) : [])),
          )}
        />
      ))}
    </div>
  );
}

/** How far along the run the point of a mark's own line lies that is measured so. */
const alongOfPlace = (bands: BandGeometry, { pointAt }: MarkPlace, at: Millimetres): Millimetres => {
  const { x, y } = pointAt(at);
  return bands.alongAt(x, y);
};

const fromWhere = ({ from, on }: MarkPlace): string => `from the ${from}${on ? `, ${on}` : ''}`;

const gestureOf = ({ id }: Mark) => `mark ${id}`;

interface HandleProps extends Omit<Props, 'width' | 'height'> {
  readonly mark: Mark;
  /** Where it stands beside the panel's right edge and below its top, px. */
  readonly left: number;
  readonly top: number;
  /** Bands are level: the grip reaches in from the panel's edge. */
  readonly level: boolean;
  /** Where its label stands below the panel's top, px. */
  readonly labelAt: number;
  /** How far the next mark up or down is, px: where bands are level, none reaches over the middle of another. */
  readonly room: number;
}

/** What is seen of a level grip is so high, px. */
const SEEN = 14;
/** A grip of an even height has its middle on a whole pixel, and is drawn sharply. */
const evenOf = (px: number): number => 2 * Math.floor(px / 2);
/** Further than this from where it was taken up, px, it is a drag and no press. */
const PRESS = 4;

/** A mark: its grip, and its measure beside it; pressed, or when a figure is typed, the measure is written. */
function Handle(props: HandleProps) {
  const { mark, resolved, bands, unit, board, edit, onDone, left, top, level, room } = props;
  const { recipe } = resolved;
  /** What has been typed so far where the measure is being written. */
  const [writing, setWriting] = useState<string>();
  /** Where it was taken hold of: how far down the page, px, and whether at its label. */
  const pressed = useRef({ y: 0, isOnLabel: false });
  const place = placeOf(bands, mark.along);
  const ends = markRange(recipe, mark.joint, mark.end);
  const range = [place, ...ends.map((along) => placeOf(bands, along))]
    .filter(({ on }) => on === place.on)
    .map(({ at }) => at);
  const moveTo = (along: Millimetres) =>
    edit((current) => moveMark(current, mark.joint, mark.end, along), gestureOf(mark));

  const alongOf = (at: Pointed): Millimetres => {
    const { x, y } = pointOn(board, recipe.panel, at);
    return bands.alongAt(x, y);
  };
  const step = ruleStep(unit);
  const self = useRef<HTMLDivElement>(null);
  const commit = (text: string): string | undefined => {
    const typed = parseLength(text, unit);
    if (typed === undefined)
      return `“${text}” is not a length. Type it as ${unit === 'mm' ? '63 or 63.5' : '2 1/2'}, ${fromWhere(place)}.`;
    edit((current) => moveMark(current, mark.joint, mark.end, alongOfPlace(bands, place, typed)));
    onDone();
    return undefined;
  };
  const onOver = () => {
    setWriting(undefined);
    // The keys go back to the mark, where the arrow keys go on, unless they have been taken elsewhere.
    setTimeout(() => {
      if (document.activeElement === document.body) self.current?.focus();
    });
  };
  const grip = useGrip({
    onHold: ({ target, clientY }) => {
      // Asked as it begins: once it is held, whatever the pointer is over, the grip is told.
      pressed.current = {
        y: clientY,
        isOnLabel: target instanceof Element && target.closest('[data-measure]') !== null,
      };
    },
    onDrag: (to) => moveTo(alongOf(to)),
    onKey: (key) => {
      // Its measure grows along the run or against it.
      const [least, most] =
        alongOfPlace(bands, place, place.at + 1) > alongOfPlace(bands, place, place.at)
          ? ends
          : ends.toReversed();
      if (key === 'home') moveTo(least as Millimetres);
      else if (key === 'end') moveTo(most as Millimetres);
      else moveTo(alongOfPlace(bands, place, place.at + (key.right - key.down) * step));
    },
    onDone,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const opens = event.key === 'Enter' || /^[0-9]$/.test(plainSigns(event.key));
    if (!opens || event.ctrlKey || event.metaKey || event.altKey) return grip.onKeyDown(event);
    event.preventDefault();
    setWriting(event.key === 'Enter' ? '' : event.key);
  };
  const onPointerUp = (event: PointerEvent) => {
    grip.onPointerUp();
    const { y, isOnLabel } = pressed.current;
    pressed.current = { y, isOnLabel: false };
    if (isOnLabel && Math.abs(event.clientY - y) < PRESS) setWriting('');
  };
  const wholeStands = { ...grip, onKeyDown, onPointerUp };
  return (
    <>
      <div
        ref={self}
        role="slider"
        tabIndex={0}
        aria-orientation={place.from === 'foot' ? 'vertical' : 'horizontal'}
        aria-label={`${mark.solid}, ${mark.faded} faded out`}
        aria-valuemin={Math.round(Math.min(...range) * 10) / 10}
        aria-valuemax={Math.round(Math.max(...range) * 10) / 10}
        aria-valuenow={Math.round(place.at * 10) / 10}
        aria-valuetext={`${formatLength(place.at, unit)} ${fromWhere(place)}`}
        title="Drag it, move it by arrow keys, or type its measure"
        {...wholeStands}
        className={`group absolute z-10 flex h-6 -translate-y-1/2 touch-none items-center focus-visible:outline-offset-0 max-sm:h-11 ${level ? '-left-11 w-13 cursor-ns-resize justify-end' : 'w-6 -translate-x-1/2 cursor-grab justify-center'}`}
        style={level ? { top, maxHeight: Math.max(evenOf(room), SEEN) } : { top, left }}
      >
        {level && <span className="h-[3px] w-8 border-y border-black/40 bg-white group-hover:w-11" />}
        <span
          className={`border border-black bg-white shadow-sm group-hover:bg-black group-focus-visible:bg-black ${level ? 'h-3.5 w-2.5 rounded-[2px]' : 'size-3.5 rounded-full'}`}
        />
        {writing === undefined && <MarkLabel {...props} place={place} />}
      </div>
      {writing !== undefined && (
        <span className="absolute z-20 -translate-y-1/2" style={{ top: props.labelAt, left: LABEL_LEFT }}>
          <TypedField
            label={`${mark.solid}, ${unit} ${fromWhere(place)}`}
            shown={formatBare(place.at, unit)}
            onCommit={commit}
            begin={{ text: writing, onOver }}
            className={unit === 'mm' ? 'w-16 text-right' : 'w-20 text-right'}
            suffix={unit}
          />
        </span>
      )}
    </>
  );
}

/** Where labels begin, right of the panel's edge, px. */
const LABEL_LEFT = LEADER + 6;

/** What a mark means, with its measure. */
function MarkLabel(props: HandleProps & { readonly place: MarkPlace }) {
  const { mark, unit, narrow, place, left, top, level, labelAt } = props;
  return (
    <span
      data-measure={mark.id}
      className="absolute -translate-y-1/2 cursor-text text-small leading-tight"
      // It stands in its grip, whose corner is not the panel's.
      style={{
        top: `calc(50% + ${labelAt - top}px)`,
        left: level ? `calc(2.75rem + ${LABEL_LEFT}px)` : `calc(50% + ${LABEL_LEFT - left}px)`,
        width: besideText(narrow ? 92 : 200),
      }}
    >
      <span className="heading block text-lead leading-5 group-hover:underline">
        {formatLength(place.at, unit)}
      </span>
      <span className="block text-mute">
        {mark.solid}
        {place.on && !narrow && `, ${fromWhere(place)}`}
      </span>
    </span>
  );
}
