import { counted } from '../../base/words';
import { DAMP_FOR } from '../../sheet/brushes';
import type { Minutes } from '../../sheet/times';

/** One piece of work on one panel, as a plan of an evening sees it. */
export interface Operation {
  readonly name: string;
  /** Of a pair of hands. */
  readonly minutes: Minutes;
  /** The ink that is taken from a mat for it; none where no mat is needed. */
  readonly ink?: string;
  /** The brush, dauber or pad it is done with: what that has to hold, and of which set it is. */
  readonly brush?: BrushWish;
  /** Done with the heat tool. */
  readonly heat?: boolean;
  /** What it is done with that there is one of: a stamp, a stencil. */
  readonly things?: readonly string[];
  /** Done once for all panels of its group: of that so many minutes, and in a group as it is planned each panel's share. */
  readonly once?: true;
  /**
   * Between its end and the beginning of the panel's next operation: at least so long, which is drying without hands, and
   * at most so long, as a join stays open. After the last one, at least so long until the panel is done.
   */
  readonly rest?: { readonly min?: Minutes; readonly max?: Minutes };
}

/** A brush holds one colour until it is washed, and is shared inside its set and never across sets. */
export interface BrushWish {
  readonly holds: string;
  readonly set: string;
  /** Whether what it holds sets in it. */
  readonly sets?: true;
}

/** So many alike panels. */
export interface PanelGroup {
  readonly name: string;
  readonly count: number;
  readonly operations: readonly Operation[];
}

/** What is at hand on an evening. */
export interface AtHand {
  /** Pairs of hands. */
  readonly hands: number;
  readonly mats: number;
  /** By their set; as many as it takes of a set that is not named. */
  readonly brushes: Readonly<Record<string, number>>;
  readonly heatTools: number;
  /** Panels that can lie drying at once. */
  readonly places: number;
  /** Wiping and drying a mat for another ink. */
  readonly wipeMinutes: Minutes;
  /** Washing a brush for another colour; after it, so long until it is no longer damp. */
  readonly washMinutes: Minutes;
  readonly dampMinutes: Minutes;
}

/** Wiping is common practice; washing and how long a brush is damp are from memory. */
export const USUAL_TABLE: AtHand = {
  hands: 1,
  mats: 1,
  brushes: {},
  heatTools: 1,
  places: 24,
  wipeMinutes: 0.5,
  washMinutes: 1.5,
  dampMinutes: DAMP_FOR,
};

/** What a plan is to be first: early at its end, or with little to wash and wipe. */
export type Wants = 'early' | 'clean';

/** A while in which no hands work; what lies drying dries. */
export interface Break {
  readonly start: Minutes;
  readonly minutes: Minutes;
}

export interface Sitting {
  readonly groups: readonly PanelGroup[];
  readonly atHand: AtHand;
  /** In order of time, none over another. */
  readonly breaks?: readonly Break[];
  /** Early where left out. */
  readonly wants?: Wants;
}

/** Most panels of a sitting, and operations of a panel. */
export const SITTING_LIMITS = {
  panels: 200,
  operations: 60,
  hands: 2,
  mats: 12,
  brushes: 60,
  heatTools: 4,
  places: 500,
} as const;

/** One line of a plan: an operation on a panel, a mat wiped for it, or a brush washed that holds another colour. */
export interface Planned {
  readonly does: 'operation' | 'wipe' | 'wash';
  readonly group: number;
  /** Which of the group's panels, from 0. */
  readonly panel: number;
  /** Which of its operations, from 0; of a wipe, the one it is done for; of a wash, the one it follows. */
  readonly operation: number;
  readonly hand: number;
  readonly mat?: number;
  /** Which brush of all, from 0. */
  readonly brush?: number;
  readonly start: Minutes;
  readonly end: Minutes;
}

export interface Plan {
  readonly lines: readonly Planned[];
  /** When the last panel is done, its last drying included. */
  readonly makespan: Minutes;
  readonly wipes: number;
  readonly washes: number;
  /** Of hands that have nothing to do, before their last work is done; breaks left out. */
  readonly waiting: Minutes;
}

/** Operations of a panel between which it is never left: each is bound to the next by how long a join stays open. */
export interface Stage {
  /** The first operation and the one after the last. */
  readonly from: number;
  readonly to: number;
}

/** A panel's operations in stages; between two of them it may lie as long as it likes. */
export function stagesOf(operations: readonly Operation[]): Stage[] {
  const stages: Stage[] = [];
  let from = 0;
  operations.forEach(({ rest }, i) => {
    if (rest?.max !== undefined && i < operations.length - 1) return;
    stages.push({ from, to: i + 1 });
    from = i + 1;
  });
  return stages;
}

/** Work and drying still to come on a panel, from an operation on, minutes. */
export const tailOf = (operations: readonly Operation[], from: number): number =>
  operations.slice(from).reduce((sum, { minutes, rest }) => sum + minutes + (rest?.min ?? 0), 0);

/** Why a sitting cannot be worked, whatever the order; undefined where it can. */
export function whyNot({ groups, atHand }: Sitting): string | undefined {
  const needsHeat = groups.find(({ operations }) => operations.some(({ heat }) => heat));
  if (needsHeat && atHand.heatTools < 1)
    return `${needsHeat.name} needs a heat tool, and none is at hand: add one, or let it dry in air.`;
  const needsMat = groups.find(({ operations }) => operations.some(({ ink }) => ink !== undefined));
  if (needsMat && atHand.mats < 1) return `${needsMat.name} needs a mat, and none is at hand: add one.`;
  for (const { name, operations } of groups)
    for (const { from, to } of stagesOf(operations)) {
      const wished = new Map<string, Set<string>>();
      for (const { brush } of operations.slice(from, to))
        if (brush) wished.set(brush.set, (wished.get(brush.set) ?? new Set()).add(brush.holds));
      for (const [set, { size }] of wished) {
        const own = atHand.brushes[set] ?? Number.POSITIVE_INFINITY;
        if (own < size)
          return `${name} needs ${counted(size, 'brush', 'brushes')} for ${set} at once, and ${own === 0 ? 'none is' : own === 1 ? '1 is' : `${own} are`} at hand: set out ${size - own} more.`;
      }
    }
  const lies = groups.find(({ operations }) => operations.some(({ rest }) => (rest?.min ?? 0) > 0));
  if (lies && atHand.places < 1)
    return `${lies.name} has to lie drying, and there is no place: make room for one.`;
  for (const { name, operations } of groups)
    for (const [i, { rest, name: work, ink }] of operations.entries()) {
      const next = operations[i + 1];
      if (!next || rest?.max === undefined) continue;
      const wipe = next.ink !== undefined && next.ink !== ink && atHand.mats === 1 ? atHand.wipeMinutes : 0;
      if (Math.max(rest.min ?? 0, wipe) > rest.max + 1e-9)
        return `${name}: after “${work}” the join closes in ${rest.max} min, before “${next.name}” can begin. Wake it first, or add a mat.`;
    }
  return undefined;
}
