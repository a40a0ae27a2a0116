import { useEffect, useEffectEvent, useId, useLayoutEffect, useReducer, useRef, useState } from 'react';
import type { Wetness } from '../../core/engine/mixing';
import type { Progress } from '../../core/engine/progress';
import { blobOf } from '../../core/files/packedPicture';
import type { Picture } from '../../core/picture/paint';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Database } from '../../data/database';
import { useAppSelector } from '../../store/hooks';
import { forgetPlace, paint, paintQuietly } from '../../workers/client';
import { useSession } from '../session';
import { useRecipeAhead } from '../useBench';
import { isAnyPicturePainted, pictureIsPainted } from './firstPicture';
import { pictureGrades, RESTS } from './grades';
import { keptPictures, type Shown } from './keptPictures';
import { pictureIsUnderWay } from './printing';

/** Painted panels, for when a view is opened again. */
const pictures = keptPictures();

/** What a painter is asked for, to show that. */
const requestOf = ({ wetness, columns, rows, progress, isPlain }: Shown) => ({
  wetness,
  width: columns,
  height: rows,
  progress,
  isPlain,
});

/** The pixels of a picture that has so few for those of the screen, each way. */
const sizeBy = (grade: number, columns: number, rows: number) => ({
  columns: Math.ceil(columns / grade),
  rows: Math.ceil(rows / grade),
});

/** Puts a picture's halves onto a canvas, from the top down. */
function putOn(target: HTMLCanvasElement, halves: readonly Picture[], width: number, height: number): void {
  if (target.width !== width || target.height !== height) {
    target.width = width;
    target.height = height;
  }
  const context = target.getContext('2d');
  let top = 0;
  for (const half of halves) {
    context?.putImageData(new ImageData(half.pixels, half.width, half.height), 0, top);
    top += half.height;
  }
}

/** The small picture that is stored of a recipe as it is now; undefined where there is none. */
async function storedPicture(
  db: Database,
  resolved: ResolvedRecipe,
  grain: boolean,
): Promise<ImageBitmap | undefined> {
  try {
    // What reads its sign loads only where there is one: a first visit has none, and does without.
    const kept = await db.thumbnails.get(resolved.recipe.id);
    if (!kept) return undefined;
    const { isOfSign, pictureSign } = await import('../../data/thumbnails');
    return isOfSign(kept, await pictureSign(resolved, !grain))
      ? await createImageBitmap(blobOf(kept.picture))
      : undefined;
  } catch {
    // It only shortens the wait: what hinders it is told where the storage is asked for something that is needed.
    return undefined;
  }
}

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly wetness: Wetness;
  /** Size on the screen, CSS px; the picture is painted in device pixels. */
  readonly width: number;
  readonly height: number;
  /** What it is told as; absent where it stands beside the same words. */
  readonly label?: string | undefined;
  /** How far the work has come; the finished panel where left out. */
  readonly progress?: Progress;
  /** A small one beside the picture in hand: it waits until the hand rests. */
  readonly isQuiet?: boolean;
  /**
   * The panel in hand: when the recipe changes it is painted while the page is still being drawn anew, and coarsely where it
   * would lag behind the hand.
   */
  readonly isInHand?: boolean;
  /** Told once the panel is painted. */
  readonly onPainted?: ((canvas: HTMLCanvasElement) => void) | undefined;
}

/** Hears of a change before what it stands in is drawn anew. */
function Ahead({ tell }: { readonly tell: (changed: ResolvedRecipe) => void }) {
  useRecipeAhead(tell);
  return null;
}

/** The panel as it will look, painted by the worker; the last picture stays until the next is there. */
export function PanelPicture(props: Props) {
  const { resolved, wetness, width, height, label, progress, isQuiet = false, isInHand = false } = props;
  const { onPainted } = props;
  const painted = useEffectEvent((target: HTMLCanvasElement) => onPainted?.(target));
  const canvas = useRef<HTMLCanvasElement>(null);
  const place = useId();
  const asked = useRef(0);
  const shown = useRef(0);
  const [failed, setFailed] = useState(false);
  // The very first is there sooner without its grain, which follows at once.
  const [isFirst, setFirst] = useState(() => !isAnyPicturePainted());
  const [grades] = useState(pictureGrades);
  const grain = useAppSelector(({ view }) => view.grain);
  const isPlain = !grain || isFirst;
  const ratio = Math.min(window.devicePixelRatio || 1, 2);
  const [columns, rows] = [Math.round(width * ratio), Math.round(height * ratio)];
  const grade = grades.of(resolved);

  // Before the browser paints: the worker is at it while the page is being drawn.
  useLayoutEffect(() => {
    if (columns < 1 || rows < 1) return;
    const mine = ++asked.current;
    const show = (halves: readonly Picture[]): void => {
      const target = canvas.current;
      if (!target || mine < shown.current) return;
      shown.current = mine;
      putOn(target, halves, what.columns, what.rows);
      target.dataset.painted = String(mine);
      painted(target);
    };
    const what = { resolved, wetness, progress, isPlain, ...sizeBy(grade, columns, rows) };
    const known = isQuiet ? undefined : pictures.of(what);
    if (known) {
      show(known);
      return;
    }
    const request = requestOf(what);
    const painting = isQuiet
      ? paintQuietly(place, resolved, request)
      : pictures.painted(what, async () =>
          // One that was given up for a newer one is not painted after all.
          mine === asked.current ? paint(place, resolved, request, grades.worked) : null,
        );
    pictureIsUnderWay(painting);
    painting
      .then((halves) => {
        if (!halves) return;
        show(halves);
        pictureIsPainted();
        setFailed(false);
        setFirst(false);
      })
      .catch(() => setFailed(true));
  }, [place, resolved, wetness, columns, rows, progress, isQuiet, isPlain, grades, grade]);

  const [, drawAgain] = useReducer((count: number) => count + 1, 0);
  useEffect(() => {
    if (grades.of(resolved) === 1) return;
    const timer = setTimeout(() => {
      grades.rested();
      drawAgain();
    }, RESTS);
    return () => clearTimeout(timer);
  }, [grades, resolved]);

  useEffect(() => () => forgetPlace(place), [place]);

  const { db } = useSession();
  const wantsStored = isFirst && !isQuiet;
  useEffect(() => {
    if (!wantsStored || !db) return;
    void storedPicture(db, resolved, grain).then((stored) => {
      const target = canvas.current;
      if (!stored || !target || shown.current > 0) return;
      target.width = stored.width;
      target.height = stored.height;
      target.getContext('2d')?.drawImage(stored, 0, 0);
      target.dataset.stored = 'true';
    });
  }, [db, resolved, grain, wantsStored]);

  const paintAhead = (changed: ResolvedRecipe): void => {
    const { id, panel } = resolved.recipe;
    // Another panel will have another size here.
    if (changed.recipe.id !== id || changed.recipe.panel !== panel) return;
    grades.changed(changed, columns * rows, ratio, performance.now());
    const size = sizeBy(grades.of(changed), columns, rows);
    const what = { resolved: changed, wetness, progress, isPlain, ...size };
    pictures
      .painted(what, () => paint(place, changed, requestOf(what), grades.worked))
      // It is asked for again when it is to be shown, and what fails is told then.
      .catch(() => {});
  };

  return (
    <>
      {isInHand && <Ahead tell={paintAhead} />}
      <canvas
        ref={canvas}
        {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
        style={{ width, height }}
        className="block"
      />
      {failed && !isQuiet && (
        <p role="alert" className="absolute inset-x-4 top-4 bg-strong p-2 text-on-strong">
          The picture could not be painted. Reload the page; your recipe is saved.
        </p>
      )}
    </>
  );
}
