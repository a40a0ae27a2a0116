import type { Plan, Planned, Sitting } from './sitting';

/** Times nearer than this are one, minutes. */
const SAME = 1e-6;

/** What a piece of work waited for before it began. */
export type WaitedFor =
  | 'the hands'
  | 'the mat'
  | 'the brush'
  | 'the heat tool'
  | 'the stamp or stencil'
  | 'its drying'
  | 'a break'
  | 'room to dry'
  | 'its join';

const restOf = ({ groups }: Sitting, { group, operation }: Planned): number =>
  groups[group]?.operations[operation]?.rest?.min ?? 0;
const isHeated = ({ groups }: Sitting, { does, group, operation }: Planned): boolean =>
  does === 'operation' && groups[group]?.operations[operation]?.heat === true;
const thingsOf = ({ groups }: Sitting, { does, group, operation }: Planned): readonly string[] =>
  (does === 'operation' && groups[group]?.operations[operation]?.things) || [];
const isWhen = (at: number, { start }: Planned): boolean => Math.abs(at - start) < SAME;

/** What of a line let another begin just then; drying first, which nobody can hurry. */
function releasedBy(sitting: Sitting, line: Planned, next: Planned): WaitedFor | undefined {
  const isNextOfPanel =
    line.does === 'operation' &&
    next.does === 'operation' &&
    line.group === next.group &&
    line.panel === next.panel &&
    line.operation === next.operation - 1;
  const rest = isNextOfPanel ? restOf(sitting, line) : 0;
  if (rest > 0 && isWhen(line.end + rest, next)) return 'its drying';
  const hasBrush = line.brush !== undefined && line.brush === next.brush;
  if (hasBrush && line.does === 'wash' && isWhen(line.end + sitting.atHand.dampMinutes, next))
    return 'the brush';
  if (!isWhen(line.end, next)) return undefined;
  if (line.hand === next.hand) return 'the hands';
  if (hasBrush) return 'the brush';
  if (line.mat !== undefined && line.mat === next.mat) return 'the mat';
  if (isHeated(sitting, line) && isHeated(sitting, next)) return 'the heat tool';
  const wanted = thingsOf(sitting, next);
  return thingsOf(sitting, line).some((thing) => wanted.includes(thing)) ? 'the stamp or stencil' : undefined;
}

/** The line that let another begin when it did, and what it held; undefined for the first, and after a break. */
function releaseOf(
  sitting: Sitting,
  lines: readonly Planned[],
  next: Planned,
): { readonly line: Planned; readonly for: WaitedFor } | undefined {
  for (const line of lines) {
    if (line === next || line.end > next.start + SAME) continue;
    const released = releasedBy(sitting, line, next);
    if (released) return { line, for: released };
  }
  return undefined;
}

/** Why a piece of work begins then and no earlier; undefined where nothing held it. */
export function whyThen(
  sitting: Sitting,
  lines: readonly Planned[],
  line: Planned,
): { readonly for: WaitedFor; readonly after?: Planned } | undefined {
  const release = releaseOf(sitting, lines, line);
  if (release) return { for: release.for, after: release.line };
  const over = (sitting.breaks ?? []).some(
    ({ start, minutes }) => Math.abs(start + minutes - line.start) < SAME,
  );
  if (over) return { for: 'a break' };
  // A join that would close before a brush is dry that comes later in it is begun later.
  const waits = lines.some(
    (one) =>
      one.group === line.group &&
      one.panel === line.panel &&
      one.operation > line.operation &&
      releaseOf(sitting, lines, one)?.line.does === 'wash',
  );
  if (waits) return { for: 'its join' };
  return lyingAt(sitting, lines, line.start - 10 * SAME) >= sitting.atHand.places
    ? { for: 'room to dry' }
    : undefined;
}

/** How many panels lie drying, or wait to be taken up, at a minute. */
function lyingAt(sitting: Sitting, lines: readonly Planned[], minute: number): number {
  return lines.filter((line) => {
    const { min = 0, max } = sitting.groups[line.group]?.operations[line.operation]?.rest ?? {};
    if (line.does !== 'operation' || min <= 0 || max !== undefined || line.end > minute) return false;
    const next = lines.find(
      (one) =>
        one.does === 'operation' &&
        one.group === line.group &&
        one.panel === line.panel &&
        one.operation === line.operation + 1,
    );
    return (next?.start ?? line.end + min) > minute;
  }).length;
}

/**
 * The lines of a plan that its end hangs on: each begins when the one before it lets it, from the last back. Whatever of them
 * takes longer, the evening ends later.
 */
export function criticalLines(sitting: Sitting, { lines, makespan }: Plan): ReadonlySet<Planned> {
  const critical = new Set<Planned>();
  let now = lines.find(
    (line) => line.does === 'operation' && Math.abs(line.end + restOf(sitting, line) - makespan) < SAME,
  );
  while (now) {
    critical.add(now);
    const before = releaseOf(sitting, lines, now)?.line;
    now = before && !critical.has(before) ? before : undefined;
  }
  return critical;
}
