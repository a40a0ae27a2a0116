import type { Wetness } from '../../core/engine/mixing';
import type { Progress } from '../../core/engine/progress';
import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Painted } from '../../workers/picture.worker';

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

/** A picture, from the top down; null where it was given up for a newer one. Nobody may write to it. */
type Halves = readonly Painted[] | null;

interface Kept {
  readonly shown: Shown;
  readonly painting: Promise<Halves>;
  halves: readonly Painted[] | undefined;
}

/**
 * The large pictures painted last, so that a panel that is looked at again is there at once, or as soon as the first look
 * would have had it. Small ones are painted as soon as they are asked for, and there are many of them.
 */
export function keptPictures(most = KEPT) {
  let kept: readonly Kept[] = [];
  const find = (shown: Shown): Kept | undefined => kept.find((one) => isSame(one.shown, shown));
  return {
    /** A picture that is painted already. */
    of: (shown: Shown): readonly Painted[] | undefined => find(shown)?.halves,

    /** A picture, painted now or, where somebody is at it, then; if they give it up it is painted after all. */
    painted: (shown: Shown, paint: () => Promise<Halves>): Promise<Halves> => {
      const before = find(shown)?.painting;
      const painting = before
        ? before.then(
            (halves) => halves ?? paint(),
            () => paint(),
          )
        : paint();
      const entry: Kept = { shown, painting, halves: undefined };
      kept = [entry, ...kept.filter((one) => !isSame(one.shown, shown))].slice(0, most);
      const drop = (): void => {
        kept = kept.filter((one) => one !== entry);
      };
      painting.then((halves) => {
        if (halves) entry.halves = halves;
        else drop();
      }, drop);
      return painting;
    },
  };
}

const isSame = (p: Shown, q: Shown): boolean =>
  p.resolved === q.resolved &&
  p.wetness === q.wetness &&
  p.progress === q.progress &&
  p.isPlain === q.isPlain &&
  p.columns === q.columns &&
  p.rows === q.rows;
