import { useMemo, useRef, useState } from 'react';
import { useSize } from '../../app/useSize';
import { counted } from '../../core/base/words';
import { whyThen } from '../../core/make/sitting/critical';
import { inkOf, type KnownSitting, numberOf, operationOf, tellLine } from '../../core/make/sitting/known';
import { clockAfter } from '../../core/make/sitting/record';
import type { Break, Planned } from '../../core/make/sitting/sitting';
import { letterOf } from '../../core/sheet/brushes';
import { besideText } from '../../ui/besideText';
import { type Lane, LYING_HEIGHT, lanesOf } from './lanes';
import { GAP_WIDTH, longGaps, timeScale } from './timeScale';
import { type LittlePictures, pictureKey } from './useLittlePictures';

interface Props {
  readonly known: KnownSitting;
  readonly lines: readonly Planned[];
  readonly critical: ReadonlySet<Planned>;
  /** The hour its minutes count from, `19:00`. */
  readonly origin: string;
  readonly makespan: number;
  /** Where it has come to, minutes; absent before it is begun. */
  readonly now?: number;
  /** Which minute is looked at, under the hand or by the piece in focus; undefined when none is. */
  readonly onLook: (minute: number | undefined) => void;
  readonly pictures: LittlePictures;
}

/** The picture's measures, px of usual text. */
const LABEL_ROOM = { wide: 96, narrow: 68 } as const;
const NARROW = 640;
const TOP = 26;
const GAP = 9;
/** Room beyond the evening's end, px. */
const BEYOND = 14;
/** Less room for a minute than this, px, and it scrolls. */
const LEAST_A_MINUTE = 3.2;

/** The evening as lanes: hands, brushes, mats, the heat tool and what lies drying, piece by piece. */
export function EveningPicture(props: Props) {
  const { known, lines, critical, origin, makespan, now, onLook, pictures } = props;
  const box = useRef<HTMLDivElement>(null);
  const { width: room } = useSize(box);
  const left = besideText(room < besideText(NARROW) ? LABEL_ROOM.narrow : LABEL_ROOM.wide);
  const lanes = useMemo(
    () => lanesOf(known, lines).map((lane) => ({ ...lane, height: besideText(lane.height) })),
    [known, lines],
  );
  const inOrder = useMemo(() => lines.toSorted((p, q) => p.start - q.start || p.hand - q.hand), [lines]);
  const [chosen, setChosen] = useState<number>();
  const [looked, setLooked] = useState<Planned>();
  const span = Math.max(makespan, now ?? 0, 1);
  const gaps = longGaps(known.record.run?.away);
  const { x, width, aMinute } = timeScale(span, gaps, {
    room: room - left - BEYOND,
    least: besideText(LEAST_A_MINUTE),
    gap: besideText(GAP_WIDTH),
  });
  let top = besideText(TOP);
  const rows = lanes.map((lane) => {
    const row = { lane, top };
    top += lane.height + GAP;
    return row;
  });
  const height = top + 4;
  const picked = (chosen === undefined ? undefined : inOrder[chosen]) ?? looked;
  const look = (line: Planned | undefined) => {
    setLooked(line);
    onLook(line?.end);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const steps = {
      ArrowRight: 1,
      ArrowLeft: -1,
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: 10,
      PageUp: -10,
      Home: -1e6,
      End: 1e6,
    };
    const by = steps[event.key as keyof typeof steps];
    if (by === undefined) return;
    event.preventDefault();
    const next = Math.min(Math.max((chosen ?? (by > 0 ? -1 : 0)) + by, 0), inOrder.length - 1);
    setChosen(next);
    onLook(inOrder[next]?.end);
  };
  return (
    <section aria-label="The evening">
      <div ref={box} className="flex">
        <div aria-hidden="true" className="relative shrink-0" style={{ width: left, height }}>
          {rows.map(({ lane, top: at }) => (
            <span key={lane.label} className="absolute left-0 font-semibold" style={{ top: at + 2 }}>
              {lane.label}
            </span>
          ))}
        </div>
        <div
          role="slider"
          tabIndex={0}
          aria-label="Piece of work"
          aria-valuemin={0}
          aria-valuemax={inOrder.length}
          aria-valuenow={chosen === undefined ? 0 : chosen + 1}
          aria-valuetext={
            picked
              ? tellPicked(known, lines, picked, critical, origin)
              : `${counted(inOrder.length, 'piece')} of work`
          }
          className="min-w-0 flex-1 overflow-x-auto pb-1 focus-visible:outline-offset-[-2px]"
          onKeyDown={onKeyDown}
          onBlur={() => {
            setChosen(undefined);
            onLook(undefined);
          }}
          onPointerLeave={() => look(undefined)}
        >
          {/* On paper the whole evening is as wide as the page: only the hours are squeezed, for names stand beside the lanes. */}
          <svg
            aria-hidden="true"
            width={width + BEYOND}
            height={height}
            viewBox={`0 0 ${width + BEYOND} ${height}`}
            preserveAspectRatio="none"
            className="block print:w-full"
          >
            <Hours {...{ span, x, aMinute, height, origin, gaps }} />
            <Breaks breaks={known.sitting.breaks ?? []} {...{ x, height, gaps }} />
            {rows.map(({ lane, top: at }) =>
              lane.kind === 'drying' ? (
                <Drying key={lane.label} {...{ lane, known, x, pictures, origin, top: at }} />
              ) : (
                <g key={lane.label}>
                  {lane.kind === 'brush' && <Damp {...{ lane, known, x, top: at }} />}
                  {lane.lines.map((line) => (
                    <Piece
                      key={`${line.start} ${line.does} ${line.group} ${line.panel} ${line.operation}`}
                      {...{ lane, line, known, x, top: at }}
                      isCritical={lane.kind === 'hands' && critical.has(line)}
                      isPicked={line === picked}
                      isPast={now !== undefined && line.end <= now}
                      onLook={look}
                    />
                  ))}
                </g>
              ),
            )}
            {now !== undefined && <Now {...{ now, x, height, origin }} until={width + BEYOND} />}
          </svg>
        </div>
      </div>
      <p className="min-h-6 text-mute">
        {picked ? tellPicked(known, lines, picked, critical, origin) : WALK}
      </p>
    </section>
  );
}

const WALK =
  'Point at a piece, or go through them with the arrow keys. The end depends on those that are underlined.';

type X = (minute: number) => number;

function tellPicked(
  known: KnownSitting,
  lines: readonly Planned[],
  line: Planned,
  critical: ReadonlySet<Planned>,
  origin: string,
): string {
  const lot = known.lots[line.group];
  const rest = line.does === 'operation' ? (operationOf(known, line)?.rest?.min ?? 0) : 0;
  return [
    `${clockAfter(origin, line.start)} to ${clockAfter(origin, line.end)}. Panel ${numberOf(known, line)}, ${lot?.resolved.recipe.name ?? ''}: ${tellLine(known, line)}.`,
    ...(rest > 0 ? [`Then dry at ${clockAfter(origin, line.end + rest)}.`] : []),
    tellWhy(known, lines, line),
    ...(critical.has(line) ? ['The end depends on it.'] : []),
  ].join(' ');
}

/** Why it begins then: what it waited for, and who had that. */
function tellWhy(known: KnownSitting, lines: readonly Planned[], line: Planned): string {
  const why = whyThen(known.sitting, lines, line);
  if (!why) return 'Nothing holds it.';
  if (why.for === 'its drying') return 'It waited until it had dried.';
  if (why.for === 'its join')
    return 'It begins so late that its join stays open until the next brush is dry.';
  if (why.for === 'room to dry') return 'It waited for room to dry.';
  if (why.for === 'a break' || !why.after) return 'It waited for the break to be over.';
  if (why.after.does === 'wash' && why.for === 'the brush')
    return 'It waited until the brush was no longer damp.';
  return `It waited for ${why.for}: ${tellLine(known, why.after)}, panel ${numberOf(known, why.after)}.`;
}

/** How long nobody was there: `50 min`, `5 h`, `3 days`. */
const tellAway = (minutes: number): string =>
  minutes < 90
    ? `${Math.round(minutes)} min`
    : minutes < 36 * 60
      ? `${Math.round(minutes / 60)} h`
      : `${Math.round(minutes / (24 * 60))} days`;

/** An hour between lines, minutes; wider where there is little room. */
const STEPS = [5, 10, 20, 30, 60] as const;
const LABEL_WIDTH = 52;

function Hours({
  span,
  x,
  aMinute,
  height,
  origin,
  gaps,
}: {
  readonly span: number;
  readonly x: X;
  readonly aMinute: number;
  readonly height: number;
  readonly origin: string;
  readonly gaps: readonly Break[];
}) {
  const step = STEPS.find((one) => one * aMinute >= besideText(LABEL_WIDTH)) ?? 60;
  const [, past = '0'] = origin.split(':');
  const first = (step - (Number(past) % step)) % step;
  const at = Array.from(
    { length: Math.max(0, Math.floor((span - first) / step) + 1) },
    (_, i) => first + i * step,
  ).filter((minute) => !gaps.some(({ start, minutes }) => minute > start && minute < start + minutes));
  return (
    <g>
      {at.map((minute) => (
        <g key={minute}>
          <line x1={x(minute)} x2={x(minute)} y1={besideText(18)} y2={height} className="stroke-line" />
          <text x={x(minute) + 3} y={besideText(13)} className="fill-mute text-small tabular-nums">
            {clockAfter(origin, minute)}
          </text>
        </g>
      ))}
    </g>
  );
}

const Breaks = ({
  breaks,
  x,
  height,
  gaps,
}: {
  readonly breaks: readonly Break[];
  readonly x: X;
  readonly height: number;
  readonly gaps: readonly Break[];
}) =>
  breaks.map(({ start, minutes }) => (
    <g key={start}>
      <rect
        x={x(start)}
        y={besideText(18)}
        width={Math.max(x(start + minutes) - x(start), 1)}
        height={height - besideText(18)}
        className="fill-pane opacity-60"
      />
      <text x={x(start) + 4} y={height - 6} className="fill-mute text-small italic">
        {gaps.some((gap) => gap.start === start) ? `away ${tellAway(minutes)}` : 'break'}
      </text>
    </g>
  ));

function Now({
  now,
  x,
  height,
  origin,
  until,
}: {
  readonly now: number;
  readonly x: X;
  readonly height: number;
  readonly origin: string;
  /** How far the picture goes, px: the hour stands within it. */
  readonly until: number;
}) {
  const half = besideText(22);
  const middle = Math.max(half, Math.min(x(now), until - half));
  return (
    <g>
      <line
        x1={x(now)}
        x2={x(now)}
        y1={besideText(16)}
        y2={height}
        className="stroke-strong"
        strokeWidth={2}
      />
      <rect x={middle - half} y={0} width={2 * half} height={besideText(18)} rx={2} className="fill-strong" />
      <text
        x={middle}
        y={besideText(13)}
        textAnchor="middle"
        className="fill-on-strong text-small font-semibold tabular-nums"
      >
        {clockAfter(origin, now)}
      </text>
    </g>
  );
}

interface PieceProps {
  readonly lane: Lane;
  readonly line: Planned;
  readonly known: KnownSitting;
  readonly x: X;
  readonly top: number;
  readonly isCritical: boolean;
  readonly isPicked: boolean;
  readonly isPast: boolean;
  readonly onLook: (line: Planned) => void;
}

/** One piece of work in one lane: in its ink, or without; wiping and washing are dashed. */
function Piece({ lane, line, known, x, top, isCritical, isPicked, isPast, onLook }: PieceProps) {
  const ink = inkOf(known, line);
  const [from, width] = [x(line.start), Math.max(x(line.end) - x(line.start) - 1, 1.5)];
  const cleans = line.does !== 'operation';
  const inset = cleans ? 7 : 0;
  return (
    <g onPointerEnter={() => onLook(line)} opacity={isPast ? 0.55 : 1}>
      <rect x={from - 0.5} y={top - 2} width={width + 1} height={lane.height + 4} fill="transparent" />
      <rect
        x={from}
        y={top + inset}
        width={width}
        height={lane.height - 2 * inset}
        rx={1.5}
        {...(cleans
          ? { className: 'fill-none stroke-text', strokeDasharray: '2 2' }
          : ink
            ? { fill: ink.overWhite, className: 'stroke-text/25', strokeWidth: 0.5 }
            : { className: 'fill-field stroke-text', strokeWidth: 0.75 })}
      />
      {line.does === 'wash' && lane.kind === 'hands' && width > 9 && (
        <text
          x={from + width / 2}
          y={top + lane.height / 2 + besideText(4)}
          textAnchor="middle"
          className="fill-text text-small"
        >
          {letterOf(line.brush ?? 0)}
        </text>
      )}
      {isCritical && (
        <rect x={from} y={top + lane.height + 2} width={width} height={2.5} className="fill-text" />
      )}
      {isPicked && (
        <rect
          x={from - 2}
          y={top - 2}
          width={width + 4}
          height={lane.height + 4}
          rx={2}
          className="fill-none stroke-text"
          strokeWidth={2}
        />
      )}
    </g>
  );
}

/** How long a washed brush is damp. */
const Damp = ({ lane, known, x, top }: Pick<PieceProps, 'lane' | 'known' | 'x' | 'top'>) =>
  lane.lines
    .filter(({ does }) => does === 'wash')
    .map(({ end }) => (
      <g key={end}>
        <line
          x1={x(end)}
          x2={x(end + known.sitting.atHand.dampMinutes)}
          y1={top + lane.height / 2}
          y2={top + lane.height / 2}
          className="stroke-mute"
          strokeDasharray="1 4"
          strokeLinecap="round"
          strokeWidth={2}
        />
      </g>
    ));

interface DryingProps extends Pick<PieceProps, 'lane' | 'known' | 'x' | 'top'> {
  readonly pictures: LittlePictures;
  readonly origin: string;
}

/** Panels that lie drying, each with its picture as it lies there and the hour it is dry. */
function Drying({ lane, known, x, top, pictures, origin }: DryingProps) {
  return (
    <g>
      {lane.lying.map(({ line, from, to, row }) => {
        const { panel } = known.lots[line.group]?.resolved.recipe ?? { panel: { width: 1, height: 1 } };
        const rowHeight = besideText(LYING_HEIGHT);
        const height = rowHeight - 4;
        const wide = (height * panel.width) / panel.height;
        const [left, width] = [x(from), x(to) - x(from)];
        const y = top + row * rowHeight;
        const picture = pictures.get(pictureKey(line.group, line.operation));
        const name = `${numberOf(known, line)}`;
        return (
          <g key={`${line.group} ${line.panel} ${line.operation} ${line.end}`}>
            <rect
              x={left}
              y={y}
              width={Math.max(width - 1, 2)}
              height={height}
              rx={1.5}
              className="fill-sheet stroke-mute"
              strokeDasharray="3 2"
              strokeWidth={0.75}
            />
            {picture && width > wide && (
              <image
                href={picture}
                x={left + 1}
                y={y + 1}
                width={wide}
                height={height - 2}
                preserveAspectRatio="none"
              />
            )}
            {width > wide + besideText(18) && (
              <text
                x={left + wide + 5}
                y={y + height - besideText(5)}
                className="fill-text text-small tabular-nums"
              >
                {width > wide + besideText(86) ? `${name}, dry ${clockAfter(origin, to)}` : name}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
