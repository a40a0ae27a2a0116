import type { Lab } from '../colour/lab';
import { paleToDark } from '../ladder/edit';

export type SchoolId = 'paleFirst';

/** Which order the rungs are laid in, and why a maker would choose so. */
export interface School {
  readonly id: SchoolId;
  readonly label: string;
  readonly reason: string;
  /** Rung indices in the order they are laid, from the rungs' dried colours. */
  readonly order: (rungs: readonly { lab: Lab; noun: string }[]) => number[];
}

const paleFirst: School = {
  id: 'paleFirst',
  label: 'Pale first',
  reason: 'The pale brush stays clean; yellow before all others, since everything is blended over onto it.',
  order: (rungs) => {
    const order = paleToDark(rungs.map(({ lab }) => lab));
    const yellow = order.filter((i) => isYellow(rungs[i]));
    return [...yellow, ...order.filter((i) => !yellow.includes(i))];
  },
};

const isYellow = (rung: { noun: string } | undefined): boolean =>
  rung?.noun === 'yellow' || rung?.noun === 'orange yellow';

export const SCHOOLS: Readonly<Record<SchoolId, School>> = { paleFirst };
