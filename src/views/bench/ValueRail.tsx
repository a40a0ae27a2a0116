import {
  type KeyboardEvent,
  type MouseEvent,
  memo as rememberView,
  useEffect,
  useRef,
  useState,
} from 'react';
import { useSize } from '../../app/useSize';
import { memo } from '../../core/base/memo';
import { plainColour, plainName } from '../../core/materials/colour/plainWords';
import { isBare } from '../../core/materials/ink/ink';
import type { DriedInk } from '../../core/readings/driedShelf';
import { useAppSelector } from '../../store/hooks';
import { besideText } from '../../ui/besideText';
import { whenIdle } from '../../ui/whenIdle';
import { dotNear, layRail, neighbourDot, placeNames, type RailDot, railScale, typedDot } from './railLayout';
import { useTyped } from './useTyped';

interface Props {
  readonly shelf: readonly DriedInk[];
  /** Ink ids in rung order. */
  readonly rungs: readonly string[];
  readonly onPick: (ink: DriedInk) => void;
  /** Where a picked ink goes, in words. */
  readonly goesTo: string;
  /** The ink of the rung that is to be changed, where one was chosen: its dot takes the keys. */
  readonly aimed: string | undefined;
}

/** Room for the axis, px of usual text. */
const AXIS = 34;
const PAD = 12;
const DOT = 11;
const RUNG_DOT = 20;
const NO_DOTS: readonly RailDot[] = [];
/** A view that is opened again has its rail as it was. */
const layOnce = memo(6, layRail);
const TICKS = [10, 20, 30, 40, 50, 60, 70, 80, 90];

/** Every ink at the lightness it dries to, pale at the top; the recipe's rungs are joined up from pale to dark. */
export const ValueRail = rememberView(function ValueRail({ shelf, rungs, onPick, goesTo, aimed }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const [active, setActive] = useState<string>();
  const [named, setNamed] = useState<string>();
  const axis = besideText(AXIS);
  const dots =
    width === 0 ? NO_DOTS : layOnce(shelf, Math.max(width - axis - PAD, 80), Math.max(height - 2 * PAD, 80));
  const drawn = useGradually(dots);
  const y = railScale(Math.max(height - 2 * PAD, 80));
  const byId = new Map(dots.map((dot) => [dot.ink.id, dot]));
  const ladder = rungs.flatMap((id) => byId.get(id) ?? []).toSorted((p, q) => q.lab.l - p.lab.l);
  const focusable = byId.get(active ?? '') ?? ladder[0] ?? dots[0];
  const told = byId.get(named ?? '') ?? byId.get(active ?? '');

  useEffect(() => {
    if (aimed !== undefined) focusDot(box.current, aimed);
  }, [aimed]);

  const typing = useTyped();
  const isNumbers = useAppSelector(({ view }) => view.numbers);
  const goTo = (dot: RailDot | undefined) => {
    if (!dot) return;
    setActive(dot.ink.id);
    focusDot(box.current, dot.ink.id);
  };
  /** The dot that an element is. */
  const dotOf = (target: EventTarget): RailDot | undefined =>
    target instanceof HTMLElement ? byId.get(target.dataset.ink ?? '') : undefined;
  /** The dot that is pressed or pointed at, or is near to where that is; what presses by itself tells no place. */
  const dotMeant = ({ target, clientX, clientY }: MouseEvent): RailDot | undefined => {
    const rail = box.current?.getBoundingClientRect();
    return dotOf(target) ?? (rail && dotNear(dots, clientX - rail.left - axis, clientY - rail.top - PAD));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const { key } = event;
    const dot = dotOf(event.target);
    if (!dot || event.ctrlKey || event.metaKey || event.altKey) return;
    const next = neighbourDot(dots, dot, key);
    if (next) {
      typing.clear();
      goTo(next);
    } else if (key === 'Enter' || (key === ' ' && typing.typed === '')) {
      typing.clear();
      onPick(dot);
    } else if (key === 'Escape' && typing.typed !== '') typing.clear();
    else if (key === 'Backspace') goTo(typedDot(dots, typing.shorten()));
    // Letters choose inks here; they are no commands.
    else if (key.length === 1) goTo(typedDot(dots, typing.add(key)));
    else return;
    event.preventDefault();
  };

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div ref={box} className="relative min-h-72 flex-1">
        <svg aria-hidden="true" focusable="false" className="absolute inset-0 size-full">
          <g transform={`translate(${axis} ${PAD})`}>
            <line x1={-8} x2={-8} y1={y(97)} y2={y(8)} className="stroke-line" />
            {TICKS.map((l) => (
              <g key={l} transform={`translate(-8 ${y(l)})`}>
                <line x1={-6} x2={0} className="stroke-line" />
                <text x={-9} dy="0.32em" textAnchor="end" className="fill-mute text-small">
                  {l}
                </text>
              </g>
            ))}
            <polyline
              points={ladder.map((dot) => `${dot.x},${dot.y}`).join(' ')}
              className="fill-none stroke-text"
              strokeWidth={1.5}
            />
          </g>
        </svg>
        <div
          role="listbox"
          aria-label={`Inks by lightness, pale at the top. Enter puts an ink on ${goesTo}.`}
          aria-multiselectable="true"
          className={`absolute inset-0 ${named === undefined ? '' : 'cursor-pointer'}`}
          onClick={(event) => {
            const dot = dotMeant(event);
            if (!dot) return;
            goTo(dot);
            onPick(dot);
          }}
          onKeyDown={onKeyDown}
          onFocus={({ target }) => setActive(dotOf(target)?.ink.id)}
          onPointerOver={(event) => setNamed(dotMeant(event)?.ink.id)}
          onPointerMove={(event) => setNamed(dotMeant(event)?.ink.id)}
          onPointerLeave={() => setNamed(undefined)}
        >
          <div className="absolute" style={{ left: axis, top: PAD }}>
            {drawn.map((dot) => (
              <Dot
                key={dot.ink.id}
                dot={dot}
                isRung={rungs.includes(dot.ink.id)}
                isNamed={dot.ink.id === named}
                focusable={dot === focusable}
              />
            ))}
          </div>
        </div>
        <Names ladder={ladder} width={width - axis - PAD} />
        {isNumbers && <Gaps ladder={ladder} width={width - axis - PAD} />}
      </div>
      <p aria-live="polite" className="h-14 shrink-0 overflow-hidden border-t border-line px-4 py-2">
        {typing.typed !== '' && (
          <span className="float-right text-mute">
            {typedDot(dots, typing.typed) ? `“${typing.typed}”` : `no ink is called “${typing.typed}”`}
          </span>
        )}
        {told ? (
          <>
            <span className="font-semibold">{told.ink.name}</span>
            <span className="text-mute">
              {isNumbers && ` · L* ${Math.round(told.lab.l)}`} ·{' '}
              {isBare(told.ink) ? 'nothing laid' : told.ink.kind}
            </span>
            <br />
            <span className="colour-name">{plainColour(told.lab)}</span>
          </>
        ) : (
          <span className="text-mute">Point at an ink for its name; press it to put it on {goesTo}.</span>
        )}
      </p>
    </div>
  );
});

/** Dots drawn in one go. */
const DRAWN_AT_ONCE = 150;

/** The dots of a large shelf come a part at a time, while nothing else is to be done: the panel goes before. */
function useGradually(dots: readonly RailDot[]): readonly RailDot[] {
  const [count, setCount] = useState(DRAWN_AT_ONCE);
  const isAll = count >= dots.length;
  useEffect(() => {
    if (isAll) return;
    return whenIdle(() => setCount(count + DRAWN_AT_ONCE), { timeout: 400 });
  }, [isAll, count]);
  return isAll ? dots : dots.slice(0, count);
}

const focusDot = (rail: HTMLElement | null, inkId: string): void =>
  rail?.querySelector<HTMLElement>(`[data-ink="${CSS.escape(inkId)}"]`)?.focus();

interface DotProps {
  readonly dot: RailDot;
  readonly isRung: boolean;
  /** The pointer means it. */
  readonly isNamed: boolean;
  readonly focusable: boolean;
}

/** One of many: what happens to it, the rail hears. */
const Dot = rememberView(function Dot({ dot, isRung, isNamed, focusable }: DotProps) {
  const { ink, lab, hex, colour } = dot;
  const size = isRung ? RUNG_DOT : DOT;
  return (
    <div
      role="option"
      aria-selected={isRung}
      aria-label={`${ink.name}, ${plainName(colour)}, L* ${Math.round(lab.l)}`}
      tabIndex={focusable ? 0 : -1}
      data-ink={ink.id}
      className={`absolute -translate-1/2 cursor-pointer border ${isBare(ink) ? 'rounded-none' : 'rounded-full'} focus-visible:z-10 ${isNamed ? 'scale-140' : ''} ${isRung || isNamed ? 'z-10 border-text' : 'border-line'} ${isRung ? 'border-2' : ''}`}
      style={{ left: dot.x, top: dot.y, width: size, height: size, backgroundColor: hex }}
    />
  );
});

/** What the ladder's inks are called, beside their dots where there is room. */
function Names({ ladder, width }: { readonly ladder: readonly RailDot[]; readonly width: number }) {
  return placeNames(ladder, width, besideText(1)).map(({ dot: { ink, x }, side, y }) => (
    <span
      key={ink.id}
      aria-hidden="true"
      className="pointer-events-none absolute z-20 max-w-28 -translate-y-1/2 truncate rounded-[2px] bg-field/85 px-1 text-small font-semibold"
      style={
        side === 'left'
          ? { right: PAD + width - x + RUNG_DOT * 0.7, top: PAD + y }
          : { left: besideText(AXIS) + x + RUNG_DOT * 0.7, top: PAD + y }
      }
    >
      {ink.name}
    </span>
  ));
}

/** What each step of the ladder is from pale to dark, in L*, written beside its middle: the steps the readings tell. */
function Gaps({ ladder, width }: { readonly ladder: readonly RailDot[]; readonly width: number }) {
  // A ladder that comes back to two inks has one gap between them, wherever they stand in it.
  const gaps = new Map(
    ladder.slice(1).flatMap((dot, i) => {
      const from = ladder[i];
      return from ? [[`${from.ink.id} ${dot.ink.id}`, { from, dot }] as const] : [];
    }),
  );
  return [...gaps].map(([key, { from, dot }]) => {
    return (
      <span
        key={key}
        aria-hidden="true"
        className="pointer-events-none absolute z-10 -translate-y-1/2 rounded-[2px] bg-pane/85 px-1 text-small font-bold"
        style={{
          left: besideText(AXIS) + Math.min((from.x + dot.x) / 2 + 6, width - besideText(40)),
          top: PAD + (from.y + dot.y) / 2,
        }}
      >
        {Math.abs(from.lab.l - dot.lab.l).toFixed(0)} L*
      </span>
    );
  });
}
