import { type KeyboardEvent, type RefObject, useCallback, useMemo, useState } from 'react';
import { pointOn } from '../../app/pointOn';
import { useAnswer } from '../../app/useAnswer';
import { formatBare, type Unit } from '../../core/base/length';
import type { Place } from '../../core/engine/probe';
import type { Kit } from '../../core/recipe/recipe';
import type { Point } from '../../core/recipe/runs/runs';
import { painter } from '../../workers/client';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Reads the dried panel under the pointer, or under a cross that arrow keys move: L*, name and inks. */
export function Loupe({ kit, unit, board }: Props) {
  const { panel } = kit.recipe;
  const [at, setAt] = useState<Point>({ x: panel.width / 2, y: panel.height / 2 });
  const held = { x: Math.min(at.x, panel.width), y: Math.min(at.y, panel.height) };
  const { x, y } = held;
  const read = useAnswer(useCallback(() => painter().placeReader(kit), [kit]));
  const place = useAnswer(useMemo(() => read && (async () => read(x, y)), [read, x, y]));
  const onKeyDown = (event: KeyboardEvent) => {
    const [right = 0, down = 0] = ARROWS[event.key] ?? [];
    if (right === 0 && down === 0) return;
    event.preventDefault();
    const step = event.shiftKey ? 5 : 1;
    setAt({
      x: Math.min(Math.max(held.x + right * step, 0), panel.width),
      y: Math.min(Math.max(held.y + down * step, 0), panel.height),
    });
  };
  const left = held.x < panel.width / 2;
  return (
    <div
      role="application"
      aria-label="Loupe: arrow keys move it over the panel"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it is moved by keys
      tabIndex={0}
      onKeyDown={onKeyDown}
      onPointerMove={(event) => setAt(pointOn(board, panel, event))}
      onPointerDown={(event) => setAt(pointOn(board, panel, event))}
      className="absolute inset-0 z-20 cursor-crosshair"
    >
      <span
        aria-hidden="true"
        className="pointer-events-none absolute size-5 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_1px_#000,inset_0_0_0_1px_#000]"
        style={{ left: `${(held.x / panel.width) * 100}%`, top: `${(held.y / panel.height) * 100}%` }}
      />
      <div
        role="status"
        aria-label="Loupe reading"
        className={`frame pointer-events-none absolute w-48 bg-field p-2 text-[12px] leading-snug shadow-lg ${left ? 'right-2' : 'left-2'} ${held.y < panel.height / 2 ? 'bottom-2' : 'top-2'}`}
      >
        {place ? <PlaceRead place={place} /> : <p>Reading …</p>}
        <p className="text-mute">
          {formatBare(held.x, unit)} from the left, {formatBare(panel.height - held.y, unit)} {unit} from the
          foot
        </p>
      </div>
    </div>
  );
}

function PlaceRead({ place: { lab, hex, colour, inks } }: { readonly place: Place }) {
  return (
    <>
      <p className="flex items-center gap-2">
        <span
          aria-hidden="true"
          className="size-6 shrink-0 border border-line"
          style={{ backgroundColor: hex }}
        />
        <span>
          <strong>L* {Math.round(lab.l)}</strong> <span className="colour-name">{colour.name}</span>
        </span>
      </p>
      <ul className="mt-1">
        {inks.map(({ ink, coats }) => (
          <li key={ink.id}>
            {ink.name} <span className="text-mute">{Math.round(coats * 100)} %</span>
          </li>
        ))}
        {inks.length === 0 && <li>bare card</li>}
      </ul>
    </>
  );
}
