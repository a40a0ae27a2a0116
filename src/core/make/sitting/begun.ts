import type { Minutes } from '../../sheet/times';
import type { Planned, Sitting } from './sitting';
import { stagesOf } from './sitting';

/** A panel that is still to be worked on. */
export interface PanelBegun {
  readonly group: number;
  readonly panel: number;
  /** Its next operation, from 0; as many as it has where it only dries. */
  readonly next: number;
  /** When that can be begun, or the panel is done. */
  readonly ready: Minutes;
  /** Whether it lies drying until then. */
  readonly lies: boolean;
}

/** A brush as it stands. */
export interface BrushBegun {
  readonly set: string;
  /** What it holds; undefined where it is clean. */
  readonly holds: string | undefined;
  /** From when it can be used: dry, and out of the hand. */
  readonly free: Minutes;
}

/** A line as it was done; of a panel that was spoiled and begun again, its brushes and mats still count. */
export type DoneLine = Planned & { readonly spoiled?: true };

/** How far a sitting has come: a plan goes on from there. */
export interface Begun {
  /** Nothing begins before. */
  readonly now: Minutes;
  readonly panels: readonly PanelBegun[];
  /** What lies on each mat; undefined on a clean one. */
  readonly mats: readonly (string | undefined)[];
  readonly brushes: readonly BrushBegun[];
  /** The panel whose stage is in the midst, of each pair of hands that is at one. */
  readonly midway: readonly { readonly group: number; readonly panel: number; readonly hand: number }[];
}

/** Before anything is done. */
export function notBegun({ groups, atHand }: Sitting): Begun {
  return {
    now: 0,
    panels: groups.flatMap(({ count }, group) =>
      Array.from({ length: count }, (_, panel) => ({ group, panel, next: 0, ready: 0, lies: false })),
    ),
    mats: Array.from({ length: Math.max(atHand.mats, 1) }, () => undefined),
    brushes: Object.entries(atHand.brushes).flatMap(([set, count]) =>
      Array.from({ length: count }, () => ({ set, holds: undefined, free: 0 })),
    ),
    midway: [],
  };
}

/**
 * How far a sitting has come once so much of it is done.
 *
 * @param done  what was done, as it was: with the times it really took
 * @param out  panels taken out, as `keyOf` names them
 */
export function begunAfter(
  sitting: Sitting,
  done: readonly DoneLine[],
  now: Minutes,
  out: ReadonlySet<string> = new Set(),
): Begun {
  const start = notBegun(sitting);
  const mats = [...start.mats];
  const brushes = [...start.brushes];
  const last = new Map<string, Planned>();
  for (const line of done) {
    const operation = sitting.groups[line.group]?.operations[line.operation];
    if (line.mat !== undefined) mats[line.mat] = line.does === 'wipe' ? undefined : operation?.ink;
    if (line.brush !== undefined) {
      const set = operation?.brush?.set ?? brushes[line.brush]?.set ?? '';
      brushes[line.brush] =
        line.does === 'wash'
          ? {
              set: brushes[line.brush]?.set ?? set,
              holds: undefined,
              free: line.end + sitting.atHand.dampMinutes,
            }
          : { set, holds: operation?.brush?.holds, free: line.end };
    }
    if (line.does === 'operation' && !line.spoiled) last.set(keyOf(line), line);
  }
  const panels = start.panels
    .filter((panel) => !out.has(keyOf(panel)))
    .flatMap((panel): PanelBegun[] => {
      const line = last.get(keyOf(panel));
      if (!line) return [{ ...panel, ready: now }];
      const operations = sitting.groups[panel.group]?.operations ?? [];
      const { min: rest = 0, max } = operations[line.operation]?.rest ?? {};
      const ready = line.end + rest;
      const next = line.operation + 1;
      if (next >= operations.length && ready <= now) return [];
      return [
        {
          ...panel,
          next,
          ready: Math.max(ready, next < operations.length ? now : ready),
          lies: rest > 0 && (max === undefined || next >= operations.length),
        },
      ];
    });
  const midway = panels.flatMap((panel) => {
    const stages = stagesOf(sitting.groups[panel.group]?.operations ?? []);
    const isMidway = stages.some(({ from, to }) => panel.next > from && panel.next < to);
    return isMidway
      ? [{ group: panel.group, panel: panel.panel, hand: last.get(keyOf(panel))?.hand ?? 0 }]
      : [];
  });
  return {
    now,
    panels,
    mats,
    brushes: brushes.map((one) => one ?? { set: '', holds: undefined, free: now }),
    midway,
  };
}

/** When the last of these lines was done, minutes; 0 before the first. */
export const lastEnd = (lines: readonly Pick<Planned, 'end'>[]): Minutes =>
  Math.max(0, ...lines.map(({ end }) => end));

/** A panel's name among all: its group and its place in it. */
export const keyOf = ({ group, panel }: Pick<Planned, 'group' | 'panel'>): string => `${group} ${panel}`;
