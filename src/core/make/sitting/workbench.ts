import { type Begun, notBegun, type PanelBegun } from './begun';
import { type Break, type BrushWish, type Operation, type Sitting, type Stage, stagesOf } from './sitting';

/** In place of the number of an ink, a mat, a brush or a pair of hands, where there is none. */
export const NONE = -1;

/** An operation that tells what it wants by numbers: evenings are laid out by the thousand. */
export interface Piece {
  readonly minutes: number;
  /** Which of all inks, or `NONE`. */
  readonly ink: number;
  /** Which colour in a brush of which set, among all that are held, or `NONE`; and that set. */
  readonly held: number;
  readonly set: number;
  readonly heat: boolean;
  /** Which of all things that there is one of. */
  readonly things: readonly number[];
  /** Until the panel's next operation at least and at most so long, minutes. */
  readonly rest: number;
  readonly open: number;
}

/** A brush as the sitting finds it, told by numbers. */
interface Brush {
  readonly set: number;
  readonly held: number;
  readonly free: number;
}

/** What plans are laid out on; a sitting is looked through once. */
export interface Workbench {
  readonly sitting: Sitting;
  readonly stages: readonly (readonly Stage[])[];
  readonly begun: Begun;
  readonly breaks: readonly Break[];
  /** Whether a set of brushes is counted, so that some may have to be washed. */
  readonly countsBrushes: boolean;
  /** The operations of each group. */
  readonly pieces: readonly (readonly Piece[])[];
  /** How many inks there are, things that there is one of, and colours in brushes. */
  readonly inks: number;
  readonly things: number;
  readonly held: number;
  /** What lies on each mat, as its ink's number, and the brushes there are. */
  readonly mats: readonly number[];
  readonly brushes: readonly Brush[];
  /** The sets, and how many brushes there are of each; endless where they are not counted. */
  readonly sets: readonly { readonly name: string; readonly count: number }[];
  /** The number that each group's first panel has among all; last, how many panels there are. */
  readonly firstPanel: readonly number[];
  /** By group and stage, the panels that wait for it, in the order in which they came to; after the last stage, what is done. */
  readonly waiting: readonly (readonly (readonly PanelBegun[])[])[];
}

export function workbenchOf(sitting: Sitting, begun: Begun = notBegun(sitting)): Workbench {
  const { groups, atHand } = sitting;
  const [inks, things, sets, held] = [numbering(), numbering(), numbering(), numbering()];
  const heldBy = ({ set, holds }: Pick<BrushWish, 'set' | 'holds'>) => held.of(`${set}\n${holds}`);
  const pieceOf = ({ minutes, ink, brush, heat = false, things: own = [], rest }: Operation): Piece => ({
    minutes,
    ink: ink === undefined ? NONE : inks.of(ink),
    held: brush ? heldBy(brush) : NONE,
    set: brush ? sets.of(brush.set) : NONE,
    heat,
    things: own.map(things.of),
    rest: rest?.min ?? 0,
    open: rest?.max ?? Number.POSITIVE_INFINITY,
  });
  const stages = groups.map(({ operations }) => stagesOf(operations));
  const pieces = groups.map(({ operations }) => operations.map(pieceOf));
  const mats = begun.mats.map((ink) => (ink === undefined ? NONE : inks.of(ink)));
  const brushes = begun.brushes.map(({ set, holds, free }) => ({
    set: sets.of(set),
    held: holds === undefined ? NONE : heldBy({ set, holds }),
    free,
  }));
  const firstPanel = [0];
  for (const { count } of groups) firstPanel.push((firstPanel.at(-1) ?? 0) + count);
  return {
    sitting,
    stages,
    begun,
    breaks: sitting.breaks ?? [],
    countsBrushes: Object.keys(atHand.brushes).length > 0 || begun.brushes.length > 0,
    pieces,
    inks: inks.names.length,
    things: things.names.length,
    held: held.names.length,
    mats,
    brushes,
    sets: sets.names.map((name) => ({ name, count: atHand.brushes[name] ?? Number.POSITIVE_INFINITY })),
    firstPanel,
    waiting: waitingOf(stages, begun),
  };
}

/** Numbers names from 0 on, in the order in which they are first asked for. */
function numbering(): { readonly names: readonly string[]; readonly of: (name: string) => number } {
  const names: string[] = [];
  const numbers = new Map<string, number>();
  return {
    names,
    of: (name) => {
      const known = numbers.get(name);
      if (known !== undefined) return known;
      numbers.set(name, names.length);
      return names.push(name) - 1;
    },
  };
}

function waitingOf(stages: Workbench['stages'], begun: Begun): PanelBegun[][][] {
  const waiting = stages.map((own) => [...own.map((): PanelBegun[] => []), []]);
  for (const panel of begun.panels.toSorted((p, q) => p.ready - q.ready)) {
    const { group, next } = panel;
    const own = stages[group] ?? [];
    // What is in the midst of a stage waits for the one after it.
    const at = own.findIndex(({ from }) => from >= next);
    waiting[group]?.[at < 0 ? own.length : at]?.push(panel);
  }
  return waiting;
}
