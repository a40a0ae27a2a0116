import type { Step } from '../../sheet/desk';
import type { DoneLine } from './begun';
import type { Planned, Sitting } from './sitting';

/** What to mind of a step, without what its sheet says of its own brushes and mat: in a sitting those are planned, and told by it. */
export const careInSitting = ({ care, ownBrushes }: Step): string[] =>
  care.filter((line) => !ownBrushes.includes(line));

/** How the brush of a line stands before it: it holds its colour already, or is clean. */
export function tellBrush({ groups }: Sitting, done: readonly DoneLine[], line: Planned): string | undefined {
  const wish = groups[line.group]?.operations[line.operation]?.brush;
  if (!wish || line.brush === undefined) return undefined;
  const last = done.filter(({ brush }) => brush === line.brush).at(-1);
  const held =
    last?.does === 'operation' ? groups[last.group]?.operations[last.operation]?.brush?.holds : undefined;
  return held === wish.holds ? 'It holds it already.' : last ? 'Washed, and dry.' : 'Fresh.';
}

/**
 * What becomes of a line's brush after it, where what is on it would set: it is washed once nothing wants it any more.
 *
 * @param left  the lines still to be worked
 */
export function tellWashing(
  { groups }: Sitting,
  left: readonly Planned[],
  line: Planned,
): string | undefined {
  const wish = groups[line.group]?.operations[line.operation]?.brush;
  if (line.does !== 'operation' || line.brush === undefined || !wish?.sets) return undefined;
  const isWanted = left.some(({ brush, start }) => brush === line.brush && start > line.start);
  return isWanted
    ? undefined
    : 'It is not wanted again: wash it as soon as your hands are free, before it sets.';
}
