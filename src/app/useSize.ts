import { type RefObject, useLayoutEffect, useState } from 'react';
import { isAnyPicturePainted } from './panel/firstPicture';

/**
 * The content size of an element in CSS px, kept up to date; 0 × 0 before it is laid out. The browser is asked to lay out
 * the page at once only while no picture has been painted: the very first is asked for before the page is shown. Later it
 * does so in its own time, or making a view and laying it out are one long task.
 */
export function useSize(element: RefObject<HTMLElement | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const target = element.current;
    if (!target) return;
    const measure = () => {
      const { clientWidth: width, clientHeight: height } = target;
      setSize((known) => (known.width === width && known.height === height ? known : { width, height }));
    };
    if (!isAnyPicturePainted()) measure();
    const observer = new ResizeObserver(measure);
    observer.observe(target);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
