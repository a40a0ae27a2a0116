import { type PointerEvent, type RefObject, useRef } from 'react';

/**
 * What lets a picture larger than its box be dragged about in it by the mouse; a finger scrolls it like a page. Presses on
 * what lies over the picture are left to that.
 */
export function usePan(box: RefObject<HTMLElement | null>) {
  /** Where the box would be scrolled to with the pointer at its window's corner, px. */
  const held = useRef<{ readonly x: number; readonly y: number }>(undefined);
  const letGo = () => {
    held.current = undefined;
  };
  return {
    onPointerDown: ({ button, pointerType, target, pointerId, clientX, clientY }: PointerEvent) => {
      const scrolled = box.current;
      if (!scrolled || button !== 0 || pointerType !== 'mouse' || !(target instanceof HTMLCanvasElement))
        return;
      scrolled.setPointerCapture(pointerId);
      held.current = { x: scrolled.scrollLeft + clientX, y: scrolled.scrollTop + clientY };
    },
    onPointerMove: ({ clientX, clientY }: PointerEvent) => {
      if (held.current) box.current?.scrollTo(held.current.x - clientX, held.current.y - clientY);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
  };
}
