import { type RefObject, useLayoutEffect, useState } from 'react';

/**
 * The content size of an element in CSS px, kept up to date; 0 × 0 before it is laid out.
 *
 * @param waits  until the browser has laid out the page. Else it is asked to at once, so that a picture of that size is
 *               asked for before the first paint
 */
export function useSize(
  element: RefObject<HTMLElement | null>,
  waits = false,
): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const target = element.current;
    if (!target) return;
    const measure = () => {
      const { clientWidth: width, clientHeight: height } = target;
      setSize((known) => (known.width === width && known.height === height ? known : { width, height }));
    };
    if (!waits) measure();
    const observer = new ResizeObserver(measure);
    observer.observe(target);
    return () => observer.disconnect();
  }, [element, waits]);
  return size;
}
