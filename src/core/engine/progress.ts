import { firstPlacements, type Pass } from '../recipe/passes/passes';
import { type JointSpan, passesInOrder, type Recipe } from '../recipe/recipe';

/** How far the work on a panel has come, for the picture of it after a step. */
export interface Progress {
  /** Which rungs are down. */
  readonly laid: readonly boolean[];
  /** Which joints have been gone back over; the others still show where the brush began. */
  readonly blended: readonly boolean[];
  /** How many of the passes that are not left out are done, those before the blend first. */
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
  passes: passes.filter(({ enabled }) => enabled).length,
  placings: 0,
});

/** What has been done of the passes, in the order of work: of the last one perhaps some of its placings only. */
export function passesDone(recipe: Pick<Recipe, 'passes'>, { passes, placings }: Progress): Pass[] {
  const order = passesInOrder(recipe);
  const begun = placings > 0 ? order[passes] : undefined;
  return [...order.slice(0, passes), ...(begun ? [firstPlacements(begun, placings)] : [])];
}

/** How wide the visible step of a joint is before it has been gone back over, as a part of the joint; by eye. */
const UNBLENDED = 0.4;

/** The joints as they stand: those not gone back over yet are still narrow. */
export const spansSoFar = (spans: readonly JointSpan[], { laid, blended }: Progress): JointSpan[] =>
  spans.map((span, joint) => {
    const met = laid[joint] && laid[joint + 1];
    if (!met || blended[joint]) return span;
    const [middle, half] = [(span.start + span.end) / 2, (UNBLENDED * (span.end - span.start)) / 2];
    return { start: middle - half, end: middle + half };
  });
