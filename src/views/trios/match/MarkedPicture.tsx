import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { PictureCanvas } from '../../../app/sampling/PictureCanvas';
import type { Place } from '../../../core/choose/match/mainColours';
import type { Pixels } from '../../../core/choose/photo/pixels';
import type { Hex } from '../../../core/materials/colour/hex';

interface Props {
  readonly pixels: Pixels;
  readonly label: string;
  readonly places: readonly Place[];
  readonly colours: readonly Hex[];
  readonly onMove: (marker: number, place: Place) => void;
}

/** Part of the picture an arrow key moves a marker by; ten times that with Shift. */
const STEP = 0.004;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const hold = (value: number): number => Math.min(Math.max(value, 0), 0.9999);

/** A picture with a marker on each colour, to be dragged or moved by arrow keys. */
export function MarkedPicture({ pixels, label, places, colours, onMove }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const follow = (marker: number) => (event: PointerEvent) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = frame.current?.getBoundingClientRect();
    if (!box) return;
    onMove(marker, {
      x: hold((event.clientX - box.left) / box.width),
      y: hold((event.clientY - box.top) / box.height),
    });
  };
  const step = (marker: number, place: Place) => (event: KeyboardEvent) => {
    const [right = 0, down = 0] = ARROWS[event.key] ?? [];
    if (right === 0 && down === 0) return;
    event.preventDefault();
    const far = event.shiftKey ? 10 * STEP : STEP;
    onMove(marker, { x: hold(place.x + right * far), y: hold(place.y + down * far) });
  };
  /** A marker is the one of its number, wherever it is moved. */
  const markers = places.map((place, i) => ({ place, number: i + 1, i }));
  return (
    <div ref={frame} className="relative w-full touch-none select-none">
      <PictureCanvas pixels={pixels} label={label} />
      {markers.map(({ place, number, i }) => (
        <button
          key={number}
          type="button"
          aria-label={`Marker ${number}, ${colours[i] ?? ''}: move with the arrow keys`}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={follow(i)}
          onKeyDown={step(i, place)}
          style={{ left: `${place.x * 100}%`, top: `${place.y * 100}%`, backgroundColor: colours[i] }}
          className="absolute flex size-8 -translate-x-1/2 -translate-y-1/2 cursor-grab items-center justify-center rounded-full border-2 border-white shadow-[0_0_0_2px_#000] active:cursor-grabbing"
        >
          <span className="rounded-full bg-black/75 px-1.5 text-small font-semibold text-white">
            {number}
          </span>
        </button>
      ))}
    </div>
  );
}
