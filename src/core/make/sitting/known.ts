import { type Ink, isBare } from '../../materials/ink/ink';
import type { ResolvedRecipe } from '../../recipe/resolved';
import { letterOf } from '../../sheet/brushes';
import type { Maker } from '../../sheet/compile';
import type { Step } from '../../sheet/desk';
import type { SheetGroup } from './fromSheet';
import { type Lot, type SittingRecord, sittingOf } from './record';
import type { Operation, PanelGroup, Planned, Sitting } from './sitting';

/** A recipe of a sitting with its sheet: as it is dried there, and with the heat tool. */
export interface LotSheet {
  readonly resolved: ResolvedRecipe;
  readonly group: SheetGroup;
  readonly heated: SheetGroup;
}

/** A lot of a sitting with all that is known of it. */
export interface KnownLot {
  readonly lot: Lot;
  readonly resolved: ResolvedRecipe;
  readonly group: SheetGroup;
  /** How many panels stand before its first one. */
  readonly before: number;
}

/** A sitting with its recipes: what is planned, and how each panel is named. */
export interface KnownSitting {
  readonly record: SittingRecord;
  readonly lots: readonly KnownLot[];
  readonly sitting: Sitting;
  /** The same panels dried with the heat tool. */
  readonly heated: readonly PanelGroup[];
  /** Lots whose recipe is no longer here. */
  readonly gone: readonly Lot[];
  readonly maker: Maker;
  /** Its recipes with their sheets, one a lot: the same list until one of them or the shelf changes. */
  readonly sheets: readonly Pick<KnownLot, 'resolved' | 'group'>[];
  /** What a plan of it depends on beside its recipes: the same text, the same plan. */
  readonly question: string;
}

/** However little of what is done once falls to a panel, the hand has to come to it, minutes. */
const LEAST = 0.1;

/**
 * So many of a lot's panels as the planner is told of them: without their sheets, which it does not read, and what is done
 * once for all of them shared out.
 */
const planned = ({ name, operations }: SheetGroup, { count }: Lot): PanelGroup => ({
  name,
  count,
  operations: operations.map((operation) =>
    operation.once
      ? { ...operation, minutes: Math.max(operation.minutes / Math.max(count, 1), LEAST) }
      : operation,
  ),
});

/**
 * A sitting with what its lots come to.
 *
 * @param sheets  one a lot, in their order; undefined where the recipe is no longer there
 * @param maker  whose pace it is, where no run was begun with another
 */
export function knownSitting(
  record: SittingRecord,
  sheets: readonly (LotSheet | undefined)[],
  maker: Maker,
): Omit<KnownSitting, 'sheets'> {
  let before = 0;
  const lots: KnownLot[] = [];
  const heated: PanelGroup[] = [];
  const gone: Lot[] = [];
  record.lots.forEach((lot, i) => {
    const sheet = sheets[i];
    if (!sheet) {
      gone.push(lot);
      return;
    }
    lots.push({ resolved: sheet.resolved, group: sheet.group, lot, before });
    heated.push(planned(sheet.heated, lot));
    before += lot.count;
  });
  const { start, breaks, atHand, wants } = record;
  return {
    record,
    lots,
    heated,
    gone,
    maker: record.run?.with.maker ?? maker,
    question: JSON.stringify([record.lots, start, breaks, atHand, wants, record.run?.begunAt]),
    sitting: sittingOf(
      record,
      lots.map(({ group, lot }) => planned(group, lot)),
    ),
  };
}

type At = Pick<Planned, 'group' | 'panel'>;

/** A panel's number among all of the sitting, from 1. */
export const numberOf = ({ lots }: KnownSitting, { group, panel }: At): number =>
  (lots[group]?.before ?? 0) + panel + 1;

export const operationOf = (
  { sitting }: KnownSitting,
  { group, operation }: Planned,
): Operation | undefined => sitting.groups[group]?.operations[operation];

export const stepOf = ({ lots }: KnownSitting, { group, operation }: Planned): Step | undefined =>
  lots[group]?.group.steps[operation];

/** The ink a line is done with, where it is one. */
export function inkOf(known: KnownSitting, line: Planned): Ink | undefined {
  const ink = stepOf(known, line)?.ink;
  return line.does === 'operation' && ink && !isBare(ink) ? ink : undefined;
}

/** What is done, in a few words: `Leat Mid, brush B`; `wash brush B`. */
export function tellLine(known: KnownSitting, line: Planned): string {
  if (line.does === 'wipe') return `Wipe and dry mat ${(line.mat ?? 0) + 1}`;
  if (line.does === 'wash') return `Wash brush ${letterOf(line.brush ?? 0)}`;
  const where = [
    ...(line.brush === undefined ? [] : [`brush ${letterOf(line.brush)}`]),
    ...(line.mat === undefined || known.sitting.atHand.mats < 2 ? [] : [`mat ${line.mat + 1}`]),
  ];
  return [operationOf(known, line)?.name ?? '', ...where].join(', ');
}
