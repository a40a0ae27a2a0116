import type { ResolvedRecipe } from '../../core/recipe/resolved';
import type { Painted } from '../../workers/picture.worker';

/** A picture that takes painters longer than this, ms, does not follow a hand that moves; one that takes less than the other does. */
const [HEAVY, LIGHT] = [40, 20];
/** The hand rests once nothing has changed for so long, ms. */
export const RESTS = 150;
/** Pixels of the screen to one of a coarse picture, each way. */
const COARSE = 2;

/** Tells how coarsely pictures of what is in hand are to be painted: as they are, but for those that lag behind a hand that moves. */
export function pictureGrades() {
  /** How long each pixel of the last two pictures took, ms: a first one has much to find out that the next ones know. */
  let [pace, paceBefore] = [0, 0];
  let changedAt = Number.NEGATIVE_INFINITY;
  let coarse: ResolvedRecipe | undefined;
  return {
    /** Told of each picture that was painted. */
    painted: (halves: readonly Painted[]): void => {
      const pixels = halves.reduce((sum, { width, height }) => sum + width * height, 0);
      [pace, paceBefore] = [halves.reduce((sum, { took }) => sum + took, 0) / pixels, pace];
    },

    /**
     * Told of each change.
     *
     * @param pixels  of the picture as it is when the hand rests
     * @param now     ms
     */
    changed: (resolved: ResolvedRecipe, pixels: number, now: number): void => {
      const isMoving = now - changedAt < RESTS;
      changedAt = now;
      // What has become coarse stays so as long as it is not light at all, or it would flicker.
      const isHeavy = pixels * Math.min(pace, paceBefore) > (coarse ? LIGHT : HEAVY);
      coarse = isMoving && isHeavy ? resolved : undefined;
    },

    /** Pixels of the screen to one of the picture, each way. */
    of: (resolved: ResolvedRecipe): number => (coarse === resolved ? COARSE : 1),

    /** The hand rests: what is shown is to be painted as it is. */
    rested: (): void => {
      coarse = undefined;
    },
  };
}
