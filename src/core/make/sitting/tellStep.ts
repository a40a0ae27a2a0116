import { SETS_WITHIN } from '../../sheet/brushes';
import type { Step } from '../../sheet/desk';
import { describeMinutes } from '../../sheet/times';
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
  if (!last) return 'Fresh.';
  const lay = wish.sets && line.start - last.end >= SETS_WITHIN;
  return held === wish.holds && !lay ? 'It holds it already.' : 'Washed, and dry.';
}

/**
 * What becomes of a line's brush after it, where what is on it would set: it is washed once nothing wants it any more, or
 * for long.
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
  const wanted = left.flatMap(({ brush, start }) =>
    brush === line.brush && start > line.start ? [start] : [],
  );
  const waits = Math.min(...wanted) - line.end;
  if (waits < SETS_WITHIN) return undefined;
  const until = wanted.length > 0 ? `for ${describeMinutes(waits)}` : 'again';
  return `It is not wanted ${until}: wash it as soon as your hands are free, before it sets.`;
}
