import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Work } from '../../workers/client';

/**
 * A picture that painters work on for longer than this, ms, does not follow a hand that moves; a finer one than the last is
 * painted only where it takes less than the other.
 */
const [HEAVY, LIGHT] = [40, 20];
/** The hand rests once nothing has changed for so long, ms. */
export const RESTS = 150;
/** The pixels of the coarsest picture are so large, CSS px: it still shows where things lie. */
const COARSEST = 2;

/** Tells how coarsely pictures of what is in hand are to be painted: as they are, but for those that lag behind a hand that moves. */
export function pictureGrades() {
  /** How long each pixel of the last two pictures took, ms: a first one has much to find out that the next ones know. */
  let [pace, paceBefore] = [0, 0];
  let changedAt = Number.NEGATIVE_INFINITY;
  let inHand: ResolvedRecipe | undefined;
  let grade = 1;
  return {
    /** Told of all work on pictures, of those that were given up for newer ones, too: in a quick drag there may be no others. */
    worked: ({ took, pixels }: Work): void => {
      [pace, paceBefore] = [took / pixels, pace];
    },

    /**
     * Told of each change.
     *
     * @param pixels  of the picture as it is when the hand rests
     * @param ratio   pixels of the screen to a CSS px, each way
     * @param now     ms
     */
    changed: (resolved: ResolvedRecipe, pixels: number, ratio: number, now: number): void => {
      const isMoving = now - changedAt < RESTS;
      changedAt = now;
      inHand = resolved;
      const took = pixels * Math.min(pace, paceBefore);
      grade = isMoving ? Math.min(finestThatFollows(took, grade), Math.round(COARSEST * ratio)) : 1;
    },

    /** Pixels of the screen to one of the picture, each way. */
    of: (resolved: ResolvedRecipe): number => (inHand === resolved ? grade : 1),

    /** The hand rests: what is shown is to be painted as it is. */
    rested: (): void => {
      grade = 1;
    },
  };
}

/**
 * @param took  how long all pixels of the screen would take, ms
 * @param last  the grade of the picture before: what has become coarse stays so where it is not light, or it would flicker
 */
function finestThatFollows(took: number, last: number): number {
  const follows = (limit: number): number => Math.max(1, Math.ceil(Math.sqrt(took / limit)));
  return Math.max(follows(HEAVY), Math.min(last, follows(LIGHT)));
}
