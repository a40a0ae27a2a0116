import type { Plan, Planned, Sitting } from '../core/make/sitting/sitting';

const EPS = 1e-6;

/** The most of some spans that lie over one another. */
function overlaps(spans: readonly { start: number; end: number }[]): number {
  const events = spans.flatMap(({ start, end }) => [
    { at: start, by: 1 },
    { at: end - EPS, by: -1 },
  ]);
  let [now, most] = [0, 0];
  for (const { by } of events.sort((p, q) => p.at - q.at || p.by - q.by)) {
    now += by;
    most = Math.max(most, now);
  }
  return most;
}

/** What is wrong with a plan, in words; none where it can be worked. It shares nothing with the planner but the types. */
export function faultsOfPlan(
  { groups, atHand, breaks = [] }: Sitting,
  { lines, makespan, wipes, washes }: Plan,
): string[] {
  const faults: string[] = [];
  const work = lines.filter(({ does }) => does === 'operation');
  groups.forEach(({ count, operations, name }, group) => {
    for (let panel = 0; panel < count; panel++) {
      const own = work
        .filter((line) => line.group === group && line.panel === panel)
        .sort((p, q) => p.operation - q.operation);
      if (own.length !== operations.length)
        faults.push(`${name} ${panel}: ${own.length} of ${operations.length} operations`);
      for (const [i, line] of own.entries()) {
        const operation = operations[i];
        if (!operation || line.operation !== i) {
          faults.push(`${name} ${panel}: operation ${i} is missing`);
          continue;
        }
        if (Math.abs(line.end - line.start - operation.minutes) > EPS)
          faults.push(`${name} ${panel}: operation ${i} takes another time`);
        const next = own[i + 1];
        const gap = next ? next.start - line.end : undefined;
        if (gap !== undefined && gap < (operation.rest?.min ?? 0) - EPS)
          faults.push(`${name} ${panel}: wait after ${i} is cut short`);
        if (gap !== undefined && gap > (operation.rest?.max ?? Number.POSITIVE_INFINITY) + EPS)
          faults.push(`${name} ${panel}: join after ${i} closed`);
        if (!next && line.end + (operation.rest?.min ?? 0) > makespan + EPS)
          faults.push(`${name} ${panel}: done after the end`);
      }
    }
  });
  for (let hand = 0; hand < atHand.hands; hand++)
    if (overlaps(lines.filter((line) => line.hand === hand)) > 1)
      faults.push(`hand ${hand} does two things at once`);
  if (lines.some(({ hand }) => hand >= atHand.hands)) faults.push('a hand that is not there');
  const heated = work.filter(({ group, operation }) => groups[group]?.operations[operation]?.heat);
  if (overlaps(heated) > atHand.heatTools) faults.push('more heat tools than there are');
  const thingsOf = ({ group, operation }: Planned) => groups[group]?.operations[operation]?.things ?? [];
  for (const thing of new Set(work.flatMap(thingsOf)))
    if (overlaps(work.filter((line) => thingsOf(line).includes(thing))) > 1)
      faults.push(`${thing} is in two hands at once`);
  for (let mat = 0; mat < atHand.mats; mat++) {
    const used = lines.filter((line) => line.mat === mat).sort((p, q) => p.start - q.start);
    if (overlaps(used) > 1) faults.push(`mat ${mat} is used twice at once`);
    let ink: string | undefined;
    for (const line of used) {
      if (line.does === 'wipe') {
        if (Math.abs(line.end - line.start - atHand.wipeMinutes) > EPS)
          faults.push('a wipe takes another time');
        ink = undefined;
        continue;
      }
      const wanted = groups[line.group]?.operations[line.operation]?.ink;
      if (ink !== undefined && ink !== wanted)
        faults.push(`mat ${mat} holds ${ink}, and ${wanted} is laid from it`);
      ink = wanted;
    }
  }
  for (const { group, operation, mat } of work)
    if (groups[group]?.operations[operation]?.ink !== undefined && mat === undefined)
      faults.push('an ink is laid from no mat');
  faults.push(...faultsOfBrushes(groups, atHand, lines));
  for (const { start, minutes } of breaks)
    if (lines.some((line) => line.start < start + minutes - EPS && line.end > start + EPS))
      faults.push('hands work in a break');
  if (lines.filter(({ does }) => does === 'wash').length !== washes) faults.push('washes are miscounted');
  if (lines.filter(({ does }) => does === 'wipe').length !== wipes) faults.push('wipes are miscounted');
  const lying = work.flatMap((line) => {
    const { min: rest = 0, max } = groups[line.group]?.operations[line.operation]?.rest ?? {};
    // In the midst of a stage the panel stays before the maker.
    if (rest <= 0 || max !== undefined) return [];
    const next = work.find(
      (one) => one.group === line.group && one.panel === line.panel && one.operation === line.operation + 1,
    );
    return [{ start: line.end, end: next ? next.start : line.end + rest }];
  });
  if (overlaps(lying) > atHand.places) faults.push('more panels lie drying than there are places');
  return faults;
}

function faultsOfBrushes(
  groups: Sitting['groups'],
  atHand: Sitting['atHand'],
  lines: readonly Planned[],
): string[] {
  const faults: string[] = [];
  const sets = new Map<number, string>();
  for (const brush of new Set(lines.flatMap((line) => line.brush ?? []))) {
    const used = lines.filter((line) => line.brush === brush).sort((p, q) => p.start - q.start);
    if (overlaps(used) > 1) faults.push(`brush ${brush} is in two hands at once`);
    let holds: string | undefined;
    let dry = 0;
    for (const line of used) {
      if (line.does === 'wash') {
        if (Math.abs(line.end - line.start - atHand.washMinutes) > EPS)
          faults.push('a wash takes another time');
        holds = undefined;
        dry = line.end + atHand.dampMinutes;
        continue;
      }
      const wish = groups[line.group]?.operations[line.operation]?.brush;
      if (!wish) {
        faults.push(`brush ${brush} is used for what wants none`);
        continue;
      }
      if (line.start < dry - EPS) faults.push(`brush ${brush} is used damp`);
      if (holds !== undefined && holds !== wish.holds)
        faults.push(`brush ${brush} holds ${holds}, and is used for ${wish.holds}`);
      holds = wish.holds;
      if ((sets.get(brush) ?? wish.set) !== wish.set) faults.push(`brush ${brush} crosses its set`);
      sets.set(brush, wish.set);
    }
  }
  for (const [set, count] of Object.entries(atHand.brushes))
    if ([...sets.values()].filter((one) => one === set).length > count)
      faults.push(`more brushes for ${set} than there are`);
  if (Object.keys(atHand.brushes).length > 0)
    for (const { does, group, operation, brush } of lines)
      if (does === 'operation' && groups[group]?.operations[operation]?.brush && brush === undefined)
        faults.push('a brush is wanted and none is taken');
  return faults;
}
