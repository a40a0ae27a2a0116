import type { Stage } from './sitting';
import { NONE, type Workbench } from './workbench';

/** The next stage of a group's next panel that waits for it. */
export interface Token {
  readonly group: number;
  readonly stage: number;
  /** Mats wiped right after it, ahead of what wants them clean. */
  readonly wipesAfter?: readonly number[];
}

/** A stage of one panel, or what is left of it. */
export interface Work extends Stage {
  readonly group: number;
  readonly panel: number;
  /** The pair of hands that is at it already, or `NONE`. */
  readonly hand: number;
  readonly wipesAfter: readonly number[] | undefined;
  /** The place of its first operation among those of all works. */
  readonly first: number;
}

/** Which panel each token falls to, what is in the midst of a stage before all; undefined where there is none by then. */
export function worksOf(
  { sitting, stages, begun, waiting }: Workbench,
  order: readonly Token[],
): Work[] | undefined {
  const works: Work[] = [];
  let first = 0;
  for (const { group, panel, hand } of begun.midway) {
    const from = begun.panels.find((one) => one.group === group && one.panel === panel)?.next ?? 0;
    const to = (stages[group] ?? []).find((stage) => from > stage.from && from < stage.to)?.to ?? from;
    const own = Math.min(hand, sitting.atHand.hands - 1);
    works.push({ group, panel, from, to, hand: own, wipesAfter: undefined, first });
    first += to - from;
  }
  const queues = waiting.map((own) =>
    own.map((panels) => ({ panels: panels.map(({ panel }) => panel), taken: 0 })),
  );
  for (const { group, stage, wipesAfter } of order) {
    const queue = queues[group]?.[stage];
    const at = stages[group]?.[stage];
    const panel = queue?.panels[queue.taken];
    if (!queue || !at || panel === undefined) return undefined;
    queue.taken++;
    queues[group]?.[stage + 1]?.panels.push(panel);
    const { from, to } = at;
    works.push({ group, panel, from, to, hand: NONE, wipesAfter, first });
    first += to - from;
  }
  return works;
}
