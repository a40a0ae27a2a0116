import { Popover } from 'radix-ui';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { besideText } from '../../ui/besideText';
import { tourPlace } from './tourPlace';
import { STOPS } from './tourStops';

/** How long a stop waits for its control to be drawn, ms. */
const WAIT = 3000;

/** Leads round the bench, one control after another; Escape or a press beside it leaves. */
export default function Tour({ onEnd }: { readonly onEnd: () => void }) {
  const [at, setAt] = useState(0);
  const stop = STOPS[at];
  const anchor = useControl(stop?.at ?? '');
  const next = useRef<HTMLButtonElement>(null);
  const virtual = useRef<{ getBoundingClientRect: () => DOMRect }>(null);
  const box = useBox(anchor);
  const place = useMemo(() => {
    const page = { width: innerWidth, height: innerHeight };
    const placed = box && stop && tourPlace(box, stop.side, page, besideText(1));
    const { left = 0, top = 0, right = 0, bottom = 0 } = placed?.box ?? {};
    const rect = new DOMRect(left, top, right - left, bottom - top);
    return { side: placed?.side ?? 'bottom', beside: { getBoundingClientRect: () => rect } };
  }, [box, stop]);
  virtual.current = place.beside;
  if (!stop || !box) return null;
  return (
    <>
      <span
        aria-hidden="true"
        data-tour-frame=""
        className="pointer-events-none fixed z-40 rounded-[3px] outline-4 outline-offset-2 outline-text"
        style={{ top: box.top, left: box.left, width: box.width, height: box.height }}
      />
      <Popover.Root open onOpenChange={(open) => !open && onEnd()}>
        <Popover.Anchor virtualRef={virtual as { current: { getBoundingClientRect: () => DOMRect } }} />
        <Popover.Portal>
          <Popover.Content
            key={at}
            side={place.side}
            sideOffset={10}
            collisionPadding={12}
            sticky="always"
            // Enter leads on from stop to stop.
            onOpenAutoFocus={(event) => {
              event.preventDefault();
              next.current?.focus({ preventScroll: true });
            }}
            // It stays while the real controls are tried.
            onFocusOutside={(event) => event.preventDefault()}
            aria-label={`Tour, ${at + 1} of ${STOPS.length}: ${stop.title}`}
            className="z-50 w-80 max-w-[calc(100vw-1.5rem)] rounded-[3px] bg-strong p-4 text-on-strong shadow-xl"
          >
            <p className="text-small opacity-80">
              {at + 1} of {STOPS.length}
            </p>
            <h2 className="heading text-lead">{stop.title}</h2>
            <p className="mt-1 text-lead">{stop.text}</p>
            <div className="mt-3 flex gap-2 text-text">
              <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
                Back
              </Button>
              <Button ref={next} onClick={() => (at === STOPS.length - 1 ? onEnd() : setAt(at + 1))}>
                {at === STOPS.length - 1 ? 'Finish' : 'Next'}
              </Button>
              <Button look="bare" className="ml-auto bg-field" onClick={onEnd}>
                Leave the tour
              </Button>
            </div>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}

/** Where a control lies in the window, also while the page is scrolled under it or the window changes. */
function useBox(control: Element | null): DOMRect | undefined {
  const [box, setBox] = useState<DOMRect>();
  useLayoutEffect(() => {
    if (!control) return;
    const look = () => setBox(control.getBoundingClientRect());
    look();
    addEventListener('scroll', look, { capture: true, passive: true });
    addEventListener('resize', look);
    return () => {
      removeEventListener('scroll', look, { capture: true });
      removeEventListener('resize', look);
    };
  }, [control]);
  return box;
}

/** The control a stop points at, scrolled into sight; it may still be loading. */
function useControl(name: string): Element | null {
  const [found, setFound] = useState<Element | null>(null);
  useLayoutEffect(() => {
    const begun = performance.now();
    let frame = 0;
    const look = () => {
      const element = document.querySelector(`[data-tour="${name}"]`);
      if (element) {
        element.scrollIntoView({ block: 'nearest' });
        setFound(element);
      } else if (performance.now() - begun < WAIT) frame = requestAnimationFrame(look);
    };
    look();
    return () => cancelAnimationFrame(frame);
  }, [name]);
  return found;
}
