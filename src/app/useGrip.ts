import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Point } from '../core/base/geometry';
import type { Pointed } from './pointOn';
import { useKeyRun } from './useKeyRun';

/** What a key asks of a grip: so many steps right and down, or one of its ends. */
export type GripKey = { readonly right: number; readonly down: number } | 'home' | 'end';

/** Steps of Shift with an arrow, and of the Page keys. */
const LEAP = 10;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const PAGES: Readonly<Record<string, number>> = { PageUp: -LEAP, PageDown: LEAP };

/** What a key pressed on a grip asks for; undefined where the key is none of a grip's. */
export function gripKey({ key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>): GripKey | undefined {
  if (key === 'Home') return 'home';
  if (key === 'End') return 'end';
  const page = PAGES[key];
  if (page !== undefined) return { right: 0, down: page };
  const arrow = ARROWS[key];
  if (!arrow) return undefined;
  const [right, down] = arrow;
  const steps = shiftKey ? LEAP : 1;
  return { right: right * steps, down: down * steps };
}

/** Where a key takes a point: so many steps, or to a side of what it lies on, which is so wide. */
export const movedByKey = (key: GripKey, { x, y }: Point, step: number, width: number): Point =>
  key === 'home'
    ? { x: 0, y }
    : key === 'end'
      ? { x: width, y }
      : { x: x + key.right * step, y: y + key.down * step };

interface Grip {
  readonly onHold?: (event: PointerEvent) => void;
  /** Told where the grip's middle is wanted: it stays as far from the pointer as it was taken hold of. */
  readonly onDrag: (to: Pointed) => void;
  readonly onKey: (key: GripKey) => void;
  /** The movement is over: what follows is undone apart. */
  readonly onDone?: () => void;
}

/**
 * What makes an element a grip on a panel or a picture: it is dragged with the primary button, and moved by arrow keys
 * (farther with Shift or by page) and to its ends by Home and End.
 */
export function useGrip({ onHold, onDrag, onKey, onDone }: Grip) {
  /** How far from the grip's middle the pointer has hold of it, px; undefined where it has not. */
  const held = useRef<Point>(undefined);
  const pressed = useKeyRun(onDone);
  const letGo = () => {
    if (!held.current) return;
    held.current = undefined;
    onDone?.();
  };
  return {
    onKeyDown: (event: KeyboardEvent) => {
      const key = gripKey(event);
      if (!key) return;
      event.preventDefault();
      pressed();
      onKey(key);
    },
    onBlur: onDone,
    onPointerDown: (event: PointerEvent<HTMLElement | SVGElement>) => {
      if (event.button !== 0) return;
      // Or it begins to select the text around, and what is selected is dragged by the browser next time.
      event.preventDefault();
      const grip = event.currentTarget;
      grip.setPointerCapture(event.pointerId);
      grip.focus();
      const { left, top, width, height } = grip.getBoundingClientRect();
      held.current = { x: event.clientX - left - width / 2, y: event.clientY - top - height / 2 };
      // What keys moved before is undone apart.
      onDone?.();
      onHold?.(event);
    },
    onPointerMove: ({ clientX, clientY }: PointerEvent) => {
      if (held.current) onDrag({ clientX: clientX - held.current.x, clientY: clientY - held.current.y });
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
  };
}
