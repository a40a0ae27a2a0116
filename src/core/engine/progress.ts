import type { Pass } from '../recipe/passes/passes';
import { passesInOrder } from '../recipe/passesInOrder';
import type { Overlap, Recipe } from '../recipe/recipe';

/** How far the work on a panel has come, for the picture of it after a step. */
export interface Progress {
  /** Which rungs are down. */
  readonly laid: readonly boolean[];
  /** Which joints have been gone back over; the others still show where the brush began. */
  readonly blended: readonly boolean[];
  /** How many of the passes that are on are done, those before the blend first. */
  readonly passes: number;
  /** How many placings of the pass after those are. */
  readonly placings: number;
}

/** A panel on which nothing is laid yet. */
export const untouched = ({ rungs, joints }: Recipe): Progress => ({
  laid: rungs.map(() => false),
  blended: joints.map(() => false),
  passes: 0,
  placings: 0,
});

/** A finished panel. */
export const finished = ({ rungs, joints, passes }: Recipe): Progress => ({
  laid: rungs.map(() => true),
  blended: joints.map(() => true),
  passes: passes.filter(({ on }) => on).length,
  placings: 0,
});

/** What has been done of the passes, in the order of work: of the last one perhaps some of its placings only. */
export function passesDone(recipe: Pick<Recipe, 'passes'>, { passes, placings }: Progress): Pass[] {
  const order = passesInOrder(recipe);
  const begun = placings > 0 ? order[passes] : undefined;
  return [
    ...order.slice(0, passes),
    ...(begun ? [{ ...begun, placements: begun.placements.slice(0, placings) }] : []),
  ];
}

/** How wide the visible step of a joint is before it has been gone back over, as a part of the joint; by eye. */
const UNBLENDED = 0.4;

/** The joints as they stand: those not gone back over yet are still narrow. */
export const lapsNow = (laps: readonly Overlap[], { laid, blended }: Progress): Overlap[] =>
  laps.map((lap, joint) => {
    const met = laid[joint] && laid[joint + 1];
    if (!met || blended[joint]) return lap;
    const [middle, half] = [(lap.start + lap.end) / 2, (UNBLENDED * (lap.end - lap.start)) / 2];
    return { start: middle - half, end: middle + half };
  });
