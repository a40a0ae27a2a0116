import { type KeyboardEvent, type RefObject, useCallback, useEffect, useId, useMemo, useState } from 'react';
import { pointOn } from '../../app/pointOn';
import { useAnswer } from '../../app/useAnswer';
import { gripKey, movedByKey } from '../../app/useGrip';
import type { Point } from '../../core/base/geometry';
import { formatBare, type Unit } from '../../core/base/length';
import type { Sample } from '../../core/engine/probe';
import { plainColour } from '../../core/materials/colour/plainWords';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { forgetPlace, samplerFor } from '../../workers/client';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly board: RefObject<HTMLElement | null>;
}

/** A step of an arrow key, mm. */
const STEP = 0.5;

/** Reads the dried panel under the pointer, or under a cross that arrow keys move: L*, name and inks. */
export function Loupe({ resolved, unit, board }: Props) {
  const { panel } = resolved.recipe;
  const [at, setAt] = useState<Point>({ x: panel.width / 2, y: panel.height / 2 });
  const held = { x: Math.min(at.x, panel.width), y: Math.min(at.y, panel.height) };
  const { x, y } = held;
  const place = useId();
  useEffect(() => () => forgetPlace(place), [place]);
  const read = useAnswer(useCallback(() => samplerFor(place, resolved), [place, resolved]));
  const sample = useAnswer(useMemo(() => read && (async () => read(x, y)), [read, x, y]));
  const onKeyDown = (event: KeyboardEvent) => {
    const key = gripKey(event);
    if (!key) return;
    event.preventDefault();
    const { x, y } = movedByKey(key, held, STEP, panel.width);
    setAt({ x: Math.min(Math.max(x, 0), panel.width), y: Math.min(Math.max(y, 0), panel.height) });
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
        className={`frame pointer-events-none absolute w-48 bg-field p-2 text-small leading-snug shadow-lg ${left ? 'right-2' : 'left-2'} ${held.y < panel.height / 2 ? 'bottom-2' : 'top-2'}`}
      >
        {sample ? <SampleRead sample={sample} /> : <p>Reading …</p>}
        <p className="text-mute">
          {formatBare(held.x, unit)} from the left, {formatBare(panel.height - held.y, unit)} {unit} from the
          foot
        </p>
      </div>
    </div>
  );
}

function SampleRead({ sample: { lab, hex, inks } }: { readonly sample: Sample }) {
  return (
    <>
      <p className="flex items-center gap-2">
        <span
          aria-hidden="true"
          className="size-6 shrink-0 border border-line"
          style={{ backgroundColor: hex }}
        />
        <span>
          <strong>L* {Math.round(lab.l)}</strong> <span className="colour-name">{plainColour(lab)}</span>
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
