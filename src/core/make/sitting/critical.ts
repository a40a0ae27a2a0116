import type { Plan, Planned, Sitting } from './sitting';

/** Times nearer than this are one, minutes. */
const SAME = 1e-6;

/**
 * The lines of a plan that its end hangs on: each begins when the one before it lets it, from the last back. Whatever of them
 * takes longer, the evening ends later.
 */
export function criticalLines({ groups, atHand }: Sitting, { lines, makespan }: Plan): ReadonlySet<Planned> {
  const restOf = ({ group, operation }: Planned): number =>
    groups[group]?.operations[operation]?.rest?.min ?? 0;
  /** When what a line held is free for the next one, for each thing that both have. */
  const letsGo = (line: Planned, next: Planned): number[] => [
    ...(line.hand === next.hand ? [line.end] : []),
    ...(line.mat !== undefined && line.mat === next.mat ? [line.end] : []),
    ...(line.brush !== undefined && line.brush === next.brush
      ? [line.end + (line.does === 'wash' ? atHand.dampMinutes : 0)]
      : []),
    ...(line.does === 'operation' &&
    line.group === next.group &&
    line.panel === next.panel &&
    line.operation === next.operation - 1
      ? [line.end + restOf(line)]
      : []),
  ];
  const critical = new Set<Planned>();
  let now = lines.find(
    (line) => line.does === 'operation' && Math.abs(line.end + restOf(line) - makespan) < SAME,
  );
  while (now) {
    critical.add(now);
    const at: Planned = now;
    now = lines.find(
      (line) =>
        !critical.has(line) &&
        line.end <= at.start + SAME &&
        letsGo(line, at).some((free) => Math.abs(free - at.start) < SAME),
    );
  }
  return critical;
}
