import { type RefObject, useLayoutEffect, useState } from 'react';

/** The content size of an element in CSS px, kept up to date; 0 × 0 before it is laid out. */
export function useSize(element: RefObject<HTMLElement | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const target = element.current;
    if (!target) return;
    const measure = () => {
      const { clientWidth: width, clientHeight: height } = target;
      setSize((known) => (known.width === width && known.height === height ? known : { width, height }));
    };
    // At once, so that the first picture is asked for before the first paint; then at every change.
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(target);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
