import { useEffect, useEffectEvent, useId, useLayoutEffect, useRef, useState } from 'react';
import type { Wetness } from '../../core/engine/mixing';
import type { Progress } from '../../core/engine/progress';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import { useAppSelector } from '../../store/hooks';
import { forgetPlace, paint, paintQuietly, startPainters } from '../../workers/client';
import { isAnyPicturePainted, pictureIsPainted } from './firstPicture';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly wetness: Wetness;
  /** Size on the screen, CSS px; the picture is painted in device pixels. */
  readonly width: number;
  readonly height: number;
  readonly label: string;
  /** How far the work has come; the finished panel where left out. */
  readonly progress?: Progress;
  /** A small one beside the picture in hand: it waits until the hand rests. */
  readonly isQuiet?: boolean;
  /** Told once the panel is painted. */
  readonly onPainted?: ((canvas: HTMLCanvasElement) => void) | undefined;
}

/** The panel as it will look, painted by the worker; the last picture stays until the next is there. */
export function PanelPicture(props: Props) {
  const { resolved, wetness, width, height, label, progress, isQuiet = false, onPainted } = props;
  const painted = useEffectEvent((target: HTMLCanvasElement) => onPainted?.(target));
  const canvas = useRef<HTMLCanvasElement>(null);
  const place = useId();
  const asked = useRef(0);
  const shown = useRef(0);
  const [failed, setFailed] = useState(false);
  // The very first is there sooner without its grain, which follows at once.
  const [isFirst, setFirst] = useState(() => !isAnyPicturePainted());
  const isPlain = useAppSelector(({ view }) => !view.grain) || isFirst;
  const ratio = Math.min(window.devicePixelRatio || 1, 2);
  const [columns, rows] = [Math.round(width * ratio), Math.round(height * ratio)];

  // Before the browser paints: the worker is at it while the page is being drawn.
  useLayoutEffect(() => {
    if (columns < 1 || rows < 1) return;
    const mine = ++asked.current;
    const ask = isQuiet ? paintQuietly : paint;
    ask(place, resolved, { wetness, width: columns, height: rows, progress, isPlain })
      .then((halves) => {
        const target = canvas.current;
        if (!halves || !target || mine < shown.current) return;
        shown.current = mine;
        if (target.width !== columns || target.height !== rows) {
          target.width = columns;
          target.height = rows;
        }
        const context = target.getContext('2d');
        let top = 0;
        for (const { pixels, width: across, height: down } of halves) {
          context?.putImageData(new ImageData(pixels, across, down), 0, top);
          top += down;
        }
        target.dataset.painted = String(mine);
        pictureIsPainted();
        painted(target);
        // From now on there is time to start a second painter for the pictures to come.
        startPainters(2);
        setFailed(false);
        setFirst(false);
      })
      .catch(() => setFailed(true));
  }, [place, resolved, wetness, columns, rows, progress, isQuiet, isPlain]);

  useEffect(() => () => forgetPlace(place), [place]);

  return (
    <>
      <canvas ref={canvas} role="img" aria-label={label} style={{ width, height }} className="block" />
      {failed && (
        <p role="alert" className="absolute inset-x-4 top-4 bg-strong p-2 text-on-strong">
          The picture could not be painted. Reload the page; your recipe is saved.
        </p>
      )}
    </>
  );
}
