import type { Minutes } from '../../sheet/times';

/** One piece of work on one panel, as a plan of an evening sees it. */
export interface Operation {
  readonly name: string;
  /** Of a pair of hands. */
  readonly minutes: Minutes;
  /** The ink that is taken from a mat for it; none where no mat is needed. */
  readonly ink?: string;
  /** Done with the heat tool. */
  readonly heat?: boolean;
  /**
   * Between its end and the beginning of the panel's next operation: at least so long, which is drying without hands, and
   * at most so long, as a join stays open. After the last one, at least so long until the panel is done.
   */
  readonly rest?: { readonly min?: Minutes; readonly max?: Minutes };
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
  readonly heatTools: number;
  /** Panels that can lie drying at once. */
  readonly places: number;
  /** Wiping and drying a mat for another ink. */
  readonly wipeMinutes: Minutes;
}

export const USUAL_TABLE: AtHand = { hands: 1, mats: 1, heatTools: 1, places: 24, wipeMinutes: 0.5 };

export interface Sitting {
  readonly groups: readonly PanelGroup[];
  readonly atHand: AtHand;
}

/** Most panels of a sitting, and operations of a panel. */
export const SITTING_LIMITS = {
  panels: 200,
  operations: 60,
  hands: 2,
  mats: 12,
  heatTools: 4,
  places: 500,
} as const;

/** One line of a plan: an operation on a panel, or a mat wiped for it. */
export interface Planned {
  readonly does: 'operation' | 'wipe';
  readonly group: number;
  /** Which of the group's panels, from 0. */
  readonly panel: number;
  /** Which of its operations, from 0; of a wipe, the one it is done for. */
  readonly operation: number;
  readonly hand: number;
  readonly mat?: number;
  readonly start: Minutes;
  readonly end: Minutes;
}

export interface Plan {
  readonly lines: readonly Planned[];
  /** When the last panel is done, its last drying included. */
  readonly makespan: Minutes;
  readonly wipes: number;
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

/** Why a sitting cannot be worked, whatever the order; undefined where it can. */
export function whyNot({ groups, atHand }: Sitting): string | undefined {
  const needsHeat = groups.find(({ operations }) => operations.some(({ heat }) => heat));
  if (needsHeat && atHand.heatTools < 1)
    return `${needsHeat.name} needs a heat tool, and none is at hand: add one, or let it dry in air.`;
  const needsMat = groups.find(({ operations }) => operations.some(({ ink }) => ink !== undefined));
  if (needsMat && atHand.mats < 1) return `${needsMat.name} needs a mat, and none is at hand: add one.`;
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
