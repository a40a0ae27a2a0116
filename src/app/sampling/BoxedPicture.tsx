import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Point } from '../../core/base/geometry';
import type { Box, Pixels } from '../../core/choose/photo/pixels';
import { boxAround } from '../../core/choose/photo/sample';
import { pointOn } from '../pointOn';
import { gripKey, movedByKey } from '../useGrip';
import { PictureCanvas } from './PictureCanvas';

interface Props {
  readonly pixels: Pixels;
  readonly label: string;
  readonly white: Box | undefined;
  readonly boxes: readonly Box[];
  readonly onBox: (box: Box) => void;
}

/** A drag shorter than this is a click, which reads a square this far around, in picture pixels. */
const CLICK = 6;
const REACH = 10;
/** Pixels that an arrow key moves the cross by. */
const STEP = 6;

/** A picture on which places are clicked or boxed; by keys, a cross is moved and Enter reads there. */
export function BoxedPicture({ pixels, label, white, boxes, onBox }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ from: Point; to: Point }>();
  const [cross, setCross] = useState<Point>({ x: pixels.width / 2, y: pixels.height / 2 });
  const [keyed, setKeyed] = useState(false);
  const { width, height } = pixels;

  const pointOf = (event: PointerEvent): Point => pointOn(frame, pixels, event);
  const done = () => {
    if (!drag) return;
    const { from, to } = drag;
    setDrag(undefined);
    const isClick = Math.hypot(to.x - from.x, to.y - from.y) < CLICK;
    onBox(isClick ? boxAround(from.x, from.y, REACH) : { x0: from.x, y0: from.y, x1: to.x, y1: to.y });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const key = gripKey(event);
    if (event.key === 'Enter' || event.key === ' ') onBox(boxAround(cross.x, cross.y, REACH));
    else if (!key) return;
    event.preventDefault();
    setKeyed(true);
    if (!key) return;
    const { x, y } = movedByKey(key, cross, STEP, width);
    setCross({ x: Math.min(Math.max(x, 0), width - 1), y: Math.min(Math.max(y, 0), height - 1) });
  };
  const drawn = drag && { x0: drag.from.x, y0: drag.from.y, x1: drag.to.x, y1: drag.to.y };
  return (
    <div
      ref={frame}
      role="application"
      aria-label={`${label}: arrow keys move the cross, Enter reads there`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: the cross is moved and used by keys
      tabIndex={0}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setKeyed(false);
        setDrag({ from: pointOf(event), to: pointOf(event) });
      }}
      onPointerMove={(event) => setDrag((now) => now && { ...now, to: pointOf(event) })}
      onPointerUp={done}
      onPointerCancel={() => setDrag(undefined)}
      className="relative w-full cursor-crosshair touch-none select-none"
    >
      <PictureCanvas pixels={pixels} label={label} />
      <svg
        aria-hidden="true"
        viewBox={`0 0 ${width} ${height}`}
        className="pointer-events-none absolute inset-0"
      >
        {white && <Framed box={white} text="white" />}
        {boxes.map((box, i) => (
          <Framed key={`${box.x0} ${box.y0} ${box.x1} ${box.y1}`} box={box} text={String(i + 1)} />
        ))}
        {drawn && <Framed box={drawn} text="" />}
        {keyed && (
          <path
            d={`M${cross.x - 14} ${cross.y}h28M${cross.x} ${cross.y - 14}v28`}
            className="stroke-black"
            strokeWidth={3}
          />
        )}
      </svg>
    </div>
  );
}

function Framed({ box, text }: { readonly box: Box; readonly text: string }) {
  const [x, y] = [Math.min(box.x0, box.x1), Math.min(box.y0, box.y1)];
  const size = { width: Math.abs(box.x1 - box.x0), height: Math.abs(box.y1 - box.y0) };
  return (
    <g>
      <rect x={x} y={y} {...size} fill="none" stroke="#fff" strokeWidth={4} />
      <rect x={x} y={y} {...size} fill="none" stroke="#000" strokeWidth={2} />
      {text && (
        <text
          x={x + 4}
          // Above the box, or under it where the picture ends.
          y={y < 20 ? y + size.height + 15 : y - 5}
          fontSize={14}
          fontWeight={700}
          stroke="#fff"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {text}
        </text>
      )}
    </g>
  );
}
