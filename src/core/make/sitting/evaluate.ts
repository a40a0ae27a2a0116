import { type Brushwork, brushworkOf } from './brushwork';
import type { Break, Plan, Planned } from './sitting';
import { NONE, type Workbench } from './workbench';
import { type Token, type Work, worksOf } from './works';

/** What an order comes to; its lines are laid out only for one that is kept. */
export interface Outcome extends Omit<Plan, 'lines'> {
  /** When the last work is done, minutes. */
  readonly worked: number;
}

/** Everything there is of hands, mats, tools and room, as a plan is laid out: each by its number. */
interface Table {
  readonly bench: Workbench;
  readonly brushwork: Brushwork | undefined;
  /** From when each pair of hands is free, and how long it has been at work. */
  readonly hands: Float64Array;
  readonly busy: Float64Array;
  readonly mats: Mats;
  readonly heat: Float64Array;
  /** From when each brush can be used, and each thing that there is one of. */
  readonly brushes: Float64Array;
  readonly things: Float64Array;
  /** When each panel can go on. */
  readonly ready: Float64Array;
  /** Until when each lies drying: endless while nobody knows when it is taken up again, `TAKEN_UP` where it does not lie. */
  readonly lies: Float64Array;
  /** In which of all pieces of work with ink each ink is wanted; not asked where there is one mat. */
  readonly wanted: readonly (readonly number[])[];
  /** Pieces of work with ink so far. */
  inked: number;
  makespan: number;
  wipes: number;
  washes: number;
  readonly trial: Trial;
  readonly lines: Planned[] | undefined;
}

/** What lies on mats, and from when each can be used. */
interface Mats {
  readonly inks: Int32Array;
  readonly free: Float64Array;
}

/** A stage as it is tried from some time on: how it leaves mats and heat tools, and its lines one after another. */
interface Trial {
  readonly mats: Mats;
  readonly heat: Float64Array;
  /** Of each line from when to when, the operation, its mat, and whether that is wiped for it. */
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  readonly operations: Int32Array;
  readonly onMat: Int32Array;
  readonly isWipe: Uint8Array;
  lines: number;
  inked: number;
  end: number;
}

const TAKEN_UP = Number.NEGATIVE_INFINITY;

/**
 * Lays stages out in an order, each as early as hands, mats, brushes, heat tools, stamps and places to dry let it; a stage is
 * never left. What is in the midst of one comes first.
 *
 * @returns undefined where the order cannot be worked: a stage before the one it follows, or no place to dry
 */
export function evaluate(bench: Workbench, order: readonly Token[]): Plan | undefined {
  const lines: Planned[] = [];
  const outcome = layOut(bench, order, lines);
  if (!outcome) return undefined;
  const { worked: _, ...told } = outcome;
  return { lines, ...told };
}

/** What comes of an order, without its lines: for the thousands that are only compared. */
export const outcomeOf = (bench: Workbench, order: readonly Token[]): Outcome | undefined =>
  layOut(bench, order, undefined);

function layOut(
  bench: Workbench,
  order: readonly Token[],
  lines: Planned[] | undefined,
): Outcome | undefined {
  const works = worksOf(bench, order);
  if (!works) return undefined;
  const table = tableFor(bench, works, lines);
  for (let at = 0; at < works.length; at++) if (!layWork(table, works[at], at)) return undefined;
  const { makespan, wipes, washes } = table;
  return { makespan, wipes, washes, waiting: waitingOf(table), worked: Math.max(0, ...table.hands) };
}

function tableFor(bench: Workbench, works: readonly Work[], lines: Planned[] | undefined): Table {
  const { sitting, begun, firstPanel, pieces } = bench;
  const { atHand } = sitting;
  const brushwork = bench.countsBrushes ? brushworkOf(bench, works) : undefined;
  const panels = firstPanel[firstPanel.length - 1];
  const emptyMats = (): Mats => ({
    inks: Int32Array.from(bench.mats),
    free: new Float64Array(bench.mats.length).fill(begun.now),
  });
  const heatTools = Math.max(atHand.heatTools, 1);
  // An operation, and a mat wiped for it.
  const most = 2 * Math.max(0, ...pieces.map(({ length }) => length));
  const table: Table = {
    bench,
    brushwork,
    hands: new Float64Array(atHand.hands).fill(begun.now),
    busy: new Float64Array(atHand.hands),
    mats: emptyMats(),
    heat: new Float64Array(heatTools).fill(begun.now),
    brushes: new Float64Array(brushwork?.count ?? 0),
    things: new Float64Array(bench.things),
    ready: new Float64Array(panels).fill(begun.now),
    lies: new Float64Array(panels).fill(TAKEN_UP),
    wanted: bench.mats.length > 1 ? inksWanted(bench, works) : [],
    inked: 0,
    makespan: 0,
    wipes: 0,
    washes: 0,
    trial: {
      mats: emptyMats(),
      heat: new Float64Array(heatTools),
      starts: new Float64Array(most),
      ends: new Float64Array(most),
      operations: new Int32Array(most),
      onMat: new Int32Array(most),
      isWipe: new Uint8Array(most),
      lines: 0,
      inked: 0,
      end: 0,
    },
    lines,
  };
  for (let brush = 0; brush < bench.brushes.length; brush++) table.brushes[brush] = bench.brushes[brush].free;
  for (const { group, panel, ready, lies, next } of begun.panels) {
    const isDone = next >= pieces[group].length;
    table.ready[firstPanel[group] + panel] = ready;
    if (lies) table.lies[firstPanel[group] + panel] = isDone ? ready : Number.POSITIVE_INFINITY;
    if (isDone) table.makespan = Math.max(table.makespan, ready);
  }
  return table;
}

/** In which pieces of work with ink each ink is wanted, rising. */
function inksWanted({ pieces, inks }: Workbench, works: readonly Work[]): number[][] {
  const wanted = Array.from({ length: inks }, (): number[] => []);
  let at = 0;
  for (const { group, from, to } of works)
    for (let i = from; i < to; i++) {
      const { ink } = pieces[group][i];
      if (ink !== NONE) wanted[ink].push(at++);
    }
  return wanted;
}

/** In which piece of work with ink after so many an ink is wanted again; endless where it is not. */
function nextUse(wanted: Table['wanted'], ink: number, after: number): number {
  const own = wanted[ink];
  let [low, high] = [0, own.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (own[middle] > after) high = middle;
    else low = middle + 1;
  }
  return low < own.length ? own[low] : Number.POSITIVE_INFINITY;
}

/** Lays one stage out on the table; false where its joins close too early, or there is never room for it to dry. */
function layWork(table: Table, work: Work, at: number): boolean {
  const { bench, brushwork, hands, lies, trial } = table;
  const {
    sitting: { atHand },
    breaks,
  } = bench;
  const pieces = bench.pieces[work.group];
  const panel = bench.firstPanel[work.group] + work.panel;
  const hand = work.hand !== NONE ? work.hand : hands.length > 1 && hands[1] < hands[0] ? 1 : 0;
  let idle = hands[hand];
  for (const brush of brushwork?.before.get(at) ?? []) idle = wash(table, work, hand, brush, idle);
  let time = Math.max(idle, table.ready[panel]);
  const last = pieces[work.to - 1]?.rest ?? 0;
  if (last > 0 && lies[panel] === TAKEN_UP) {
    time = placeFree(lies, time, atHand.places);
    if (time === Number.POSITIVE_INFINITY) return false;
  }
  lies[panel] = TAKEN_UP;
  if (!layStage(table, work, idle, time)) return false;
  keepTrial(table, work, hand);
  let end = trial.end;
  for (const brush of brushwork?.after.get(at) ?? []) end = wash(table, work, hand, brush, end);
  for (const mat of work.wipesAfter ?? []) {
    if (mat >= table.mats.inks.length || table.mats.inks[mat] === NONE) return false;
    // Other hands may still be laying from it; until then a break may have begun.
    const start = clearOf(breaks, Math.max(end, table.mats.free[mat]), atHand.wipeMinutes);
    end = start + atHand.wipeMinutes;
    table.wipes++;
    table.busy[hand] += atHand.wipeMinutes;
    table.mats.inks[mat] = NONE;
    table.mats.free[mat] = end;
    const { group, panel: of } = work;
    table.lines?.push({ does: 'wipe', group, panel: of, operation: work.to - 1, hand, mat, start, end });
  }
  hands[hand] = end;
  const goesOn = trial.end + last;
  const isDone = work.to === pieces.length;
  if (last > 0) lies[panel] = isDone ? goesOn : Number.POSITIVE_INFINITY;
  table.ready[panel] = goesOn;
  if (isDone) table.makespan = Math.max(table.makespan, goesOn);
  return true;
}

/** Washes a brush from a time on; returns when the hands are free again. */
function wash(table: Table, { group, panel, to }: Work, hand: number, brush: number, from: number): number {
  const {
    sitting: { atHand },
    breaks,
  } = table.bench;
  const start = clearOf(breaks, from, atHand.washMinutes);
  const end = start + atHand.washMinutes;
  table.washes++;
  table.busy[hand] += atHand.washMinutes;
  table.brushes[brush] = end + atHand.dampMinutes;
  table.lines?.push({ does: 'wash', group, panel, operation: to - 1, hand, brush, start, end });
  return end;
}

/** Puts the stage that was tried last on the table. */
function keepTrial(table: Table, { group, panel, from, first }: Work, hand: number): void {
  const { trial, brushwork, bench } = table;
  for (let line = 0; line < trial.lines; line++) {
    const [start, end] = [trial.starts[line], trial.ends[line]];
    const [operation, mat] = [trial.operations[line], trial.onMat[line]];
    table.busy[hand] = table.busy[hand] + end - start;
    if (trial.isWipe[line] === 1) {
      table.wipes++;
      table.lines?.push({ does: 'wipe', group, panel, operation, hand, mat, start, end });
      continue;
    }
    const brush = brushwork ? brushwork.uses[first + operation - from] : NONE;
    if (brush !== NONE) table.brushes[brush] = end;
    for (const thing of bench.pieces[group][operation].things) table.things[thing] = end;
    table.lines?.push({
      does: 'operation',
      group,
      panel,
      operation,
      hand,
      start,
      end,
      ...(mat === NONE ? {} : { mat }),
      ...(brush === NONE ? {} : { brush }),
    });
  }
  table.mats.inks.set(trial.mats.inks);
  table.mats.free.set(trial.mats.free);
  table.heat.set(trial.heat);
  table.inked = trial.inked;
}

/**
 * A stage that would have to wait in the midst of a join, or to go on through a break, is begun later: so often by no more than
 * it lacks, then once everything is free.
 */
const PATIENCE = 16;

/** Tries one stage from a time on until it can be worked; false where its joins close, however late it is begun. */
function layStage(table: Table, work: Work, idle: number, from: number): boolean {
  const {
    trial,
    bench: { breaks },
  } = table;
  let begin = from;
  for (let tries = 0; tries < PATIENCE + 2 * (breaks.length + 1); tries++) {
    const late = tryFrom(table, work, idle, begin);
    if (late > 0) begin = tries < PATIENCE ? begin + late : Math.max(begin + late, allFree(table));
    else {
      const first = trial.lines > 0 ? trial.starts[0] : begin;
      const held = breaks.find(
        ({ start, minutes }) => first < start + minutes - 1e-9 && trial.end > start + 1e-9,
      );
      if (!held) return true;
      const over = held.start + held.minutes;
      begin = Math.max(begin, over);
      idle = Math.max(idle, over);
    }
  }
  return false;
}

/** From when nothing on the table is in other hands, damp or in use. */
const allFree = ({ mats, heat, brushes, things }: Table): number =>
  Math.max(...mats.free, ...heat, ...brushes, ...things);

/**
 * A stage begun at a time, left in the table's trial.
 *
 * @param idle  since when the hands have nothing to do: a mat can be wiped before the panel is ready
 * @returns     by how much a join of it closes too early, minutes; 0 where it can be worked
 */
function tryFrom(table: Table, work: Work, idle: number, begin: number): number {
  const { bench, trial, things } = table;
  const { from, to } = work;
  const { mats, heat } = trial;
  const pieces = bench.pieces[work.group];
  const { wipeMinutes } = bench.sitting.atHand;
  mats.inks.set(table.mats.inks);
  mats.free.set(table.mats.free);
  heat.set(table.heat);
  trial.lines = 0;
  trial.inked = table.inked;
  let time = begin;
  let end = begin;
  for (let i = from; i < to; i++) {
    const piece = pieces[i];
    const closed = end;
    time = Math.max(time, brushFree(table, work, i));
    for (const thing of piece.things) time = Math.max(time, things[thing]);
    let mat = NONE;
    if (piece.ink !== NONE) {
      mat = matFor(table, piece.ink, time);
      trial.inked++;
      const lies = mats.inks[mat];
      if (lies !== NONE && lies !== piece.ink) {
        // A mat is wiped while the panel is still drying, where the hands have nothing else to do.
        const start = Math.max(i === from ? idle : end, mats.free[mat]);
        note(trial, i, mat, true, start, start + wipeMinutes);
        time = Math.max(time, start + wipeMinutes);
      } else time = Math.max(time, mats.free[mat]);
      mats.inks[mat] = piece.ink;
    }
    if (piece.heat) {
      const tool = earliest(heat);
      time = Math.max(time, heat[tool]);
      heat[tool] = time + piece.minutes;
    }
    const late = i > from ? time - closed - pieces[i - 1].open : 0;
    if (late > 1e-9) return late;
    end = time + piece.minutes;
    note(trial, i, mat, false, time, end);
    if (mat !== NONE) mats.free[mat] = end;
    time = end + (i < to - 1 ? piece.rest : 0);
  }
  trial.end = end;
  return 0;
}

function note(
  trial: Trial,
  operation: number,
  mat: number,
  isWipe: boolean,
  start: number,
  end: number,
): void {
  const line = trial.lines++;
  trial.operations[line] = operation;
  trial.onMat[line] = mat;
  trial.isWipe[line] = isWipe ? 1 : 0;
  trial.starts[line] = start;
  trial.ends[line] = end;
}

/** From when the brush of an operation can be used, as the stage before it in the trial leaves it. */
function brushFree({ brushwork, brushes, trial }: Table, { from, first }: Work, i: number): number {
  if (!brushwork) return 0;
  const { uses } = brushwork;
  const brush = uses[first + i - from];
  if (brush === NONE) return 0;
  for (let line = trial.lines - 1; line >= 0; line--)
    if (trial.isWipe[line] === 0 && uses[first + trial.operations[line] - from] === brush)
      return trial.ends[line];
  return brushes[brush];
}

function earliest(times: Float64Array): number {
  let first = 0;
  for (let i = 1; i < times.length; i++) if (times[i] < times[first]) first = i;
  return first;
}

/** A mat with that ink, or a clean one, or of those that are free the one whose ink is wanted again last. */
function matFor({ trial, wanted }: Table, ink: number, time: number): number {
  const { inks, free } = trial.mats;
  for (let mat = 0; mat < inks.length; mat++) if (inks[mat] === ink && free[mat] <= time) return mat;
  const clean = inks.indexOf(NONE);
  if (clean >= 0 || inks.length === 1) return Math.max(clean, 0);
  const rank = (mat: number): number =>
    free[mat] <= time ? Math.min(nextUse(wanted, inks[mat], trial.inked), Number.MAX_VALUE) : -free[mat] - 1;
  let best = 0;
  for (let mat = 1; mat < inks.length; mat++) if (rank(mat) > rank(best)) best = mat;
  return best;
}

/** From a time on, when something of that length keeps clear of breaks. */
function clearOf(breaks: readonly Break[], from: number, length: number): number {
  const held = breaks.find(
    ({ start, minutes }) => from < start + minutes - 1e-9 && from + length > start + 1e-9,
  );
  return held ? clearOf(breaks, held.start + held.minutes, length) : from;
}

/** When a place to dry is free, from a time on; endless where none ever is. */
function placeFree(lies: Float64Array, time: number, places: number): number {
  let taken = 0;
  for (let panel = 0; panel < lies.length; panel++) if (lies[panel] > time) taken++;
  if (taken < places) return time;
  const until = lies.filter((end) => end > time).sort();
  return until[taken - places] ?? Number.POSITIVE_INFINITY;
}

/** How long hands have nothing to do before their last work is done, breaks left out. */
function waitingOf({ bench: { breaks, begun }, hands, busy }: Table): number {
  const { now } = begun;
  let waiting = 0;
  for (let hand = 0; hand < hands.length; hand++) {
    const end = hands[hand];
    const rested = breaks.reduce(
      (all, { start, minutes }) => all + Math.max(0, Math.min(end, start + minutes) - Math.max(now, start)),
      0,
    );
    waiting = waiting + end - now - busy[hand] - rested;
  }
  return Math.max(waiting, 0);
}
