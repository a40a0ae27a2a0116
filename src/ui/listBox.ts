import { elementScroll, type Virtualizer } from '@tanstack/react-virtual';

type List = Virtualizer<HTMLDivElement, Element>;

/**
 * How a list of which only what is in sight is drawn goes with its box. As it comes, the package asks for the size of the box
 * and scrolls it to its top at once, and either makes the browser lay out the whole new view within the task that makes it.
 * Until the box has been laid out it is taken to be as large as the page.
 */
export const listBox = {
  get initialRect() {
    return { width: innerWidth, height: innerHeight };
  },
  observeElementRect: (
    { scrollElement }: List,
    tell: (rect: { width: number; height: number }) => void,
  ): (() => void) | undefined => {
    if (!scrollElement) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const size = entry?.borderBoxSize[0];
      if (size) tell({ width: Math.round(size.inlineSize), height: Math.round(size.blockSize) });
    });
    observer.observe(scrollElement, { box: 'border-box' });
    return () => observer.disconnect();
  },
  scrollToFn: (offset: number, options: Parameters<typeof elementScroll>[1], list: List): void => {
    const isThere = offset + (options.adjustments ?? 0) === (list.scrollOffset ?? 0);
    if (!isThere) elementScroll(offset, options, list);
  },
};
