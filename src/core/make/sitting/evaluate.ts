import type { Plan, Planned, Sitting, Stage } from './sitting';
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
  const heat = new Float64Array(Math.max(atHand.heatTools, 1));
  const mats: Mat[] = Array.from({ length: Math.max(atHand.mats, 1) }, () => ({ ink: undefined, free: 0 }));
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
    for (let i = at.from; i < at.to; i++) {
      const operation = operations[i];
      if (!operation) return undefined;
      const opened = time;
      let mat: number | undefined;
      if (operation.ink !== undefined) {
        mat = matFor(mats, operation.ink, time);
        const chosen = mats[mat] as Mat;
        time = Math.max(time, chosen.free);
        if (chosen.ink !== undefined && chosen.ink !== operation.ink) {
          lines.push({
            does: 'wipe',
            group,
            panel,
            operation: i,
            hand,
            mat,
            start: time,
            end: time + atHand.wipeMinutes,
          });
          time += atHand.wipeMinutes;
          wipes++;
        }
        chosen.ink = operation.ink;
      }
      if (operation.heat) {
        const tool = heat.indexOf(Math.min(...heat));
        time = Math.max(time, heat[tool] ?? 0);
        heat[tool] = time + operation.minutes;
      }
      const before = operations[i - 1]?.rest;
      if (
        i > at.from &&
        time - opened + (before?.min ?? 0) > (before?.max ?? Number.POSITIVE_INFINITY) + 1e-9
      )
        return undefined;
      const end = time + operation.minutes;
      lines.push({
        does: 'operation',
        group,
        panel,
        operation: i,
        hand,
        ...(mat === undefined ? {} : { mat }),
        start: time,
        end,
      });
      if (mat !== undefined) (mats[mat] as Mat).free = end;
      hands[hand] = end;
      time = end + (i < at.to - 1 ? (operation.rest?.min ?? 0) : 0);
    }
    const done = (hands[hand] ?? 0) + (last?.rest?.min ?? 0);
    now.ready[panel] = done;
    now.done[stage + 1]?.push(panel);
    const isLast = at.to === operations.length;
    if (dries) lying.set(key, isLast ? done : Number.POSITIVE_INFINITY);
    makespan = Math.max(makespan, done);
  }
  return { lines, makespan, wipes };
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
