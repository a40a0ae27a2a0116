import type { Wetness } from '../../core/engine/mixing';
import type { Progress } from '../../core/engine/progress';
import type { Picture } from '../../core/picture/paint';
import type { ResolvedRecipe } from '../../core/recipe/resolved';

/** What a picture shows, and how: pictures of the same are the same, pixel by pixel. */
export interface Shown {
  readonly resolved: ResolvedRecipe;
  readonly wetness: Wetness;
  readonly progress: Progress | undefined;
  readonly isPlain: boolean;
  /** Device pixels. */
  readonly columns: number;
  readonly rows: number;
}

/** The panel as it was left, wet and dried, and one before it: some megabytes. */
const KEPT = 3;

/**
 * The large pictures painted last, so that a panel that is looked at again is there at once. Small ones are painted as
 * soon as they are asked for, and there are many of them.
 */
export function keptPictures(most = KEPT) {
  let kept: readonly { readonly shown: Shown; readonly halves: readonly Picture[] }[] = [];
  const isSame = (p: Shown, q: Shown): boolean =>
    p.resolved === q.resolved &&
    p.wetness === q.wetness &&
    p.progress === q.progress &&
    p.isPlain === q.isPlain &&
    p.columns === q.columns &&
    p.rows === q.rows;
  return {
    /** @param halves  from the top down; nobody may write to them any more */
    keep: (shown: Shown, halves: readonly Picture[]): void => {
      const others = kept.filter((one) => !isSame(one.shown, shown));
      kept = [{ shown, halves }, ...others].slice(0, most);
    },
    of: (shown: Shown): readonly Picture[] | undefined =>
      kept.find((one) => isSame(one.shown, shown))?.halves,
  };
}
