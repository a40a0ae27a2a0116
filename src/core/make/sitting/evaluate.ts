import { type Begun, notBegun } from './begun';
import { type Brushwork, brushworkOf } from './brushwork';
import type { Break, Operation, Plan, Planned, Sitting, Stage, Work } from './sitting';
import { stagesOf } from './sitting';

/** The next stage of a group's next panel that waits for it. */
export interface Token {
  readonly group: number;
  readonly stage: number;
  /** Mats wiped right after it, ahead of what wants them clean. */
  readonly wipesAfter?: readonly number[];
}

interface Mat {
  ink: string | undefined;
  free: number;
}

/** What a plan is laid out on; a sitting is looked through once. */
export interface Workbench {
  readonly sitting: Sitting;
  readonly stages: readonly (readonly Stage[])[];
  readonly begun: Begun;
  /** Whether a set of brushes is counted, so that some may have to be washed. */
  readonly countsBrushes: boolean;
}

export const workbenchOf = (sitting: Sitting, begun: Begun = notBegun(sitting)): Workbench => ({
  sitting,
  stages: sitting.groups.map(({ operations }) => stagesOf(operations)),
  begun,
  countsBrushes: Object.keys(sitting.atHand.brushes).length > 0 || begun.brushes.length > 0,
});

/** Where every panel of a group stands while a plan is laid out. */
interface Standing {
  /** Panels that wait for each stage, in the order in which they came to. */
  readonly waiting: number[][];
  /** When each panel can go on. */
  readonly ready: number[];
}

/** Everything there is of hands, mats, tools and room, as a plan is laid out. */
interface Table {
  readonly hands: Float64Array;
  readonly busy: Float64Array;
  mats: readonly Mat[];
  heat: readonly number[];
  /** After so many pieces of work with ink, in how many an ink is wanted again. */
  readonly nextUse: (ink: string, after: number) => number;
  /** Pieces of work with ink so far. */
  inked: number;
  /** From when each brush can be used. */
  readonly brushes: number[];
  /** From when each thing that there is one of can be. */
  readonly things: Map<string, number>;
  /** Until when each place is taken; endless while nobody knows when the panel is taken up again. */
  readonly lying: Map<string, number>;
  readonly lines: Planned[];
  makespan: number;
}

/**
 * Lays stages out in an order, each as early as hands, mats, brushes, heat tools, stamps and places to dry let it; a stage is
 * never left. What is in the midst of one comes first.
 *
 * @returns undefined where the order cannot be worked: a stage before the one it follows, or no place to dry
 */
export function evaluate(bench: Workbench, order: readonly Token[]): Plan | undefined {
  const { sitting, begun } = bench;
  const { atHand } = sitting;
  const standing = standingOf(bench);
  const works = worksOf(bench, order, standing);
  if (!works) return undefined;
  const table: Table = {
    hands: new Float64Array(atHand.hands).fill(begun.now),
    busy: new Float64Array(atHand.hands),
    mats: begun.mats.map((ink) => ({ ink, free: begun.now })),
    heat: Array.from({ length: Math.max(atHand.heatTools, 1) }, () => begun.now),
    brushes: begun.brushes.map(({ free }) => free),
    things: new Map(),
    nextUse: atHand.mats > 1 ? nextUses(sitting, works) : () => 0,
    inked: 0,
    lying: new Map(),
    lines: [],
    makespan: 0,
  };
  for (const { group, panel, ready, lies, next } of begun.panels) {
    const isDone = next >= (sitting.groups[group]?.operations.length ?? 0);
    if (lies) table.lying.set(`${group} ${panel}`, isDone ? ready : Number.POSITIVE_INFINITY);
    if (isDone) table.makespan = Math.max(table.makespan, ready);
  }
  const brushwork = bench.countsBrushes ? brushworkOf(sitting, begun.brushes, works) : undefined;
  for (const [i, work] of works.entries()) {
    const operations = sitting.groups[work.group]?.operations ?? [];
    const now = standing[work.group];
    const laid = layWork(sitting, table, work, now?.ready[work.panel] ?? begun.now, brushwork?.[i]);
    if (laid === undefined) return undefined;
    if (now) now.ready[work.panel] = laid;
    if (work.to === operations.length) table.makespan = Math.max(table.makespan, laid);
  }
  return planOf(sitting, table, begun.now);
}

function standingOf({ sitting: { groups }, stages, begun }: Workbench): Standing[] {
  const standing = groups.map(
    ({ count }, g): Standing => ({
      waiting: [...(stages[g] ?? []).map((): number[] => []), []],
      ready: Array.from({ length: count }, () => begun.now),
    }),
  );
  for (const { group, panel, next, ready } of begun.panels.toSorted((p, q) => p.ready - q.ready)) {
    const own = standing[group];
    if (!own) continue;
    own.ready[panel] = ready;
    // What is in the midst of a stage waits for the one after it.
    const at = (stages[group] ?? []).findIndex(({ from }) => from >= next);
    own.waiting[at < 0 ? (stages[group] ?? []).length : at]?.push(panel);
  }
  return standing;
}

/** Which panel each token falls to; undefined where there is none by then. */
function worksOf(
  { sitting, stages, begun }: Workbench,
  order: readonly Token[],
  standing: readonly Standing[],
): Work[] | undefined {
  const works: Work[] = [];
  for (const { group, panel, hand } of begun.midway) {
    const next = begun.panels.find((one) => one.group === group && one.panel === panel)?.next ?? 0;
    const to = (stages[group] ?? []).find((stage) => next > stage.from && next < stage.to)?.to ?? next;
    works.push({ group, panel, from: next, to, hand: Math.min(hand, sitting.atHand.hands - 1) });
  }
  for (const { group, stage, wipesAfter } of order) {
    const panel = standing[group]?.waiting[stage]?.shift();
    const at = stages[group]?.[stage];
    if (panel === undefined || !at) return undefined;
    standing[group]?.waiting[stage + 1]?.push(panel);
    works.push({ group, panel, ...at, ...(wipesAfter ? { wipesAfter } : {}) });
  }
  return works;
}

/** Lays one stage out on the table; returns when its panel can go on, undefined where there is never room for it to dry. */
function layWork(
  { groups, atHand, breaks = [] }: Sitting,
  table: Table,
  work: Work,
  ready: number,
  brushwork: Brushwork | undefined,
): number | undefined {
  const { hands, lying } = table;
  const { group, panel } = work;
  const operations = groups[group]?.operations ?? [];
  const hand =
    work.hand ?? (hands[0] !== undefined && (hands[1] ?? Number.POSITIVE_INFINITY) < hands[0] ? 1 : 0);
  const wash = washing({ group, panel, operation: work.to - 1, hand }, atHand, breaks, table);
  const idle = (brushwork?.before ?? []).reduce(wash, hands[hand] ?? 0);
  let time = Math.max(idle, ready);
  const key = `${group} ${panel}`;
  const last = operations[work.to - 1]?.rest?.min ?? 0;
  if (last > 0 && !lying.has(key)) {
    const free = placeFree(lying, time, atHand.places);
    if (free === undefined) return undefined;
    time = free;
  }
  lying.delete(key);
  const laid = layStage({ operations, work, atHand, breaks, idle, table, brushwork }, time);
  if (!laid) return undefined;
  for (const line of laid.lines) {
    table.lines.push({ group, panel, hand, ...line });
    table.busy[hand] = (table.busy[hand] ?? 0) + line.end - line.start;
    if (line.brush !== undefined) table.brushes[line.brush] = line.end;
    for (const thing of operations[line.operation]?.things ?? []) table.things.set(thing, line.end);
  }
  table.mats = laid.mats;
  for (let i = work.from; i < work.to; i++) if (operations[i]?.ink !== undefined) table.inked++;
  table.heat = laid.heat;
  let end = (brushwork?.after ?? []).reduce(wash, laid.end);
  for (const mat of work.wipesAfter ?? []) {
    const wiped = table.mats[mat];
    if (!wiped || wiped.ink === undefined) return undefined;
    // Other hands may still be laying from it; until then a break may have begun.
    const start = clearOf(breaks, Math.max(end, wiped.free), atHand.wipeMinutes);
    end = start + atHand.wipeMinutes;
    table.lines.push({ does: 'wipe', group, panel, operation: work.to - 1, hand, mat, start, end });
    table.busy[hand] = (table.busy[hand] ?? 0) + atHand.wipeMinutes;
    table.mats = table.mats.with(mat, { ink: undefined, free: end });
  }
  hands[hand] = end;
  const goesOn = laid.end + last;
  if (last > 0) lying.set(key, work.to === operations.length ? goesOn : Number.POSITIVE_INFINITY);
  return goesOn;
}

/** Washes one brush after another from a time on; returns when the hands are free again. */
const washing =
  (
    at: Pick<Planned, 'group' | 'panel' | 'operation' | 'hand'>,
    atHand: Sitting['atHand'],
    breaks: readonly Break[],
    table: Table,
  ) =>
  (from: number, brush: number): number => {
    const start = clearOf(breaks, from, atHand.washMinutes);
    const end = start + atHand.washMinutes;
    table.lines.push({ does: 'wash', ...at, brush, start, end });
    table.busy[at.hand] = (table.busy[at.hand] ?? 0) + atHand.washMinutes;
    table.brushes[brush] = end + atHand.dampMinutes;
    return end;
  };

function planOf({ breaks = [] }: Sitting, table: Table, now: number): Plan {
  const { lines, makespan, hands, busy } = table;
  const waiting = hands.reduce((sum, end, i) => {
    const rested = breaks.reduce(
      (all, { start, minutes }) => all + Math.max(0, Math.min(end, start + minutes) - Math.max(now, start)),
      0,
    );
    return sum + end - now - (busy[i] ?? 0) - rested;
  }, 0);
  return {
    lines,
    makespan,
    wipes: lines.filter(({ does }) => does === 'wipe').length,
    washes: lines.filter(({ does }) => does === 'wash').length,
    waiting: Math.max(waiting, 0),
  };
}

/** What a stage is laid out with. */
interface Laying {
  readonly operations: readonly Operation[];
  readonly work: Work;
  readonly atHand: Sitting['atHand'];
  readonly breaks: readonly Break[];
  /** Since when the hands have nothing to do: a mat can be wiped before the panel is ready. */
  readonly idle: number;
  readonly table: Table;
  readonly brushwork: Brushwork | undefined;
}

/** A stage as it is worked, and how it leaves mats and heat tools. */
interface LaidStage {
  readonly lines: readonly Omit<Planned, 'group' | 'panel' | 'hand'>[];
  readonly mats: readonly Mat[];
  readonly heat: readonly number[];
  readonly end: number;
}

/**
 * A stage that would have to wait in the midst of a join, or to go on through a break, is begun later: so often by no more than
 * it lacks, then once everything is free.
 */
const PATIENCE = 16;

/** Lays one stage out from a time on; undefined where its joins close, however late it is begun. */
function layStage(laying: Laying, from: number): LaidStage | undefined {
  const { breaks, table } = laying;
  let begin = from;
  for (let tries = 0; tries < PATIENCE + 2 * (breaks.length + 1); tries++) {
    const laid = layFrom(laying, begin);
    if (typeof laid === 'number')
      begin = tries < PATIENCE ? begin + laid : Math.max(begin + laid, allFree(table));
    else {
      const first = laid.lines[0]?.start ?? begin;
      const held = breaks.find(
        ({ start, minutes }) => first < start + minutes - 1e-9 && laid.end > start + 1e-9,
      );
      if (!held) return laid;
      const over = held.start + held.minutes;
      begin = Math.max(begin, over);
      laying = { ...laying, idle: Math.max(laying.idle, over) };
    }
  }
  return undefined;
}

/** From when nothing on the table is in other hands, damp or in use. */
const allFree = ({ mats, heat, brushes, things }: Table): number =>
  Math.max(...mats.map(({ free }) => free), ...heat, ...brushes, ...things.values());

/** A stage begun then, or by how much a join of it closes too early. */
function layFrom(
  { operations, work: { from, to }, atHand, idle, table, brushwork }: Laying,
  begin: number,
): LaidStage | number {
  const mats = table.mats.map((mat) => ({ ...mat }));
  const heat = [...table.heat];
  const own = new Map<number, number>();
  const lines: LaidStage['lines'][number][] = [];
  let time = begin;
  let end = begin;
  let { inked } = table;
  for (let i = from; i < to; i++) {
    const operation = operations[i] as Operation;
    const before = i > from ? operations[i - 1]?.rest : undefined;
    const closed = end;
    const brush = brushwork?.uses[i - from];
    if (brush !== undefined) time = Math.max(time, own.get(brush) ?? table.brushes[brush] ?? 0);
    for (const thing of operation.things ?? []) time = Math.max(time, table.things.get(thing) ?? 0);
    let mat: number | undefined;
    if (operation.ink !== undefined) {
      mat = matFor(mats, operation.ink, time, (ink) => table.nextUse(ink, inked));
      inked++;
      const chosen = mats[mat] as Mat;
      if (chosen.ink !== undefined && chosen.ink !== operation.ink) {
        // A mat is wiped while the panel is still drying, where the hands have nothing else to do.
        const start = Math.max(i === from ? idle : end, chosen.free);
        const done = start + atHand.wipeMinutes;
        lines.push({ does: 'wipe', operation: i, mat, start, end: done });
        time = Math.max(time, done);
      } else time = Math.max(time, chosen.free);
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
    lines.push({
      does: 'operation',
      operation: i,
      start: time,
      end,
      ...(mat === undefined ? {} : { mat }),
      ...(brush === undefined ? {} : { brush }),
    });
    if (mat !== undefined) (mats[mat] as Mat).free = end;
    if (brush !== undefined) own.set(brush, end);
    time = end + (i < to - 1 ? (operation.rest?.min ?? 0) : 0);
  }
  return { lines, mats, heat, end };
}

/** From a time on, when something of that length keeps clear of breaks. */
function clearOf(breaks: readonly Break[], from: number, length: number): number {
  const held = breaks.find(
    ({ start, minutes }) => from < start + minutes - 1e-9 && from + length > start + 1e-9,
  );
  return held ? clearOf(breaks, held.start + held.minutes, length) : from;
}

/** When a place to dry is free, from a time on; undefined where none ever is. */
function placeFree(lying: Map<string, number>, time: number, places: number): number | undefined {
  if (lying.size < places) return time;
  const until = [...lying.values()].filter((end) => end > time).sort((p, q) => p - q);
  if (until.length < places) return time;
  const free = until[until.length - places];
  return free === undefined || free === Number.POSITIVE_INFINITY ? undefined : free;
}

/** A mat with that ink, or a clean one, or of those that are free the one whose ink is wanted again last. */
function matFor(mats: readonly Mat[], ink: string, time: number, nextUse: (ink: string) => number): number {
  const same = mats.findIndex((mat) => mat.ink === ink && mat.free <= time);
  if (same >= 0) return same;
  const clean = mats.findIndex((mat) => mat.ink === undefined);
  if (clean >= 0 || mats.length === 1) return Math.max(clean, 0);
  const rank = ({ ink: held, free }: Mat) =>
    free <= time
      ? Math.min(held === undefined ? Number.MAX_VALUE : nextUse(held), Number.MAX_VALUE)
      : -free - 1;
  return mats.reduce((best, mat, i) => (rank(mat) > rank(mats[best] as Mat) ? i : best), 0);
}

/** For each ink, in which pieces of work with ink it is wanted. */
function nextUses({ groups }: Sitting, works: readonly Work[]): Table['nextUse'] {
  const uses = new Map<string, number[]>();
  let at = 0;
  for (const { group, from, to } of works)
    for (let i = from; i < to; i++) {
      const ink = groups[group]?.operations[i]?.ink;
      if (ink === undefined) continue;
      const own = uses.get(ink);
      if (own) own.push(at);
      else uses.set(ink, [at]);
      at++;
    }
  return (ink, after) => uses.get(ink)?.find((use) => use > after) ?? Number.POSITIVE_INFINITY;
}
