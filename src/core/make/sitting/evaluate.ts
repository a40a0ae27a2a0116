import type { Operation, Plan, Planned, Sitting, Stage } from './sitting';
import { stagesOf } from './sitting';

/** The next stage of a group's next panel that waits for it. */
export interface Token {
  readonly group: number;
  readonly stage: number;
}

interface Mat {
  ink: string | undefined;
  free: number;
}

/** What a plan is laid out on; a sitting is looked through once. */
export interface Workbench {
  readonly sitting: Sitting;
  readonly stages: readonly (readonly Stage[])[];
}

export const workbenchOf = (sitting: Sitting): Workbench => ({
  sitting,
  stages: sitting.groups.map(({ operations }) => stagesOf(operations)),
});

/** Where every panel of a group stands while a plan is laid out. */
interface Standing {
  /** Panels that have finished each stage, in the order they did. */
  readonly done: number[][];
  /** When each panel can go on. */
  readonly ready: number[];
  /** How many of the panels ready for a stage have been taken up. */
  readonly taken: number[];
}

/**
 * Lays stages out in an order, each as early as hands, mats, heat tools and places to dry let it; a stage is never left.
 *
 * @returns undefined where the order cannot be worked: a stage before the one it follows, or no place to dry
 */
export function evaluate({ sitting, stages }: Workbench, order: readonly Token[]): Plan | undefined {
  const { groups, atHand } = sitting;
  const hands = new Float64Array(atHand.hands);
  let heat: readonly number[] = Array.from({ length: Math.max(atHand.heatTools, 1) }, () => 0);
  let mats: readonly Mat[] = Array.from({ length: Math.max(atHand.mats, 1) }, () => ({
    ink: undefined,
    free: 0,
  }));
  const standing = groups.map(({ count }, g): Standing => {
    const own = stages[g] ?? [];
    return {
      done: [Array.from({ length: count }, (_, i) => i), ...own.map(() => [])],
      ready: Array.from({ length: count }, () => 0),
      taken: own.map(() => 0),
    };
  });
  // Until when each place is taken; endless while nobody knows when the panel is taken up again.
  const lying = new Map<string, number>();
  const lines: Planned[] = [];
  let wipes = 0;
  let makespan = 0;

  for (const { group, stage } of order) {
    const operations = groups[group]?.operations ?? [];
    const at = stages[group]?.[stage];
    const now = standing[group];
    const panel = now?.done[stage]?.[now.taken[stage] ?? 0];
    if (!at || !now || panel === undefined) return undefined;
    now.taken[stage] = (now.taken[stage] ?? 0) + 1;
    const hand = hands[0] !== undefined && (hands[1] ?? Number.POSITIVE_INFINITY) < hands[0] ? 1 : 0;
    let time = Math.max(hands[hand] ?? 0, now.ready[panel] ?? 0);
    const key = `${group} ${panel}`;
    const last = operations[at.to - 1];
    const dries = (last?.rest?.min ?? 0) > 0;
    if (dries && !lying.has(key)) {
      const free = placeFree(lying, time, atHand.places);
      if (free === undefined) return undefined;
      time = free;
    }
    lying.delete(key);
    const laid = layStage(operations, at, time, mats, heat, atHand.wipeMinutes);
    if (!laid) return undefined;
    for (const { mat, ...line } of laid.lines)
      lines.push({ group, panel, hand, ...line, ...(mat === undefined ? {} : { mat }) });
    mats = laid.mats;
    heat = laid.heat;
    wipes += laid.lines.filter(({ does }) => does === 'wipe').length;
    hands[hand] = laid.end;
    const done = (hands[hand] ?? 0) + (last?.rest?.min ?? 0);
    now.ready[panel] = done;
    now.done[stage + 1]?.push(panel);
    const isLast = at.to === operations.length;
    if (dries) lying.set(key, isLast ? done : Number.POSITIVE_INFINITY);
    makespan = Math.max(makespan, done);
  }
  return { lines, makespan, wipes };
}

/** A stage as it is worked, and how it leaves mats and heat tools. */
interface LaidStage {
  readonly lines: readonly {
    readonly does: Planned['does'];
    readonly operation: number;
    readonly mat: number | undefined;
    readonly start: number;
    readonly end: number;
  }[];
  readonly mats: readonly Mat[];
  readonly heat: readonly number[];
  readonly end: number;
}

/** A stage that has to wait for a mat in the midst of a join is begun later, so often at the most. */
const TRIES = 12;

/** Lays one stage out from a time on; undefined where its joins close, however late it is begun. */
function layStage(
  operations: readonly Operation[],
  stage: Stage,
  from: number,
  mats: readonly Mat[],
  heat: readonly number[],
  wipeMinutes: number,
): LaidStage | undefined {
  let begin = from;
  for (let tries = 0; tries < TRIES; tries++) {
    const laid = layFrom(operations, stage, begin, mats, heat, wipeMinutes);
    if (typeof laid !== 'number') return laid;
    begin += laid;
  }
  return undefined;
}

/** A stage begun then, or by how much a join of it closes too early. */
function layFrom(
  operations: readonly Operation[],
  { from, to }: Stage,
  begin: number,
  matsBefore: readonly Mat[],
  heatBefore: readonly number[],
  wipeMinutes: number,
): LaidStage | number {
  const mats = matsBefore.map((mat) => ({ ...mat }));
  const heat = [...heatBefore];
  const lines: LaidStage['lines'][number][] = [];
  let time = begin;
  let end = begin;
  for (let i = from; i < to; i++) {
    const operation = operations[i] as Operation;
    const before = i > from ? operations[i - 1]?.rest : undefined;
    const closed = end;
    let mat: number | undefined;
    if (operation.ink !== undefined) {
      mat = matFor(mats, operation.ink, time);
      const chosen = mats[mat] as Mat;
      time = Math.max(time, chosen.free);
      if (chosen.ink !== undefined && chosen.ink !== operation.ink) {
        lines.push({ does: 'wipe', operation: i, mat, start: time, end: time + wipeMinutes });
        time += wipeMinutes;
      }
      chosen.ink = operation.ink;
    }
    if (operation.heat) {
      const tool = heat.indexOf(Math.min(...heat));
      time = Math.max(time, heat[tool] ?? 0);
      heat[tool] = time + operation.minutes;
    }
    const late = i > from ? time - closed - (before?.max ?? Number.POSITIVE_INFINITY) : 0;
    if (late > 1e-9) return late;
    end = time + operation.minutes;
    lines.push({ does: 'operation', operation: i, mat, start: time, end });
    if (mat !== undefined) (mats[mat] as Mat).free = end;
    time = end + (i < to - 1 ? (operation.rest?.min ?? 0) : 0);
  }
  return { lines, mats, heat, end };
}

/** When a place to dry is free, from a time on; undefined where none ever is. */
function placeFree(lying: Map<string, number>, time: number, places: number): number | undefined {
  const until = [...lying.values()].filter((end) => end > time).sort((p, q) => p - q);
  if (until.length < places) return time;
  const free = until[until.length - places];
  return free === undefined || free === Number.POSITIVE_INFINITY ? undefined : free;
}

/** A mat with that ink, or a clean one, or the one that is free first. */
function matFor(mats: readonly Mat[], ink: string, time: number): number {
  const same = mats.findIndex((mat) => mat.ink === ink && mat.free <= time);
  if (same >= 0) return same;
  const clean = mats.findIndex((mat) => mat.ink === undefined);
  if (clean >= 0) return clean;
  return mats.reduce((best, mat, i) => (mat.free < (mats[best]?.free ?? 0) ? i : best), 0);
}
