import type { Ink } from '../../materials/ink/ink';
import type { Readings } from '../../readings/readings';
import type { ResolvedRecipe } from '../../recipe/resolved';
import type { NextTime } from '../log/changes';
import type { TroubleId } from '../log/troubles';

/** What a cause is weighed by. */
export interface TroubleContext {
  readonly resolved: ResolvedRecipe;
  readonly readings: Readings;
  /** Days since an ink's pad was re-inked; undefined where that was never noted. */
  readonly daysSinceInked: (ink: Ink) => number | undefined;
  /** How often the log has this trouble, of how many panels. */
  readonly inLog: (trouble: TroubleId) => { readonly times: number; readonly of: number };
}

/** How likely a cause is here, against the others of the same trouble, and why. */
export interface Likelihood {
  /** 1 where nothing speaks for or against it. */
  readonly weight: number;
  /** What speaks for it. */
  readonly reason?: string;
}

/** Something that makes a trouble. */
export interface Cause {
  readonly id: string;
  readonly cause: string;
  /** What helps now. */
  readonly cure: string;
  /** What to do otherwise the next time. */
  readonly next: string;
  readonly likely?: (context: TroubleContext) => Likelihood;
  /** That as a change of the recipe, where it is one. */
  readonly change?: (context: TroubleContext) => NextTime | undefined;
}
