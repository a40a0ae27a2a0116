import type { Lab } from '../../materials/colour/lab';
import { paleToDark } from '../editLadder';

export type SchoolId = 'paleFirst' | 'darkFirst' | 'bothEnds' | 'middleOut';

/** A rung as a school looks at it. */
export interface LaidRung {
  /** As it dries. */
  readonly lab: Lab;
  readonly noun: string;
}

/** Which order the rungs are laid in, and why a maker would choose so. Adding one is adding one of these. */
export interface School {
  readonly id: SchoolId;
  readonly label: string;
  readonly reason: string;
  /** What the hand does differently in this school. */
  readonly care: string;
  /** Whether the middle of two inks is brewed from both and laid between them. */
  readonly brews: boolean;
  /** Rung indices in the order they are laid. */
  readonly order: (rungs: readonly LaidRung[]) => number[];
}

const byLightness = (rungs: readonly LaidRung[]): number[] => paleToDark(rungs.map(({ lab }) => lab));

const isYellow = (rung: LaidRung | undefined): boolean =>
  rung?.noun === 'yellow' || rung?.noun === 'orange yellow';

const paleFirst: School = {
  id: 'paleFirst',
  label: 'Pale first',
  reason: 'The pale brush stays clean; yellow before all others, since everything is blended over onto it.',
  care: 'Fade by lifting pressure, no new ink.',
  brews: false,
  order: (rungs) => {
    const order = byLightness(rungs);
    const yellow = order.filter((i) => isYellow(rungs[i]));
    return [...yellow, ...order.filter((i) => !yellow.includes(i))];
  },
};

const darkFirst: School = {
  id: 'darkFirst',
  label: 'Dark first',
  reason:
    'Sets the depth at once; the dark is then dragged out toward the pale end on less and less pressure.',
  care: 'Drag it out toward the pale end on less and less pressure, no new ink.',
  brews: false,
  order: (rungs) => byLightness(rungs).toReversed(),
};

const bothEnds: School = {
  id: 'bothEnds',
  label: 'Both ends, then the middle',
  reason: 'Two solid ends stay pure; what lies between is laid last and worked into both.',
  care: 'Leave the strip between bare. Fade by lifting pressure, no new ink.',
  brews: true,
  order: (rungs) => {
    const order: number[] = [];
    for (let low = 0, high = rungs.length - 1; low <= high; low++, high--) {
      const paler = (rungs[low]?.lab.l ?? 0) >= (rungs[high]?.lab.l ?? 0) ? [low, high] : [high, low];
      order.push(...new Set(paler));
    }
    return order;
  },
};

const middleOut: School = {
  id: 'middleOut',
  label: 'Middle out',
  reason: 'The middle first, while all round it is clean; then outward, ring by ring, the dark last.',
  care: 'Fade outward by lifting pressure, no new ink.',
  brews: false,
  // The palest end of a glow is its middle; a ladder that is palest inside starts there.
  order: (rungs) => {
    const palest = byLightness(rungs)[0] ?? 0;
    return rungs.map((_, i) => i).sort((p, q) => Math.abs(p - palest) - Math.abs(q - palest) || q - p);
  },
};

export const SCHOOLS: Readonly<Record<SchoolId, School>> = { paleFirst, darkFirst, bothEnds, middleOut };
export const SCHOOL_IDS = Object.keys(SCHOOLS) as readonly SchoolId[];
