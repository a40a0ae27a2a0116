import { type RefObject, useRef } from 'react';
import { pointOn } from '../../../app/pointOn';
import { PictureCanvas } from '../../../app/sampling/PictureCanvas';
import { movedByKey, useGrip } from '../../../app/useGrip';
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
/** Places are told in parts of the picture. */
const WHOLE = { width: 1, height: 1 } as const;
const hold = (value: number): number => Math.min(Math.max(value, 0), 0.9999);

/** A picture with a marker on each colour, to be dragged or moved by arrow keys. */
export function MarkedPicture({ pixels, label, places, colours, onMove }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  /** A marker is the one of its number, wherever it is moved. */
  const markers = places.map((place, i) => ({ place, number: i + 1, i }));
  return (
    <div ref={frame} className="relative w-full select-none">
      <PictureCanvas pixels={pixels} label={label} />
      {markers.map(({ place, number, i }) => (
        <Marker
          key={number}
          frame={frame}
          number={number}
          place={place}
          colour={colours[i]}
          onMove={(to) => onMove(i, { x: hold(to.x), y: hold(to.y) })}
        />
      ))}
    </div>
  );
}

interface MarkerProps {
  readonly frame: RefObject<HTMLElement | null>;
  readonly number: number;
  readonly place: Place;
  readonly colour: Hex | undefined;
  readonly onMove: (to: Place) => void;
}

function Marker({ frame, number, place, colour, onMove }: MarkerProps) {
  const grip = useGrip({
    onDrag: (to) => onMove(pointOn(frame, WHOLE, to)),
    onKey: (key) => onMove(movedByKey(key, place, STEP, WHOLE.width)),
  });
  return (
    <button
      type="button"
      aria-label={`Marker ${number}, ${colour ?? ''}: move with the arrow keys`}
      {...grip}
      style={{ left: `${place.x * 100}%`, top: `${place.y * 100}%`, backgroundColor: colour }}
      className="absolute flex size-8 -translate-x-1/2 -translate-y-1/2 cursor-grab touch-none items-center justify-center rounded-full border-2 border-white shadow-[0_0_0_2px_#000] active:cursor-grabbing"
    >
      <span className="rounded-full bg-black/75 px-1.5 text-small font-semibold text-white">{number}</span>
    </button>
  );
}
