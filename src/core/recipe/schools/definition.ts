import type { Lab } from '../../materials/colour/lab';
import { paleToDark } from '../../materials/colour/order';

/** A rung as a school looks at it. */
export interface LaidRung {
  /** As it dries. */
  readonly lab: Lab;
  readonly noun: string;
}

/** Which order the rungs are laid in, and why a maker would choose so. Adding one is adding a file and a line. */
export interface School {
  readonly id: string;
  readonly label: string;
  readonly reason: string;
  /** How an ink is faded toward what is laid after it; by lifting pressure where left out. */
  readonly fading?: string;
  /** Whether the middle of two inks is brewed from both and laid between them. */
  readonly brews: boolean;
  /** Whether joins wait until what lies between is down, so that quick inks may dry in them. */
  readonly joinsWait: boolean;
  /** Rung indices in the order they are laid. */
  readonly order: (rungs: readonly LaidRung[]) => number[];
}

export const byLightness = (rungs: readonly LaidRung[]): number[] => paleToDark(rungs.map(({ lab }) => lab));

/** Whether a rung is a yellow, which goes down before all others. Common practice. */
export const isYellow = ({ noun }: LaidRung): boolean => noun === 'yellow' || noun === 'orange yellow';
