import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useSession, useShelf } from '../../app/session';
import { useKnownMaker } from '../../app/useMaker';
import { FileError } from '../../core/files/fileError';
import { readRecipeFile } from '../../core/files/recipeFile';
import { groupOf, type SheetGroup } from '../../core/make/sitting/fromSheet';
import { type BegunWith, type Lot, type SittingRecord, sittingOf } from '../../core/make/sitting/record';
import type { Operation, PanelGroup, Planned, Sitting } from '../../core/make/sitting/sitting';
import { type Ink, isBare } from '../../core/materials/ink/ink';
import { type ResolvedRecipe, resolveAnyway } from '../../core/recipe/resolved';
import { letterOf } from '../../core/sheet/brushes';
import type { Maker } from '../../core/sheet/compile';
import type { Step } from '../../core/sheet/desk';
import { isSoundRecord } from '../../data/sound';

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

const NO_MAKER: Maker = {};

/** So many of a lot's panels as the planner is told of them: without their sheets, which it does not read. */
const planned = ({ name, operations }: SheetGroup, { count }: Lot): PanelGroup => ({
  name,
  count,
  operations,
});

/** A recipe that a run was begun with; one that is damaged is as good as gone. */
function recipeOf(file: string): ResolvedRecipe | undefined {
  try {
    return readRecipeFile(file);
  } catch (error) {
    if (error instanceof FileError) return undefined;
    throw error;
  }
}

/** What a sitting's lots come to, with the shelf as it is; undefined until all of it is read. */
export function useKnownSitting(record: SittingRecord | undefined): KnownSitting | undefined {
  const { db } = useSession();
  const shelf = useShelf();
  const maker = useKnownMaker();
  const ids = JSON.stringify(record?.lots.map(({ recipeId }) => recipeId) ?? []);
  const stored = useLiveQuery(
    async () =>
      (await db.recipes.bulkGet(JSON.parse(ids) as string[])).map((one) =>
        isSoundRecord(one) ? one.recipe : undefined,
      ),
    [db, ids],
  );
  const drying = record?.drying;
  const begunWith = JSON.stringify(record?.run?.with);
  const lotIds = JSON.stringify(record?.lots.map(({ id }) => id) ?? []);
  // While it is worked the maker's pace changes with every piece, and the run's does not.
  const pace = begunWith === undefined ? maker : NO_MAKER;
  const sheets = useMemo(() => {
    if (!shelf || !pace || !drying || !stored) return undefined;
    // A run keeps the recipes and the pace it was begun with.
    const run = begunWith === undefined ? undefined : (JSON.parse(begunWith) as BegunWith);
    const own = run?.maker ?? pace;
    return (JSON.parse(lotIds) as string[]).map((lotId, i) => {
      const kept = run?.recipes.find((one) => one.lotId === lotId);
      const recipe = stored[i];
      const resolved = kept ? recipeOf(kept.file) : recipe && resolveAnyway(recipe, shelf);
      if (!resolved) return undefined;
      const group = groupOf(resolved, 0, { drying, maker: own });
      return { resolved, group, heated: groupOf(resolved, 0, { drying: 'heat', maker: own }) };
    });
  }, [shelf, pace, drying, stored, begunWith, lotIds]);
  const here = useMemo(() => sheets?.filter((sheet) => sheet !== undefined) ?? [], [sheets]);
  return useMemo(() => {
    if (!record || !sheets || !pace || sheets.length !== record.lots.length) return undefined;
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
      lots.push({ ...sheet, lot, before });
      heated.push(planned(sheet.heated, lot));
      before += lot.count;
    });
    const { start, breaks, atHand, wants } = record;
    return {
      record,
      lots,
      heated,
      gone,
      maker: record.run?.with.maker ?? pace,
      sheets: here,
      question: JSON.stringify([record.lots, start, breaks, atHand, wants, record.run?.begunAt]),
      sitting: sittingOf(
        record,
        lots.map(({ group, lot }) => planned(group, lot)),
      ),
    };
  }, [record, sheets, pace, here]);
}

type At = Pick<Planned, 'group' | 'panel'>;

/** A panel's number among all of the sitting, from 1. */
export const numberOf = ({ lots }: KnownSitting, { group, panel }: At): number =>
  (lots[group]?.before ?? 0) + panel + 1;

export const operationOf = ({ lots }: KnownSitting, { group, operation }: Planned): Operation | undefined =>
  lots[group]?.group.operations[operation];

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
